import type { FitOut } from '../engine';
import { saturationAtGauge } from '../steam';
import type { Gauge } from '../units';
import { criticalFlux, jetSpeed } from './flow';

/** The changeover: the engine's own blower takes the fire over from the fan. */

/** What the blower wide open draws where it takes over, over the fan's head: keepers see the fire brighten. A prior; the spread of the boost is its own. */
export const takesOverWith = 1.5;
/** Pressure from which the blower sustains the fire, Pa at the gauge: a third of working pressure where the fit-out does not say. */
export const sustainedFrom = (f: FitOut): number => (f.fire.with === 'solid' && f.fire.blower) || f.workingPressure / 3;
/** A jet of steam to the atmosphere: flow, kg/(s·m²), and speed, m/s; together, its thrust for each square metre. */
export function jetAt(gauge: number): { flux: number; speed: number } {
  const s = saturationAtGauge(gauge as Gauge);
  return { flux: criticalFlux(s.p, 1 / s.vg), speed: jetSpeed(s.p, 1 / s.vg, s.p - gauge) };
}
