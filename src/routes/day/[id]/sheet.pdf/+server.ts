import { sheetPdf } from '$core/formats';
import { need, needId, notHere } from '$server/answer';
import { download } from '$server/download';
import { pdf } from '$server/pdf';
import { planOf } from '$server/plans';
import { carriedFrom } from '$server/steamings';

/** The day sheet as PDF. Clock times are those of `zone`, which the page names; UTC otherwise. */
export const GET = async ({ params, locals, url }) => {
  const member = need(locals);
  const found = await planOf(member.club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, whole } = found;
  const zone = url.searchParams.get('zone') ?? 'UTC';
  const timeZone = Intl.supportedValuesOf('timeZone').includes(zone) ? zone : 'UTC';
  const of = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en-GB', { timeZone, ...options });
  const [hours, date] = [of({ hour: '2-digit', minute: '2-digit' }), of({ day: 'numeric', month: 'short', year: 'numeric' })];
  const definition = sheetPdf({
    engine: row.engine,
    purpose: row.purpose,
    whole,
    plan,
    carried: await carriedFrom(member.club, row.engineId),
    units: member.units,
    clock: (ms) => hours.format(ms),
    day: date.format(new Date(plan.wants[0]!.at))
  });
  return download(await pdf(definition), 'application/pdf', `${row.engine}-${plan.wants[0]!.at.slice(0, 10)}.pdf`);
};
