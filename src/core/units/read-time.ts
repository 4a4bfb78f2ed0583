import { GB } from 'chrono-node/en';
import { dayWords, isDay, isoDayIn, minutesIn, type When } from './zone';

/** What people write for a time or a day, read. Apart from the rest: only fields that ask for one load the library. */

/** Digits alone, as a railway timetable has them: `1630`, `930`. chrono takes them for a year. */
const bare = /^([01]?\d|2[0-3])([0-5]\d)$/;

/** The library wants a reference; its own zone is left out of what is read. */
const reference = (now: When, zone: string) => {
  const day = isoDayIn(now, zone);
  const minutes = minutesIn(now, zone);
  // The club's own clock, written as if it were UTC: what comes back is read the same way.
  return { instant: new Date(Date.parse(`${day}T00:00:00Z`) + minutes * 60_000), timezone: 0 };
};

/**
 * A time of day: `16:30`, `4.30pm`, `1630`, `noon`.
 * @returns minutes since midnight, or what is expected
 */
export function readTime(text: string): { minutes: number } | { problem: string } {
  const problem = 'Give a time as 16:30, 4.30pm or noon.';
  const trimmed = text.trim();
  const digits = bare.exec(trimmed);
  if (digits) return { minutes: Number(digits[1]) * 60 + Number(digits[2]) };
  // A full stop between hours and minutes is as good as a colon, with or without am and pm.
  const [found] = GB.parse(trimmed.replace(/^(\d\d?)\.(\d\d)(?!\d)/, '$1:$2'), reference('2026-01-01T00:00:00Z', 'UTC'));
  if (!found || found.index !== 0 || found.text.length !== trimmed.length) return { problem };
  if (!found.start.isCertain('hour') || found.start.isCertain('day') || found.end) return { problem };
  const [hour, minute] = [found.start.get('hour'), found.start.get('minute')];
  return hour === null ? { problem } : { minutes: hour * 60 + (minute ?? 0) };
}

/**
 * A day: `13 Jun`, `13/6/2026`, `tomorrow`, `next Saturday`, `2026-06-13`. A day without a year is the next that comes.
 * @returns the day as 2026-06-13, or what is expected
 */
export function readDay(text: string, now: When, zone: string): { day: string } | { problem: string } {
  const trimmed = text.trim();
  const problem = `Give a day as ${dayWords(isoDayIn(now, zone))}, 13/6, tomorrow or next Saturday.`;
  if (/^\d{4}-\d\d-\d\d$/.test(trimmed)) return isDay(trimmed) ? { day: trimmed } : { problem };
  const [found] = GB.parse(trimmed, reference(now, zone), { forwardDate: true });
  // All of it must have been understood, and a day is not an hour.
  if (!found || found.index !== 0 || found.text.length !== trimmed.length) return { problem };
  if (!found.start.isCertain('day') && !found.start.isCertain('weekday')) return { problem };
  const [y, m, d] = [found.start.get('year')!, found.start.get('month')!, found.start.get('day')!];
  const day = `${String(y).padStart(4, '0')}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`;
  return isDay(day) ? { day } : { problem };
}
