import { choice, group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { asks, measures } from '../../procedure';
import { printText } from '../../units';
import { type FitOut, waters } from '../../engine';
import { isTimed } from '../../sums';
import type { State } from '../state';
import { shownBy } from '../stop';
import type { KindOf } from './kind';
import { gauge } from './reading';

const fields = group(
  'Measured',
  {
    what: oneWord('What', measures),
    volume: optional(quantity('Volume', 'volume', 0, 20)),
    mass: optional(quantity('Weight', 'mass', 0, 5000)),
    pressure: optional(gauge('Pressure')),
    product: optional(text('Which product', 1, 80)),
    changed: optional(quantity('Water that was changed', 'volume', 1e-6, 20, 'What boiled away left its treatment behind.')),
    water: optional(choice('Kind of water', waters))
  },
  { oneOf: ['volume', 'mass', 'pressure'] }
);
/** A number that was measured, and not worked: what went in, what it weighs, what was used. */
export type Measured = Infer<typeof fields>;

/** What the last run burnt, by the canister before it and after. */
function burntBy({ runs, measured, earlier }: State, after: number, fitOut: FitOut): Pick<State, 'runs' | 'shown'> | undefined {
  const [last, before] = [runs.at(-1), measured.canister];
  if (!last?.outAt || !before || before.value < after || before.at > last.outAt || !isTimed(fitOut)) return undefined;
  const all = [...runs.slice(0, -1), { ...last, burnt: before.value - after }];
  return { runs: all, shown: shownBy(fitOut, all, earlier) };
}

export const measured: KindOf<Measured> = {
  fields,
  // Water that was measured in stood here before it had a kind of its own.
  tells: ({ what, volume, mass }, _, __, { fitOut: { fire } }) =>
    what === 'water in' && volume !== undefined
      ? [{ is: 'water', act: 'in', volume }]
      : what === 'canister' && mass !== undefined && fire.with === 'gas' && fire.empty !== null && mass >= fire.empty
        ? [{ is: 'charge', mass: mass - fire.empty, fuel: 'gas', whole: true }]
        : [],
  does: (state, { what, volume, mass, pressure, product }, { at, by }, { fitOut }) => ({
    ...state,
    ...(what === 'canister after' && mass !== undefined ? burntBy(state, mass, fitOut) : {}),
    measured: { ...state.measured, [what]: { value: (volume ?? mass ?? pressure)!, at, by, ...(product ? { product } : {}) } }
  }),
  says: ({ what, volume, mass, pressure, product, changed, water }, { units }) =>
    [
      `${asks[what].label} ${printText((volume ?? mass ?? pressure)!, asks[what].quantity, units)}`,
      ...(product ? [product] : []),
      ...(changed ? [`for ${printText(changed, 'volume', units)} changed`] : []),
      ...(water ? [`${waters[water]} water`] : [])
    ].join(', ')
};
