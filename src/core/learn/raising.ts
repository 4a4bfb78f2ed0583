import { type Plant, energyTable } from '../boiler';
import { type Heating } from '../forecast';
import { missesOfNeedle, needles } from './needle';
import type { Past } from './past';
import { leastSquares } from './squares';

/** A figure as learned: its middle and its spread, both as they are used (a logarithm for what is a factor). */
export interface Learnt {
  readonly value: number;
  readonly spread: number;
}

/** What one raising showed. */
export interface Fit {
  readonly lnHeat: Learnt;
  readonly lnLag: Learnt;
  readonly lnBoost?: Learnt;
  readonly air: Learnt;
  /** Root mean square of how far the readings lie from it, over the spread of a reading: about 1 when all is well. */
  readonly miss: number;
}

/** Spreads that say next to nothing: the raising speaks for itself. */
const open = { heat: 0.5, lag: 0.6, boost: 0.35, air: 0.35 };

/** Reads one raising by itself, from where its class begins. @param heating of the class */
export function fitRaising(plant: Plant, heating: Heating, past: Past): Fit {
  const table = energyTable(plant.vessel, past.water);
  const boosted = past.blowerAt !== undefined && past.readings.some((r) => r.at > past.blowerAt!) && heating.boostSpread > 0;
  const prior = [heating.lnHeat, Math.log(heating.lag), 0.4, ...(boosted ? [heating.lnBoost] : [])];
  const spreads = [open.heat, open.lag, open.air, ...(boosted ? [open.boost] : [])];
  const missesOf = (x: readonly number[]) => [
    ...x.map((v, i) => (v - prior[i]!) / spreads[i]!),
    ...missesOfNeedle(
      past,
      needles(plant, table, past, {
        lnHeat: x[0]!,
        lnLag: x[1]!,
        air: x[2]!,
        lnBoost: boosted ? x[3]! : heating.lnBoost,
        loss: plant.vessel.loss
      })
    )
  ];
  const { x, spread, misses } = leastSquares(missesOf, prior, [0.01, 0.02, 0.02, 0.02].slice(0, prior.length), { sure: prior.length });
  const of = (i: number): Learnt => ({ value: x[i]!, spread: Math.sqrt(Math.max(0, spread[i]![i]!)) });
  const read = misses.slice(prior.length);
  return {
    lnHeat: of(0),
    lnLag: of(1),
    air: of(2),
    ...(boosted ? { lnBoost: of(3) } : {}),
    miss: Math.sqrt(read.reduce((sum, m) => sum + m * m, 0) / Math.max(1, read.length))
  };
}
