import { group, type Infer, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Taken over', {
  name: text('Who has it now', 1, 120),
  signIn: optional(text('Signs in as', 1, 60, 'Where it is taken over on the device of whoever hands it over.'))
});
export type Taken = Infer<typeof fields>;

export const taken: KindOf<Taken> = {
  fields,
  does: (state, { name }, { at }) => {
    const { offer: _, ...rest } = state;
    return { ...rest, keeper: name, keepers: [...state.keepers, { name, at }] };
  },
  says: ({ name }) => `${name} has it`
};
