import { checkRecord, type RecordDocument, sheetPdf, type SheetPdf } from '$core/formats';
import { derivedOf } from '$core/learn';
import { fold } from '$core/log';
import { type Busy, type DayPlan, type Known, planWhole } from '$core/plan';
import { Refusal } from '$core/units';
import { archiveOf } from '../archive/write';
import { parseJson } from '../parse-json';
import { checkText } from '../text';

/** HEAVY WORK, one function a job: plain data in, plain data out. A request thread asks for it and goes on. */
export const jobs = {
  'day sheet': ({ known, plan, busy }: { known: Known; plan: DayPlan; busy: Busy }) => planWhole(known, plan, busy),
  // The type that it is set in is loaded when it is needed.
  'day sheet as PDF': async (of: SheetPdf) => (await import('./pdf')).pdf(sheetPdf(of)),
  /** What is kept of a steaming that has ended. */
  'what a log shows': ({
    context,
    entries,
    before,
    duty
  }: {
    context: Parameters<typeof fold>[0];
    entries: Parameters<typeof fold>[1];
    before: Parameters<typeof derivedOf>[1];
    duty?: Parameters<typeof derivedOf>[2];
  }) => {
    const log = fold(context, entries);
    const { endedAt } = log.state;
    return endedAt ? { endedAt, ...derivedOf(log, before, duty) } : undefined;
  },
  'club as an archive': archiveOf,
  /** A record that came from outside. Refuses with the first twenty things wrong with it. */
  'read record': (text: string): RecordDocument => {
    const parsed = parseJson(text);
    if ('problem' in parsed) throw new Refusal('body', parsed.problem);
    checkText(parsed.value);
    const checked = checkRecord(parsed.value);
    if ('record' in checked) return checked.record;
    throw new Refusal(checked.problems[0]!.path || 'document', checked.problems[0]!.sentence, { problems: checked.problems });
  }
};
export type Jobs = typeof jobs;
