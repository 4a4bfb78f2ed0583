import type { FitOut } from '../engine';
import type { Heating } from '../forecast';
import type { RunFact, Sensed } from '../log';
import { expectedAt, type Sense, sensesOf } from '../procedure';
import type { Fit } from './raising';

/** TIMES FROM THE MATCH TO EACH SENSE, learned from an engine’s own runs; a forecast of the next with its band. */

export interface SenseForecast {
  readonly sense: Sense;
  /** s after the match: eight times in ten between early and late. */
  readonly early: number;
  readonly middle: number;
  readonly late: number;
  /** Runs that it rests on; none where it is the sum’s alone. */
  readonly runs: number;
}

/** Spread of the sum’s own time, of its logarithm; and how far one run of an engine is from the next, as good as so many runs seen. */
const [sumSpread, runSpread, asGoodAs] = [0.3, 0.15, 2];
/** Eight times in ten, of a normal; and wider where few runs say how far one is from the next (Student’s t, to as near as is read). */
const inTen = (runs: number) => 1.2816 * (1 + 0.85 / (asGoodAs + runs));

/**
 * The time of each sense of the next run. An engine’s own runs count from the first; its spread is its own as far as there are runs.
 * @param by s to the boil and to being up, by the sum @param past what was sensed in its runs with the same charge
 */
export function sensesAhead(f: FitOut, by: { readonly boils: number; readonly up: number }, past: readonly Sensed[]): SenseForecast[] {
  return sensesOf(f).map((sense): SenseForecast => {
    const logs = past.flatMap((run) => {
      const t = run[sense.seen];
      return t !== undefined && t > 0 ? [Math.log(t)] : [];
    });
    const n = logs.length;
    const told = Math.log(Math.max(1, expectedAt(sense, by)));
    // The sum is worth as much as its spread says beside that of a run.
    const weight = (runSpread / sumSpread) ** 2;
    const mean = (told * weight + logs.reduce((a, b) => a + b, 0)) / (weight + n);
    const off = logs.reduce((a, x) => a + (x - mean) ** 2, 0);
    const own = Math.sqrt((asGoodAs * runSpread ** 2 + off) / (asGoodAs + n));
    const spread = Math.sqrt(own ** 2 + own ** 2 / (weight + n));
    const at = (z: number) => Math.exp(mean + z * inTen(n) * spread);
    return { sense, early: at(-1), middle: at(0), late: at(1), runs: n };
  });
}

/** How far the heat that senses tell may be off, of its logarithm; of what they tell nothing, next to nothing is said. */
const [told, untold] = [0.12, { lag: 0.6, air: 0.35, usualAir: 0.8 }] as const;

/** Raisings of an engine without a needle, as its senses tell them: what a forecast of the next begins with. @param usual of its class */
export const fitsBySenses = (runs: readonly RunFact[], usual: Heating): Fit[] =>
  runs.flatMap(({ raise }): Fit[] => {
    if (raise === undefined) return [];
    const heat = { value: usual.lnHeat + Math.log(raise), spread: told };
    return [
      {
        lnHeat: heat,
        lnMean: heat,
        lnLag: { value: Math.log(usual.lag), spread: untold.lag },
        air: { value: untold.usualAir, spread: untold.air },
        miss: 1
      }
    ];
  });
