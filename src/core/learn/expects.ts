import type { FitOut } from '../engine';
import { plantFor } from '../boiler';
import type { Begun, Measured } from '../log';
import { demandOf, type Used } from '../sums';
import { expectsMeasured } from './measured';
import type { Fit } from './raising';

/** Of so many raisings at the least: one day is a day. */
const days = 2;

/**
 * What an engine is expected to do on a day that begins, by what it has shown: the mean heat of its raisings, W, and the water that it
 * uses at work, kg/s. What it has not shown is left to its class.
 */
export function expectsOf(
  fitOut: FitOut,
  fits: readonly Fit[],
  used: readonly Used[],
  measured: readonly Measured[] = []
): NonNullable<Begun['expects']> {
  const heats = fits.map((f) => f.lnMean.value);
  return {
    ...(heats.length >= days ? { heat: Math.exp(heats.reduce((a, b) => a + b, 0) / heats.length) } : {}),
    ...expectsMeasured(measured),
    ...(used.some((u) => u.water) ? { uses: demandOf({ fitOut, plant: plantFor(fitOut), used }).hour.value } : {})
  };
}
