import { waters } from '../../engine';
import { choice, group, type Infer } from '../../form';
import type { KindOf } from './kind';

const fields = group('Filled with', { water: choice('Kind of water', waters) });
/** Which water it was filled with: what is in it decides what it leaves behind. */
export type Filled = Infer<typeof fields>;

export const filled: KindOf<Filled> = {
  fields,
  does: (state, { water }, { at }) => ({ ...state, filled: { water, at } }),
  says: ({ water }) => `Filled with ${waters[water]} water`
};
