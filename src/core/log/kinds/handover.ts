import { group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Hand over', { to: text('To whom', 1, 120), next: text('What is next due', 1, 300) });
export type Handover = Infer<typeof fields>;

export const handover: KindOf<Handover> = {
  fields,
  does: (state, { to }) => ({ ...state, keeper: to }),
  says: ({ to, next }) => `Handed over to ${to}. Next: ${next}`
};
