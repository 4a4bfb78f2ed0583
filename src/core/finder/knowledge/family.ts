import type { Has } from './has';

/**
 * How often something shows, coarse on purpose: nobody has counted, and a knowledge base that said 0.37 would only seem to know.
 * never 0.02, rarely 0.15, half 0.5, usually 0.85, always 0.98.
 */
export const odds = { never: 0.02, rarely: 0.15, half: 0.5, usually: 0.85, always: 0.98 } as const;
export type Odds = keyof typeof odds;

/** How often a cause is met before anything is known of this engine, as a weight beside the other causes of the same symptom. */
export const bases = { common: 6, usual: 3, rare: 1 } as const;

/** The least that a fault of this cause forbids, whatever its keeper says of it. */
export type Floor = 'steaming' | 'passengers';

export interface Cause {
  readonly key: string;
  /** What it is, as it would be said of the engine. */
  readonly is: string;
  /** Why it does that: one sentence of physics. */
  readonly why: string;
  /** Only where the engine has all of these. */
  readonly for?: readonly Has[];
  readonly base: keyof typeof bases;
  /** What mends it; minutes of work with the engine cold. */
  readonly fix: {
    readonly does: string;
    readonly minutes: number;
    readonly parts?: string;
    readonly by?: string;
    readonly modifies?: true;
  };
  /** How it is seen to be mended. */
  readonly retest: string;
  readonly floor?: Floor;
}

export interface Symptom {
  readonly key: string;
  /** As keepers say it: the first is its name, the others are found by search and on the quick line. */
  readonly says: readonly [string, ...string[]];
  readonly for?: readonly Has[];
  /** It is one of the feeds that does it: the log is asked of that one. */
  readonly of?: FeedKind;
  /** How often each cause, where it is there, shows this. What is not named does not. */
  readonly causes: Readonly<Record<string, Odds>>;
  readonly floor?: Floor;
}

/** Which of the feeds something is of. */
export type FeedKind = 'injector' | 'pump' | 'hand pump';

/** Whether it is done with the engine cold, in steam or running, or whichever it is. */
export type When = 'any' | 'cold' | 'in steam' | 'running';

export interface Check {
  readonly key: string;
  /** How it is done, in a line or two. */
  readonly how: string;
  /** What it can show. The last is what is seen where nothing is the matter. */
  readonly results: readonly [string, string, ...string[]];
  readonly minutes: number;
  readonly when: When;
  readonly for?: readonly Has[];
  /** It is made of one of these feeds, and says nothing of another. */
  readonly of?: readonly FeedKind[];
  readonly tools?: string;
  /** What to mind. */
  readonly care?: string;
  /** It can hurt somebody, however it is minded: what for. Asked for last. */
  readonly danger?: string;
  /** It changes something, so that what was so before cannot be looked at any more. */
  readonly changes?: true;
  /**
   * For each cause, how likely each result is. One word for two results is of the first; a list is of each in turn and is made to sum to 1.
   * Causes that are not named show the last result, usually.
   */
  readonly shows: Readonly<Record<string, Odds | readonly Odds[]>>;
}

/** One family of faults: data. */
export interface Family {
  readonly name: string;
  readonly symptoms: readonly Symptom[];
  readonly causes: readonly Cause[];
  readonly checks: readonly Check[];
}
