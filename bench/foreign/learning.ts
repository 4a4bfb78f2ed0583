import { plantOf } from '../../src/core/boiler';
import { type Figure, fireOf, learn, type Past } from '../../src/core/learn';
import type { Known } from './days';
import { waterOf } from './raise';

/** What was learned of an engine against what is true of it. */
export interface Learned {
  /** In parts of the truth, each. */ readonly off: number[];
  /** Half the band as a share. */ readonly spread: number[];
  held: number;
  /** Truth under the lower edge; over the upper one. */
  under: number;
  over: number;
  /** Nothing was said of it. */
  silent: number;
}
const keys = ['heat', 'loss', 'boost'] as const;

/** The day as a log would have kept it. */
export function pastOfDay({ fitOut }: Pick<Known, 'fitOut'>, day: Known['days'][number], n: number): Past {
  const plant = plantOf(fitOut);
  const reads = day.readings.map(({ at, value }) => ({ at, value }));
  return {
    litAt: (n + 1) * 6048e5,
    water: waterOf(plant, day),
    waterFrom: 'glass',
    T: day.T,
    TFrom: 'read',
    ambient: day.ambient,
    readings: reads.filter((r) => r.at > 0 && r.at <= Math.min(day.reached, day.heatOff)),
    ...(day.own === undefined ? {} : { blowerAt: day.own }),
    open: day.own === undefined ? [] : [{ at: day.own, area: plant.blower }],
    ...(day.reached === Infinity ? {} : { reached: day.reached }),
    out: day.heatOff,
    cooling: reads.filter((r) => r.at > day.heatOff && r.value > 0).map((r) => ({ at: r.at - day.heatOff, value: r.value })),
    fire: fireOf(fitOut),
    swept: true
  };
}

export function learningScores(known: readonly Known[]): Record<string, Partial<Record<Figure['key'], Learned>>> {
  const out: Record<string, Partial<Record<Figure['key'], Learned>>> = {};
  for (const k of known) {
    const of = (out[k.class] ??= {});
    const { figures } = learn(
      k.fitOut,
      k.days.map((day, i) => ({ id: String(i), past: pastOfDay(k, day, i) })),
      { leftOut: [], chapters: [] }
    );
    for (const key of keys) {
      const truth = key === 'boost' ? (k.truth.boost ?? NaN) * 100 : k.truth[key];
      if (!Number.isFinite(truth)) continue;
      const score = (of[key] ??= { off: [], spread: [], held: 0, under: 0, over: 0, silent: 0 });
      const f = figures.find((x) => x.key === key);
      if (!f) {
        score.silent++;
        continue;
      }
      score.off.push(f.value / truth - 1);
      score.spread.push(Math.sqrt(f.high / f.low) - 1);
      if (truth < f.low) score.under++;
      else if (truth > f.high) score.over++;
      else score.held++;
    }
  }
  return out;
}
