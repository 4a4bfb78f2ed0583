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
  },
  {
    // One sort of burner and no order of lighting became burners by name; what a charge weighs and a knob is set to was not asked.
    from: 'joram.fit-out/3',
    to: 'joram.fit-out/4',
    up: (document) => ({
      measures: { syringe: null, measure: null },
      control: 'regulator',
      roams: 'no',
      circuit: null,
      ...document,
      fire: fireUp(document.fire as Part | undefined),
      habits: { firing: 'little', oil: 'motion', tooMuch: 'feed', lifts: 'at', ...(document.habits as Part | undefined) }
    })
  }
];

/** A fire of the third version. */
function fireUp(fire: Part | undefined): Part | undefined {
  if (fire?.with === 'gas') {
    const { burners, litAt, ...rest } = fire;
    const count = typeof burners === 'number' ? burners : 1;
    const one = { litAt, tells: 'heard', lightUp: null, running: null, jet: null };
    return {
      wait: 30,
      purge: 60,
      empty: null,
      joints: [],
      ...rest,
      burners: Array.from({ length: count }, (_, i) => ({ name: count > 1 ? `Burner ${i + 1}` : 'Burner', ...one }))
    };
  }
  if (fire?.with === 'spirit') return { pieces: null, weight: null, layout: fire.fuel === 'tablets' ? 'together' : 'after', ...fire };
  if (fire?.with === 'electric') return { setTemperature: null, setPressure: null, band: 5, sensor: 'water', cutOut: false, ...fire };
  return fire;
}

/** A fit-out as it was stored or exported, in today's terms. */
export const fitOutOf = (document: unknown): FitOut =>
  upcast(document, { at: 'format', today: 'joram.fit-out/4', ladder, given: undefined });
