import { tzOffset } from '@date-fns/tz';

/**
 * How far a zone's clock is before UTC over some years, as a table: each line holds the moment (ms) up to which it is so, and the ms.
 * Plain data, so that who knows it can send it to who would have to build the machine's own tables of zones to find it: that takes a
 * phone a fifth of a second.
 */
export interface Offsets {
  readonly from: number;
  readonly lines: readonly (readonly [until: number, ahead: number])[];
}

const year = 365.25 * 86_400_000;
const week = 7 * 86_400_000;
const known = new Map<string, Offsets>();
const asked = (zone: string, at: number) => tzOffset(zone, new Date(at)) * 60_000;

/** How far a zone's clock is before UTC at a moment (ms), ms: from the table that is known of it, else from the machine's own. */
export function aheadAt(zone: string, at: number): number {
  if (zone === 'UTC') return 0;
  const table = known.get(zone);
  const line = table && at >= table.from ? table.lines.find(([until]) => at < until) : undefined;
  return line ? line[1] : asked(zone, at);
}

/** Takes a table as known; one of a zone and years known before is replaced. */
export const knowOffsets = (zone: string, table: Offsets): void => void known.set(zone, table);

/** The table of a zone from three years before a moment to three after. Clocks are taken to change at whole minutes, at most once a week. */
export function offsetsAround(zone: string, at: number): Offsets {
  const [from, to] = [at - 3 * year, at + 3 * year];
  const lines: [number, number][] = [];
  for (let t = from; t < to; t += week) {
    const [before, after] = [asked(zone, t), asked(zone, t + week)];
    if (before === after) continue;
    let [low, high] = [t, t + week];
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if (asked(zone, middle) === before) low = middle;
      else high = middle;
    }
    lines.push([high, before]);
  }
  return { from, lines: [...lines, [to, asked(zone, to)]] };
}
