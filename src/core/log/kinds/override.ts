import { group, type Infer, text, texts } from '../../form';
import type { KindOf } from './kind';

const fields = group('Override', { reason: text('Why', 1, 1000), of: texts('What was overridden', 1, 30, 300) });
export type Override = Infer<typeof fields>;

export const override: KindOf<Override> = {
  fields,
  does: (state, body, { by, at }) => ({ ...state, override: { ...body, by, at } }),
  says: ({ reason, of }) => `Steamed all the same: ${reason} (${of.join('; ')})`
};
