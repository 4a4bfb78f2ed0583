import type { FitOut } from '../engine';
import { type State, stopOfRun } from '../log';
import { type Ends, isTimed, type Stop } from '../sums';

/** THE COUNTDOWN of an engine that nothing feeds: one time by which it has to be over, and what sets it. */
export interface Countdown {
  /** ms since 1970 */
  readonly lit: number;
  readonly stop: number;
  readonly by: Ends;
  /** When it is expected to be up, and its last flame; ms since 1970. */
  readonly up: number;
  readonly flameOut?: number;
  /** When one that runs free is called in, ms since 1970. */
  readonly callIn?: number;
  readonly sum: Stop;
  /** The water that is in was not measured: it is taken to be its usual fill. */
  readonly taken?: true;
}

/** Half of it is gone for so long, ms. */
export const halfSaid = 60_000;
export const lastMinutes = 2 * 60_000;

/** Once round and a little more, at a walk, and never less than two minutes before the stop, s. */
const homeIn = ({ circuit }: FitOut): number => Math.max(120, 1.5 * ((circuit ?? 40) / 0.6));

/** The countdown that runs; why there is none to be had, while it should; undefined where nothing is timed. */
export function countdownOf(fitOut: FitOut, state: State): Countdown | { readonly refused: string; readonly since: string } | undefined {
  const kept = last.get(state);
  if (kept) return kept.is;
  const is = countdown(fitOut, state);
  last.set(state, { is });
  return is;
}

/** By state: warnings and the page ask for it each second, and it changes only with the log. */
const last = new WeakMap<State, { readonly is: ReturnType<typeof countdown> }>();

function countdown(fitOut: FitOut, state: State): Countdown | { readonly refused: string; readonly since: string } | undefined {
  const run = state.runs.at(-1);
  if (!isTimed(fitOut) || !run || run.outAt || state.fire.outAt) return undefined;
  const sum = stopOfRun({ fitOut, state }, run);
  if ('refused' in sum) return { refused: sum.refused, since: run.litAt };
  const lit = Date.parse(run.litAt);
  const stop = lit + sum.worked.value * 1000;
  return {
    lit,
    stop,
    by: sum.by,
    up: lit + sum.up * 1000,
    ...(sum.fuelOut === undefined ? {} : { flameOut: lit + sum.fuelOut * 1000 }),
    ...(fitOut.roams === 'no' ? {} : { callIn: Math.max(lit, stop - homeIn(fitOut) * 1000) }),
    sum,
    ...(sum.taken ? { taken: true } : {})
  };
}
