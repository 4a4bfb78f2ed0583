import type { FitOut } from '../engine';
import type { State } from '../log';
import { attended } from './view';

/** How often the glass is looked at while there is fire, by size of engine, ms. */
export const glance: Record<FitOut['size'], number> = { tabletop: 3 * 60_000, small: 3 * 60_000, medium: 5 * 60_000, full: 10 * 60_000 };

/** A feed running wants the glass looked at sooner, ms. */
const whileFeeding = 2 * 60_000;

/** How often it is looked at as it is now, ms. */
export const glanceNow = (fitOut: FitOut, state: State): number =>
  Object.values(state.feeds).some((f) => f.on && f.to !== 'tank') ? Math.min(whileFeeding, glance[fitOut.size]) : glance[fitOut.size];

/** When the glass is next due to be looked at, ms since 1970; undefined while there is no fire or no glass. */
export const nextGlance = (fitOut: FitOut, state: State): number | undefined =>
  attended(state) && fitOut.glasses.length > 0 ? Date.parse(state.glass?.at ?? state.fire.litAt!) + glanceNow(fitOut, state) : undefined;
