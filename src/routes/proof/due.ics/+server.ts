import { dueCalendar } from '$core/formats';
import { need } from '$server/answer';
import { download } from '$server/download';
import { dueOf } from '$server/due';

/** What runs out, as iCalendar, with reminders. */
export const GET = async ({ locals }) =>
  download(dueCalendar(await dueOf(need(locals)), Date.now()), 'text/calendar', 'papers-and-proofs.ics');
