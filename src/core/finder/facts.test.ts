import { describe, expect, it } from 'vitest';
import { fitOut, steaming, type Made } from '../../../tests/made';
import { plantOf } from '../boiler';
import type { FitOut } from '../engine';
import { mostMade } from '../sums';
import { printMarks, psi, usualUnits } from '../units';
import { boardOf, factsOf, feedOf, feedsLike, knowledge, prior, symptomsFor, type Try, twinsOf } from '.';

const K = 273.15;
const bittern = fitOut('Little Bittern');
const [feed] = feedsLike({ symptom: { of: 'injector' }, fitOut: bittern });
const tried = (result: Try['result'], more: Partial<Try> = {}): Try => ({
  feed: feed!.name,
  at: '2026-06-13T10:00:00.000Z',
  result,
  ...more
});

/** What the record answers to a check: which result, and in what words. */
function says(symptom: string, check: string, { f = bittern, tries = [], made }: { f?: FitOut; tries?: Try[]; made?: Made[] } = {}) {
  const s = knowledge.symptoms.get(symptom)!;
  const log = made ? steaming(f.name, made) : null;
  const found = factsOf({ symptom: s, fitOut: f, plant: plantOf(f), tries, log }, prior(s, f)).find((x) => x.check === check);
  return found && { result: found.result, says: printMarks(found.says, usualUnits).replace(/\s/g, ' ') };
}
const result = (...of: Parameters<typeof says>) => says(...of)?.result;

describe('what the record answers by itself', () => {
  const at = (share: number) => result('injector-nothing', 'needle-try', { tries: [tried('nothing', { pressure: share * feed!.from })] });
  it.each([
    [0.99, 0],
    [1.01, 1],
    [1.14, 1],
    [1.16, 2]
  ])('the needle at %d times what the feed works from', (share, is) => expect(at(share)).toBe(is));
  it('by the last try that failed, and none that worked', () => {
    const low = tried('nothing', { pressure: psi(20) });
    expect(result('injector-nothing', 'needle-try', { tries: [low, tried('picked up', { pressure: psi(100) })] })).toBe(0);
    expect(result('injector-nothing', 'needle-try', { tries: [tried('picked up', { pressure: psi(20) })] })).toBeUndefined();
  });
  it.each([
    [34, 1],
    [36, 0],
    [26, 1],
    [24, 2]
  ])('the tank at %d °C', (t, is) =>
    expect(result('injector-nothing', 'tank-hand', { tries: [tried('nothing', { tank: K + t })] })).toBe(is)
  );
  it('the order, where all that failed had one', () => {
    const tries = [tried('nothing', { order: 'steam first' }), tried('knocked off', { order: 'steam first' })];
    expect(says('injector-nothing', 'tries-order', { tries })).toEqual({ result: 0, says: '2 of 2 tries that failed: steam first.' });
    expect(result('injector-nothing', 'tries-order', { tries: [tried('nothing', { order: 'water first' })] })).toBe(1);
    expect(result('injector-nothing', 'tries-order', { tries: [...tries, tried('nothing', { order: 'water first' })] })).toBeUndefined();
  });
  const lots = (key: 'tank' | 'glass' | 'pressure', works: number, fails: number) => [
    ...Array.from({ length: 6 }, (_, i) => tried('picked up', { [key]: works * (1 + i / 1000) })),
    ...Array.from({ length: 6 }, (_, i) => tried('nothing', { [key]: fails * (1 + i / 1000) }))
  ];
  it('patterns of the tries, the way round that they are', () => {
    expect(says('injector-only-full', 'tries-glass', { tries: lots('glass', 0.8, 0.3) })).toEqual({
      result: 0,
      says: expect.stringMatching(/^0 of 6 .*, 6 of 6 over it\.$/)
    });
    expect(result('injector-only-full', 'tries-glass', { tries: lots('glass', 0.3, 0.8) })).toBe(1);
    expect(result('injector-only-full', 'tries-pressure', { tries: lots('pressure', psi(90), psi(50)) })).toBe(0);
    expect(result('injector-only-full', 'tries-pressure', { tries: lots('pressure', psi(50), psi(90)) })).toBe(1);
    expect(result('injector-only-full', 'tries-tank', { tries: lots('tank', K + 12, K + 30) })).toBe(0);
    // That it works with the warm tank only is no pattern that the book knows.
    expect(result('injector-only-full', 'tries-tank', { tries: lots('tank', K + 30, K + 12) })).toBeUndefined();
    expect(result('injector-only-full', 'tries-glass', { tries: lots('glass', 0.8, 0.3).slice(4, 8) })).toBeUndefined();
  });
  it('where it delivers, and what it gives beside what its fire makes: sums from the fit-out', () => {
    const with_ = (change: Partial<FitOut['feeds'][number]>) => ({
      ...bittern,
      feeds: bittern.feeds.map((x) => (x.name === feed!.name ? { ...x, ...change } : x))
    });
    expect(result('injector-only-full', 'delivery-where', { f: with_({ into: 'steam' }) })).toBe(0);
    expect(result('injector-only-full', 'delivery-where', { f: with_({ into: 'water' }) })).toBe(1);
    const most = mostMade({ fitOut: bittern, plant: plantOf(bittern) }).most.value / 1000;
    expect(result('injector-nothing', 'injector-sum', { f: with_({ rate: 4.1 * most }) })).toBe(0);
    expect(result('injector-nothing', 'injector-sum', { f: with_({ rate: 3.5 * most }) })).toBeUndefined();
    expect(says('injector-nothing', 'injector-sum', { f: with_({ rate: 2.9 * most }) })).toEqual({
      result: 1,
      says: expect.stringMatching(/÷ .* = 2\.9 times\.$/)
    });
  });
  it('a pump beside what the cylinders use as it moves', () => {
    const small = (rate: number) => ({
      ...bittern,
      feeds: bittern.feeds.map((x) => (x.kind.endsWith('pump') && x.kind !== 'hand pump' ? { ...x, rate } : x))
    });
    expect(result('pump-weak', 'pump-sum', { f: small(1e-8) })).toBe(0);
    expect(result('pump-weak', 'pump-sum', { f: small(1e-2) })).toBe(1);
    // Of an injector it says nothing.
    expect(result('injector-nothing', 'pump-sum')).toBeUndefined();
  });
  const hen = fitOut('Marsh Hen');
  const set = hen.safetyValves[0]!.set;
  const lift = (minute: number, lifted: number, reseated?: number): Made => [
    minute,
    'lift',
    { valve: 1, lifted, ...(reseated ? { reseated } : {}) }
  ];
  it.each([
    [0.96, 0],
    [0.98, 2],
    [1.02, 2],
    [1.04, 1]
  ])('a valve that lifts at %d of its set', (share, is) =>
    expect(result('valve-lifts-early', 'needle-lift', { f: hen, made: [lift(1, share * set)] })).toBe(is)
  );
  it('three lifts, whether they agree; and how far it blows down', () => {
    expect(result('valve-not-reseat', 'lift-repeat', { f: hen, made: [lift(1, set), lift(2, set)] })).toBeUndefined();
    expect(result('valve-not-reseat', 'lift-repeat', { f: hen, made: [lift(1, set), lift(2, set), lift(3, 0.96 * set)] })).toBe(1);
    expect(result('valve-not-reseat', 'lift-repeat', { f: hen, made: [lift(1, set), lift(2, set), lift(3, 0.94 * set)] })).toBe(0);
    for (const [share, is] of [
      [0.79, 0],
      [0.81, 1],
      [0.89, 1],
      [0.91, 2]
    ] as const)
      expect(result('valve-not-reseat', 'reseat-read', { f: hen, made: [lift(1, set, share * set)] }), `${share}`).toBe(is);
  });
  it.each([
    [0.76, 0],
    [0.74, 1],
    [0.51, 1],
    [0.49, 2],
    ['top nut', 0]
  ] as const)('the glass at %s as it primed', (level, is) =>
    expect(result('primes', 'prime-level', { f: hen, made: [[1, 'reading', { glass: level, glassAt: psi(60) }]] })).toBe(is)
  );
  it('nothing that nobody said', () => {
    const s = knowledge.symptoms.get('primes')!;
    expect(factsOf({ symptom: s, fitOut: hen, plant: plantOf(hen), tries: [], log: null }, prior(s, hen))).toEqual([]);
  });
});

describe('which feed', () => {
  const two = { ...bittern, feeds: [...bittern.feeds, { ...feed!, name: 'Other' }] };
  const symptom = knowledge.symptoms.get('injector-nothing')!;
  it('is the only one of its kind, or the one that was said', () => {
    expect(feedOf({ symptom, fitOut: bittern, feed: undefined })).toBe(feed);
    expect(feedOf({ symptom, fitOut: two, feed: undefined })).toBeUndefined();
    expect(feedOf({ symptom, fitOut: two, feed: 'Other' })?.name).toBe('Other');
    expect(feedsLike({ symptom: {}, fitOut: two })).toEqual([]);
    expect(feedsLike({ symptom, fitOut: { ...two, feeds: two.feeds.map((f) => ({ ...f, plumbed: false })) } })).toEqual([]);
  });
});

describe('the board', () => {
  const symptom = knowledge.symptoms.get('injector-nothing')!;
  it('shows the likeliest first, and what excluded the rest', () => {
    const shown = [
      { check: 'overflow-water', result: 2 },
      { check: 'delivery-where', result: 1 },
      { check: 'tank-hand', result: 0 }
    ];
    const { standing, excluded } = boardOf(symptom, bittern, shown);
    expect(standing[0]!.key).toBe('tank-warm');
    const odds = standing.slice(0, -1).map((s) => s.odds);
    expect(odds).toEqual(odds.toSorted((a, b) => b - a));
    const out = (key: string) => excluded.find((s) => s.key === key)?.excludedBy;
    expect(out('water-shut')).toBe(0);
    expect(out('cold-into-steam')).toBe(1);
    expect(standing.length + excluded.length).toBe(prior(symptom, bittern).size);
  });
  it('excludes nothing before anything was looked at, and nothing for being rare', () => {
    expect(boardOf(symptom, bittern, []).excluded).toEqual([]);
    expect(boardOf(symptom, bittern, [{ check: 'tries-order', result: 1 }]).excluded.map((s) => s.key)).not.toContain('overflow-stuck');
  });
  it('never excludes what nobody has listed', () => {
    const all = [...knowledge.checks.values()].map((c) => ({ check: c.key, result: c.results.length - 1 }));
    expect(boardOf(symptom, bittern, all).excluded.map((s) => s.key)).not.toContain('unlisted');
  });
});

describe('what is meant by some words', () => {
  it.each([
    ['injector sulks', 'injector-knocks-off'],
    ['my injector will not pick up', 'injector-nothing'],
    ['Right injector knocks off below 50 psi', 'injector-knocks-off'],
    ['pump gives no water', 'pump-nothing'],
    ['glass stands still', 'glass-still'],
    ['leaking when cold', 'leaks-cold'],
    ['smoke in my face', 'will-not-draw'],
    ['it primes', 'primes']
  ])('%s', (words, key) => expect(symptomsFor(bittern, words)[0]?.key).toBe(key));
  it('nothing of what it has not, all for no words, none for words that mean nothing here', () => {
    expect(symptomsFor(bittern, 'burner pops back')).not.toContainEqual(expect.objectContaining({ key: 'gas-pops-back' }));
    expect(symptomsFor(bittern, ' the ').length).toBeGreaterThan(40);
    expect(symptomsFor(bittern, 'zzz qqq')).toEqual([]);
  });
});

describe('twins', () => {
  const symptom = knowledge.symptoms.get('injector-nothing')!;
  const other = (change: (f: FitOut['feeds'][number]) => object) => ({
    id: 'x',
    name: 'Other',
    fitOut: { ...bittern, feeds: bittern.feeds.map((f) => (f.kind === 'injector' ? { ...f, ...change(f) } : f)) }
  });
  it('have the same feed within a tenth, with what is not alike', () => {
    expect(twinsOf(symptom, bittern, [other((f) => ({ rate: 1.09 * f.rate }))])[0]!.other).toEqual([]);
    expect(twinsOf(symptom, bittern, [other((f) => ({ rate: 1.2 * f.rate }))])[0]!.other).toEqual([
      expect.stringMatching(/^rate: .*, here /)
    ]);
  });
  it('of an engine with two are of the one that was said, by the nearest of theirs; of neither before that', () => {
    const two = { ...bittern, feeds: [...bittern.feeds, { ...feed!, name: 'Large', rate: 5 * feed!.rate }] };
    const theirs = [{ id: 'x', name: 'Other', fitOut: two }];
    expect(twinsOf(symptom, two, theirs)).toEqual([]);
    for (const name of [feed!.name, 'Large']) expect(twinsOf(symptom, two, theirs, name)[0]!.other).toEqual([]);
  });
  it('are none without the feed, or where most of it is other; the most alike first', () => {
    expect(twinsOf(symptom, bittern, [{ id: 'g', name: 'Gas', fitOut: fitOut('Tin Heron') }])).toEqual([]);
    const [near, far] = [other(() => ({})), { ...other((f) => ({ rate: 3 * f.rate })), id: 'far' }];
    expect(twinsOf(symptom, bittern, [far, near]).map((t) => t.id)).toEqual(['x', 'far']);
  });
});
