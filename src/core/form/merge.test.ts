import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { count, group, list, merge, put, text, union } from '.';

const was = { name: 'Teal', boiler: { tubes: 12, bore: 0.01 }, feeds: [{ rate: 1 }, { rate: 2 }], packed: ['oil'] };

describe('two changes of one document', () => {
  it('what each changed alone is taken from both', () => {
    const theirs = { ...was, boiler: { tubes: 14, bore: 0.01 }, feeds: [{ rate: 1 }, { rate: 3 }] };
    const mine = { ...was, name: 'Teal II', boiler: { tubes: 12, bore: 0.012 }, feeds: [{ rate: 9 }, { rate: 2 }] };
    const { document, clashes, taken } = merge(was, theirs, mine);
    expect(document).toEqual({ name: 'Teal II', boiler: { tubes: 14, bore: 0.012 }, feeds: [{ rate: 9 }, { rate: 3 }], packed: ['oil'] });
    expect(clashes).toEqual([]);
    expect(taken).toEqual([
      { path: 'boiler.tubes', was: 12, theirs: 14 },
      { path: 'feeds.1.rate', was: 2, theirs: 3 }
    ]);
  });
  it('what both changed otherwise is a clash and stands as mine; alike, it is none', () => {
    const theirs = { ...was, name: 'Snipe', boiler: { tubes: 14, bore: 0.01 } };
    const mine = { ...was, name: 'Wigeon', boiler: { tubes: 14, bore: 0.01 } };
    expect(merge(was, theirs, mine)).toEqual({
      document: mine,
      clashes: [{ path: 'name', was: 'Teal', theirs: 'Snipe', mine: 'Wigeon' }],
      taken: []
    });
  });
  it('a list that grew at one and shrank at the other has both; an item that both replaced is a clash', () => {
    const lists = (a: unknown[], b: unknown[], c: unknown[]) => merge({ l: a }, { l: b }, { l: c });
    expect(lists(['a', 'b'], ['a', 'b', 'c'], ['b']).document).toEqual({ l: ['b', 'c'] });
    expect(lists(['a', 'b'], ['a'], ['a', 'b', 'd']).document).toEqual({ l: ['a', 'd'] });
    expect(lists(['a'], ['a', 'c'], ['a', 'c', 'd']).document).toEqual({ l: ['a', 'c', 'd'] });
    expect(lists([{ n: 1 }], [{ n: 2 }, { n: 3 }], [{ n: 4 }]).clashes).toMatchObject([{ path: 'l' }]);
    expect(lists(['a'], ['b'], ['c']).clashes).toMatchObject([{ path: 'l', theirs: ['b'], mine: ['c'] }]);
  });
  it('a key that was left out, or put in, is a change like another', () => {
    expect(merge({ a: 1, b: 2 }, { b: 2 }, { a: 1, b: 3 }).document).toEqual({ b: 3 });
    expect(merge({ b: 2 }, { b: 2, c: 5 }, { b: 3 }).document).toEqual({ b: 3, c: 5 });
    expect(merge({ a: 1 }, {}, { a: 2 }).clashes).toEqual([{ path: 'a', was: 1, theirs: undefined, mine: 2 }]);
  });
  it('one thing or another is not mixed: a case that was changed is taken whole', () => {
    const fire = union('Fire', 'kind', {
      coal: group('Coal', { grate: count('Grate', 1, 9), doors: count('Doors', 1, 9) }),
      gas: group('Gas', { jet: count('Jet', 1, 9) })
    });
    const root = group('Engine', { fire, feeds: list('Feeds', 'Feed', group('Feed', { fire, name: text('Name', 1, 9) }), 0, 4) });
    const [coal, gas] = [
      { kind: 'coal', grate: 2, doors: 1 },
      { kind: 'gas', jet: 3 }
    ];
    expect(merge({ fire: coal }, { fire: gas }, { fire: { ...coal, grate: 4 } }, root).clashes).toMatchObject([
      { path: 'fire', theirs: gas }
    ]);
    expect(merge({ fire: coal }, { fire: { ...coal, doors: 2 } }, { fire: { ...coal, grate: 4 } }, root).document).toEqual({
      fire: { kind: 'coal', grate: 4, doors: 2 }
    });
    const feeds = (f: object) => ({ feeds: [{ name: 'x', fire: f }] });
    expect(merge(feeds(coal), feeds(gas), feeds({ ...coal, grate: 4 }), root).clashes).toMatchObject([{ path: 'feeds.0.fire' }]);
  });
  const document = fc.letrec<{ doc: unknown }>((tie) => ({
    doc: fc.oneof(
      { maxDepth: 3 },
      fc.integer({ min: 0, max: 3 }),
      fc.dictionary(fc.constantFrom('a', 'b', 'c'), tie('doc'), { noNullPrototype: true }),
      fc.array(fc.integer({ min: 0, max: 4 }), { maxLength: 3 })
    )
  })).doc;
  it('nobody’s change is lost when only one made any, and putting theirs at each clash leaves none', () => {
    fc.assert(
      fc.property(document, document, document, (a, b, c) => {
        expect(merge(a, b, a).document).toEqual(b);
        expect(merge(a, a, c).document).toEqual(c);
        expect(merge(a, b, b)).toMatchObject({ document: b, clashes: [] });
        const { document: mine, clashes } = merge(a, b, c);
        const settled = clashes.reduce((d, { path, theirs }) => put(d, path, theirs), mine);
        expect(merge(a, b, settled).clashes.filter((x) => clashes.some((y) => y.path === x.path))).toEqual([]);
      }),
      { numRuns: 500 }
    );
  });
});
