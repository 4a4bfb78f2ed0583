import { airAtRest, airLeft, energyAt, energyTable, needleAt, type Plant, temperatureAt } from '../boiler';
import { leakSpread, needleSpread, usualLeak } from '../forecast';
import { boilingAt } from '../steam';
import type { Past } from './past';
import type { Learnt } from './raising';
import { leastSquares } from './squares';

/** Air that is still in when the fire is out: what blew or stood open while it was raised has taken most of it along; its spread. */
const airThen = { after: 0.05, never: 0.4, spread: { after: 0.08, never: 0.3 } } as const;

/** What is added to the spread, as a logarithm. */
const unsure = { after: 0.05, never: 0.3 } as const;

/**
 * Loss from a boiler left to cool with its fire out. What a needle shows is steam and the air that is still in, so four figures are
 * sought at once: the loss, where it stood when the fire went out, that air, and how fast leaks lose it. Readings under a tenth of a
 * bar say too little; three are needed, over at least ten minutes.
 * @param usual of its class, ln W/K with its spread
 * @returns ln of the loss, W/K; undefined when the readings cannot tell
 */
export function lossFrom(plant: Plant, past: Past, usual: Learnt): Learnt | undefined {
  const reads = past.cooling.filter((r) => r.value > 10_000);
  if (reads.length < 3 || reads.at(-1)!.at - reads[0]!.at < 600) return undefined;
  // One that has not fallen has not been left to cool.
  if (reads.at(-1)!.value >= reads[0]!.value) return undefined;
  const table = energyTable(plant.vessel, past.water);
  const out = past.open.length > 0 ? 'after' : 'never';
  const T0 = boilingAt(reads[0]!.value + plant.atmosphere);
  const prior = [usual.value, T0, airThen[out], usualLeak(plant, table)];
  const spreads = [2 * usual.spread, 12, airThen.spread[out], (out === 'after' ? 1 : 3) * leakSpread];
  const missesOf = (x: readonly number[]) => {
    let energy = energyAt(table, x[1]!);
    let T = x[1]!;
    let air = Math.min(1, Math.max(0, x[2]!));
    let t = reads[0]!.at;
    const loss = Math.exp(x[0]!);
    const leak = Math.exp(x[3]!);
    return [
      ...x.map((v, i) => (v - prior[i]!) / spreads[i]!),
      ...reads.map((r) => {
        while (t < r.at - 1e-9) {
          const dt = Math.min(60, r.at - t);
          energy -= loss * (T - past.ambient) * dt;
          T = temperatureAt(table, energy);
          air = airLeft(air, leak, needleAt(table, air, T, plant.atmosphere), dt, airAtRest(table, T, plant.atmosphere));
          t += dt;
        }
        return (needleAt(table, air, T, plant.atmosphere) - r.value) / needleSpread(r.value);
      })
    ];
  };
  // Where the air may be in, the valley has two ends: air that leaks away in minutes, and air that is in all day.
  const starts = out === 'after' ? [prior] : [prior, [prior[0]!, T0 - 10, 0.9, -10]];
  const cost = (m: readonly number[]) => m.reduce((sum, v, i) => sum + (i < 4 ? v * v : 5 * Math.log(1 + (v * v) / 4)), 0);
  const { x, spread, misses } = starts
    .map((start) => leastSquares(missesOf, start, [0.02, 0.05, 0.02, 0.05], { sure: 4, rounds: 20 }))
    .sort((a, b) => cost(a.misses) - cost(b.misses))[0]!;
  const miss = Math.sqrt(misses.slice(4).reduce((sum, m) => sum + m * m, 0) / reads.length);
  // The first minutes still have a warm grate under them, and of one that let out no air a third of the loss may be air that went.
  const known = Math.hypot(Math.sqrt(Math.max(0, spread[0]![0]!)) * Math.max(1, miss), unsure[out]);
  return known < 1 ? { value: x[0]!, spread: known } : undefined;
}
