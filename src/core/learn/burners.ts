import { type Plant, energyTable } from '../boiler';
import { type Heating } from '../forecast';
import { missesOfNeedle, needles } from './needle';
import type { Past } from './past';
import type { Learnt } from './raising';
import { leastSquares } from './squares';

/** What several raisings on a steady fire showed together. */
export interface Together {
  readonly lnHeat: Learnt;
  readonly lnLoss: Learnt;
  readonly lnMetal: Learnt;
  readonly lnLag: Learnt;
  /** Each raising's own factor, as a logarithm. */
  readonly days: readonly Learnt[];
}

/** How well each is known before anything was raised, as logarithms. */
export const before = { heat: 0.25, loss: 0.4, metal: 0.08, lag: 0.5, day: 0.06, air: 0.35 } as const;

/**
 * One joint fit for a burner or an element: its heat is the same from day to day but for a small factor, so several
 * raisings can be read at once. A coal fire must not be read so: its growth would pass for metal.
 */
export function fitTogether(plant: Plant, heating: Heating, pasts: readonly Past[]): Together {
  const n = pasts.length;
  const prior = [
    heating.lnHeat,
    Math.log(plant.vessel.loss),
    Math.log(plant.vessel.metal),
    Math.log(heating.lag),
    ...pasts.flatMap(() => [0, 0.4])
  ];
  const spreads = [before.heat, before.loss, before.metal, before.lag, ...pasts.flatMap(() => [before.day, before.air])];
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
      const s = { lnHeat: x[0]! + x[4 + 2 * i]!, lnLag: x[3]!, lnBoost: 0, air: x[5 + 2 * i]!, loss: Math.exp(x[1]!) };
      const key = `${s.lnHeat} ${s.lnLag} ${s.air} ${s.loss} ${x[2]!}`;
      const had = known[i]!.get(key);
      if (had) return had;
      const misses = missesOfNeedle(past, needles(plant, tableFor(i, Math.exp(x[2]!)), past, s));
      known[i]!.set(key, misses);
      return misses;
    })
  ];
  const steps = prior.map((_, i) => (i < 4 ? 0.01 : 0.02));
  const { x, spread } = leastSquares(missesOf, prior, steps, { sure: prior.length });
  const of = (i: number): Learnt => ({ value: x[i]!, spread: Math.sqrt(Math.max(0, spread[i]![i]!)) });
  return { lnHeat: of(0), lnLoss: of(1), lnMetal: of(2), lnLag: of(3), days: pasts.map((_, i) => of(4 + 2 * i)) };
}
