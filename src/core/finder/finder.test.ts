import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cases, fresh } from '../../../tests/finder-cases';
import { asked, byTheBook, likeliestFirst, measureOf } from '../../../tests/finder-played';
import { type FitOut, patterns } from '../engine';
import {
  after,
  believe,
  causesOf,
  checksFor,
  entropy,
  families,
  fits,
  gainOf,
  knowledge,
  likelihoods,
  nextChecks,
  partsOf,
  prior,
  ranked,
  unlisted
} from '.';

const tender = patterns.find(({ key }) => key === 'tender')!.fitOut;
const sum = (of: Iterable<number>) => [...of].reduce((a, b) => a + b, 0);
/** Every symptom on every pattern that can have it. */
const met = patterns.flatMap(({ key, fitOut }) =>
  [...knowledge.symptoms.values()]
    .filter((s) => fits(fitOut, s.for))
    .map((symptom) => ({ name: `${symptom.key} on ${key}`, symptom, fitOut }))
);
/** A symptom on an engine, and some checks of it with what they showed. */
const shown = fc.constantFrom(...met).chain(({ symptom, fitOut }) => {
  const from = prior(symptom, fitOut);
  const checks = checksFor(symptom, fitOut, from);
  return fc.record({
    fitOut: fc.constant(fitOut),
    from: fc.constant(from),
    checks: fc.constant(checks),
    evidence: fc.uniqueArray(
      fc.constantFrom(...checks).chain((c) => fc.record({ check: fc.constant(c.key), result: fc.nat(c.results.length - 1) })),
      { selector: (e) => e.check, maxLength: 8 }
    )
  });
});
const near = (a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>) => {
  for (const [cause, p] of a) expect(p).toBeCloseTo(b.get(cause)!, 10);
};

describe('what is known', () => {
  it('is as much as was asked for, each thing once', () => {
    expect(families).toHaveLength(13);
    for (const [of, least] of [
      ['symptoms', 40],
      ['causes', 140],
      ['checks', 180]
    ] as const) {
      const keys = families.flatMap((f) => f[of].map(({ key }) => key));
      expect(new Set(keys).size).toBe(keys.length);
      expect(keys.length).toBeGreaterThanOrEqual(least);
    }
  });

  it('names nothing that is not there, and gives every result its odds', () => {
    for (const s of knowledge.symptoms.values())
      for (const c of Object.keys(s.causes)) expect(knowledge.causes.has(c), `${s.key}: ${c}`).toBe(true);
    for (const check of knowledge.checks.values())
      for (const [cause, told] of Object.entries(check.shows)) {
        expect(knowledge.causes.has(cause), `${check.key}: ${cause}`).toBe(true);
        expect(typeof told === 'string' ? 2 : told.length, `${check.key}: ${cause}`).toBe(check.results.length);
      }
  });

  it('has for every cause a symptom that shows it, and on every engine a check that parts it from each other one', () => {
    const named = new Set([...knowledge.symptoms.values()].flatMap((s) => Object.keys(s.causes)));
    expect([...knowledge.causes.keys()].filter((key) => !named.has(key))).toEqual([]);
    const alike: string[] = [];
    for (const { name, symptom, fitOut } of met) {
      const checks = checksFor(symptom, fitOut, prior(symptom, fitOut));
      const causes = causesOf(symptom, fitOut).map(({ key }) => ({ key, shows: checks.map((c) => likelihoods(c, key)) }));
      if (causes.length < 2) alike.push(name);
      const parted = (a: (typeof causes)[0], b: (typeof causes)[0]) =>
        a.shows.some((of, c) => sum(of.map((p, r) => Math.abs(p - b.shows[c]![r]!))) > 0.6);
      for (const [i, a] of causes.entries())
        for (const b of causes.slice(i + 1)) if (!parted(a, b)) alike.push(`${name}: ${a.key}, ${b.key}`);
    }
    expect(alike).toEqual([]);
  });

  it('speaks of nothing that the engine has not: no injector without one, no gas on coal', () => {
    for (const { symptom, fitOut } of met)
      for (const cause of causesOf(symptom, fitOut)) {
        if (cause.for?.includes('injector')) expect(fitOut.feeds.some((f) => f.kind === 'injector')).toBe(true);
        if (cause.key.startsWith('gas-')) expect(fitOut.fire.with).toBe('gas');
      }
    const dry = { ...tender, feeds: tender.feeds.filter((f) => f.kind !== 'injector') } as FitOut;
    expect(fits(dry, knowledge.symptoms.get('injector-nothing')!.for)).toBe(false);
  });

  it('lets no glass, gauge, valve or gas be a note', () => {
    for (const key of [
      'glass-still',
      'glass-full',
      'glass-differ',
      'needle-wrong',
      'valve-lifts-late',
      'valve-not-hold',
      'gas-smell',
      'wet-firebox'
    ])
      expect(knowledge.symptoms.get(key)!.floor, key).toBe('steaming');
  });
});

describe('odds', () => {
  it('sum to 1, whatever was shown, and none is ever 0 or 1', () => {
    fc.assert(
      fc.property(shown, ({ from, evidence }) => {
        const belief = believe(from, evidence);
        expect(sum(belief.values())).toBeCloseTo(1, 9);
        for (const p of belief.values()) expect(p > 0 && p < 1).toBe(true);
      })
    );
  });

  it('do not depend on the order of what was shown', () => {
    fc.assert(fc.property(shown, ({ from, evidence }) => near(believe(from, evidence), believe(from, evidence.toReversed()))));
  });

  it('are the odds before once everything is struck, and without one once it is struck', () => {
    fc.assert(
      fc.property(shown, ({ from, evidence }) => {
        near(believe(from, []), from);
        const [struck, ...left] = evidence;
        if (struck) near(believe(from, [...left, struck].slice(0, -1)), believe(from, left));
      })
    );
  });

  it('are by Bayes: two causes alike, one check', () => {
    const even = new Map([
      ['tank-low', 0.5],
      ['strainer', 0.5]
    ]);
    // always against usually the other: 0.98 to 0.15
    expect(after(even, { check: 'tank-look', result: 0 }).get('tank-low')).toBeCloseTo(0.98 / (0.98 + 0.15), 6);
  });

  it('after something was mended: as before speaks against it, gone for it, and of two at once for neither alone', () => {
    const from = prior(knowledge.symptoms.get('injector-knocks-off')!, tender);
    const p = (did: 'gone' | 'better' | 'as before') =>
      believe(from, [{ mended: ['strainer'], did }]).get('strainer')! / from.get('strainer')!;
    expect(p('as before')).toBeLessThan(0.15);
    expect(p('better')).toBeGreaterThan(1);
    expect(p('gone')).toBeGreaterThan(p('better'));
    const both = believe(from, [{ mended: ['strainer', 'suction-air'], did: 'gone' }]);
    expect(both.get('strainer')! / both.get('suction-air')!).toBeCloseTo(from.get('strainer')! / from.get('suction-air')!, 9);
  });

  it('of a check with many results: what it does not name shows the last, usually, however many there are', () => {
    expect(likelihoods(knowledge.checks.get('leak-place')!, 'fire-thin').at(-1)).toBeCloseTo(0.85, 9);
    expect(likelihoods(knowledge.checks.get('tank-look')!, 'fire-thin')).toEqual([expect.closeTo(0.15, 9), 0.85]);
    expect(likelihoods(knowledge.checks.get('tank-hand')!, unlisted)).toEqual([1 / 3, 1 / 3, 1 / 3]);
  });

  it('begin with the base: common before rare, and what nobody listed at one in twenty', () => {
    const belief = prior(knowledge.symptoms.get('injector-nothing')!, tender);
    expect(belief.get(unlisted)).toBe(0.05);
    // both usually show it; 6 against 3
    expect(belief.get('tank-warm')! / belief.get('clack-stuck')!).toBeCloseTo(2, 9);
    // always against usually, both common
    expect(belief.get('pressure-low')! / belief.get('tank-warm')!).toBeCloseTo(0.98 / 0.85, 9);
    expect(ranked(belief).at(-1)![0]).toBe(unlisted);
  });

  it('are drawn to what the club has found: eight fixes weigh as much as the base', () => {
    const symptom = knowledge.symptoms.get('injector-nothing')!;
    const base = prior(symptom, tender).get('cone-dirt')!;
    expect(prior(symptom, tender, { 'cone-dirt': 8 }).get('cone-dirt')).toBeCloseTo((base + 0.95) / 2, 9);
    // fixes of something else altogether are not counted
    expect(prior(symptom, tender, { 'fire-thin': 30 }).get('cone-dirt')).toBeCloseTo(base, 12);
  });
});

describe('the next check', () => {
  it('is never one that tells nothing, and none is expected to tell more than is not known', () => {
    fc.assert(
      fc.property(shown, ({ from, checks, evidence }) => {
        const belief = believe(from, evidence);
        for (const check of checks) {
          const gain = gainOf(check, belief);
          expect(gain).toBeGreaterThanOrEqual(0);
          expect(gain).toBeLessThanOrEqual(entropy(belief) + 1e-9);
        }
      }),
      { numRuns: 30 }
    );
  });

  it('is the cheaper of two that part the same pair, and the one for which the engine is as it stands', () => {
    const symptom = knowledge.symptoms.get('injector-nothing')!;
    const belief = prior(symptom, tender);
    const cold = nextChecks(symptom, tender, belief, new Set(), 'cold');
    const hot = nextChecks(symptom, tender, belief, new Set(), 'in steam');
    const at = (of: typeof cold, key: string) => of.findIndex(({ check }) => check.key === key);
    expect(at(hot, 'tries-order')).toBeLessThan(at(hot, 'order-again'));
    expect(at(hot, 'order-again')).toBeLessThan(at(hot, 'cone-look'));
    expect(at(cold, 'cone-look')).toBeLessThan(at(cold, 'try-high'));
    expect(hot.find(({ check }) => check.key === 'cone-look')!.minutes - 60).toBe(knowledge.checks.get('cone-look')!.minutes);
  });

  it('does not come twice, changes nothing while something else can be looked at, and is dangerous last', () => {
    for (const { name, symptom, fitOut } of met) {
      const ahead = nextChecks(symptom, fitOut, prior(symptom, fitOut), new Set(), 'in steam');
      const ranks = ahead.map(({ check }) => (check.danger ? 2 : 0) + (check.changes ? 1 : 0));
      expect(ranks, name).toEqual(ranks.toSorted((a, b) => a - b));
      const again = nextChecks(
        symptom,
        fitOut,
        prior(symptom, fitOut),
        new Set(ahead.slice(0, 2).map(({ check }) => check.key)),
        'in steam'
      );
      expect(
        again.some(({ check }) => ahead.slice(0, 2).includes(ahead.find((a) => a.check === check)!)),
        name
      ).toBe(false);
    }
  });

  it('names the two causes that it parts', () => {
    const symptom = knowledge.symptoms.get('pump-nothing')!;
    const belief = prior(symptom, tender);
    const [first] = nextChecks(symptom, tender, belief, new Set(), 'cold');
    const parts = partsOf(first!.check, belief);
    for (const cause of parts) expect(belief.has(cause)).toBe(true);
    expect(parts[0]).not.toBe(parts[1]);
  });
});

describe('what it finds', () => {
  it.each([
    ['the thirty', cases],
    ['ten that nothing was mended by', fresh]
  ])(
    '%s: first within a median of four checks, among three after six in nine of ten, in fewer minutes than the book or the likeliest',
    (_, of) => {
      const [finder, book, likeliest] = [measureOf(of, asked), measureOf(of, byTheBook), measureOf(of, likeliestFirst)];
      expect(finder.untilFirst).toBeLessThanOrEqual(4);
      expect(finder.nearAfterSix).toBeGreaterThanOrEqual(0.9 * of.length);
      expect(finder.minutesAll).toBeLessThan(Math.min(book.minutesAll, likeliest.minutesAll));
      expect(finder.minutes).toBeLessThan(Math.min(book.minutes, likeliest.minutes));
    }
  );
});
