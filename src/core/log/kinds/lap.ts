import { flag, group, type Infer, optional, quantity } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Lap', {
  length: quantity('Length of a lap', 'length', 5, 20_000),
  begins: optional(flag('The first: laps are counted from here'))
});
/** A round of the track: counted from one mark to the next. */
export type Lap = Infer<typeof fields>;

export const lap: KindOf<Lap> = {
  fields,
  says: ({ length, begins }, { units }) => (begins ? `Laps counted from here, ${printText(length, 'length', units)} each` : 'Lap')
};
