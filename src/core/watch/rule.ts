import type { Plant } from '../boiler';
import type { Fed, Look } from '../forecast';
import type { FitOut } from '../engine';
import type { Event, Log, State } from '../log';

/** How much it matters: known and nothing more, to be looked at, to be acted on now. */
export const ranks = ['note', 'look', 'act now'] as const;
export type Rank = (typeof ranks)[number];

/** What a rule looks at: a steaming as it stood after one of its entries. */
export interface View {
  readonly log: Pick<Log, 'context' | 'entries'>;
  readonly fitOut: FitOut;
  readonly plant: Plant;
  readonly state: State;
  /** When that entry was made, ms since 1970. */
  readonly at: number;
  /** THE timeline so far, oldest first, of the last three quarters of an hour. */
  readonly recent: readonly Event[];
  /** All of it, for what is counted over a day. */
  readonly events: readonly Event[];
  /** Looks at the first glass that saw a level, and readings of the needle, of the same time; s since 1970. */
  readonly looks: readonly Look[];
  readonly needle: readonly { readonly at: number; readonly value: number }[];
  /** Water that feeds gave the boiler in that time. */
  readonly fed: readonly Fed[];
}

/** What a rule finds, as long as nothing more is said. Quantities are marked for the reader's units. */
export interface Finding {
  /** From when it holds, ms since 1970: the past, or a moment that comes if nothing is said until then. */
  readonly from: number;
  /** Until when it can be said at all: what it rests on is too old then. */
  readonly till?: number;
  /** When what it rests on was read or done, ISO 8601. */
  readonly since: string;
  readonly what: string;
  /** What to do first; some of it is counted. */
  readonly first: string | ((now: number) => string);
  /** Why it is said, and what it rests on, line by line. */
  readonly evidence?: readonly string[];
  /** Where it is worse, or less bad, than the rule usually is. */
  readonly rank?: Rank;
  /** How bad, in steps: one more is said again. */
  readonly bad?: number;
}

export interface Rule {
  readonly key: string;
  readonly rank: Rank;
  /** How it ranks for those who are not at the engine. */
  readonly away?: Rank;
  /** How long it has to hold before it is said, ms. */
  readonly delay?: number;
  /** What would clear it, for people to read. */
  readonly clears: string;
  /** What it says as well: those are not said beside it. */
  readonly covers?: readonly string[];
  /** Engines that it can be true of; all when left out. */
  readonly on?: (fitOut: FitOut) => boolean;
  /** What it cannot judge without: a sentence, or nothing when it can. */
  readonly blind?: (view: View, now: number) => string | undefined;
  /** @param before what it found after the entry before, where nothing of that has changed */
  readonly finds: (view: View, before: Finding | undefined) => Finding | undefined;
  /** Whether what stands stands still, where it is not found any more: weaker than what raises it. */
  readonly holds?: (view: View, standing: Finding) => boolean;
}

/** A warning as it is shown: what is the matter, what to do first, and what it is based on. */
export interface Warning extends Finding {
  readonly key: string;
  readonly rank: Rank;
  readonly first: string;
  readonly clears: string;
  /** When it was raised, and when it was said last, ms since 1970. */
  readonly raised: number;
  readonly said: number;
  /** How long after it was read it reached the club, ms, where that was long: it was made without a network, or by another clock. */
  readonly late?: number;
  /** Who has taken note of it: it is quiet, and stands. */
  readonly ack?: { readonly by: string; readonly at: number };
}
