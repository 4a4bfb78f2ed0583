import { sheetCsv } from '$core/formats';
import { isoDayIn } from '$core/units';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { planOf } from '$server/plans';

/** The day sheet's steps as CSV. */
export const GET = async ({ params, locals }) => {
  const member = need(locals);
  const found = await planOf(member.club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  return download(sheetCsv(whole.sheet, member.zone), 'text/csv', `${row.engine}-${isoDayIn(plan.wants[0]!.at, member.zone)}.csv`);
};
