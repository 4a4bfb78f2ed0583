import { group, type Infer, oneWord, text } from '../../form';
import { seen } from '../events';
import type { KindOf } from './kind';

const fields = group('Flame', {
  burner: text('Which burner', 1, 40),
  is: oneWord('What it does', ['lit', 'heard', 'lost', 'out'])
});
/** One burner's own flame. */
export type Flame = Infer<typeof fields>;

const words: Record<Flame['is'], string> = { lit: 'lit', heard: 'burns: heard or seen', lost: 'flame lost', out: 'out' };

export const flame: KindOf<Flame> = {
  fields,
  tells: ({ burner, is }) => [{ is: 'flame', burner, flame: is }, ...(is === 'heard' ? seen('flame heard') : [])],
  says: ({ burner, is }) => `${burner} ${words[is]}`
};
