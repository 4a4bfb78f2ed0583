import { plantOf, usualFill, waterAtGlass, type Plant } from '../../src/core/boiler';
import { ahead, classHeating, type Heating, observe, opened, startRaise } from '../../src/core/forecast';
import { fireOf, learn, type Past } from '../../src/core/learn';
import { waterVolume } from '../../src/core/steam';
import type { Engine, Raised } from './days';

/** Parts of the way to the target, by the needle as read, at which what was said is scored. */
export const stages = [0.25, 0.5, 0.75] as const;

export interface Score {
  /** min, each */ readonly off: number[];
  held: number;
  /** It came before the early edge; after the late one. */
  sooner: number;
  later: number;
  of: number;
}
export const noScore = (): Score => ({ off: [], held: 0, sooner: 0, later: 0, of: 0 });

/** Water as a log knows it: by the last look at the glass before the match. */
export const waterOf = (plant: Plant, r: Pick<Raised, 'readings' | 'T' | 'water'>): number =>
  plant.vessel.glass && r.readings[0]?.at === 0 && Number.isFinite(r.readings[0].glass)
    ? waterAtGlass(plant.vessel, r.readings[0].glass, r.T) / waterVolume(r.T)
    : r.water;

/** What was said as the readings of one raising came in. */
export function follow(plant: Plant, heating: Heating, r: Raised, seed: number, into: readonly Score[]): void {
  const filter = startRaise({ plant, heating, water: waterOf(plant, r), T: r.T, TSpread: 1.5, ambient: r.ambient, litAt: 0, seed });
  let stage = 0;
  let blowing = false;
  for (const { at, value } of r.readings) {
    if (at === 0 || at >= r.reached) continue;
    if (!blowing && r.own !== undefined && at >= r.own) {
      blowing = true;
      opened(filter, r.own, 'blower', plant.blower);
    }
    observe(filter, at, { kind: 'pressure', value });
    let last = -1;
    while (stage < stages.length && value >= stages[stage]! * r.target) last = stage++;
    if (last < 0) continue;
    const { early, middle, late } = ahead(filter, [r.target])[0]!;
    const score = into[last]!;
    score.of++;
    score.off.push(Math.abs(middle - r.reached) / 60);
    if (r.reached < early) score.sooner++;
    else if (r.reached > late) score.later++;
    else score.held++;
  }
}

/** A raising as learning gets to see it. */
export const asPast = (engine: Engine, r: Raised, n: number): Past => ({
  litAt: (n + 1) * 6048e5,
  water: waterOf(plantOf(engine.fitOut), r),
  waterFrom: 'glass',
  T: r.T,
  TFrom: 'read',
  ambient: r.ambient,
  readings: r.readings.filter((x) => x.at > 0 && x.at <= r.reached).map(({ at, value }) => ({ at, value })),
  ...(r.own === undefined ? {} : { blowerAt: r.own }),
  open: r.own === undefined ? [] : [{ at: r.own, area: plantOf(engine.fitOut).blower }],
  ...(r.reached === Infinity ? {} : { reached: r.reached }),
  cooling: [],
  fire: fireOf(engine.fitOut),
  swept: true
});

export type Case = 'class prior' | 'after four' | 'odd day, class prior' | 'odd day, after four';

/** Scores by class, case and stage. */
export function raiseScores(engines: readonly Engine[]): Record<string, Record<Case, Score[]>> {
  const out: Record<string, Record<Case, Score[]>> = {};
  const perClass = new Map<string, { plant: Plant; usual: Heating }>();
  engines.forEach((engine, n) => {
    const of = perClass.get(engine.class) ?? {
      plant: plantOf(engine.fitOut),
      usual: classHeating(engine.fitOut, plantOf(engine.fitOut), { water: usualFill(engine.fitOut, plantOf(engine.fitOut)), T: 288.15 })
    };
    perClass.set(engine.class, of);
    const scores = (out[engine.class] ??= {
      'class prior': stages.map(noScore),
      'after four': stages.map(noScore),
      'odd day, class prior': stages.map(noScore),
      'odd day, after four': stages.map(noScore)
    });
    const usual = engine.raisings.filter((r) => r.heat === 1);
    const odd = engine.raisings.filter((r) => r.heat !== 1);
    const told = usual.slice(0, 4).map((r, i) => ({ id: String(i), past: asPast(engine, r, i) }));
    const { heating } = learn(engine.fitOut, told, { leftOut: [], chapters: [] });
    usual.forEach((r, i) => follow(of.plant, of.usual, r, 100 * n + i, scores['class prior']));
    usual.slice(4).forEach((r, i) => follow(of.plant, heating, r, 100 * n + i, scores['after four']));
    odd.forEach((r, i) => {
      follow(of.plant, of.usual, r, 100 * n + i, scores['odd day, class prior']);
      follow(of.plant, heating, r, 100 * n + i, scores['odd day, after four']);
    });
  });
  return out;
}
