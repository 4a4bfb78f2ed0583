import { group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { asks, measures } from '../../procedure';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group(
  'Measured',
  {
    what: oneWord('What', measures),
    volume: optional(quantity('Volume', 'volume', 0, 20)),
    mass: optional(quantity('Weight', 'mass', 0, 5000)),
    product: optional(text('Which product', 1, 80))
  },
  { oneOf: ['volume', 'mass'] }
);
/** A number that was measured, and not worked: what went in, what it weighs, what was used. */
export type Measured = Infer<typeof fields>;

export const measured: KindOf<Measured> = {
  fields,
  // Water that was measured in stood here before it had a kind of its own.
  tells: ({ what, volume, mass }, _, __, { fitOut: { fire } }) =>
    what === 'water in' && volume !== undefined
      ? [{ is: 'water', act: 'in', volume }]
      : what === 'canister' && mass !== undefined && fire.with === 'gas' && fire.empty !== null && mass >= fire.empty
        ? [{ is: 'charge', mass: mass - fire.empty, fuel: 'gas', whole: true }]
        : [],
  does: (state, { what, volume, mass, product }, { at, by }) => ({
    ...state,
    measured: { ...state.measured, [what]: { value: (volume ?? mass)!, at, by, ...(product ? { product } : {}) } }
  }),
  says: ({ what, volume, mass, product }, { units }) =>
    `${asks[what].label} ${volume === undefined ? printText(mass!, 'mass', units) : printText(volume, 'volume', units)}${product ? `, ${product}` : ''}`
};
