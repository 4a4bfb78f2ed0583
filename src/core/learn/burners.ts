import { type Plant, energyTable } from '../boiler';
import { type Heating, leakSpread, meanComingUp, usualLeak } from '../forecast';
import { missesOfNeedle, needles } from './needle';
import type { Past } from './past';
import type { Learnt } from './raising';
import { leastSquares } from './squares';

/** What several raisings on a steady fire showed together. */
export interface Together {
  /** ln of the heat at full, and of its mean over a raising: the flue and the element take their time. */
  readonly lnHeat: Learnt;
  readonly lnMean: Learnt;
  readonly lnLoss: Learnt;
  readonly lnMetal: Learnt;
  readonly lnLag: Learnt;
  /** Each raising's own factor, as a logarithm. */
  readonly days: readonly Learnt[];
  /** Root mean square of how far the readings lie from it, over the spread of a reading: about 1 when it is right. */
  readonly miss: number;
}

/** How well each is known before anything was raised, as logarithms. */
export const before = { heat: 0.25, loss: 0.5, metal: 0.08, lag: 0.5, day: 0.06, air: 0.35 } as const;
/** Of the weight of what is known beforehand, an element's heat: it is on its plate. */
const metered = 0.06;

/** A fire out so soon after it was up has driven nothing: its cooling goes on from its raising, with the air that is still in, s. */
const straight = 180;
/** What was read of a raising, and of the cooling that followed it straight on. */
const readsOf = (past: Past): Past['readings'] =>
  past.out !== undefined && past.reached !== undefined && past.out - past.reached < straight
    ? [...past.readings, ...past.cooling.filter((r) => r.value > 10_000).map((r) => ({ at: r.at + past.out!, value: r.value }))]
    : past.readings;

/** Starts of the search: air that leaks away in minutes, and air that is in all day. The valley has these two ends. */
const ends = [
  { air: 0.8, lnLeak: 2 },
  { air: 1, lnLeak: -4 }
] as const;

/**
 * One joint fit for a burner or an element: its heat is the same from day to day but for a small factor, so several
 * raisings can be read at once, with the cooling where it followed straight on. A coal fire must not be read so: its growth would pass
 * for metal.
 */
export function fitTogether(plant: Plant, heating: Heating, pasts: readonly Past[]): Together {
  const n = pasts.length;
  const leaks = pasts.map((p) => usualLeak(plant, energyTable(plant.vessel, p.water)));
  const prior = [
    heating.lnHeat,
    Math.log(plant.vessel.loss),
    Math.log(plant.vessel.metal),
    Math.log(heating.lag),
    ...pasts.flatMap((_, i) => [0, ends[0].air, leaks[i]! - 2])
  ];
  const heat = plant.fire.with === 'electric' ? metered : before.heat;
  const spreads = [heat, before.loss, before.metal, before.lag, ...pasts.flatMap(() => [before.day, before.air, 3 * leakSpread])];
  const reads = pasts.map(readsOf);
  const tables = new Map<string, ReturnType<typeof energyTable>>();
  const tableFor = (i: number, metal: number) => {
    const key = `${i} ${metal}`;
    let table = tables.get(key);
    if (!table) {
      if (tables.size > 4 * n) tables.clear();
      tables.set(key, (table = energyTable({ ...plant.vessel, metal }, pasts[i]!.water, undefined, 460)));
    }
    return table;
  };
  // A raising is asked again only when one of its own figures has moved.
  const known = pasts.map(() => new Map<string, number[]>());
  const missesOf = (x: readonly number[]) => [
    ...x.map((v, i) => (v - prior[i]!) / spreads[i]!),
    ...pasts.flatMap((past, i) => {
      const s = {
        lnHeat: x[0]! + x[4 + 3 * i]!,
        lnLag: x[3]!,
        lnBoost: 0,
        air: x[5 + 3 * i]!,
        lnLeak: x[6 + 3 * i]!,
        loss: Math.exp(x[1]!),
        charge: heating.charge
      };
      const key = `${s.lnHeat} ${s.lnLag} ${s.air} ${s.lnLeak} ${s.loss} ${x[2]!}`;
      const had = known[i]!.get(key);
      if (had) return had;
      const misses = missesOfNeedle({ readings: reads[i]! }, needles(plant, tableFor(i, Math.exp(x[2]!)), past, s, reads[i]));
      known[i]!.set(key, misses);
      return misses;
    })
  ];
  const steps = prior.map((_, i) => (i < 4 ? 0.01 : 0.02));
  const cost = (misses: readonly number[]) =>
    misses.reduce((sum, m, i) => sum + (i < prior.length ? m * m : 5 * Math.log(1 + (m * m) / 4)), 0);
  const [best] = ends
    .map(({ air, lnLeak }) => {
      const start = prior.map((v, i) => (i < 4 ? v : (i - 4) % 3 === 1 ? air : (i - 4) % 3 === 2 ? v + lnLeak : v));
      return leastSquares(missesOf, start, steps, { sure: prior.length, rounds: 20 });
    })
    .sort((a, b) => cost(a.misses) - cost(b.misses));
  const { x, spread, misses } = best!;
  const read = misses.slice(prior.length);
  const of = (i: number): Learnt => ({ value: x[i]!, spread: Math.sqrt(Math.max(0, spread[i]![i]!)) });
  const lag = Math.exp(x[3]!);
  const raised = pasts.map((p) => p.reached ?? p.readings.at(-1)?.at ?? 10 * lag);
  const came = raised.reduce((sum, t) => sum + meanComingUp(heating, t, lag), 0) / Math.max(1, n);
  // Heat and lag hang together: what the mean knows is what both together do.
  const toLag = -(lag / (raised.reduce((a, t) => a + t, 0) / Math.max(1, n)));
  const meanVariance = spread[0]![0]! + 2 * toLag * spread[0]![3]! + toLag * toLag * spread[3]![3]!;
  return {
    lnHeat: of(0),
    lnMean: { value: x[0]! + Math.log(came), spread: Math.sqrt(Math.max(0, meanVariance)) },
    lnLoss: of(1),
    lnMetal: of(2),
    lnLag: of(3),
    days: pasts.map((_, i) => of(4 + 3 * i)),
    miss: Math.sqrt(read.reduce((sum, m) => sum + m * m, 0) / Math.max(1, read.length))
  };
}
