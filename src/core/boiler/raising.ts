import { type FitOut, coldFor } from '../engine';
import type { Plant } from './plant';
import { keeper, type Habits } from './practice';
import { type Controls, filled, gaugeOf, type Start, step, type Working } from './step';
import { waterVolume } from '../steam';
import { waterAtGlass } from './vessel';

/** One moment of a raising: s since lighting, Pa at the gauge, K, the glass (NaN without one), kg of water. */
export interface Moment {
  readonly time: number;
  readonly gauge: number;
  readonly T: number;
  readonly liquidVolume: number;
  readonly water: number;
  readonly air: number;
  readonly heat: number;
  readonly draw: number;
  readonly set: Pick<Controls, 'fan' | 'blower'>;
}

export interface Raising {
  readonly moments: readonly Moment[];
  /** s to the pressure in steam; undefined when it does not get there. */
  readonly reached?: number;
  readonly end: Working;
}

/**
 * Water that the engine is usually filled with, kg: what stands as wanted when hot, by expansion alone, or its measured fill.
 * @param T of the water, K
 */
export function usualFill(f: FitOut, plant: Plant, T = 288.15): number {
  return (
    (f.glasses.length ? waterAtGlass(plant.vessel, coldFor(f, f.levels.wanted).glass, T) : (f.fill ?? 0.6 * plant.vessel.room)) /
    waterVolume(T)
  );
}

/**
 * A raising by ordinary practice, from the match to the pressure in steam.
 * @param longest s, after which it is given up
 * @param every s between the moments that are kept
 */
export function raise(
  plant: Plant,
  start: Start,
  habits: Habits = {},
  { longest = 6 * 3600, every = 20, dt = 2, beyond = 0 }: { longest?: number; every?: number; dt?: number; beyond?: number } = {}
): Raising {
  const w = filled(plant, start);
  const k = keeper(plant, habits);
  const moments: Moment[] = [];
  let next = 0;
  let reached: number | undefined;
  while (w.time < longest) {
    if (w.time >= next) {
      const { T, liquidVolume, water, air } = w.contents;
      moments.push({
        time: w.time,
        gauge: gaugeOf(w),
        T,
        liquidVolume,
        water,
        air,
        heat: w.heat,
        draw: w.draw,
        set: { fan: k.set.fan, blower: k.set.blower }
      });
      next += every;
    }
    if (reached === undefined && gaugeOf(w) >= plant.inSteam) reached = w.time;
    if (reached !== undefined && w.time >= reached + beyond) break;
    // One that leaks its water away before it gets there does not get there.
    if (w.contents.liquid < 0.3 * start.water) break;
    k.tend(w);
    step(plant, w, k.set, dt);
  }
  return { moments, ...(reached === undefined ? {} : { reached }), end: w };
}
