import { airAtRest, airLeft, airRate, energyAt, type EnergyTable, needleAt, type Plant, spaceAt, temperatureAt } from '../boiler';
import { comingUp, type Heating, needleSpread, paced } from '../forecast';
import { psi } from '../units';
import type { Past } from './past';

/** What a raising is supposed to have been like. */
export interface Supposed {
  readonly lnHeat: number;
  readonly lnLag: number;
  readonly lnBoost: number;
  /** Share of the air in at the match. */
  readonly air: number;
  /** ln of the rate at which leaks lose it, 1/s. */
  readonly lnLeak: number;
  /** W/K */ readonly loss: number;
  /** Fuel that burns down by itself. */
  readonly charge?: Heating['charge'];
}

/** What the gauge would have shown at each reading, Pa: heat into known contents, less losses, step by step. @param reads of the raising, or more than those */
export function needles(plant: Plant, table: EnergyTable, past: Past, s: Supposed, reads: Past['readings'] = past.readings): number[] {
  const shown: number[] = [];
  const heat = Math.exp(s.lnHeat);
  const boost = Math.exp(s.lnBoost);
  const lag = Math.exp(s.lnLag);
  const leak = Math.exp(s.lnLeak);
  const space = spaceAt(table, 380);
  let energy = energyAt(table, past.T);
  let T = past.T;
  let air = Math.min(1, Math.max(0, s.air));
  let t = 0;
  let opened = 0;
  const longest = Math.max(5, (reads.at(-1)?.at ?? 0) / 70);
  for (const r of reads) {
    while (t < r.at - 1e-9) {
      const dt = Math.min(longest, r.at - t);
      const up = past.out !== undefined && t + dt / 2 > past.out ? 0 : comingUp(s, t + dt / 2, lag);
      const on = past.blowerAt !== undefined && t + dt / 2 > past.blowerAt ? boost : 1;
      energy = paced(table, energy + (heat * on * up - s.loss * (T - past.ambient)) * dt, T, plant.pace * dt);
      T = temperatureAt(table, energy);
      while (opened < past.open.length && past.open[opened]!.at <= t + dt / 2) opened++;
      const rate = leak + airRate(past.open[opened - 1]?.area ?? 0, space);
      air = airLeft(air, rate, needleAt(table, air, T, plant.atmosphere), dt, airAtRest(table, T, plant.atmosphere));
      t += dt;
    }
    shown.push(needleAt(table, air, T, plant.atmosphere));
  }
  return shown;
}

/** How far readings lie from what would have been shown, over the spread of a reading. A needle on its stop says only "less". */
export const missesOfNeedle = ({ readings }: Pick<Past, 'readings'>, shown: readonly number[]): number[] =>
  readings.map((r, i) =>
    r.value <= psi(0.5) ? Math.max(0, shown[i]! - psi(2)) / psi(1.2) : (shown[i]! - r.value) / needleSpread(r.value)
  );
