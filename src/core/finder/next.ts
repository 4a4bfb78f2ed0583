import type { FitOut } from '../engine';
import { after, type Belief, entropy, likelihoods, unlisted } from './belief';
import { type Check, fits, knowledge, type Symptom, type When } from './knowledge';

/** A check that could be made now. */
export interface Ahead {
  readonly check: Check;
  /** By how much it is expected to lessen what is not known, bits. */
  readonly gain: number;
  /** What it takes, with raising steam or letting it cool first, min. */
  readonly minutes: number;
}

/** What it takes to have the engine as a check wants it, min: a model is an hour from cold to steam, and cold enough to open an hour after. */
const until: Record<'cold' | 'in steam', Record<When, number>> = {
  cold: { any: 0, cold: 0, 'in steam': 60, running: 65 },
  'in steam': { any: 0, cold: 60, 'in steam': 0, running: 5 }
};
/** What a check takes, with getting the engine to where it can be made, min. */
export const minutesOf = (check: Check, now: 'cold' | 'in steam'): number => check.minutes + until[now][check.when];
/** Under this a check is not worth the walk, bits. */
const worth = 0.02;
/** What changes something waits until nothing else tells more than this much; what is dangerous comes after all else. */
const rank = ({ danger, changes }: Check): number => (danger ? 2 : 0) + (changes ? 1 : 0);

/** How much two causes differ in what a check shows of them, 0 to 1. */
const apart = (check: Check, a: string, b: string): number => {
  const [of, other] = [likelihoods(check, a), likelihoods(check, b)];
  return of.reduce((sum, p, i) => sum + Math.abs(p - other[i]!), 0) / 2;
};

/** The two causes that a check parts best, by their odds and by how much it differs between them. */
export function partsOf(check: Check, belief: Belief): readonly [string, string] {
  const causes = [...belief].filter(([key]) => key !== unlisted).sort((a, b) => b[1] - a[1]);
  let best: readonly [string, string] = [causes[0]?.[0] ?? unlisted, causes[1]?.[0] ?? unlisted];
  let most = -1;
  for (const [i, [a, pa]] of causes.entries())
    for (const [b, pb] of causes.slice(i + 1)) {
      const weight = pa * pb * apart(check, a, b);
      if (weight > most) [best, most] = [[a, b], weight];
    }
  return best;
}

/** Checks that this engine can be given and that tell its causes apart. */
export const checksFor = ({ of }: Pick<Symptom, 'of'>, fitOut: FitOut, belief: Belief): Check[] =>
  [...knowledge.checks.values()].filter(
    (c) => fits(fitOut, c.for) && (!of || !c.of || c.of.includes(of)) && Object.keys(c.shows).some((cause) => belief.has(cause))
  );

/** By how much a check is expected to lessen what is not known, bits, never under 0. */
export function gainOf(check: Check, belief: Belief): number {
  let left = 0;
  for (const i of check.results.keys()) {
    const p = [...belief].reduce((sum, [cause, is]) => sum + is * likelihoods(check, cause)[i]!, 0);
    left += p * entropy(after(belief, { check: check.key, result: i }));
  }
  return Math.max(0, entropy(belief) - left);
}

/**
 * WHAT TO LOOK AT NEXT, best first: by how much it is expected to lessen what is not known for each minute it takes, with the hour that an
 * engine which is cold takes to be in steam, or one in steam to be cold; what changes something after what does not; what is dangerous last.
 * @param done keys of checks that need not be made again
 */
export function nextChecks(
  symptom: Pick<Symptom, 'of'>,
  fitOut: FitOut,
  belief: Belief,
  done: ReadonlySet<string>,
  now: 'cold' | 'in steam'
): Ahead[] {
  return checksFor(symptom, fitOut, belief)
    .filter((check) => !done.has(check.key))
    .map((check): Ahead => ({
      check,
      gain: gainOf(check, belief),
      minutes: minutesOf(check, now)
    }))
    .filter(({ gain }) => gain >= worth)
    .sort((a, b) => rank(a.check) - rank(b.check) || b.gain / b.minutes - a.gain / a.minutes || (a.check.key < b.check.key ? -1 : 1));
}
