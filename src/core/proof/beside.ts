/** BEFORE AND AFTER: what days showed before something was done to an engine, beside those since. */

/** A signed day, as its record sums it up. SI. */
export interface Day {
  /** ISO. */
  readonly at: string;
  /** s from the match into steam. */
  readonly raise: number | null;
  /** Pa at the gauge. */
  readonly highest: number | null;
  /** kg that were weighed, and s that it burnt. */
  readonly fuel: number;
  readonly inSteam: number | null;
}
export interface Side {
  readonly days: number;
  /** The middle one of them: s, Pa, kg in an hour. */
  readonly raise?: number;
  readonly highest?: number;
  readonly fuel?: number;
}

/** So many days of either side: those that lie next to it. */
const most = 5;

/** The middle value; of two, what lies between them. */
const middle = (of: readonly number[]): number | undefined => {
  const s = [...of].sort((a, b) => a - b);
  return s.length ? (s[(s.length - 1) >> 1]! + s[s.length >> 1]!) / 2 : undefined;
};

function side(days: readonly Day[]): Side {
  const known = (pick: (d: Day) => number | null) => days.map(pick).filter((x) => x !== null);
  const of = {
    raise: middle(known((d) => d.raise)),
    highest: middle(known((d) => d.highest)),
    fuel: middle(known((d) => (d.fuel > 0 && d.inSteam ? d.fuel / (d.inSteam / 3600) : null)))
  };
  return { days: days.length, ...(Object.fromEntries(Object.entries(of).filter(([, v]) => v !== undefined)) as Omit<Side, 'days'>) };
}

/** @param days any order @param at when it was done, ISO */
export const beforeAndAfter = (days: readonly Day[], at: string): { readonly before: Side; readonly after: Side } => {
  const rising = [...days].sort((a, b) => (a.at < b.at ? -1 : 1));
  return { before: side(rising.filter((d) => d.at < at).slice(-most)), after: side(rising.filter((d) => d.at > at).slice(0, most)) };
};
