import { type Rung, upcast } from '../form';
import type { FitOut } from './fit-out';

type Part = Record<string, unknown>;

const ladder: readonly Rung<undefined>[] = [
  {
    // What nobody was asked for stands as it was taken to be: round tops, no flues, no dome; what is not known is null.
    from: 'joram.fit-out/1',
    to: 'joram.fit-out/2',
    up: (document) => {
      const [boiler, fire] = [document.boiler as Part | undefined, document.fire as Part | undefined];
      return {
        ...document,
        ...(boiler?.form === 'locomotive' && {
          boiler: { top: 'barrel', flues: { count: 0, diameter: 0.025, centre: 0.1 }, dome: null, ...boiler }
        }),
        ...(fire?.with === 'solid' && { fire: { chimney: null, nozzle: null, ...fire } }),
        ...(fire?.with === 'spirit' && { fire: { heat: null, burns: null, ...fire } })
      };
    }
  },
  {
    // What nobody was asked for was taken to be at the sea.
    from: 'joram.fit-out/2',
    to: 'joram.fit-out/3',
    up: (document) => ({ altitude: 0, ...document })
  }
];

/** A fit-out as it was stored or exported, in today's terms. */
export const fitOutOf = (document: unknown): FitOut =>
  upcast(document, { at: 'format', today: 'joram.fit-out/3', ladder, given: undefined });
