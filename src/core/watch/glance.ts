import type { FitOut } from '../engine';
import type { State } from '../log';
import { attended } from './view';

/** How often the glass is looked at while there is fire, by size of engine, ms. */
export const glance: Record<FitOut['size'], number> = { tabletop: 3 * 60_000, small: 3 * 60_000, medium: 5 * 60_000, full: 10 * 60_000 };

/** A feed running wants the glass looked at sooner, ms. */
const whileFeeding = 2 * 60_000;

const feeding = (state: State) => Object.values(state.feeds).filter((f) => f.on && f.to !== 'tank');

/** How often it is looked at as it is now, ms. */
export const glanceNow = (fitOut: FitOut, state: State): number =>
  feeding(state).length ? Math.min(whileFeeding, glance[fitOut.size]) : glance[fitOut.size];

/**
 * When the glass is next due to be looked at, ms since 1970; undefined while there is no fire or no glass. A feed that is put on wants
 * it looked at soon, and not before it was on.
 */
export function nextGlance(fitOut: FitOut, state: State): number | undefined {
  if (!attended(state) || fitOut.glasses.length === 0) return undefined;
  const last = Date.parse(state.glass?.at ?? state.fire.litAt!);
  const fed = feeding(state).map((f) => Math.max(last, Date.parse(f.since)) + whileFeeding);
  return Math.min(last + glance[fitOut.size], ...fed);
}
