import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { patterns } from '../engine';
import { psi } from '../units';
import {
  buildBars,
  type BuildEntry,
  type BuildFacts,
  buildOf,
  buildRefused,
  buildStands,
  buries,
  type Cell,
  cellRefused,
  cellsFrom,
  cellsLeft,
  baselinesOf,
  condensed,
  conditionKeys,
  fittingsOf,
  isBuilding,
  isOn,
  judgePlace,
  judgeSweep,
  type Leak,
  leaks,
  leftWords,
  notSwept,
  overdue,
  type Pictured,
  registerOf,
  type RigSaid,
  rigRefused,
  type Rigs,
  rigsStay,
  rigWords,
  type Swept,
  sweptIn,
  walkRefused,
  walksOf,
  withRig
} from '.';

const of = (name: string) => patterns.find((p) => p.fitOut.name === name)!.fitOut;
const [bittern, snipe, tin, rail, scoop, hen] = ['Little Bittern', 'Snipe', 'Tin Heron', 'Water Rail', 'Old Scoop', 'Marsh Hen'].map(
  of
) as [
  ReturnType<typeof of>,
  ReturnType<typeof of>,
  ReturnType<typeof of>,
  ReturnType<typeof of>,
  ReturnType<typeof of>,
  ReturnType<typeof of>
];
const t = (minute: number) => new Date(Date.parse('2026-06-13T10:00:00Z') + minute * 60_000).toISOString();
const cell = (item: string, condition: Cell['in'], result: Cell['result'] = 'good', minute = 0, more: Partial<Cell> = {}): Cell => ({
  item,
  in: condition,
  result,
  at: t(minute),
  by: 'Jory',
  ...more
});
const swept = (place: string, at: number, is: Swept['is'], minute = 0): Swept => ({ place, at: psi(at), is, when: t(minute), by: 'Jory' });

describe('the rows of the matrix', () => {
  it('are of what the engine has, two of a kind as two rows', () => {
    const names = fittingsOf(hen).map((f) => f.name);
    expect(names).toContain('Safety valve 1');
    expect(names).toContain('Safety valve 2');
    expect(new Set(names).size).toBe(names.length);
    expect(fittingsOf(tin).map((f) => f.name)).not.toContain('Pressure gauge');
    expect(fittingsOf(tin).map((f) => f.name)).toContain('Relief valve');
    expect(fittingsOf(rail).some((f) => f.name.startsWith('Gauge glass'))).toBe(false);
    expect(fittingsOf(scoop).filter((f) => f.name.startsWith('Burner')).length).toBe(2);
  });
  it('know where each is proven: an injector never on air, drains that steam works not without it, and said why', () => {
    const row = (f: typeof hen, name: string) => fittingsOf(f).find((x) => x.name === name)!;
    for (const p of patterns)
      for (const f of p.fitOut.feeds.filter((x) => x.plumbed)) expect(row(p.fitOut, f.name).in, f.name).not.toContain('air');
    const steamed = { ...hen, cylinders: { ...hen.cylinders, drains: 'steam' as const } };
    expect(row(steamed, 'Drains of cylinder 1').in).toEqual(['steam', 'load']);
    expect(row(steamed, 'Drains of cylinder 1').note).toMatch(/no fault until it has been seen/);
    expect(row({ ...hen, cylinders: { ...hen.cylinders, drains: 'hand' } }, 'Drains of cylinder 1').note).toBeUndefined();
    expect(row(hen, 'Regulator').in).toEqual(['cold', 'air', 'steam', 'load']);
    expect(row(hen, 'Steam brake').in).toEqual(['steam', 'load']);
  });
});

describe('a cell', () => {
  const rows = fittingsOf(snipe);
  const refused = (said: Parameters<typeof cellRefused>[0], before: readonly Cell[] = [], can: string | undefined = undefined) =>
    cellRefused(said, cellsFrom(before), rows, () => can);
  it('is of a fitting that it has, in a condition that it is judged in and that there is', () => {
    expect(refused({ item: 'Bell', in: 'cold', result: 'good' })).toMatch(/no “Bell”/);
    expect(refused({ item: 'Whistle', in: 'cold', result: 'good' })).toBe('Whistle is not judged cold: it is in steam.');
    expect(refused({ item: 'Whistle', in: 'steam', result: 'good' }, [], 'no steam')).toBe('no steam');
    expect(refused({ item: 'Whistle', in: 'steam', result: 'good' })).toBeUndefined();
  });
  it('is not passed twice differently but with what was done since; what is not good is said in words', () => {
    const bad = cell('Whistle', 'steam', 'not good', 0, { text: 'gargles' });
    expect(refused({ item: 'Whistle', in: 'steam', result: 'good' }, [bad])).toMatch(
      /was found not good in steam by Jory: say what was done since/
    );
    expect(refused({ item: 'Whistle', in: 'steam', result: 'good', since: ' ' }, [bad])).toBeDefined();
    expect(refused({ item: 'Whistle', in: 'steam', result: 'good', since: 'drained' }, [bad])).toBeUndefined();
    expect(refused({ item: 'Whistle', in: 'steam', result: 'not good', text: 'still' }, [bad])).toBeUndefined();
    expect(refused({ item: 'Whistle', in: 'steam', result: 'not good' })).toBe('Say what is not good about whistle.');
  });
  it('as it was said last is what counts, in whatever order they came; what is left says so, not good first', () => {
    const cells = [
      cell('Regulator', 'cold', 'not good', 0, { text: 'stiff' }),
      cell('Regulator', 'cold', 'good', 5),
      cell('Reverser', 'cold', 'not good', 1)
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(cells, { minLength: 3 }), (order) => {
        const left = cellsLeft(rows, cellsFrom(order), ['cold']);
        expect(left[0]).toMatchObject({ item: 'Reverser', how: 'not good' });
        expect(left.some((l) => l.item === 'Regulator')).toBe(false);
      })
    );
    const all = cellsLeft(rows, {}, conditionKeys);
    expect(all.length).toBe(rows.reduce((n, r) => n + r.in.length, 0));
    expect(leftWords(cellsLeft(rows, cellsFrom(cells), ['cold']).slice(0, 2))).toMatch(/^cold: reverser, /);
  });
});

describe('the register', () => {
  it('has every place once, of what there is: no tubes in a pot, no glass where none is, gas joints by name; the owner’s beside them', () => {
    for (const { fitOut } of patterns) {
      const names = registerOf(fitOut).map((p) => p.name);
      expect(new Set(names).size, fitOut.name).toBe(names.length);
      expect(
        names.some((n) => n.startsWith('Top fitting')),
        fitOut.name
      ).toBe(fitOut.glasses.length > 0);
      expect(names.includes('Gauge union')).toBe(fitOut.gauge);
      if (fitOut.fire.with === 'gas') for (const j of fitOut.fire.joints) expect(names).toContain(j.name);
    }
    expect(registerOf(tin).some((p) => p.kind === 'tube')).toBe(false);
    expect(registerOf(bittern).some((p) => p.kind === 'tube')).toBe(true);
    const own = { name: 'Lubricator union', kind: 'union', of: 'boiler', at: 'top' } as const;
    expect(registerOf(bittern, [own, own]).filter((p) => p.name === 'Lubricator union').length).toBe(1);
    expect(registerOf(bittern, [{ ...own, name: 'Gauge union' }]).length).toBe(registerOf(bittern).length);
  });
});

describe('the sweep', () => {
  it('walks cold, at 30 and 50 psi where working pressure is well above, and at working pressure', () => {
    expect(walksOf(bittern)).toEqual([0, psi(30), psi(50), bittern.workingPressure]);
    expect(walksOf({ workingPressure: psi(58), gauge: true })).toEqual([0, psi(30), psi(58)]);
    expect(walksOf({ workingPressure: psi(34), gauge: true })).toEqual([0, psi(34)]);
    expect(walksOf(tin)).toEqual([0, tin.workingPressure]);
  });
  it('is said of the pressure that the needle shows now: of none under it and none over it; cold of a cold one; without a gauge of a lit one', () => {
    const now = Date.parse(t(10));
    const needle = (value: number, minute = 9) => ({ value: psi(value), at: t(minute) });
    const walks = walksOf(bittern);
    const refused = (at: number, needle: { value: number; at: string } | undefined, more = {}) =>
      walkRefused(at, walks, { needle, gauge: true, lit: true, ...more }, now);
    expect(refused(psi(30), undefined)).toMatch(/Log the needle first/);
    expect(refused(psi(30), needle(30, -1))).toMatch(/Log the needle first/);
    expect(refused(psi(30), needle(30, 0))).toBeUndefined();
    expect(refused(psi(30), needle(26))).toMatch(/the walk at .* is made when it is there/);
    expect(refused(psi(30), needle(27.5))).toBeUndefined();
    expect(refused(psi(30), needle(44))).toBeUndefined();
    expect(refused(psi(30), needle(46))).toMatch(/that is the walk at/);
    expect(refused(walks.at(-1)!, needle(95))).toBeUndefined();
    expect(refused(0, needle(31))).toMatch(/that is the walk at/);
    expect(refused(0, needle(20))).toBeUndefined();
    expect(refused(0, undefined, { lit: false })).toBeUndefined();
    expect(refused(0, undefined)).toMatch(/There is fire in it/);
    const tins = walksOf(tin);
    const without = (at: number, lit: boolean) => walkRefused(at, tins, { needle: undefined, gauge: false, lit }, now);
    expect([without(0, false), without(tins[1]!, true)]).toEqual([undefined, undefined]);
    expect(without(tins[1]!, false)).toMatch(/no fire in it/);
  });
  const judge = (kind: Parameters<typeof judgePlace>[0]['kind'], ...said: Swept[]) => judgePlace({ name: 'x', kind }, said);
  it.each<[string, [number, Leak][], string, boolean]>([
    [
      'gland',
      [
        [0, 'dry'],
        [30, 'dry'],
        [80, 'dry']
      ],
      'dry',
      false
    ],
    [
      'union',
      [
        [30, 'weeps'],
        [50, 'dry'],
        [80, 'dry']
      ],
      'takes up',
      false
    ],
    [
      'union',
      [
        [30, 'drips'],
        [80, 'weeps']
      ],
      'takes up',
      false
    ],
    [
      'union',
      [
        [30, 'weeps'],
        [80, 'weeps']
      ],
      'stays',
      false
    ],
    [
      'union',
      [
        [30, 'weeps'],
        [80, 'drips']
      ],
      'grows',
      false
    ],
    [
      'union',
      [
        [30, 'weeps'],
        [80, 'blows']
      ],
      'grows',
      true
    ],
    [
      'bush',
      [
        [30, 'weeps'],
        [80, 'weeps']
      ],
      'stays',
      false
    ],
    [
      'bush',
      [
        [30, 'weeps'],
        [80, 'drips']
      ],
      'grows',
      true
    ],
    [
      'tube',
      [
        [30, 'dry'],
        [80, 'weeps']
      ],
      'grows',
      true
    ],
    [
      'tube',
      [
        [30, 'weeps'],
        [80, 'dry']
      ],
      'takes up',
      false
    ],
    ['tube', [[80, 'weeps']], 'once', false],
    ['tube', [[80, 'blows']], 'once', true],
    ['seam', [[80, 'weeps']], 'once', true],
    [
      'stay',
      [
        [0, 'weeps'],
        [80, 'weeps']
      ],
      'stays',
      true
    ],
    ['plug', [[30, 'weeps']], 'once', true],
    ['gas', [[0, 'weeps']], 'once', true],
    [
      'gland',
      [
        [30, 'drips'],
        [80, 'blows']
      ],
      'grows',
      false
    ],
    [
      'union',
      [
        [0, 'dry'],
        [30, 'weeps'],
        [50, 'weeps']
      ],
      'stays',
      false
    ],
    [
      'tube',
      [
        [0, 'dry'],
        [30, 'weeps']
      ],
      'once',
      false
    ],
    [
      'tube',
      [
        [0, 'dry'],
        [30, 'dry'],
        [50, 'weeps']
      ],
      'grows',
      true
    ],
    [
      'union',
      [
        [30, 'weeps'],
        [50, 'drips'],
        [80, 'dry']
      ],
      'grows',
      false
    ]
  ])('%s %j: %s, stops %s', (kind, said, trend, stops) => {
    const judged = judge(kind as 'gland', ...said.map(([at, is], i) => swept('x', at, is, i)))!;
    expect(judged).toMatchObject({ trend, stops });
  });
  it('sees what grows from one steaming to the next at the same needle, and forgets what was before it was taken apart', () => {
    const twice = [swept('x', 80, 'weeps', 0), swept('x', 80, 'drips', 9000)];
    expect(judge('tube', ...twice)).toMatchObject({ trend: 'grows', stops: true });
    expect(judge('tube', swept('x', 80, 'drips', 0), swept('x', 80, 'weeps', 9000))).toMatchObject({ trend: 'once' });
    const apart = [...twice, swept('x', 0, 'disturbed', 9001)];
    expect(judge('tube', ...apart)).toBeUndefined();
    expect(notSwept(['x'], apart, psi(80))).toEqual(['x']);
    expect(sweptIn(apart, 'x', psi(80))).toBeUndefined();
    expect(judge('tube', ...apart, swept('x', 80, 'dry', 9002))).toMatchObject({ trend: 'dry', stops: false });
    expect(notSwept(['x', 'y'], twice, psi(80))).toEqual(['y']);
    expect(notSwept(['x'], twice, psi(30))).toEqual(['x']);
  });
  it('says the same of what is condensed, whatever was said in whatever order, and in no more than two words a pressure', () => {
    const said = fc.array(
      fc.tuple(
        fc.constantFrom('Gauge union', 'Firebox stays'),
        fc.constantFrom(0, 30, 80),
        fc.constantFrom<Swept['is']>('dry', 'weeps', 'drips', 'blows', 'disturbed')
      ),
      { maxLength: 30 }
    );
    fc.assert(
      fc.property(said, (list) => {
        const all = list.map(([place, at, is], i) => swept(place, at, is, i));
        const few = condensed(all);
        expect(judgeSweep(registerOf(snipe), few)).toEqual(judgeSweep(registerOf(snipe), all));
        expect(few.length).toBeLessThanOrEqual(12);
        for (const at of [0, 30, 80])
          expect(notSwept(['Gauge union', 'Firebox stays'], few, psi(at))).toEqual(
            notSwept(['Gauge union', 'Firebox stays'], all, psi(at))
          );
      })
    );
  });
  it('holds a place against its first picture since it was taken apart, with what the walk before it had found', () => {
    const pictured = (place: string, sum: string, minute: number): Pictured => ({
      ...{ place, sum, what: place, by: 'A' },
      at: swept(place, 0, 'dry', minute).when
    });
    const said = [swept('Gauge union', 0, 'dry', 0), swept('Gauge union', 30, 'weeps', 4), swept('Gauge union', 0, 'disturbed', 10)];
    const early = [pictured('Gauge union', 'b', 5), pictured('Gauge union', 'a', 2), pictured('Dome joint', 'd', 1)];
    const held = (pictures: Parameters<typeof baselinesOf>[0], list = said) => baselinesOf(pictures, list).get('Gauge union');
    expect(held(early, said.slice(0, 2))).toEqual({ ...pictured('Gauge union', 'a', 2), found: { is: 'dry', at: psi(0) } });
    expect(held(early)).toBeUndefined();
    expect(held([pictured('Gauge union', 'x', 10)])).toBeUndefined();
    // It was taken apart, and has not been walked past since.
    expect(held([...early, pictured('Gauge union', 'c', 11)])).toEqual(pictured('Gauge union', 'c', 11));
    expect(baselinesOf(early, said).get('Dome joint')?.sum).toBe('d');
    // What shows a fault shows what became of the place.
    expect(held([{ ...pictured('Gauge union', 'f', 1), fault: 'x' }, ...early], said.slice(0, 2))?.sum).toBe('a');
    // What was known of it when it was carried over stays so, whatever few words are left of the walks.
    const carried = { ...pictured('Gauge union', 'a', 2), found: { is: 'drips', at: 7 } } as const;
    expect(held([carried], said.slice(0, 2))).toEqual(carried);
  });
  it('shows first what means stop, then the worst; a dry place never stops', () => {
    const said = [swept('Gauge union', 80, 'drips'), swept('Firebox stays', 80, 'weeps'), swept('Regulator gland', 80, 'weeps')];
    expect(judgeSweep(registerOf(snipe), said).map((j) => j.place)).toEqual(['Firebox stays', 'Gauge union', 'Regulator gland']);
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...(Object.keys(leaks) as Leak[])), { minLength: 1, maxLength: 4 }), (list) => {
        const judged = judge('seam', ...list.map((is, i) => swept('x', i * 20, is, i)))!;
        expect(judged.stops).toBe(list.at(-1) !== 'dry');
        expect(judged.by.length).toBe(list.length);
      })
    );
  });
});

describe('rigs', () => {
  const put = (said: Partial<RigSaid> = {}): RigSaid => ({ part: 'borrowed steam', on: true, of: 'Old Scoop', for: 1500, ...said });
  const on = (...said: RigSaid[]) => said.reduce<Rigs>((r, s) => withRig(r, s, { at: t(0), by: 'Jory' }), {});
  it('have an end, a name and somebody’s boiler; none is put on twice, none taken off that is not on', () => {
    expect(rigRefused(put(), {})).toBeUndefined();
    expect(rigRefused(put({ of: ' ' }), {})?.field).toBe('body.of');
    const { for: _, ...endless } = put();
    expect(rigRefused(endless, {})?.sentence).toMatch(/by when it must be off/);
    expect(rigRefused(put({ for: 4 * 3600 + 1 }), {})?.field).toBe('body.for');
    expect(rigRefused(put({ for: 4 * 3600 }), {})).toBeUndefined();
    expect(rigRefused(put(), on(put()))?.sentence).toMatch(/on already/);
    expect(rigRefused(put({ which: 'at the dome' }), on(put()))).toBeUndefined();
    expect(rigRefused(put({ on: false }), {})?.sentence).toMatch(/none is on/);
    expect(rigRefused(put({ on: false }), on(put()))).toBeUndefined();
    expect(on(put(), put({ on: false }))).toEqual({});
  });
  it('are late after their time, and do not stay when the engine is left: steam and air never, a lever until its time', () => {
    const rigs = on(put(), { part: 'lever', which: 'on the whistle', on: true, for: 3600 });
    expect(isOn(rigs, 'lever') && isOn(rigs, 'borrowed steam') && !isOn(rigs, 'blank')).toBe(true);
    expect(overdue(rigs, Date.parse(t(24)))).toEqual([]);
    expect(overdue(rigs, Date.parse(t(26))).map(rigWords)).toEqual(['hose to another boiler, Old Scoop']);
    expect(rigsStay(rigs, Date.parse(t(1)))).toEqual(['The hose to another boiler, Old Scoop is still on: off before it is left.']);
    expect(rigsStay(rigs, Date.parse(t(61)))[1]).toMatch(/temporary lever on the whistle was to be off/);
    expect(rigsStay(on(put({ part: 'outside air' })), Date.parse(t(1))).length).toBe(1);
  });
});

describe('a build', () => {
  const empty: BuildFacts = {
    fitOut: snipe,
    has: 'chassis',
    sessions: [],
    cells: {},
    swept: [],
    own: [],
    rigs: {},
    sheets: [],
    faults: [],
    papers: [],
    skipped: {}
  };
  const rows = fittingsOf(snipe);
  const all = (c: Cell['in']) => rows.filter((r) => r.in.includes(c)).map((r) => cell(r.name, c));
  const session = (occasion: BuildFacts['sessions'][number]['occasion'], accumulation?: 'stayed under' | 'over' | 'too close') => ({
    id: occasion,
    occasion,
    endedAt: t(0),
    ...(accumulation ? { accumulation } : {})
  });
  const wp = snipe.workingPressure;
  const boiler = registerOf(snipe).filter((p) => p.of === 'boiler');
  const dry: Swept[] = boiler.map((p) => ({ ...swept(p.name, 0, 'dry'), at: wp }));
  const whole: BuildFacts = {
    ...empty,
    sessions: [session('air'), session('borrowed'), session('first', 'stayed under'), session('running'), session('running')],
    cells: cellsFrom(conditionKeys.flatMap(all)),
    swept: dry,
    sheets: [{ id: 's', sheet: 'hydraulic', verdict: 'within', signedBy: 'Hesper' }],
    papers: ['Boiler certificate']
  };
  const stage = (facts: BuildFacts, key: string) => buildStands(facts).find((s) => s.key === key)!;
  it('passes every stage by its evidence, and none without: whatever one of it is taken away', () => {
    expect(buildStands(whole).map((s) => s.is)).toEqual(Array(7).fill('passed'));
    expect(buildStands(empty).every((s) => s.is === 'open' && s.lacks.length)).toBe(true);
    const without = (occasion: string) => ({ ...whole, sessions: whole.sessions.filter((s) => s.occasion !== occasion) });
    expect(stage(without('air'), 'air').is).toBe('open');
    expect(stage(without('borrowed'), 'borrowed').is).toBe('open');
    expect(stage(without('first'), 'first').lacks).toEqual(['No signed first steaming.']);
    expect(stage({ ...whole, sessions: whole.sessions.slice(0, 4) }, 'run in').lacks[0]).toMatch(/once/);
    for (const c of rows.flatMap((r) => r.in.map((k) => [r, k] as const))) {
      const cells = Object.fromEntries(Object.entries(whole.cells).filter(([, x]) => !(x.item === c[0].name && x.in === c[1])));
      expect(
        buildStands({ ...whole, cells }).some((s) => s.is === 'open'),
        `${c[0].name} ${c[1]}`
      ).toBe(true);
    }
  });
  it('takes a hydraulic test within its rules and signed, and no other', () => {
    const sheet = (verdict: string, signedBy: string | null) =>
      stage({ ...whole, sheets: [{ id: 's', sheet: 'hydraulic', verdict, signedBy }] }, 'hydraulic');
    expect(sheet('not within', 'Hesper').lacks[0]).toMatch(/not within the rules/);
    expect(sheet('within', null).lacks[0]).toMatch(/waits for the examiner/);
    expect(sheet('within', 'Hesper').is).toBe('passed');
    // The newest counts, whatever an older one came to.
    const two = [
      { id: 'b', sheet: 'hydraulic', verdict: 'not within', signedBy: null },
      { id: 'a', sheet: 'hydraulic', verdict: 'within', signedBy: 'Hesper' }
    ];
    expect(stage({ ...whole, sheets: two }, 'hydraulic').is).toBe('open');
    expect(stage({ ...whole, sheets: two.toReversed() }, 'hydraulic').is).toBe('passed');
    expect(stage({ ...whole, sheets: [{ id: 's', sheet: 'gauge', verdict: 'within', signedBy: 'H' }] }, 'hydraulic').lacks[0]).toMatch(
      /No hydraulic/
    );
  });
  it('takes no first steaming that was not swept, with a leak that means stop, or whose accumulation was not under by the number', () => {
    expect(stage({ ...whole, swept: dry.slice(1) }, 'first').lacks[0]).toMatch(/Not swept at working pressure/);
    const weeps = [...dry, { ...swept('Firebox stays', 0, 'weeps', 5), at: wp }];
    expect(stage({ ...whole, swept: weeps }, 'first').lacks[0]).toMatch(/Firebox stays.*It means stop/);
    expect(stage({ ...whole, swept: weeps }, 'engine').is).toBe('open');
    const test = (accumulation?: 'over' | 'too close') => stage({ ...whole, sessions: [session('first', accumulation)] }, 'first').lacks[0];
    expect(test()).toMatch(/No accumulation test/);
    expect(test('over')).toMatch(/over its limit/);
    expect(test('too close')).toMatch(/too close to call/);
    const then = [session('first', 'stayed under'), session('running', 'over')];
    expect(stage({ ...whole, sessions: then }, 'first').lacks[0]).toMatch(/The last accumulation test went over/);
    expect(stage({ ...whole, sessions: then.toReversed() }, 'first').is).toBe('passed');
  });
  it('is not ticketed with no certificate in date, a fault that forbids steaming, or a rig on', () => {
    expect(stage({ ...whole, papers: ['Insurance'] }, 'ticketed').lacks[0]).toMatch(/No boiler certificate/);
    expect(
      stage(
        {
          ...whole,
          faults: [
            { text: 'plug weeps', forbids: 'steaming' },
            { text: 'paint', forbids: 'nothing' }
          ]
        },
        'ticketed'
      ).lacks
    ).toEqual(['Open fault: plug weeps.']);
    const rigs = withRig({}, { part: 'lever', on: true, for: 60 }, { at: t(0), by: 'Jory' });
    expect(stage({ ...whole, rigs }, 'ticketed').lacks[0]).toMatch(/temporary lever is still on/);
  });
  it('bars what comes too soon: no own fire before the hydraulic test, no running before the first, nobody carried before all of it', () => {
    const bars = (facts: BuildFacts, occasion: Parameters<typeof buildBars>[1], open = false) =>
      buildBars(buildStands(facts), occasion, open).length;
    expect(bars(empty, 'air')).toBe(0);
    expect(bars(empty, 'wash-out')).toBe(0);
    expect([
      bars(empty, 'borrowed'),
      bars(empty, 'first'),
      bars(empty, 'steam test'),
      bars(empty, 'running'),
      bars(empty, 'running', true)
    ]).toEqual([1, 1, 1, 2, 7]);
    expect(bars(whole, 'running', true)).toBe(0);
    expect(bars({ ...whole, papers: [] }, 'running', true)).toBe(1);
    expect(bars({ ...whole, papers: [] }, 'running')).toBe(0);
  });
  it('of a boiler alone has no stage of a chassis; what would hide a leak is not to be fitted', () => {
    expect(buildStands({ ...empty, has: 'boiler' }).map((s) => s.key)).toEqual(['hydraulic', 'first', 'engine', 'run in', 'ticketed']);
    const lagged = { ...snipe, shell: { ...snipe.shell, lagged: true } };
    const said = [swept('Seams of the shell', 30, 'weeps')];
    expect(buries({ fitOut: lagged, own: [], swept: said })).toEqual([
      { part: 'the cladding', place: 'Seams of the shell', how: expect.stringContaining('weeps') }
    ]);
    expect(buries({ fitOut: lagged, own: [], swept: [...said, swept('Seams of the shell', 50, 'dry', 1)] })).toEqual([]);
  });
  it('leaves out with a reason only what may be left out, and is passed by evidence all the same', () => {
    const skipped = { air: { reason: 'no compressor', by: 'Jory', at: t(0) } };
    expect(stage({ ...empty, skipped }, 'air')).toMatchObject({ is: 'left out', why: 'no compressor (Jory)' });
    expect(stage({ ...whole, skipped }, 'air').is).toBe('passed');
    expect(stage({ ...empty, skipped: { first: skipped.air } }, 'first').is).toBe('open');
  });

  const any = () => true;
  const begun: BuildEntry = { kind: 'begun', body: { has: 'chassis' }, at: t(0), by: 'Jory' };
  it('is begun, left out of, stopped and released by those who may, and no other way', () => {
    const build = buildOf([begun])!;
    const stands = buildStands(empty);
    const said = (
      e: Parameters<typeof buildRefused>[0],
      may: Parameters<typeof buildRefused>[3] = any,
      with_ = stands,
      b: typeof build | undefined = build
    ) => buildRefused(e, b, with_, may)?.field;
    expect(isBuilding(build)).toBe(true);
    expect(said({ kind: 'begun', body: { has: 'chassis' } })).toBe('kind');
    expect(buildRefused({ kind: 'begun', body: { has: 'chassis' } }, undefined, [], any)).toBeUndefined();
    expect(buildRefused({ kind: 'begun', body: { has: 'chassis' } }, undefined, [], () => false)?.field).toBe('kind');
    expect(said({ kind: 'skipped', body: { stage: 'air', reason: '' } })).toBe('reason');
    expect(said({ kind: 'skipped', body: { stage: 'air', reason: 'none to hand' } })).toBeUndefined();
    expect(said({ kind: 'skipped', body: { stage: 'hydraulic', reason: 'in a hurry' } })).toBe('stage');
    expect(said({ kind: 'skipped', body: { stage: 'air', reason: 'x' } }, (r) => r !== 'edit engines')).toBe('kind');
    expect(said({ kind: 'stopped', body: { reason: 'sold' } }, (r) => r !== 'override')).toBe('kind');
    expect(said({ kind: 'stopped', body: { reason: 'sold' } })).toBeUndefined();
    expect(said({ kind: 'released', body: { note: 'seen', left: [] } })).toBe('kind');
    const passed = buildStands(whole);
    expect(said({ kind: 'released', body: { note: 'seen', left: [] } }, any, passed)).toBeUndefined();
    expect(said({ kind: 'released', body: { note: ' ', left: [] } }, any, passed)).toBe('note');
    expect(said({ kind: 'released', body: { note: 'seen', left: [] } }, (r) => r !== 'sign as examiner', passed)).toBe('kind');
    const ended = buildOf([begun, { kind: 'released', body: { note: 'seen', left: [] }, at: t(1), by: 'Hesper' }])!;
    expect(isBuilding(ended)).toBe(false);
    expect(said({ kind: 'skipped', body: { stage: 'air', reason: 'x' } }, any, passed, ended)).toBe('kind');
    expect(isBuilding(buildOf([begun, { kind: 'stopped', body: { reason: 'sold' }, at: t(1), by: 'J' }, { ...begun, at: t(2) }]))).toBe(
      true
    );
    expect(buildOf([begun, { kind: 'skipped', body: { stage: 'air', reason: 'x' }, at: t(1), by: 'J' }])?.skipped.air?.reason).toBe('x');
  });
});
