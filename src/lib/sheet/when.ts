import { clockIn, dayIn, dayWords, daysBetween, isoDayIn, momentIn, type When } from '$core/units';
import { clubZone } from './club';

/** `10:31`, by the club's clock. */
export const clock = (when: When) => clockIn(when, clubZone());
/** `13 Jun 2026` */
export const day = (when: When) => dayIn(when, clubZone());
/** `13 Jun, 10:31` */
export const moment = (when: When) => momentIn(when, clubZone());
/** `13 Jun 2026 10:31`: of what is read years later. */
export const dated = (when: When) => `${day(when)} ${clock(when)}`;
/** `Jun 2026` */
export const month = (when: When) => day(when).slice(-8);
/** `2026-06-13` */
export const isoDay = (when: When) => isoDayIn(when, clubZone());
/** A day of the calendar, that is the same in every zone: `13 Jun 2026`. */
export { dayWords };

/** A short time in words: “under a minute”, “12 min”, “1 h 5 min”. @param ms of it */
export function minutes(ms: number): string {
  const whole = Math.floor(ms / 60_000);
  if (whole < 1) return 'under a minute';
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}

/** How long: `0:34`, `4:10`; in seconds. */
export function span(seconds: number): string {
  const minutes = Math.max(0, Math.round(seconds / 60));
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** What is left on a clock that runs down: `4:30`, `0:07`, `−0:12` when it is over. @param ms */
export function leftOn(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  return `${ms < -500 ? '−' : ''}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** How old something is, in the words of someone who looks at a glass: `just now`, `4 min ago`, `2 h 5 min ago`. */
export function age(when: When, now: number): string {
  const minutes = Math.floor((now - new Date(when).getTime()) / 60_000);
  if (minutes < 1) return 'just now';
  if (minutes < 60) return `${minutes} min ago`;
  return minutes < 600 ? `${Math.floor(minutes / 60)} h ${minutes % 60} min ago` : moment(when);
}

/** A paper is asked about when it has this many days left. */
export const dueSoon = 30;
export const daysLeft = (isoDate: string, now: number) => daysBetween(`${isoDay(now)}T12:00:00Z`, `${isoDate}T12:00:00Z`, 'UTC');

/** How far off a paper's last day is: `in 9 days`, `in 7 months`, `ran out 12 days ago`. */
export function until(isoDate: string, now: number): string {
  const days = daysLeft(isoDate, now);
  if (days < 0) return `ran out ${-days === 1 ? 'yesterday' : `${-days} days ago`}`;
  if (days === 0) return 'last day today';
  return days < 60 ? `in ${days} day${days === 1 ? '' : 's'}` : `in ${Math.floor(days / 30.44)} months`;
}

/** `10:38–10:56`, or with its middle and its late edge in words: `10:38–10:56, nine times in ten before 10:56`. Never a bare number. */
export function bandWords(band: { early: number; middle: number; late: number }, told: boolean): string {
  const never = (at: number) => !(at < 8e15);
  if (never(band.middle)) return told ? 'not to be expected by what is known' : 'not reached';
  if (never(band.late))
    return told
      ? `about ${clock(band.middle)}, not before ${clock(band.early)}, and perhaps not at all`
      : `${clock(band.middle)} (${clock(band.early)}–?)`;
  return told
    ? `${clock(band.early)}–${clock(band.late)}, nine times in ten before ${clock(band.late)}`
    : `${clock(band.middle)} (${clock(band.early)}–${clock(band.late)})`;
}

/** Moments marked in a sentence of the core, `{at:…}`, as clock times. */
export const withTimes = (text: string): string => text.replace(/\{at:(-?[\d.e+]+)\}/g, (_, at: string) => clock(Number(at)));
