import type { FitOut } from '../engine';
import { type Belief, believe, causesOf, type Fixed, likelihoodOf, prior, ranked, type Seen, unlisted } from './belief';
import type { Cause, Symptom } from './knowledge';

/** Under these odds, and with something seen that speaks so much against it, a cause counts as excluded; it comes back as soon as that is struck. */
export const out = 0.01;
const against = 0.3;

/** A cause as the board shows it. */
export interface Standing {
  readonly key: string;
  /** Undefined for what nobody has listed. */
  readonly cause: Cause | undefined;
  /** 0 to 1. */
  readonly odds: number;
  /** Before anything was looked at. */
  readonly before: number;
  /** Which of what was shown speaks most against it, by its place; where its odds are under `out`. */
  readonly excludedBy?: number;
}

export interface Board {
  /** The likeliest first. */
  readonly standing: readonly Standing[];
  readonly excluded: readonly Standing[];
  readonly belief: Belief;
}

/** How much one thing that was seen speaks against a cause, beside how likely it was on the whole: under 1 it speaks against it. */
const speaks = (seen: Seen, cause: string, from: Belief): number =>
  likelihoodOf(seen, cause) / [...from].reduce((sum, [key, p]) => sum + p * likelihoodOf(seen, key), 0);

/** THE EVIDENCE BOARD: every cause that this engine can have, with its odds after all that was shown, and what excluded those that are out. */
export function boardOf(symptom: Symptom, fitOut: FitOut, shown: readonly Seen[], fixed: Fixed = {}): Board {
  const from = prior(symptom, fitOut, fixed);
  const belief = believe(from, shown);
  const causes = new Map(causesOf(symptom, fitOut).map((c) => [c.key, c]));
  const all = ranked(belief).map(([key, odds]): Standing => {
    const cause = causes.get(key);
    const says = shown.map((s) => speaks(s, key, from));
    const most = says.length ? says.indexOf(Math.min(...says)) : -1;
    return {
      key,
      cause,
      odds,
      before: from.get(key)!,
      ...(key !== unlisted && odds < out && most >= 0 && says[most]! < against ? { excludedBy: most } : {})
    };
  });
  return {
    standing: all.filter((s) => s.excludedBy === undefined),
    excluded: all.filter((s) => s.excludedBy !== undefined),
    belief
  };
}
