import type { FitOut } from '../engine';
import { mark, psi } from '../units';
import { placeKinds, type Place, type PlaceKind } from './register';

/** THE LEAK SWEEP: one walk over the same places at each pressure; what takes up, what stays, what grows, and what means stop. */

export const leaks = { dry: 'dry', weeps: 'weeps', drips: 'drips', blows: 'blows' } as const;
export type Leak = keyof typeof leaks;
const rank: Record<Leak, number> = { dry: 0, weeps: 1, drips: 2, blows: 3 };

/** What is said of a place at a pressure; or that it was taken apart, and all before counts for nothing. */
export interface SweepSaid {
  readonly place: string;
  /** Of the walk, Pa at the gauge. */
  readonly at: number;
  readonly is: Leak | 'disturbed';
  readonly text?: string;
  /** Of a place that its owner names: what it is. */
  readonly kind?: PlaceKind;
}
export interface Swept extends SweepSaid {
  readonly when: string;
  readonly by: string;
}

/** Places that were named by whoever swept them, each once. */
export const namedIn = (said: readonly SweepSaid[]): Place[] => [
  ...new Map(
    said.flatMap((s) =>
      s.kind ? [[s.place, { name: s.place, kind: s.kind, of: 'boiler', at: s.kind === 'gas' ? 'gas' : 'top' } as const] as const] : []
    )
  ).values()
];

/** Pressures of a walk, Pa at the gauge: cold, 30 and 50 psi where working pressure is well above them, and working pressure. */
export const walksOf = ({ workingPressure: wp, gauge }: Pick<FitOut, 'workingPressure' | 'gauge'>): number[] => [
  0,
  ...(gauge ? [psi(30), psi(50)].filter((p) => p < 0.85 * wp) : []),
  wp
];
export const walkWords = (at: number, wp?: number): string =>
  at === 0 ? 'cold' : at === wp ? 'at working pressure' : `at ${mark(at, 'pressure')}`;

/** A needle is near enough to a walk’s pressure when it has reached nine tenths of it. */
const reached = 0.9;
/** How long a needle stands for a walk, ms. */
const fresh = 10 * 60_000;

/** How the engine stands on a walk: its needle, whether it has one, and whether it is lit. */
export interface WalkedAt {
  readonly needle: { readonly value: number; readonly at: string } | undefined;
  readonly gauge: boolean;
  readonly lit: boolean;
}

/**
 * Why nothing can be said of a walk at this pressure now; undefined when it can: what is dry at 80 psi says nothing of 30, and the other way round.
 * @param walks every pressure that is walked at, rising, Pa at the gauge @param now ms since 1970
 */
export function walkRefused(at: number, walks: readonly number[], { needle, gauge, lit }: WalkedAt, now: number): string | undefined {
  if (!gauge) return at > 0 && !lit ? 'There is no fire in it: the walk is cold.' : undefined;
  const young = needle && now - Date.parse(needle.at) <= fresh ? needle.value : undefined;
  if (at > 0 && young === undefined) return `Log the needle first: a walk at ${mark(at, 'pressure')} is one that it shows.`;
  if (young === undefined) return lit ? 'There is fire in it: log the needle, and walk at what it shows.' : undefined;
  if (young < reached * at)
    return `The needle was at ${mark(young, 'pressure')}: the walk at ${mark(at, 'pressure')} is made when it is there.`;
  const next = walks.find((p) => p > at);
  return next !== undefined && young >= reached * next
    ? `The needle was at ${mark(young, 'pressure')}: that is the walk ${walkWords(next)}.`
    : undefined;
}

/** What was said of each place since it was last taken apart, oldest first. */
const sinceApart = (said: readonly Swept[], place: string): readonly Swept[] => {
  const of = said.filter((s) => s.place === place);
  return of.slice(of.findLastIndex((s) => s.is === 'disturbed') + 1);
};

/** The same said in few words: of each place what was said first and last at each pressure since it was taken apart; all that is judged of it. */
export const condensed = (said: readonly Swept[]): Swept[] => {
  const kept = new Map<string, Swept>();
  for (const s of said) {
    if (s.is === 'disturbed') {
      for (const key of [...kept.keys()]) if (kept.get(key)!.place === s.place) kept.delete(key);
      continue;
    }
    const first = `${s.place} · ${s.at} · first`;
    kept.set(kept.has(first) ? `${s.place} · ${s.at} · last` : first, s);
  }
  return [...kept.values()].sort((a, b) => (a.when < b.when ? -1 : 1));
};

export const sweptIn = (said: readonly Swept[], place: string, at: number): Swept | undefined =>
  sinceApart(said, place).findLast((s) => s.at === at);

/** Places that a walk at this pressure has not looked at since they were last taken apart. */
export const notSwept = (places: readonly string[], said: readonly Swept[], at: number): string[] =>
  places.filter((p) => !sweptIn(said, p, at));

export type Trend = 'dry' | 'takes up' | 'stays' | 'grows' | 'once';

export interface Judged {
  readonly place: string;
  readonly trend: Trend;
  readonly worst: Leak;
  /** What it was at each pressure of the last walk, rising. */
  readonly by: readonly { readonly at: number; readonly is: Leak }[];
  /** It means: fire out, and not raised again before it has been seen to by whoever may. */
  readonly stops: boolean;
}

/**
 * Rising by pressure, or at one pressure from one steaming to the next. That it was dry cold says nothing of how it goes on hot.
 * @param over at the highest pressure, the oldest first
 */
function trendOf(by: Judged['by'], over: readonly Leak[]): Trend {
  const hot = by.length > 1 && by[0]!.at === 0 && by[0]!.is === 'dry' ? by.slice(1) : by;
  const ranks = hot.map((x) => rank[x.is]);
  const last = ranks.at(-1)!;
  const worse = over.length > 1 && rank[over.at(-1)!] > rank[over[0]!];
  const before = ranks.slice(0, -1);
  if (worse || before.some((r, i) => r > 0 && ranks[i + 1]! > r)) return 'grows';
  if (last === 0) return ranks.every((r) => r === 0) ? 'dry' : 'takes up';
  if (!before.length) return 'once';
  return before.some((r) => r < last) ? 'grows' : before.some((r) => r > last) ? 'takes up' : 'stays';
}

/** What is known of one place by what was said of it; undefined while nothing was. */
export function judgePlace({ name, kind }: Pick<Place, 'name' | 'kind'>, said: readonly Swept[]): Judged | undefined {
  const of = sinceApart(said, name).filter((s): s is Swept & { is: Leak } => s.is !== 'disturbed');
  if (!of.length) return undefined;
  const at = [...new Set(of.map((s) => s.at))].sort((a, b) => a - b);
  const by = at.map((p) => ({ at: p, is: of.findLast((s) => s.at === p)!.is }));
  const top = at.at(-1)!;
  const trend = trendOf(
    by,
    of.filter((s) => s.at === top).map((s) => s.is)
  );
  const worst = by.reduce<Leak>((w, x) => (rank[x.is] > rank[w] ? x.is : w), 'dry');
  const now = by.at(-1)!.is;
  const { stops } = placeKinds[kind];
  const stop =
    now !== 'dry' &&
    (stops === 'any' || (stops === 'grows' && (trend === 'grows' || now === 'blows')) || (stops === 'blows' && now === 'blows'));
  return { place: name, trend, worst, by, stops: stop };
}

/** Every place that was looked at, what means stop first, then the worst. */
export const judgeSweep = (places: readonly Place[], said: readonly Swept[]): Judged[] =>
  places
    .flatMap((p) => judgePlace(p, said) ?? [])
    .sort((a, b) => Number(b.stops) - Number(a.stops) || rank[b.by.at(-1)!.is] - rank[a.by.at(-1)!.is] || rank[b.worst] - rank[a.worst]);

/** “weeps at 30 psi, dry at 50 psi: takes up”, in words with pressures marked. @param wp Pa at the gauge */
export const judgedWords = ({ by, trend }: Pick<Judged, 'by' | 'trend'>, wp: number): string =>
  trend === 'dry'
    ? `dry ${by.map((x) => walkWords(x.at, wp)).at(-1)}`
    : `${by.map((x) => `${leaks[x.is]} ${walkWords(x.at, wp)}`).join(', ')}${trend === 'once' ? '' : `: ${trend}`}`;
