import { plantOf } from '../../src/core/boiler';
import { waterOut } from '../../src/core/forecast';
import { demandOf } from '../../src/core/sums';
import type { Running } from './days';

/** By minutes truly left: how often the water was gone before the early edge, and how far off the middle was. */
export interface WaterScore {
  /** Of the minutes left, each. */ readonly off: number[];
  held: number;
  /** Gone before the early edge: the dangerous miss. */
  gone: number;
  /** Later than the late edge. */
  later: number;
  of: number;
}
export const minutes = ['under 5', '5 to 15', '15 and more'] as const;

export function waterScores(days: readonly Running[]): Record<string, WaterScore[]> {
  const out: Record<string, WaterScore[]> = {};
  for (const { class: kind, fitOut, gauge, looks, feeds, asks } of days) {
    const scores = (out[kind] ??= minutes.map(() => ({ off: [], held: 0, gone: 0, later: 0, of: 0 })));
    const plant = plantOf(fitOut);
    for (const { now, lowest, left } of asks) {
      const seen = looks.filter((l) => l.at <= now).map((l) => ({ ...l, gauge }));
      const fed = feeds.filter((f) => f.from < now).map(({ from, to, rate }) => ({ from, to: Math.min(to, now), rate }));
      const band = waterOut(plant, seen, fed, { now, lowest, usual: demandOf({ fitOut, plant }).moving.value });
      if (!band) continue;
      const score = scores[left < 300 ? 0 : left < 900 ? 1 : 2]!;
      const gone = now + left;
      score.of++;
      score.off.push(Math.abs(band.middle - gone) / left);
      if (gone < band.early) score.gone++;
      else if (gone > band.late) score.later++;
      else score.held++;
    }
  }
  return out;
}
