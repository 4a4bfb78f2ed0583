import { aheadAt } from './offset';

/**
 * Clock times and days in a club's time zone. A moment is ms since 1970 or ISO 8601; a day is written 2026-06-13; a zone is a
 * name of the IANA data base. Files carry UTC or an offset; people read the club's clock.
 */
export type When = Date | string | number;
const ms = (when: When) => (typeof when === 'number' ? when : new Date(when).getTime());
/** What the zone's clock shows, `2026-06-13T10:31:00`: a clock of UTC that is set ahead. */
const shows = (when: When, zone: string) => new Date(ms(when) + aheadAt(zone, ms(when))).toISOString().slice(0, 19);
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const dayOf = (shown: string) => `${Number(shown.slice(8, 10))} ${months[Number(shown.slice(5, 7)) - 1]}`;
/** `+05:30`, as ISO 8601 writes it. */
const offsetIn = (when: When, zone: string): string => {
  const minutes = Math.round(aheadAt(zone, ms(when)) / 60_000);
  const [h, m] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60].map((n) => String(n).padStart(2, '0'));
  return `${minutes < 0 ? '-' : '+'}${h}:${m}`;
};

/** `10:31` */
export const clockIn = (when: When, zone: string): string => shows(when, zone).slice(11, 16);
/** `13 Jun 2026` */
export const dayIn = (when: When, zone: string): string => {
  const shown = shows(when, zone);
  return `${dayOf(shown)} ${shown.slice(0, 4)}`;
};
/** `13 Jun, 10:31` */
export const momentIn = (when: When, zone: string): string => `${dayOf(shows(when, zone))}, ${clockIn(when, zone)}`;
/** `2026-06-13` */
export const isoDayIn = (when: When, zone: string): string => shows(when, zone).slice(0, 10);
/** `2026-06-13T10:31:00+01:00`: for files that somebody opens in a table. */
export const isoIn = (when: When, zone: string): string => shows(when, zone) + offsetIn(when, zone);
/** How far a zone's clock is before UTC at a moment, ms. */
export const aheadOfUtc = (when: When, zone: string): number => aheadAt(zone, ms(when));
/** Minutes since midnight by the club's clock. */
export const minutesIn = (when: When, zone: string): number => {
  const [h, m] = clockIn(when, zone).split(':').map(Number);
  return h! * 60 + m!;
};

/** A calendar day as people write it: `13 Jun 2026`. */
export const dayWords = (isoDay: string): string => dayIn(`${isoDay}T12:00:00Z`, 'UTC');

/**
 * The moment at which a clock in a zone shows a time on a day, ISO 8601 in UTC. A time that the change of the clocks leaves out
 * is the moment an hour later; of one that comes twice it is the first.
 * @param minutes since midnight; may run past it into the next day
 */
export function momentAt(isoDay: string, minutes: number, zone: string): string {
  const asUtc = Date.parse(`${isoDay}T00:00:00Z`) + minutes * 60_000;
  // By the clock of the day before and by that of the day after: they differ only around a change of the clocks.
  const [before, after] = [asUtc - aheadAt(zone, asUtc - 86_400_000), asUtc - aheadAt(zone, asUtc + 86_400_000)];
  const right = [before, after].find((at) => at + aheadAt(zone, at) === asUtc);
  return new Date(right ?? before).toISOString();
}

/** Whether a text is a day of the calendar, written 2026-06-13: there is no 31 February. */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text)) && new Date(`${text}T12:00:00Z`).toISOString().startsWith(text);

/** A day so many days later. */
export const dayAfter = (isoDay: string, days: number): string => isoDayIn(Date.parse(`${isoDay}T12:00:00Z`) + days * 86_400_000, 'UTC');

/** The day so many months later, or the last of that month where it has no such day. @param isoDay 2026-06-13 */
export const monthsAfter = (isoDay: string, months: number): string => {
  const [y, m, d] = isoDay.split('-').map(Number) as [number, number, number];
  const last = new Date(Date.UTC(y, m + months, 0)).getUTCDate();
  return new Date(Date.UTC(y, m - 1 + months, Math.min(d, last))).toISOString().slice(0, 10);
};
/** Days of the calendar from one moment to another. */
export const daysBetween = (from: When, to: When, zone: string): number =>
  (Date.parse(isoDayIn(to, zone)) - Date.parse(isoDayIn(from, zone))) / 86_400_000;

/** Whether a name is a time zone that this machine knows. */
export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return name.length > 0;
  } catch {
    return false;
  }
}

/** A zone as it is named beside times: `Europe/Vilnius, UTC+3`. */
export const zoneWords = (when: When, zone: string): string => {
  const offset = offsetIn(when, zone)
    .replace(/^([+-])0?(\d+):00$/, '$1$2')
    .replace(/^([+-])0?(\d+):(\d\d)$/, '$1$2:$3');
  return zone === 'UTC' ? 'UTC' : `${zone.replaceAll('_', ' ')}, UTC${offset === '+0' ? '' : offset}`;
};
