import { flag, group, type Infer, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Hand over', {
  to: text('To whom', 1, 120),
  next: text('What is next due', 1, 300),
  signIn: optional(text('Signs in as', 1, 60, 'Of whoever keeps it, where they offer it on another’s device.')),
  offered: optional(flag('Until it is taken', 'It is with its keeper until the other has said that they have it.'))
});
export type Handover = Infer<typeof fields>;

export const handover: KindOf<Handover> = {
  fields,
  // What was written before an offer had to be taken handed it over there and then.
  does: (state, { to, next, offered }, { at, by }) =>
    offered ? { ...state, offer: { to, next, at, by } } : { ...state, keeper: to, keepers: [...state.keepers, { name: to, at }] },
  says: ({ to, next, offered }) => `${offered ? 'Offered' : 'Handed over'} to ${to}. Next: ${next}`
};
