import { count, group, type Infer, oneWord, optional, quantity } from '../../form';
import { printText } from '../../units';
import { isTimed } from '../../sums';
import { tellsLeft } from '../events';
import { shownBy } from '../stop';
import type { KindOf } from './kind';

export const warmths = ['cold', 'warm', 'hot'] as const;
export type Warmth = (typeof warmths)[number];

const fields = group('Water, measured', {
  act: oneWord('What was done', ['in', 'left', 'out']),
  volume: quantity('Volume', 'volume', 0, 5),
  with: optional(oneWord('Measured with', ['syringe', 'measure'])),
  count: optional(count('How many of them', 1, 200)),
  warm: optional(oneWord('How warm', warmths))
});
/** Water that was measured: put in, found left in the boiler, or let out of it and measured, so that it is empty. */
export type Water = Infer<typeof fields>;

const acts = { in: 'in', left: 'left in the boiler', out: 'out of the boiler, measured' } as const;

export const water: KindOf<Water> = {
  fields,
  // What a run took says how hot its fire is: the next is judged by it.
  does: (state, { act, volume }, _, { fitOut }) => {
    const last = state.runs.at(-1);
    return act === 'in' || !last || !tellsLeft(state, last) || !isTimed(fitOut)
      ? state
      : { ...state, shown: shownBy(fitOut, [...state.runs.slice(0, -1), { ...last, left: volume }], state.earlier) };
  },
  tells: (body) => [{ is: 'water', ...body }],
  says: ({ act, volume, with: by, count, warm }, { units }) =>
    `${printText(volume, 'volume', units)}${warm ? ` of ${warm} water` : ' of water'} ${acts[act]}${count && by ? `, ${count} ${by}${count === 1 ? '' : 's'}` : ''}`
};
