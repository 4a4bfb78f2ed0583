import { isoDayIn } from '$core/units';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { work } from '$server/jobs';
import { planOf } from '$server/plans';
import { carriedFrom } from '$server/book';

/** The day sheet as PDF, by the club's clock. */
export const GET = async ({ params, locals }) => {
  const { club, units, zone } = need(locals);
  const found = await planOf(club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  const carried = await carriedFrom(club, row.engineId);
  const file = await work('day sheet as PDF', { engine: row.engine, purpose: row.purpose, whole, plan, carried, units, zone });
  return download(file, 'application/pdf', `${row.engine}-${isoDayIn(plan.wants[0]!.at, zone)}.pdf`);
};
