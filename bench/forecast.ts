// How good the forecast is: synthetic raisings of each class, unknown to the forecaster, read with a hurried eye.
import { chance } from '../src/core/chance';
import { patterns } from '../src/core/engine';
import { ahead, classHeating, type Heating, observe, opened, startRaise } from '../src/core/forecast';
import { plantOf, usualFill } from '../src/core/boiler';
import { oddities, type Raised, raised } from '../demo/raised';

const quantile = (list: number[], q: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))] ?? NaN;

/** Error and band at shares of the way to working pressure, by the gauge. */
export const shares = [0.25, 0.5, 0.75] as const;
export interface Score {
  readonly error: number[];
  held: number;
  of: number;
  took: number[];
}

/** Forecasts one raising as its readings come in; scores what was said when each share of the target was first read. */
export function follow(
  r: Raised,
  plant: ReturnType<typeof plantOf>,
  heating: Heating,
  workingPressure: number,
  into: Score[],
  seed: number
): void {
  if (r.raising.reached === undefined) return;
  const filter = startRaise({
    plant,
    heating,
    water: usualFill({ ...patternOf(plant) }, plant, r.T),
    T: r.T,
    ambient: r.ambient,
    litAt: 0,
    seed
  });
  let share = 0;
  let blower = false;
  for (const { at, value } of r.readings) {
    if (at >= r.raising.reached) break;
    if (!blower && r.blowerAt !== undefined && at >= r.blowerAt) {
      blower = true;
      opened(filter, r.blowerAt, 'blower', plant.blower);
    }
    const from = performance.now();
    observe(filter, at, { kind: 'pressure', value });
    const [band] = ahead(filter, [workingPressure]);
    const took = performance.now() - from;
    const true_ = r.raising.moments.findLast((m) => m.time <= at)!.gauge;
    let last = -1;
    while (share < shares.length && true_ >= shares[share]! * workingPressure) last = share++;
    if (last >= 0) {
      const s = into[last]!;
      s.error.push(Math.abs(band!.middle - r.raising.reached) / 60);
      s.of++;
      if (band!.early <= r.raising.reached && r.raising.reached <= band!.late) s.held++;
      s.took.push(took);
    }
  }
}
const byPlant = new WeakMap<object, (typeof patterns)[number]['fitOut']>();
const patternOf = (plant: object) => byPlant.get(plant)!;

/** The table, one row for each class. */
export function forecastTable(times: number): { name: string; cells: string[]; covered: number; took: number }[] {
  return patterns.map(({ fitOut, title }, n) => {
    const plant = plantOf(fitOut);
    byPlant.set(plant, fitOut);
    const heating = classHeating(fitOut, plant, { water: usualFill(fitOut, plant, 288), T: 288 });
    const scores: Score[] = shares.map(() => ({ error: [], held: 0, of: 0, took: [] }));
    for (let i = 0; i < times; i++) {
      const luck = chance(1000 * (n + 1) + i);
      follow(raised(fitOut, luck, { own: oddities(luck, fitOut) }), plant, heating, fitOut.workingPressure, scores, i + 1);
    }
    const held = scores.reduce((a, s) => a + s.held, 0);
    const of = scores.reduce((a, s) => a + s.of, 0);
    return {
      name: title,
      cells: scores.map((s) => `${quantile(s.error, 0.5).toFixed(2)} min, ${Math.round((100 * s.held) / Math.max(1, s.of))} % (${s.of})`),
      covered: held / Math.max(1, of),
      took: quantile(
        scores.flatMap((s) => s.took),
        0.5
      )
    };
  });
}
