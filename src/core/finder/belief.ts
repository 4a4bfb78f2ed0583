import type { FitOut } from '../engine';
import { bases, type Cause, type Check, fits, knowledge, odds, type Odds, type Symptom } from './knowledge';

/** How likely each cause is, by its key; they sum to 1. */
export type Belief = ReadonlyMap<string, number>;
/** What a check showed: its key, and which of its results. */
export interface Shown {
  readonly check: string;
  readonly result: number;
}
/** What came of mending some causes, one or more at once: the fault is gone, better, or as before. */
export interface Mended {
  readonly mended: readonly string[];
  readonly did: keyof typeof came.so;
}
/** Something that bears on the causes. */
export type Seen = Shown | Mended;
/** How often, where it was what was mended and where it was not; some troubles go away by themselves for a while. */
const came = {
  so: { gone: odds.usually, better: odds.half, 'as before': odds.rarely },
  other: { gone: odds.never, better: odds.rarely, 'as before': odds.always }
} as const;

/** How often each cause was confirmed by a fix in this club, where it was told apart. */
export type Fixed = Readonly<Record<string, number>>;

/** Something that no family names: it is never out of the question. */
export const unlisted = 'unlisted';
/** Its share before anything is known, beside all that is listed. */
const unlistedShare = 0.05;
/** How many fixes of the club’s own weigh as much as the base odds. */
const baseWeighs = 8;

/** The causes that this symptom can have on an engine of this fit-out. */
export const causesOf = (symptom: Symptom, fitOut: FitOut): Cause[] =>
  Object.keys(symptom.causes).flatMap((key) => {
    const cause = knowledge.causes.get(key)!;
    return fits(fitOut, cause.for) ? [cause] : [];
  });

/** Shares that sum to 1. */
function shares(weights: readonly (readonly [string, number])[]): Map<string, number> {
  const sum = weights.reduce((a, [, w]) => a + w, 0);
  return new Map(weights.map(([key, w]) => [key, w / sum]));
}

/**
 * WHAT IS LIKELY BEFORE ANYTHING WAS LOOKED AT: base odds times how often each cause shows this symptom, and drawn by the club’s own fixes
 * from there towards their counts, as if the base were worth eight of them.
 */
export function prior(symptom: Symptom, fitOut: FitOut, fixed: Fixed = {}): Belief {
  const causes = causesOf(symptom, fitOut);
  const base = shares(causes.map(({ key, base }) => [key, bases[base] * odds[symptom.causes[key]!]]));
  const counts = causes.map(({ key }) => fixed[key] ?? 0);
  const all = counts.reduce((a, n) => a + n, 0);
  return new Map([
    ...causes.map(({ key }, i) => [key, ((1 - unlistedShare) * (baseWeighs * base.get(key)! + counts[i]!)) / (baseWeighs + all)] as const),
    [unlisted, unlistedShare]
  ]);
}

/** How likely each result of a check is where this is the cause; they sum to 1. Of what nobody has listed nothing is known: alike. */
export function likelihoods({ results, shows }: Check, cause: string): number[] {
  const n = results.length;
  if (cause === unlisted) return results.map(() => 1 / n);
  const told: Odds | readonly Odds[] | undefined = shows[cause];
  // Of a cause that the check does not name it shows the last, usually; the others have what is left between them.
  if (told === undefined) return results.map((_, i) => (i === n - 1 ? odds.usually : (1 - odds.usually) / (n - 1)));
  const each = typeof told === 'string' ? [odds[told], 1 - odds[told]] : told.map((o) => odds[o]);
  const sum = each.reduce((a, b) => a + b, 0);
  return each.map((w) => w / sum);
}

/** How likely it is that this is seen where that is the cause; 1 where the book does not know it. */
export function likelihoodOf(seen: Seen, cause: string): number {
  if ('mended' in seen) {
    const row = seen.mended.includes(cause) ? came.so : came.other;
    return row[seen.did] / (row.gone + row.better + row['as before']);
  }
  const check = knowledge.checks.get(seen.check);
  return check ? (likelihoods(check, cause)[seen.result] ?? 1) : 1;
}

/** What is likely after something was seen: Bayes. */
export const after = (belief: Belief, seen: Seen): Belief =>
  shares([...belief].map(([cause, p]) => [cause, p * likelihoodOf(seen, cause)]));

/** What is likely after all that was seen, in whatever order. */
export const believe = (from: Belief, seen: readonly Seen[]): Belief => seen.reduce(after, from);

/** How much is not known, bits: 0 where one cause is certain. */
export const entropy = (belief: Belief): number => {
  let bits = 0;
  for (const p of belief.values()) if (p > 0) bits -= p * Math.log2(p);
  return bits;
};

/** Causes by their odds, the likeliest first; the one that nobody has listed last, whatever its odds. */
export const ranked = (belief: Belief): [string, number][] =>
  [...belief].sort((a, b) => Number(a[0] === unlisted) - Number(b[0] === unlisted) || b[1] - a[1]);
