import { rigKeys, rigWords, withRig } from '../../commission';
import { flag, group, type Infer, oneWord, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';

const fields = group('Temporary rig', {
  part: oneWord('What', rigKeys),
  which: optional(text('Where, or what of it', 1, 60)),
  on: flag('On'),
  for: optional(quantity('Off again after', 'time', 60, 30 * 86_400)),
  of: optional(text('Whose boiler', 1, 80))
});
/** Something that is put on for a trial and must come off again. */
export type RigBody = Infer<typeof fields>;

export const rig: KindOf<RigBody> = {
  fields,
  does: (state, body, made) => ({ ...state, rigs: withRig(state.rigs, body, made) }),
  says: ({ on, for: lasts, ...body }, { units }) =>
    `${on ? '' : 'Off again: '}${rigWords(body)}${on && lasts ? `, off again after ${printText(lasts, 'time', units)}` : ''}`
};
