import type { FitOut } from '../engine';
import { bases, type Cause, type Check, fits, knowledge, odds, type Odds, type Symptom } from './knowledge';

/** How likely each cause is, by its key; they sum to 1. */
export type Belief = ReadonlyMap<string, number>;
/** What a check showed: its key, and which of its results. */
export interface Shown {
  readonly check: string;
  readonly result: number;
}
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

/** What is likely after a check has shown something: Bayes. */
export function after(belief: Belief, check: Check, result: number): Belief {
  return shares([...belief].map(([cause, p]) => [cause, p * likelihoods(check, cause)[result]!]));
}

/** What is likely after all that was shown, in whatever order. */
export const believe = (from: Belief, shown: readonly Shown[]): Belief =>
  shown.reduce((belief, { check, result }) => {
    const known = knowledge.checks.get(check);
    return known && result < known.results.length ? after(belief, known, result) : belief;
  }, from);

/** How much is not known, bits: 0 where one cause is certain. */
export const entropy = (belief: Belief): number => {
  let bits = 0;
  for (const p of belief.values()) if (p > 0) bits -= p * Math.log2(p);
  return bits;
};

/** Causes by their odds, the likeliest first; the one that nobody has listed last, whatever its odds. */
export const ranked = (belief: Belief): [string, number][] =>
  [...belief].sort((a, b) => Number(a[0] === unlisted) - Number(b[0] === unlisted) || b[1] - a[1]);
