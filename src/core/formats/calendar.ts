import ical, { ICalAlarmType } from 'ical-generator';
import type { Band } from '../forecast';
import type { DayPlan, Sheet } from '../plan';
import { clockIn, zoneWords } from '../units';

const minute = 60_000;

/**
 * A day sheet as iCalendar: begin, light, steam, each want, and when to stop, with alarms before what must not be missed.
 * Times are UTC, so that every calendar shows its own.
 * @param id of the steaming: the same sheet sent again replaces its events
 * @param made ms since 1970, when it was written
 */
export function dayCalendar({
  engine,
  id,
  sheet,
  plan,
  made,
  zone
}: {
  engine: string;
  id: string;
  sheet: Sheet;
  plan: DayPlan;
  made: number;
  /** The club's, for what is said in words. */
  zone: string;
}): string {
  const say = (b: Band) =>
    b.late < Infinity
      ? `between ${clockIn(b.early, zone)} and ${clockIn(b.late, zone)}, ${zoneWords(b.early, zone)}, eight times in ten`
      : 'not to be expected by what is known';
  const calendar = ical({ name: `${engine}, day sheet`, prodId: { company: 'Joram', product: 'day-sheet' } });
  const event = (key: string, summary: string, start: number, end: number, description: string, alarms: readonly number[] = []) => {
    const made_ = calendar.createEvent({
      id: `${id}-${key}@joram`,
      summary: `${engine}: ${summary}`,
      start: new Date(start),
      end: new Date(Math.max(end, start + minute)),
      description,
      stamp: new Date(made)
    });
    for (const before of alarms)
      made_.createAlarm({ type: ICalAlarmType.display, trigger: before * 60, description: `${engine}: ${summary}` });
  };
  const keeper = plan.people.find((p) => p.as === 'keeper')?.name ?? '';
  event('begin', 'begin', sheet.begin, sheet.light, `First look over. Keeper: ${keeper}.`, [60]);
  event('light', 'light', sheet.light, sheet.steam.early, `Steam ${say(sheet.steam)}. Water and valves proven first.`, [15, 0]);
  if (sheet.steam.late < Infinity)
    event(
      'steam',
      'steam expected',
      sheet.steam.early,
      sheet.steam.late,
      `${say(sheet.steam)}. An estimate; no forecast replaces looking at the glass.`
    );
  plan.wants.forEach((w, i) =>
    event(
      `want-${i + 1}`,
      w.what,
      Date.parse(w.at),
      Date.parse(w.at) + 15 * minute,
      i === 0 ? `Ready by the sheet at ${clockIn(sheet.ready, zone)}, ${zoneWords(sheet.ready, zone)}.` : '',
      [10]
    )
  );
  if (sheet.stopBy !== undefined)
    event('stop', 'last fire, begin to shut down', sheet.stopBy, Date.parse(plan.end!), 'So that it is put away in time.', [20]);
  return calendar.toString();
}
