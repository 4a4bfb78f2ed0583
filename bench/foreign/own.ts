import { raised } from '../../demo/raised';
import { oddities } from '../../demo/raised';
import { chance } from '../../src/core/chance';
import { patterns } from '../../src/core/engine';
import type { Engine, Raised } from './days';

/** The same kind of days made by Joram's own model: what a forecast that stands on it must do well on too. */
export function ownDays(each: number): Engine[] {
  return patterns.flatMap(({ fitOut, key }, n) =>
    Array.from({ length: each }, (_, e): Engine => {
      const luck = chance(9000 + 100 * n + e);
      const own = oddities(luck, fitOut);
      const day = (heat: number): Raised => {
        const r = raised(fitOut, luck, { own, ...(heat === 1 ? {} : { day: heat }) });
        return {
          heat,
          water: r.water,
          T: r.T,
          ambient: r.ambient,
          target: fitOut.workingPressure,
          reached: r.raising.reached ?? Infinity,
          readings: r.readings.map((x) => ({ ...x, glass: NaN })),
          ...(r.blowerAt === undefined ? {} : { own: r.blowerAt })
        };
      };
      return { id: `${key}-${e}`, class: key, fitOut, raisings: [1, 1, 1, 1, 1, 0.6].map(day).filter((r) => r.reached < Infinity) };
    })
  );
}
