import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entry, fitOut, lit, type Made, steaming } from '../../../tests/made';
import { feedsProven } from '../log';
import { printMarks, psi, usualUnits } from '../units';
import { exactTest, patternsOf, patternWords, triesOf, type Try } from '.';

const K = 273.15;
const tried = (ok: boolean, more: Partial<Try> = {}): Try => ({ feed: 'Injector', at: '', result: ok ? 'picked up' : 'nothing', ...more });
const words = (tries: readonly Try[]) => patternsOf(tries).map((p) => printMarks(patternWords(p), usualUnits).replace(/\s/g, ' '));
const times = (n: number, make: (i: number) => Try) => Array.from({ length: n }, (_, i) => make(i));

describe('the exact test', () => {
  // Counted by hand: 12 over 5 is 792; four of four against none, 1 in 70 each way; two of two against none of one.
  it.each([
    [5, 5, 0, 7, 1 / 792],
    [4, 4, 0, 4, 2 / 70],
    [3, 4, 1, 4, 34 / 70],
    [2, 2, 0, 1, 1 / 3],
    [1, 2, 1, 2, 1],
    [0, 0, 3, 5, 1]
  ])('%d of %d, %d of %d', (ok, of, otherOk, otherOf, p) => expect(exactTest({ ok, of, otherOk, otherOf })).toBeCloseTo(p, 10));
  it('is the same whichever lot comes first, and whichever way it is counted', () => {
    const n = fc.integer({ min: 0, max: 12 });
    fc.assert(
      fc.property(n, n, n, n, (a, b, c, d) => {
        const p = exactTest({ ok: a, of: a + b, otherOk: c, otherOf: c + d });
        expect(p).toBeGreaterThan(0);
        expect(exactTest({ ok: c, of: c + d, otherOk: a, otherOf: a + b })).toBeCloseTo(p, 9);
        expect(exactTest({ ok: b, of: a + b, otherOk: d, otherOf: c + d })).toBeCloseTo(p, 9);
      })
    );
  });
});

describe('what parts the tries that worked from those that did not', () => {
  const cold = times(5, (i) => tried(true, { tank: K + 14 + i, pressure: psi(70 + (i % 3)) }));
  const warm = times(7, (i) => tried(false, { tank: K + 22 + i, pressure: psi(70 + (i % 3)) }));
  it('a tank that was too warm, said with its counts', () =>
    expect(words([...cold, ...warm])).toEqual(['5 of 5 with the tank under 20 °C, 0 of 7 over it.']));
  it('not of fewer, and not where some went otherwise', () => {
    expect(words([...cold.slice(0, 3), ...warm.slice(0, 3)])).toEqual([]);
    expect(words([...cold, ...warm, tried(true, { tank: K + 27.5 }), tried(false, { tank: K + 14.5 })])).toEqual([]);
  });
  it('one that knocked off did not work; one of which nobody recorded it says nothing of it', () => {
    const off = warm.map((t) => ({ ...t, result: 'knocked off' as const }));
    expect(words([...cold, ...off])).toHaveLength(1);
    expect(words([...cold, ...off, ...times(9, () => tried(true))])).toEqual(['5 of 5 with the tank under 20 °C, 0 of 7 over it.']);
  });
  it('the order, the overflow, the needle and the glass', () => {
    const parts = (a: Partial<Try>, b: Partial<Try>) => words([...times(6, () => tried(true, a)), ...times(6, () => tried(false, b))]);
    expect(parts({ order: 'water first' }, { order: 'steam first' })).toEqual(['6 of 6 with water first, 0 of 6 with steam first.']);
    expect(parts({ overflow: 'dry' }, { overflow: 'steam' })).toEqual([
      '6 of 6 with its overflow dry, 0 of 6 with its overflow blowing steam.'
    ]);
    expect(parts({ pressure: psi(80) }, { pressure: psi(40) })).toEqual(['0 of 6 under 60 psi, 6 of 6 over it.']);
    expect(parts({ glass: 0.8 }, { glass: 0.2 })).toEqual(['0 of 6 with the glass under ½, 6 of 6 over it.']);
    expect(parts({ glass: 'top nut' }, { glass: 'bottom nut' })).toEqual([]);
  });
  it('finds nothing in nothing more often than one time in twenty', () => {
    let found = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 30 }), fc.boolean()), { minLength: 4, maxLength: 14 }),
        (list) => {
          if (patternsOf(list.map(([ok, t, order]) => tried(ok, { tank: K + t, order: order ? 'water first' : 'steam first' }))).length)
            found++;
        }
      ),
      { numRuns: 1000, seed: 13 }
    );
    expect(found).toBeLessThan(50);
  });
});

describe('a try in the log', () => {
  const body = (result: Try['result']) => ({ feed: 'Injector', result, pressure: psi(70), tank: K + 18 }) as const;
  const made = (...results: Try['result'][]): Made[] => [lit, ...results.map((r, i): Made => [i + 1, 'attempt', body(r)])];
  it('is taken with when it was; what was struck is none', () => {
    const log = steaming('Little Bittern', [...made('nothing', 'picked up'), [5, 'strike', {}, 1]]);
    expect(triesOf(log)).toEqual([{ ...body('picked up'), at: entry([2, 'note', { text: '' }], 0).at }]);
  });
  it('proves a feed when it picked up, and turns off what was believed to feed when it did not', () => {
    const f = fitOut('Little Bittern');
    const proven = (...r: Try['result'][]) => feedsProven(f, steaming('Little Bittern', made(...r)).state).proven;
    expect(proven('nothing', 'knocked off')).toEqual([]);
    expect(proven('picked up')).toEqual(['Injector']);
    const on: Made = [0.5, 'feed', { feed: 'Injector', on: true, to: 'boiler' }];
    const feeds = (r: Try['result']) => steaming('Little Bittern', [lit, on, [1, 'attempt', body(r)]]).state.feeds.Injector?.on;
    expect([feeds('picked up'), feeds('knocked off'), feeds('nothing')]).toEqual([true, false, false]);
  });
});
