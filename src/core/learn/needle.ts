import { type Plant, airLeft, energyAt, type EnergyTable, needleAt, spaceAt, temperatureAt } from '../boiler';
import { needleSpread } from '../forecast';
import { psi, standardAtmosphere } from '../units';
import type { Past } from './past';

/** What a raising is supposed to have been like. */
export interface Supposed {
  readonly lnHeat: number;
  readonly lnLag: number;
  readonly lnBoost: number;
  /** Share of the air in at the match. */
  readonly air: number;
  /** W/K */ readonly loss: number;
}

/** What the gauge would have shown at each reading, Pa: heat into known contents, less losses, step by step. */
export function needles(plant: Plant, table: EnergyTable, past: Past, s: Supposed): number[] {
  const shown: number[] = [];
  const heat = Math.exp(s.lnHeat);
  const boost = Math.exp(s.lnBoost);
  const lag = Math.exp(s.lnLag);
  const lnLeak = Math.log((plant.leak * 270) / spaceAt(table, 380));
  let energy = energyAt(table, past.T);
  let T = past.T;
  let air = Math.min(1, Math.max(0, past.airOut ? s.air * 0.15 : s.air));
  let t = 0;
  const longest = Math.max(5, (past.readings.at(-1)?.at ?? 0) / 70);
  for (const r of past.readings) {
    while (t < r.at - 1e-9) {
      const dt = Math.min(longest, r.at - t);
      const up = 1 - Math.exp(-(t + dt / 2) / lag);
      const on = past.blowerAt !== undefined && t + dt / 2 > past.blowerAt ? boost : 1;
      energy += (heat * on * up - s.loss * (T - past.ambient)) * dt;
      T = temperatureAt(table, energy);
      air = airLeft(air, lnLeak, needleAt(table, air, T, standardAtmosphere), dt);
      t += dt;
    }
    shown.push(needleAt(table, air, T, standardAtmosphere));
  }
  return shown;
}

/** How far readings lie from what would have been shown, over the spread of a reading. A needle on its stop says only "less". */
export const missesOfNeedle = (past: Past, shown: readonly number[]): number[] =>
  past.readings.map((r, i) =>
    r.value <= psi(0.5) ? Math.max(0, shown[i]! - psi(2)) / psi(1.2) : (shown[i]! - r.value) / needleSpread(r.value)
  );
