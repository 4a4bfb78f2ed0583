import type { FitOut } from '../engine';
import { monthsAfter } from '../units';
import { type Done, type Made, proofName, proofsOf, stillAgain } from './again';
import type { Rules } from './rules';
import type { Verdict } from './sheet';
import { sheetOf } from './sheets';

/** WHAT IS PROVEN OF AN ENGINE TODAY: each proof as it was made last, what was done since that it does not speak of, and when it is due. */

/** A proof as it was made last. */
export interface Last extends Made {
  readonly verdict: Verdict;
  /** By the club’s clock, ISO. */
  readonly day: string;
}
export interface Proven<L extends Last = Last> {
  readonly key: string;
  readonly name: string;
  readonly last?: L;
  /** What was done since, for which it must be made again. */
  readonly again: readonly Done[];
  /** The last day on which it stands by the rules, ISO, and whether that has passed. */
  readonly due?: { readonly day: string; readonly past: boolean };
}

const everyOf = { accumulation: 'accumulationEvery' } as const;
/** After how many months a proof is due again; nothing where the rules do not say. */
const monthsOf = (key: string, rules: Rules): number | null => {
  const figure = sheetOf(key)?.every ?? everyOf[key as keyof typeof everyOf];
  return figure ? (rules[figure] as number | null) : null;
};

/** @param last of each proof the newest @param today ISO day by the club’s clock */
export function provenOf<L extends Last>(
  fitOut: FitOut,
  rules: Rules,
  { last, done, today }: { readonly last: readonly L[]; readonly done: readonly Done[]; readonly today: string }
): Proven<L>[] {
  const open = stillAgain(done, last);
  return proofsOf(fitOut).map((key) => {
    const newest = last.find((l) => l.proof === key);
    const months = monthsOf(key, rules);
    // One that is not as it should be stands for nothing, and does not run out.
    const due = newest?.good && months !== null ? monthsAfter(newest.day, months) : undefined;
    return {
      key,
      name: proofName(key),
      ...(newest ? { last: newest } : {}),
      again: open.filter((d) => d.left.includes(key)),
      ...(due ? { due: { day: due, past: due < today } } : {})
    };
  });
}
