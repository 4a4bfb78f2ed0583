import type { Begun, Bodies, Carried } from '../src/core/log';

/** What a day's steaming was like. */
export interface Day {
  seed: number;
  keeper: string;
  /** ms since 1970 when the keeper began to look the engine over */
  begins: number;
  /** Minutes of running or working, where it can be fed. */
  running: number;
  /** Runs, where it is filled for each. */
  runs?: number;
  /** Nothing is written after this moment: the engine is still in steam. */
  until?: number;
  /** What the book had when it began. */
  begun?: Begun;
  left?: readonly Carried[];
  /** Steps that were skipped that day, with the reason. */
  skips?: Record<string, string>;
  /** A fault found that day. */
  fault?: { phase: string } & Bodies['fault'];
  remarks?: string;
  /** How the engine stood that day, as factors on the model's figures: tubes furred, a strong fire. */
  own?: Readonly<Record<string, number>>;
  /** Where each valve lifts, over where it is set. */
  lifts?: readonly number[];
}
