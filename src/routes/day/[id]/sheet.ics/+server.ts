import { dayCalendar } from '$core/formats';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { planOf } from '$server/plans';

const utc = (ms: number) => new Date(ms).toISOString().slice(11, 16);

/** The day sheet as iCalendar, with alarms. */
export const GET = async ({ params, locals }) => {
  const member = need(locals);
  const found = await planOf(member.club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  const text = dayCalendar({
    engine: row.engine,
    id: row.id,
    sheet: whole.sheet,
    plan,
    made: Date.now(),
    say: (b) =>
      b.late < Infinity ? `between ${utc(b.early)} and ${utc(b.late)} UTC, eight times in ten` : 'not to be expected by what is known'
  });
  return download(text, 'text/calendar', `${row.engine}-${plan.wants[0]!.at.slice(0, 10)}.ics`);
};
