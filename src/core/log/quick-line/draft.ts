import type { FitOut } from '../../engine';
import type { UnitChoice } from '../../units';
import type { Bodies, Kind } from '../kinds';
import type { State } from '../state';

/** An entry that was understood, not yet made. */
export type Understood = { [K in Kind]: { kind: K; body: Bodies[K] } }[Kind];

export interface Around {
  readonly fitOut: FitOut;
  readonly state: State;
  readonly units: UnitChoice;
  /** ms since 1970 */ readonly now: number;
}

/** What has been understood of a line so far. */
export interface Draft {
  pressure?: number;
  glass?: Bodies['reading']['glass'];
  temperature?: number;
  tank?: number;
  others: Understood[];
}

/** Reads from the front of the words; gives back how many it took, or 0. */
export type Reader = (words: readonly string[], draft: Draft, around: Around) => number;
