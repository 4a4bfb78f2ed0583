/** THE LEDGER OF WATER: when it was washed out and how often it was steamed since, and what treatment went into how much water. */

/** A signed session, as far as its water goes. */
export interface Watered {
  /** ISO, when it ended. */
  readonly at: string;
  /** By the club’s calendar. */
  readonly day: string;
  readonly washOut: boolean;
  /** Whether there was fire in it. */
  readonly steamed: boolean;
  /** m³ that were changed or measured in, and of treatment, with its product; and what kind of water it was. */
  readonly water?: number;
  readonly dose?: number;
  readonly product?: string;
  readonly kind?: string;
  /** The kind of water that it was filled with. */
  readonly filled?: string;
}
export interface Dose {
  readonly day: string;
  readonly dose: number;
  readonly product?: string;
  readonly water?: number;
  readonly kind?: string;
  /** m³ of treatment for each m³ of water. */
  readonly each?: number;
}
export interface Ledger {
  /** The last wash-out, by the club’s calendar. */
  readonly washed?: string;
  /** Steamings since; of one that was never washed out here, all that are known. */
  readonly steamings: number;
  /** Whether the rules ask for another before it is steamed again; nothing where they say nothing. */
  readonly due?: boolean;
  /** What it was filled with since, the most often first; of one that was never washed out here, in all that is known. */
  readonly fills: readonly { readonly kind: string; readonly times: number }[];
  /** The newest first. */
  readonly doses: readonly Dose[];
}

const mostDoses = 6;

/** @param sessions any order @param after so many steamings by the rules; null where they say nothing */
export function ledgerOf(sessions: readonly Watered[], after: number | null): Ledger {
  const newest = [...sessions].sort((a, b) => (a.at > b.at ? -1 : 1));
  const last = newest.findIndex((s) => s.washOut);
  const recent = last < 0 ? newest : newest.slice(0, last);
  const since = recent.filter((s) => s.steamed).length;
  const kinds = recent.flatMap((s) => s.filled ?? []);
  return {
    ...(last < 0 ? {} : { washed: newest[last]!.day }),
    steamings: since,
    fills: [...new Set(kinds)].map((kind) => ({ kind, times: kinds.filter((k) => k === kind).length })).sort((a, b) => b.times - a.times),
    ...(after === null ? {} : { due: since >= after }),
    doses: newest
      .flatMap(({ day, dose, product, water, kind }): Dose[] =>
        dose === undefined
          ? []
          : [{ day, dose, ...(product ? { product } : {}), ...(kind ? { kind } : {}), ...(water ? { water, each: dose / water } : {}) }]
      )
      .slice(0, mostDoses)
  };
}
