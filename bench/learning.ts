// What can be got back of an engine whose figures are known, from three, six and twelve of its raisings, read with a hurried eye.
import { chance } from '../src/core/chance';
import { type FitOut, patterns } from '../src/core/engine';
import { heatingOf } from '../src/core/forecast';
import { type Figure, learn } from '../src/core/learn';
import { asPast, oddities, raised } from '../demo/raised';

export const numbers = [3, 6, 12] as const;

export interface Recovery {
  readonly name: string;
  readonly figure: Figure['key'];
  /** For three, six and twelve raisings: how far off in %, and the spread that is reported, in %. */
  readonly off: readonly number[];
  readonly spread: readonly number[];
  /** Share of engines whose true figure lies between the edges that are reported. */
  readonly held: readonly number[];
}

const middle = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** One engine of a class, never quite like its drawing, and its past. */
export function pastOfOne(fitOut: FitOut, seed: number, n: number) {
  const luck = chance(seed);
  const own = { ...oddities(luck, fitOut), metal: 1, leak: 1 };
  const days = Array.from({ length: n }, () => raised(fitOut, luck, { own }));
  const heat = days.flatMap((d) => heatingOf(d.truth, d.raising)?.lnHeat ?? []).reduce((a, x, _, all) => a + x / all.length, 0);
  return {
    told: days.map((r, i) => ({ id: String(i), past: asPast(fitOut, r, (i + 1) * 6048e5) })),
    heat: Math.exp(heat),
    loss: days.reduce((a, d) => a + d.cools / days.length, 0)
  };
}

export function recoveryTable(engines: number, keys: readonly string[] = ['tender', 'vertical-plant', 'electric-set']): Recovery[] {
  return keys.flatMap((key) => {
    const { fitOut, title } = patterns.find((p) => p.key === key)!;
    const found = Array.from({ length: engines }, (_, e) => {
      const one = pastOfOne(fitOut, 77 * (e + 1), Math.max(...numbers));
      return { one, learned: numbers.map((n) => learn(fitOut, one.told.slice(0, n), { leftOut: [], chapters: [] })) };
    });
    return (['heat', 'loss'] as const).map((figure): Recovery => {
      const each = numbers.map((_, k) =>
        found.flatMap(({ one, learned }) => {
          const f = learned[k]!.figures.find((x) => x.key === figure);
          return f
            ? [
                {
                  off: Math.abs(f.value / one[figure] - 1) * 100,
                  spread: (Math.sqrt(f.high / f.low) - 1) * 100,
                  held: f.low <= one[figure] && one[figure] <= f.high
                }
              ]
            : [];
        })
      );
      return {
        name: title,
        figure,
        off: each.map((l) => middle(l.map((x) => x.off))),
        spread: each.map((l) => middle(l.map((x) => x.spread))),
        held: each.map((l) => l.filter((x) => x.held).length / Math.max(1, l.length))
      };
    });
  });
}
