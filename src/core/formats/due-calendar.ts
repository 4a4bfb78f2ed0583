import ical, { ICalAlarmType } from 'ical-generator';
import { dayAfter } from '../units';

/** What must be made again, and the last day on which it stands. */
export interface Due {
  /** The same from one calendar to the next: what is taken in again replaces it. */
  readonly id: string;
  readonly engine: string;
  readonly what: string;
  /** By the club's calendar, written 2026-06-13. */
  readonly day: string;
  readonly past: boolean;
}

const dayLong = 24 * 3600;
/** So many days before it a calendar reminds of it. */
const ahead = [30, 7];

/**
 * Papers and proofs that run out as iCalendar, a whole day each, with reminders a month and a week before.
 * @param made ms since 1970, when it was written
 */
export function dueCalendar(due: readonly Due[], made: number): string {
  const calendar = ical({ name: 'Papers and proofs', prodId: { company: 'Joram', product: 'due' } });
  for (const { id, engine, what, day } of due) {
    const event = calendar.createEvent({
      id: `${id}@joram`,
      summary: `${engine}: ${what}, last day`,
      start: day,
      end: dayAfter(day, 1),
      allDay: true,
      description: 'What is due is told by the book. Whether it may be steamed is for the boiler examiner and the club’s boiler code.',
      stamp: new Date(made)
    });
    for (const days of ahead)
      event.createAlarm({
        type: ICalAlarmType.display,
        trigger: days * dayLong,
        description: `${engine}: ${what} runs out in ${days} days`
      });
  }
  return calendar.toString();
}
