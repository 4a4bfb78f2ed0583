import { dayCalendar } from '$core/formats';
import { isoDayIn } from '$core/units';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { planOf } from '$server/plans';

/** The day sheet as iCalendar, with alarms. */
export const GET = async ({ params, locals }) => {
  const { club, zone } = need(locals);
  const found = await planOf(club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  const text = dayCalendar({ engine: row.engine, id: row.id, sheet: whole.sheet, plan, made: Date.now(), zone });
  return download(text, 'text/calendar', `${row.engine}-${isoDayIn(plan.wants[0]!.at, zone)}.ics`);
};
