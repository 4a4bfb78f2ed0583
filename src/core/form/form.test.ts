import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../units';
import { joiOf, problemsOf } from './joi';
import {
  choice,
  count,
  expectation,
  type Field,
  fieldAt,
  flag,
  glass,
  group,
  list,
  maybe,
  number,
  oneWord,
  optional,
  quantity,
  text,
  texts,
  union,
  upcast
} from '.';

const takes = (field: Field, document: unknown) => joiOf(field).validate(document).error === undefined;
const wrong = (field: Field, document: unknown) =>
  problemsOf(field, joiOf(field).validate(document, { abortEarly: false }).error!, document);

const pump = group('Pump', { bore: quantity('Bore', 'length', 0.004, 0.05), strokes: count('Strokes', 1, 400) });
const injector = group('Injector', { from: maybe(quantity('Works from', 'pressure', 0, 2e6)) });
const feed = union('Feed', 'kind', { pump, injector });
const engine = group('Engine', {
  name: text('Name', 1, 8),
  remarks: text('Remarks', 0, 5),
  colour: oneWord('Colour', ['green', 'black']),
  bell: flag('Bell'),
  share: number('Share', 0, 1),
  feeds: list('Feeds', 'Feed', group('A feed', { feed }), 1, 2),
  fills: optional(texts('Fills', 1, 2, 10)),
  level: optional(glass('Level')),
  kind: choice('Kind', { tank: 'tank engine', road: 'road engine' })
});
const good = {
  name: 'Snipe',
  remarks: '',
  colour: 'green',
  bell: false,
  share: 0.5,
  feeds: [{ feed: { kind: 'pump', bore: 0.008, strokes: 300 } }],
  kind: 'tank'
};

describe('what a field takes, at its edges', () => {
  it.each<[string, Field, readonly unknown[], readonly unknown[]]>([
    ['quantity', quantity('Bore', 'length', 0.004, 0.05), [0.004, 0.05, 0.05 + 1e-12], [0.0039, 0.0501, null, undefined, '']],
    ['maybe a quantity', maybe(quantity('Bore', 'length', 0.004, 0.05)), [null, 0.01], [undefined, 0]],
    ['number', number('Share', 0, 1), [0, 1, 0.5], [-0.01, 1.01, NaN, Infinity]],
    ['count', count('Strokes', 1, 4), [1, 4], [0, 5, 1.5]],
    ['choice', choice('Kind', { tank: 'tank engine' }), ['tank'], ['tank engine', '', undefined, 'toString']],
    ['flag', flag('Bell'), [true, false], ['true', 1, undefined]],
    ['text', text('Name', 2, 4), ['ab', ' abcd '], ['a', 'abcde', '', 7]],
    ['text that may be empty', text('Remarks', 0, 2), ['', 'ab'], ['abc', undefined, null]],
    ['texts', texts('Fills', 1, 2, 3), [['a'], ['abc', 'b']], [[], ['a', 'b', 'c'], ['abcd'], ['']]],
    ['glass', glass('Level'), [0, 1, 0.5, 'bottom nut', 'top nut', 'not seen'], [-0.1, 1.1, 'half', undefined]],
    ['left out', optional(flag('Bell')), [undefined, true], [null]],
    ['list', list('Feeds', 'Feed', pump, 1, 2), [[{ bore: 0.01, strokes: 1 }]], [[], [{}], [1, 2, 3], 'pump']],
    [
      'union',
      feed,
      [{ kind: 'injector', from: null }],
      [{ kind: 'pump' }, { kind: 'bottle' }, {}, { kind: 'injector', from: null, bore: 1 }]
    ]
  ])('%s', (_, field, yes, no) => {
    for (const document of yes) expect(takes(field, document), JSON.stringify(document)).toBe(true);
    for (const document of no) expect(takes(field, document), JSON.stringify(document)).toBe(false);
  });
  it('a group takes what it describes and no other key, one of those it needs, and a field only with its fellow', () => {
    expect(takes(engine, good)).toBe(true);
    expect(takes(engine, { ...good, colour_: 'green' })).toBe(false);
    const reading = group(
      'Reading',
      {
        pressure: optional(number('Pressure', 0, 9)),
        glass: optional(number('Glass', 0, 1)),
        at: optional(maybe(quantity('Taken at', 'pressure', 0, 9)))
      },
      { oneOf: ['pressure', 'glass'], together: { glass: 'at' } }
    );
    expect([{ pressure: 1 }, { glass: 1, at: null }, { glass: 1, at: 3, pressure: 2 }].map((d) => takes(reading, d))).toEqual([
      true,
      true,
      true
    ]);
    expect([{}, { at: 3 }, { glass: 1 }].map((d) => takes(reading, d))).toEqual([false, false, false]);
    expect(wrong(reading, {})).toEqual([{ path: '', sentence: 'Reading: give at least one of pressure, glass.' }]);
    expect(wrong(reading, { glass: 1 })).toEqual([{ path: '', sentence: 'Glass: give with it “Taken at”, or null when it is not known.' }]);
  });
});

describe('what is wrong, and where', () => {
  it.each([
    [{ name: '' }, 'name', 'Name: write 1 to 8 characters.'],
    [{ remarks: 'too long' }, 'remarks', 'Remarks: at most 5 characters.'],
    [{ colour: 'red' }, 'colour', 'Colour: choose one of green, black.'],
    [{ kind: 'ship' }, 'kind', 'Kind: choose one of tank engine, road engine.'],
    [{ bell: 'yes' }, 'bell', 'Bell: say yes or no.'],
    [{ share: 2 }, 'share', 'Share: give a number between 0 and 1.'],
    [{ level: 'half' }, 'level', 'Level: give a fraction of the glass from 0 to 1, “bottom nut”, “top nut” or “not seen”.'],
    [{ fills: [] }, 'fills', 'Fills: 1 to 2 sentences of at most 10 characters.'],
    [{ feeds: [] }, 'feeds', 'Feeds: 1 to 2 of these.'],
    [{ feeds: [{ feed: { kind: 'bottle' } }] }, 'feeds.0.feed', 'Feed: choose one of Pump, Injector.'],
    [
      { feeds: [{ feed: { kind: 'pump', bore: 0.01, strokes: 1.5 } }] },
      'feeds.0.feed.strokes',
      'Strokes: give a whole number between 1 and 400.'
    ],
    [{ feeds: [{ feed: { kind: 'pump', bore: 1, strokes: 5 } }] }, 'feeds.0.feed.bore', 'Bore: give a length between 4 mm and 50 mm.'],
    [{ feeds: [{}] }, 'feeds.0.feed', 'Feed: choose one of Pump, Injector.'],
    [{ colours: 'green' }, 'colours', 'There is no “colours” in engine: check its spelling or leave it out.']
  ])('%j at %s', (change, path, sentence) => expect(wrong(engine, { ...good, ...change })).toEqual([{ path, sentence }]));
  it('is said in the words of the nearest thing that is described', () => {
    expect(fieldAt(engine, ['feeds', 0, 'feed', 'bore'], good)).toBe(pump.fields.bore);
    expect(fieldAt(engine, ['feeds', 'first'], good)).toBe(engine.fields.feeds);
    expect(fieldAt(engine, ['feeds', 0, 'feed', 'kind'], good)).toBe(feed);
    expect(fieldAt(engine, ['feeds', 0, 'feed', 'bore'], {})).toBe(feed);
    expect(fieldAt(engine, ['nothing', 'here'], null)).toBe(engine);
    expect(fieldAt(engine, ['name', 'first'], good)).toBe(engine.fields.name);
    expect(expectation(pump)).toBe('Pump is missing.');
    expect(expectation(list('Glasses', 'Glass', pump, 2, 2))).toBe('Glasses: 2 of these.');
    expect(expectation(quantity('Coal', 'mass', 0, 10))).toMatch(/^Coal: give a weight between 0/);
  });
  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.anything(), (document) => {
        const { error } = joiOf(engine).validate(document, { abortEarly: false });
        for (const { sentence } of error ? problemsOf(engine, error, document) : []) expect(sentence).toMatch(/\.$/);
      })
    );
  });
});

describe('a document of an earlier version', () => {
  const ladder = [
    { from: 'thing/1', to: 'thing/2', up: (d: Record<string, unknown>) => ({ ...d, two: true }) },
    { from: 'thing/2', to: 'thing/3', up: (d: Record<string, unknown>, given: number) => ({ ...d, three: given }) }
  ];
  const up = (document: unknown) => upcast<Record<string, unknown>, number>(document, { at: 'format', today: 'thing/3', ladder, given: 7 });
  it('climbs rung by rung, as far as it has to', () => {
    expect(up({ format: 'thing/1', a: 1 })).toEqual({ format: 'thing/3', a: 1, two: true, three: 7 });
    expect(up({ format: 'thing/2' })).toEqual({ format: 'thing/3', three: 7 });
    const today = { format: 'thing/3' };
    expect(up(today)).toBe(today);
  });
  it('is refused when nobody knows its version', () => {
    expect(() => up({ format: 'thing/4' })).toThrow(Refusal);
    expect(() => up({})).toThrow('format: this is “undefined”, and what is read here is “thing/3” or older.');
  });
});
