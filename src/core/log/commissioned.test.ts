import { describe, expect, it } from 'vitest';
import { at, entry, fitOut as of, lit, type Made, pressure, steaming } from '../../../tests/made';
import { begunWith } from '../plan/begin';
import { fittingsOf, registerOf } from '../commission';
import { psi } from '../units';
import {
  carriedOver,
  type Context,
  type Entry,
  fold,
  isCommissioned,
  lacksProof,
  leftToTouch,
  mayNotEnter,
  picturedIn,
  placesOf,
  standing
} from '.';

const bittern = of('Little Bittern');
const wenna = { name: 'Wenna', may: () => true };
const cell = (m: number, item: string, where: 'cold' | 'air' | 'steam' | 'load', result: 'good' | 'not good' = 'good', more = {}): Made => [
  m,
  'cell',
  { item, in: where, result, ...more }
];
const sweep = (m: number, place: string, pounds: number, is: 'dry' | 'weeps' | 'disturbed' = 'dry', more = {}): Made => [
  m,
  'sweep',
  { place, at: psi(pounds), is, ...more }
];
const rig = (m: number, part: 'borrowed steam' | 'lever' | 'outside air', on = true, more = {}): Made => [
  m,
  'rig',
  { part, on, ...(on ? { for: 3600 } : {}), ...more }
];
const hose: Made = [0, 'thing', { thing: 'air hose', open: true }];
const asked = (made: Made[], more: Made) =>
  mayNotEnter({ ...entry(more, 900), by: 'Wenna' } as Entry, steaming('Little Bittern', made), wenna, at(more[0]));
const log = (made: Made[], begun: Partial<NonNullable<Context['begun']>> = {}) =>
  fold(
    { ...steaming('Little Bittern', []).context, begun: { public: false, feedsAsked: 2, faults: [], papers: [], ...begun } },
    made.map(entry)
  );

describe('what was tried is entered where it can be so', () => {
  it.each<[string, Made[], Made, boolean]>([
    ['air, with no air on', [], cell(1, 'Regulator', 'air'), false],
    ['air, by its hose', [hose], cell(1, 'Regulator', 'air'), true],
    ['air, by a rig', [rig(0, 'outside air')], cell(1, 'Regulator', 'air'), true],
    ['steam, not lit: a needle that air has moved', [hose, pressure(0, 30)], cell(1, 'Regulator', 'steam'), false],
    ['steam, lit and no needle', [lit], cell(1, 'Regulator', 'steam'), false],
    ['steam, lit and a needle from before', [pressure(0, 30), [1, 'fire', { act: 'light' }]], cell(2, 'Regulator', 'steam'), false],
    ['steam, lit and the needle on its pin', [lit, pressure(1, 2.9)], cell(2, 'Regulator', 'steam'), false],
    ['steam, lit and the needle up', [lit, pressure(1, 3.1)], cell(2, 'Regulator', 'steam'), true],
    ['steam, another boiler’s', [rig(0, 'borrowed steam', true, { of: 'Old Scoop' })], cell(1, 'Regulator', 'steam'), true],
    ['load, standing', [lit, pressure(1, 60)], cell(2, 'Regulator', 'load'), false],
    ['load, running', [lit, pressure(1, 60), [2, 'phase', { phase: 'Run' }]], cell(3, 'Regulator', 'load'), true],
    ['load, running with no steam', [[2, 'phase', { phase: 'Run' }]], cell(3, 'Regulator', 'load'), false],
    ['cold, at any time', [], cell(1, 'Regulator', 'cold'), true],
    ['a walk at 30 with no needle', [lit], sweep(1, 'Gauge union', 30), false],
    ['a walk at 30 at 28', [lit, pressure(1, 28)], sweep(2, 'Gauge union', 30), true],
    ['a walk at 30 at 60', [lit, pressure(1, 60)], sweep(2, 'Gauge union', 30), false],
    ['a walk at 40, where none is made', [lit, pressure(1, 40)], sweep(2, 'Gauge union', 40), false],
    [
      'a walk on another boiler’s steam, its needle not read',
      [rig(0, 'borrowed steam', true, { of: 'Old Scoop' })],
      sweep(1, 'Gland of cylinder 1', 30),
      false
    ],
    ['a place that is on no list', [lit, pressure(1, 30)], sweep(2, 'Oil pipe', 30), false],
    ['a place that is named', [lit, pressure(1, 30)], sweep(2, 'Oil pipe', 30, 'weeps', { kind: 'union' }), true],
    [
      'a place that was named before',
      [lit, pressure(1, 30), sweep(2, 'Oil pipe', 30, 'weeps', { kind: 'union' })],
      sweep(3, 'Oil pipe', 30),
      true
    ],
    ['taken apart, at any time', [], sweep(1, 'Gauge union', 0, 'disturbed'), true],
    ['steam of its own boiler', [], rig(1, 'borrowed steam', true, { of: 'little bittern' }), false],
    ['the same rig twice', [rig(0, 'lever')], rig(1, 'lever'), false]
  ])('%s', (_, made, more, goes) => expect(asked(made, more) === undefined).toBe(goes));

  it('a rig is off before it is left, unless it may stay until its time; with one on nobody is carried', () => {
    const sign: Made = [30, 'sign', { as: 'keeper', name: 'Wenna' }];
    expect(asked([rig(0, 'outside air')], sign)?.sentence).toContain('outside air is still on');
    expect(asked([rig(0, 'lever')], sign)).toBeUndefined();
    expect(asked([rig(0, 'lever')], [61, 'sign', { as: 'keeper', name: 'Wenna' }])?.sentence).toContain('was to be off by now');
    const { procedure } = log([]).context;
    const act = (what: 'carry' | 'move', made: Made[]) => {
      const step = { ...procedure.steps.find((s) => s.act === what)!, needs: [], gates: [] };
      const stands = standing(step, log(made).state, procedure, at(5));
      return stands.is === 'blocked' ? stands.because.join(' ') : '';
    };
    expect(act('carry', [])).toBe('');
    expect(act('carry', [rig(0, 'lever')])).toContain('Not with passengers: the temporary lever');
    expect(act('move', [rig(0, 'lever')])).toBe('');
    expect(act('move', [rig(0, 'outside air')])).toContain('outside air is still on');
  });
});

describe('what a step asks of it', () => {
  const lacks = (proof: Parameters<typeof lacksProof>[0], ...made: Made[]) => lacksProof(proof, log(made).state);
  it('an accumulation test run to its end', () => {
    const begins: Made = [1, 'accumulation', { act: 'begins', rule: 'code', over: 10, lasts: 180, error: 0 }];
    expect(lacks({ kind: 'accumulated' })).toContain('Begin it');
    expect(lacks({ kind: 'accumulated' }, begins)).toContain('under way');
    expect(lacks({ kind: 'accumulated' }, begins, [5, 'accumulation', { act: 'ends' }])).toBeUndefined();
  });
  it('what was taken apart said today, and not on another day', () => {
    expect(lacks({ kind: 'apart' })).toContain('which joints are new');
    expect(lacks({ kind: 'apart' }, sweep(1, 'Gauge union', 0, 'disturbed'))).toBeUndefined();
    const before = {
      cells: [],
      rigs: {},
      own: [],
      swept: [{ place: 'Gauge union', at: 0, is: 'disturbed' as const, when: '2026-01-01T00:00:00.000Z', by: 'Jory' }]
    };
    expect(lacksProof({ kind: 'apart' }, log([[1, 'note', { text: 'x' }]], { before }).state)).toBeDefined();
  });
  it('each fitting touched and good, each place walked past, a rig on or off', () => {
    const cells = { kind: 'cells', in: 'cold', items: ['Regulator', 'Reverser'] } as const;
    expect(lacks(cells)).toContain('not touched: regulator, reverser');
    expect(lacks(cells, cell(1, 'Regulator', 'cold'), cell(1, 'Reverser', 'cold', 'not good', { text: 'stiff' }))).toContain(
      'not good: reverser'
    );
    expect(lacks(cells, cell(1, 'Regulator', 'cold'), cell(1, 'Reverser', 'cold'))).toBeUndefined();
    const swept = { kind: 'swept', at: psi(30), names: ['Gauge union', 'Whistle valve'] } as const;
    expect(lacks(swept, sweep(1, 'Gauge union', 30))).toContain('1 of 2 places are left');
    expect(lacks(swept, sweep(1, 'Gauge union', 30), sweep(1, 'Whistle valve', 30, 'weeps'))).toBeUndefined();
    expect(lacks({ kind: 'rig', part: 'lever', on: true })).toBeDefined();
    expect(lacks({ kind: 'rig', part: 'lever', on: true }, rig(1, 'lever'))).toBeUndefined();
    expect(lacks({ kind: 'rig', part: 'lever', on: false }, rig(1, 'lever'))).toBeDefined();
  });
  it('is struck with the entry that said it', () => {
    const { state } = log([
      cell(1, 'Regulator', 'cold'),
      sweep(2, 'Gauge union', 0),
      rig(3, 'lever'),
      [4, 'strike', {}, 0],
      [5, 'strike', {}, 1],
      [6, 'strike', {}, 2]
    ]);
    expect([state.cells, state.swept, state.rigs]).toEqual([{}, [], {}]);
  });
});

describe('what earlier sessions showed', () => {
  const said = { at: '2026-06-01T10:00:00.000Z', by: 'Jory' };
  const own = [{ name: 'Oil pipe', kind: 'union', of: 'boiler', at: 'top' }] as const;
  const rigs = { lever: { part: 'lever', since: said.at, until: '2026-06-02T10:00:00.000Z', by: 'Jory' } } as const;
  const swept = [{ place: 'Firebox stays', at: psi(30), is: 'weeps', when: said.at, by: 'Jory' }] as const;
  const before = {
    built: true,
    cells: [{ item: 'Whistle', in: 'steam', result: 'not good', text: 'gargles', ...said }],
    swept,
    rigs,
    own
  } as const;
  const told = (b: NonNullable<NonNullable<Context['begun']>['before']>) =>
    begunWith(
      bittern,
      { public: false, feedsAsked: 2, faults: [], papers: [], before: b },
      { at: '2026-06-13T10:00:00.000Z', stops: [], left: [] }
    ).steps.find((s) => s.key === 'carried')!.known!.says;
  it('heads the next session once: what is on, what means stop, what was not good before what was not touched', () => {
    const says = told(before);
    expect(says[0]).toBe('temporary lever is on, and past its time');
    expect(says[1]).toMatch(/^Firebox stays: weeps at .*It means stop/);
    expect(says[2]).toBe('Whistle, in steam: not good, gargles');
    expect(says.filter((s) => s.startsWith('Whistle')).length).toBe(1);
    expect(says.some((s) => /untested/.test(s))).toBe(true);
    expect(carriedOver(log([], { before })).some((c) => /Whistle|lever/.test(c.what) && c.how !== 'not done')).toBe(false);
  });
  it('asks for no matrix of an engine that is not being built', () => {
    const { built: _, ...earlier } = before;
    const swept = { ...earlier, cells: [] };
    expect(told(swept).some((s) => /untested/.test(s))).toBe(false);
    expect(isCommissioned(log([], { before: swept }))).toBe(false);
    expect(isCommissioned(log([], { before }))).toBe(true);
    expect(isCommissioned(log([cell(1, 'Regulator', 'cold')]))).toBe(true);
    expect(isCommissioned(log([], { occasion: 'air' }))).toBe(true);
    expect(leftToTouch(log([]))).toEqual([]);
  });
  it('of a chassis on air asks for nothing of the boiler, and knows every place that was named', () => {
    const left = leftToTouch(log([], { occasion: 'air', before }));
    const boiler = new Set(
      fittingsOf(bittern)
        .filter((f) => f.of === 'boiler')
        .map((f) => f.name)
    );
    expect(left.length).toBeGreaterThan(0);
    expect(left.some((l) => boiler.has(l.item))).toBe(false);
    const places = placesOf(log([sweep(1, 'Drain pipe', 0, 'weeps', { kind: 'union' })], { before }));
    expect(places).toEqual(expect.arrayContaining(['Oil pipe', 'Drain pipe', 'Whistle', ...registerOf(bittern).map((p) => p.name)]));
    expect(new Set(places).size).toBe(places.length);
  });
});

describe('what a place is held against', () => {
  const photo = (m: number, sum: string, more: object): Made => [m, 'photo', { sum: sum.repeat(64), what: 'Dome joint', ...more }];
  it('is its picture of today, or the one that the session began with; never one of no place, nor of a fault', () => {
    const today = [photo(0, '1', {}), photo(1, '2', { place: 'Dome joint', fault: 'x' }), photo(2, '3', { place: 'Dome joint' })];
    expect(picturedIn(log(today)).get('Dome joint')).toMatchObject({ sum: '3'.repeat(64), by: 'Wenna' });
    expect(picturedIn(log(today)).size).toBe(1);
    const pictured = [{ place: 'Dome joint', sum: '0'.repeat(64), what: 'Dome joint', at: '2020-01-01T00:00:00.000Z', by: 'Jory' }];
    const before = { cells: [], swept: [], rigs: {}, own: [], pictured };
    expect(picturedIn(log(today, { before })).get('Dome joint')?.by).toBe('Jory');
    expect(picturedIn(log([sweep(0, 'Dome joint', 0, 'disturbed')], { before })).size).toBe(0);
  });
});
