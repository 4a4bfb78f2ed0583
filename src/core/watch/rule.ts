import type { FitOut } from '../engine';
import type { State } from '../log';

/** A warning: what is the matter, what to do first, and what it is based on. Quantities are marked for the reader's units. */
export interface Warning {
  readonly key: string;
  readonly rank: 'act now' | 'look';
  readonly what: string;
  readonly first: string;
  /** When its evidence was read. */
  readonly since: string;
}

export type Rule = (fitOut: FitOut, state: State, now: number) => Warning | undefined;
