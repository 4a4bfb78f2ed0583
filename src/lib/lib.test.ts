import { checkEntry } from '$core/log/check';
import { plantOf } from '$core/boiler';
import { boilerShape, type FitOut, patterns } from '$core/engine';
import { checkFitOut } from '$core/engine/check';
import { fold } from '$core/log';
import { compose } from '$core/procedure';
import { dayNeeds, engineFigures, fillOf, type Given, startingSum } from '$core/sums';
import { psi, usualUnits } from '$core/units';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { chimneyOf, sectionOf } from './draw/section';
import { actionsOf, commonFaults } from './foot/quick-actions';
import { keys } from './foot/keys';
import { boilers } from './form/blank';
import { inTurn, ownTurn, turn } from './here/turn';
import { type EngineLine, plate, yardOrder } from './sheet/plate';
import { age, span, until } from './sheet/when';
import { workedText } from './sheet/worked-text';

// The club's clock comes with a page, and there is none here.
vi.mock('./sheet/club', () => ({ clubZone: () => 'UTC' }));
const t0 = Date.parse('2026-06-13T10:00:00Z');

describe('the boiler section is the boiler', () => {
  const [like] = patterns.filter((p) => p.fitOut.boiler.form === 'locomotive').map((p) => p.fitOut);
  const wide = { ...like!.boiler, wrapperWidth: 0.26, top: 'own', flues: { count: 2, diameter: 0.03, centre: 0.09 }, dome: 1e-3 };
  const drawn = [
    ...patterns.map((p) => [p.fitOut.name, p.fitOut] as const),
    ...Object.entries({ ...boilers, 'wide, with a dome': wide }).map(
      ([name, boiler]) => [name, { ...like!, boiler: boiler as FitOut['boiler'] }] as const
    )
  ];
  it.each(drawn)('%s: to the same heights, and nothing dry sticks out', (name, fitOut) => {
    if ('problems' in checkFitOut(fitOut))
      expect(checkFitOut(fitOut), name).toMatchObject({ problems: [{ path: expect.stringMatching(/^glasses/) }] });
    const section = sectionOf(fitOut.boiler);
    const shape = boilerShape(fitOut.boiler);
    expect(Math.max(...section.shell.map((r) => r.z + r.h))).toBeCloseTo(shape.roof, 9);
    expect(Math.min(...section.shell.map((r) => r.z))).toBeCloseTo(shape.bottom, 9);
    const inside = (x: number, z: number) =>
      section.shell.some((r) => x >= r.x - 1e-9 && x <= r.x + r.w + 1e-9 && z >= r.z - 1e-9 && z <= r.z + r.h + 1e-9);
    for (const r of [...section.dry, ...section.tubes])
      for (const [x, z] of [
        [r.x, r.z],
        [r.x + r.w, r.z],
        [r.x, r.z + r.h],
        [r.x + r.w, r.z + r.h]
      ] as const)
        expect(inside(x, z)).toBe(true);
    // The hottest metal that the sums use is the top of something drawn dry, or the pot's own side.
    if (fitOut.boiler.form !== 'pot') {
      const tops = (fitOut.boiler.form === 'vertical' ? section.dry : [...section.dry, ...section.tubes]).map((r) => r.z + r.h);
      expect(Math.max(...tops)).toBeCloseTo(shape.heated, 9);
    }
  });
});

describe('the chimney in the section', () => {
  const of = (name: string, more: object) => {
    const { fitOut } = patterns.find((p) => p.fitOut.name === name)!;
    return chimneyOf({ boiler: fitOut.boiler, fire: { ...fitOut.fire, ...more } as FitOut['fire'] });
  };
  it('stands as it was measured, before the barrel, over its nozzle; nothing that was not measured is drawn', () => {
    expect(of('Marsh Hen', {})).toBeUndefined();
    expect(of('Old Scoop', { chimney: 0.04 })).toBeUndefined();
    const { boiler } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!.fitOut;
    if (boiler.form !== 'locomotive') throw new Error('a locomotive');
    const one = of('Marsh Hen', { chimney: 0.05, nozzle: 0.006, chimneyBores: 1 })!;
    expect(one).toMatchObject({ bore: 0.05, bores: [boiler.wrapperLength + boiler.barrelLength + 0.05], nozzle: { bore: 0.006 } });
    expect(one.to).toBeCloseTo(boiler.barrelDiameter + 0.1, 9);
    const two = of('Marsh Hen', { chimney: 0.03, nozzle: null, chimneyBores: 2 })!;
    expect(two.bores[1]! - two.bores[0]!).toBeCloseTo(1.25 * 0.03, 9);
    expect(two.bores[0]! - 0.015).toBeGreaterThan(boiler.wrapperLength + boiler.barrelLength);
    expect(two.nozzle).toBeUndefined();
  });
});

describe('quick actions', () => {
  it.each(patterns.map((p) => [p.fitOut.name, p.fitOut] as const))(
    '%s: every touch makes an entry that is accepted, every key does one thing',
    (_, fitOut) => {
      const { state } = fold({ fitOut, procedure: compose(fitOut), keeper: 'W' }, []);
      const actions = actionsOf(fitOut, state, usualUnits);
      expect(new Set(actions.map((a) => a.key)).size).toBe(actions.length);
      for (const { key } of actions) expect(keys.map(([k]) => k.toLowerCase())).toContain(key);
      const touches = actions.flatMap((a) => ('touch' in a ? [a.touch] : 'choices' in a ? a.choices : []));
      expect(touches.length).toBeGreaterThan(5);
      for (const { kind, body, word } of touches)
        expect(checkEntry({ id: '00000000-0000-7000-8000-000000000001', kind, body, at: '2026-06-13T10:00:00Z' }), word).toHaveProperty(
          'entry'
        );
      expect(commonFaults(fitOut).length).toBeGreaterThanOrEqual(4);
    }
  );

  it('offers what fits: no coal on gas, no feed where there is none, the feed that runs is offered off', () => {
    const words = (name: string, state = {}) => {
      const { fitOut } = patterns.find((p) => p.fitOut.name === name)!;
      const folded = fold({ fitOut, procedure: compose(fitOut), keeper: 'W' }, []).state;
      return actionsOf(fitOut, { ...folded, ...state }, usualUnits);
    };
    expect(words('Old Scoop').map((a) => a.word)).not.toContain('Coal');
    expect(words('Water Rail').map((a) => a.word)).not.toContain('Feed');
    const feed = words('Little Bittern', { feeds: { Injector: { on: true, since: '', proven: true } } }).find((a) => a.word === 'Feed');
    expect(feed).toMatchObject({ on: true, more: 'Injector on' });
    expect(feed && 'choices' in feed && feed.choices.map((c) => c.word)).toEqual([
      'Axle pump: water to boiler',
      'Axle pump: water to both',
      'Axle pump: water to tank',
      'Tender hand pump on',
      'Tender hand pump: 10 strokes',
      'Tender hand pump: 20 strokes',
      'Tender hand pump: 50 strokes',
      'Injector off'
    ]);
  });
});

describe('the Yard’s plates', () => {
  const line = (more: Partial<EngineLine> = {}): EngineLine => ({
    id: 'x',
    name: 'X',
    description: '',
    scale: '',
    openFaults: [],
    papers: [{ kind: 'Boiler certificate', expires: '2027-06-01' }],
    running: null,
    planned: null,
    last: null,
    ...more
  });
  it.each<[string, Partial<EngineLine>, string, RegExp]>([
    ['nothing wrong', {}, '', /Boiler certificate due in 11 months/],
    ['a paper that runs out', { papers: [{ kind: 'Insurance', expires: '2026-06-20' }] }, 'caution', /Insurance runs out in 7 days/],
    ['a paper that ran out', { papers: [{ kind: 'Insurance', expires: '2026-06-12' }] }, 'act', /Insurance ran out yesterday/],
    ['no papers', { papers: [] }, 'act', /may not be steamed/],
    ['a fault that is a note', { openFaults: [{ text: 'A weep', forbids: 'nothing' }] }, '', /A weep \(note\)/],
    ['a fault against passengers', { openFaults: [{ text: 'A clack', forbids: 'passengers' }] }, 'caution', /not with passengers/],
    [
      'a proof that runs out',
      { proof: { what: 'Gauge comparison', day: '2026-06-20' } },
      'caution',
      /^Gauge comparison: runs out in 7 days/
    ],
    ['a proof that ran out', { proof: { what: 'Gauge comparison', day: '2026-06-12' } }, 'caution', /^Gauge comparison: ran out yesterday/],
    ['the last day of a paper', { papers: [{ kind: 'Insurance', expires: '2026-06-13' }] }, 'caution', /^Insurance last day today/],
    ['a proof not due yet', { proof: { what: 'Gauge comparison', day: '2026-08-20' } }, '', /Boiler certificate due/],
    [
      'what bars passengers before a proof',
      { proof: { what: 'Gauge comparison', day: '2026-06-12' }, openFaults: [{ text: 'A clack', forbids: 'passengers' }] },
      'caution',
      /^A clack/
    ],
    [
      'a bar before an old paper',
      { openFaults: [{ text: 'Plug weeps', forbids: 'steaming' }], papers: [{ kind: 'Insurance', expires: '2026-01-01' }] },
      'act',
      /May not be steamed: Plug weeps/
    ]
  ])('%s', (_, more, tone, need) =>
    expect(plate(line(more), undefined, usualUnits, t0)).toMatchObject({ tone, need: expect.stringMatching(need) })
  );

  it('in steam: phase, keeper, readings with their age, the worst warning first', () => {
    const steam = {
      id: 's',
      keeper: 'Wenna',
      phase: 'Run',
      phaseSince: '2026-06-13T09:00:00Z',
      litAt: '2026-06-13T08:00:00Z',
      pressure: { value: psi(88), at: '2026-06-13T09:56:00Z' },
      glass: { value: 0.5, at: '2026-06-13T09:59:40Z' },
      warnings: [],
      next: 'Last fire'
    };
    expect(plate(line(), steam, usualUnits, t0)).toMatchObject({
      state: 'In steam · Run',
      since: expect.stringMatching(/keeper Wenna\. 88\u2009psi 4 min ago, glass ½ just now/),
      need: 'Next: Last fire',
      tone: ''
    });
    expect(
      plate(
        line(),
        { ...steam, warnings: [{ rank: 'act now' as const, what: 'No water seen', first: 'Low-water drill.' }] },
        usualUnits,
        t0
      )
    ).toMatchObject({ tone: 'act', need: 'No water seen. Low-water drill.' });
  });

  it('order: in steam, then planned by time, then by the next paper; whatever order they come in', () => {
    const lines = [
      line({ name: 'D', papers: [{ kind: 'k', expires: '2027-01-01' }] }),
      line({ name: 'C', papers: [{ kind: 'k', expires: '2026-07-01' }] }),
      line({ name: 'B', planned: { id: '', wantedAt: '2026-06-13T12:00:00Z', purpose: '' } }),
      line({ name: 'A', running: { id: '', startedAt: '' } })
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(lines, { minLength: 4 }), (some) => {
        expect(
          [...some]
            .sort(yardOrder)
            .map((l) => l.name)
            .join('')
        ).toBe('ABCD');
      })
    );
  });
});

describe('words for time and figures', () => {
  it('ages, spans, days to go', () => {
    expect(age(t0 - 20_000, t0)).toBe('just now');
    expect(age(t0 - 5 * 60_000, t0)).toBe('5 min ago');
    expect(age(t0 - 125 * 60_000, t0)).toBe('2 h 5 min ago');
    expect(span(34 * 60)).toBe('0:34');
    expect(span(4 * 3600 + 10 * 60)).toBe('4:10');
    expect(until('2026-06-13', t0)).toBe('last day today');
    expect(until('2026-06-14', t0)).toBe('in 1 day');
  });
  it('every figure of every engine can be printed, in both systems', () => {
    const imperial = { pressure: 'bar', temperature: '°F', volume: 'gal', mass: 'lb', length: 'in' } as const;
    const figuresOf = (engine: Given) => [
      ...engineFigures(engine),
      ...dayNeeds(
        { running: 7200, fill: fillOf(startingSum(engine), engine.plant), runs: 1, duty: 'passengers', water: 284, air: 286 },
        engine
      )
    ];
    for (const { fitOut } of patterns)
      for (const { worked, key } of figuresOf({ fitOut, plant: plantOf(fitOut) }))
        for (const units of [usualUnits, imperial])
          for (const { value, kind } of [worked, ...worked.steps.flatMap((s) => [...s.inputs, s.result])])
            expect(workedText(value, kind, units), `${fitOut.name} ${key}`).not.toMatch(/NaN|undefined|Infinity/);
  });
});

describe('work in turn', () => {
  it('comes to what it comes to at once, and whoever asked meanwhile is answered first', async () => {
    const order: string[] = [];
    function* busy(): Generator<undefined, string> {
      // Longer than a piece, in any case.
      for (let i = 0; i < 3; i++) {
        const until = performance.now() + 8;
        while (performance.now() < until);
        order.push('worked');
        yield;
      }
      return 'done';
    }
    const asked = turn().then(() => order.push('answered'));
    expect(await inTurn(busy())).toBe('done');
    await asked;
    expect(order.indexOf('answered')).toBeLessThan(order.lastIndexOf('worked'));
    expect(order.filter((o) => o === 'worked')).toHaveLength(3);
  });
  it('each has a turn of its own, in the order in which they asked', async () => {
    const order: number[] = [];
    await Promise.all([1, 2, 3].map((n) => ownTurn().then(() => order.push(n))));
    expect(order).toEqual([1, 2, 3]);
  });
});
