import type { Entry } from './entry';

/** How far into the future an entry may lie before its clock is not believed, ms: two clocks that agree may differ by seconds. */
const aheadAllowed = 60_000;

/** When an entry was made by the club's clock, and what its device's own clock said where that is not the same. */
export type Placed = Pick<Entry, 'at' | 'clock'>;

/**
 * Where an entry stands in the time of the log: what its device's clock said, less what that clock was measured to be ahead of
 * the server's. Nothing lies in the future: what would, is placed at its receipt.
 * @param said the device's clock when it was made, ms since 1970
 * @param ahead how far that clock was measured to be ahead of the server's, ms; undefined when it was not measured
 * @param received when the server took it in, ms since 1970
 */
export function placed(said: number, ahead: number | undefined, received: number): Placed {
  const corrected = Math.round(said - (ahead ?? 0));
  const at = corrected > received + aheadAllowed ? received : corrected;
  const iso = (ms: number) => new Date(ms).toISOString();
  return at === said ? { at: iso(at) } : { at: iso(at), clock: { said: iso(said), ...(ahead === undefined ? {} : { ahead }) } };
}

/** From how far off a clock is worth a word, and how late an arrival, ms. */
const wordedFrom = { clock: 30_000, arrival: 2 * 60_000 };

/** A stretch of time as it is said of a clock or a delay. @param ms of any sign */
function stretch(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 120) return `${minutes} min`;
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} days`;
}

/**
 * What a reader must know of how an entry came: by a clock that was off, late, or after the signing.
 * @param signed when the server took in the signature that ended the steaming
 * @returns sentences without their full stops; none for one that came at once by a good clock
 */
export function cameHow({ at, clock, receivedAt }: Pick<Entry, 'at' | 'clock' | 'receivedAt'>, signed?: string): string[] {
  const marks: string[] = [];
  const ahead = clock?.ahead ?? 0;
  if (clock && Date.parse(clock.said) - ahead !== Date.parse(at))
    marks.push('its clock was ahead of the club’s: it stands when it arrived');
  else if (Math.abs(ahead) >= wordedFrom.clock) marks.push(`by a clock ${stretch(ahead)} ${ahead > 0 ? 'fast' : 'slow'}, put right`);
  const delay = receivedAt ? Date.parse(receivedAt) - Date.parse(at) : 0;
  if (delay >= wordedFrom.arrival) marks.push(`arrived ${stretch(delay)} later`);
  if (receivedAt && signed && receivedAt > signed) marks.push('after the signing');
  return marks;
}
