import { count, flag, group, type Infer, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Fuel charged', {
  mass: quantity('Weight', 'mass', 0, 100),
  pieces: optional(count('Tablets', 1, 60)),
  fuel: optional(text('Fuel', 1, 40)),
  already: optional(flag('It is on already', 'Of fuel that was put to a fire that burns, before anybody asked.'))
});
/** Fuel that was measured out: on the tray, in the burner, in the canister. */
export type Charge = Infer<typeof fields>;

export const charge: KindOf<Charge> = {
  fields,
  tells: (body) => [{ is: 'charge', ...body }],
  says: ({ mass, pieces, fuel, already }, { units }) =>
    `${
      pieces
        ? `${pieces} tablet${pieces === 1 ? '' : 's'} charged, ${printText(mass, 'mass', units)}`
        : `${printText(mass, 'mass', units)} of ${fuel ?? 'fuel'} charged`
    }${already ? ', put to a fire that burns' : ''}`
};
