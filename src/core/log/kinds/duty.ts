import { group, type Infer, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Duty', {
  duty: text('Which duty', 1, 60),
  what: text('As it is called', 1, 200),
  put: optional(text('Why it is put off', 1, 300))
});
/** A duty that came round: kept, or put off once with a reason. */
export type DutyBody = Infer<typeof fields>;

export const duty: KindOf<DutyBody> = {
  fields,
  tells: (body) => [{ is: 'duty', ...body }],
  says: ({ what, put }) => (put ? `Put off: ${what}. ${put}` : what)
};
