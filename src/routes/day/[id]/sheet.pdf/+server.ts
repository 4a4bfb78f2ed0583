import { sheetPdf } from '$core/formats';
import { isoDayIn } from '$core/units';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { pdf } from '$server/pdf';
import { planOf } from '$server/plans';
import { carriedFrom } from '$server/book';

/** The day sheet as PDF, by the club's clock. */
export const GET = async ({ params, locals }) => {
  const { club, units, zone } = need(locals);
  const found = await planOf(club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  const carried = await carriedFrom(club, row.engineId);
  const definition = sheetPdf({ engine: row.engine, purpose: row.purpose, whole, plan, carried, units, zone });
  return download(await pdf(definition), 'application/pdf', `${row.engine}-${isoDayIn(plan.wants[0]!.at, zone)}.pdf`);
};
