import { type Plant, energyTable } from '../boiler';
import { type Heating, leakSpread, meanComingUp, usualLeak } from '../forecast';
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
  /** ln of the heat once the fire has come up, and of its mean until the blower took over (or it was up): a fire takes its time. */
  readonly lnHeat: Learnt;
  readonly lnMean: Learnt;
  readonly lnLag: Learnt;
  /** ln of the heat on the blower over what the fan had come to, and over the fan's mean. */
  readonly lnBoost?: Learnt;
  readonly lnGain?: Learnt;
  readonly air: Learnt;
  /** Root mean square of how far the readings lie from it, over the spread of a reading: about 1 when all is well. */
  readonly miss: number;
}

/** A fit that misses its readings by more than this, in their spreads, tells less than it says; by more than that it tells nothing. */
const poor = 2;
const bad = 4;
/** Why a raising cannot be read; undefined when it can. */
export const unreadable = ({ miss }: Pick<Fit, 'miss'>): string | undefined =>
  miss > bad
    ? `its readings do not fit together, by ${miss.toFixed(1)} times what a needle can be off. Look at the times that were logged.`
    : undefined;

/** Spreads that say next to nothing: the raising speaks for itself. */
const open = { heat: 0.5, lag: 0.6, boost: 0.38, air: 0.35 };

/** Reads one raising by itself, from where its class begins. @param heating of the class */
export function fitRaising(plant: Plant, heating: Heating, past: Past): Fit {
  const table = energyTable(plant.vessel, past.water);
  const boosted = past.blowerAt !== undefined && past.readings.some((r) => r.at > past.blowerAt!) && heating.boostSpread > 0;
  const prior = [heating.lnHeat, Math.log(heating.lag), 0.8, usualLeak(plant, table), ...(boosted ? [heating.lnBoost] : [])];
  const spreads = [open.heat, open.lag, open.air, leakSpread, ...(boosted ? [open.boost] : [])];
  const missesOf = (x: readonly number[]) => [
    ...x.map((v, i) => (v - prior[i]!) / spreads[i]!),
    ...missesOfNeedle(
      past,
      needles(plant, table, past, {
        lnHeat: x[0]!,
        lnLag: x[1]!,
        air: x[2]!,
        lnLeak: x[3]!,
        lnBoost: boosted ? x[4]! : heating.lnBoost,
        loss: plant.vessel.loss,
        charge: heating.charge
      })
    )
  ];
  const { x, spread, misses } = leastSquares(missesOf, prior, [0.01, 0.02, 0.02, 0.05, 0.02].slice(0, prior.length), {
    sure: prior.length
  });
  const read = misses.slice(prior.length);
  const miss = Math.sqrt(read.reduce((sum, m) => sum + m * m, 0) / Math.max(1, read.length));
  const wider = miss > poor ? miss : 1;
  const of = (i: number): Learnt => ({ value: x[i]!, spread: wider * Math.sqrt(Math.max(0, spread[i]![i]!)) });
  const lag = Math.exp(x[1]!);
  const fanned = past.blowerAt ?? past.reached ?? past.readings.at(-1)!.at;
  const came = Math.log(meanComingUp(heating, fanned, lag));
  // The mean hangs on heat and lag together, and what the blower adds to it on all three: spreads by their slopes.
  const byLag = -Math.min(0.9, lag / fanned);
  const along = (slopes: readonly number[]) => {
    let sum = 0;
    slopes.forEach((a, i) => slopes.forEach((b, j) => (sum += a * b * spread[i]![j]!)));
    return wider * Math.sqrt(Math.max(0, sum));
  };
  return {
    lnHeat: of(0),
    lnMean: { value: x[0]! + came, spread: along([1, byLag, 0, 0]) },
    lnLag: of(1),
    air: of(2),
    ...(boosted ? { lnBoost: of(4), lnGain: { value: x[4]! - came, spread: along([0, -byLag, 0, 0, 1]) } } : {}),
    miss
  };
}
