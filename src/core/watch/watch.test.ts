import { describe, expect, it } from 'vitest';
import { type FitOut, patterns } from '../engine';
import { add, type Bodies, type Context, type Entry, fold, type Kind, standing, tickRefused, waitsFor } from '../log';
import { compose } from '../procedure';
import { psi } from '../units';
import { drills, due, glance, lowWater, nextGlance, warnings } from '.';

const fitOut = (name: string): FitOut => patterns.find((p) => p.fitOut.name === name)!.fitOut;
const t0 = Date.parse('2026-06-13T10:00:00.000Z');
type Made = { [K in Kind]: [minute: number, kind: K, body: Bodies[K], strikes?: number] }[Kind];
const id = (i: number) => `00000000-0000-7000-8000-${String(i).padStart(12, '0')}`;
const entry = ([minute, kind, body, strikes]: Made, i: number): Entry =>
  ({
    id: id(i),
    kind,
    body,
    at: new Date(t0 + minute * 60_000).toISOString(),
    by: 'Wenna',
    source: 'person',
    ...(strikes === undefined ? {} : { strikes: id(strikes) })
  }) as Entry;
const at = (minute: number) => t0 + minute * 60_000;

function steaming(name: string, made: Made[]) {
  const f = fitOut(name);
  const context: Context = { fitOut: f, procedure: compose(f), keeper: 'Wenna' };
  return fold(context, made.map(entry));
}
const lit: Made = [0, 'fire', { act: 'light' }];
const glass = (minute: number, level: Bodies['reading']['glass']): Made => [minute, 'reading', { glass: level, glassAt: psi(60) }];
const pressure = (minute: number, value: number): Made => [minute, 'reading', { pressure: psi(value) }];

describe('warnings: few, ranked, each with its first action', () => {
  // Little Bittern: 90 psi, lowest ¼, ceiling ¾, looked at every three minutes.
  it.each<[string, Made[], number, string[]]>([
    ['a healthy engine', [lit, glass(1, 0.5), pressure(1, 60)], 2, []],
    ['no water seen', [lit, glass(1, 'not seen')], 2, ['no water']],
    ['in the bottom nut', [lit, glass(1, 'bottom nut')], 2, ['no water']],
    ['no water seen, but no fire either', [glass(1, 'not seen')], 2, []],
    ['a tenth over', [lit, glass(1, 0.5), pressure(1, 100)], 2, ['over pressure']],
    ['just inside a tenth over, nothing lifted', [lit, glass(1, 0.5), pressure(1, 98)], 2, ['no lift']],
    ['the same, the valve seen to lift', [lit, glass(1, 0.5), pressure(1, 98), [1, 'lift', { valve: 1, lifted: psi(91) }]], 2, []],
    ['at its lowest running level', [lit, glass(1, 0.25)], 2, ['low']],
    ['over the ceiling', [lit, glass(1, 0.8)], 2, ['high']],
    ['in the top nut', [lit, glass(1, 'top nut')], 2, ['high']],
    ['not looked at for its interval', [lit, glass(1, 0.5)], 4.5, ['glance']],
    ['feeding wants looking sooner', [lit, glass(1, 0.5), [1, 'feed', { feed: 'Injector', on: true, to: 'boiler' }]], 3.5, ['glance']],
    ['feeding the tank does not', [lit, glass(1, 0.5), [1, 'feed', { feed: 'Axle pump', on: true, to: 'tank' }]], 3.5, []],
    ['a struck reading is as good as none', [lit, glass(1, 0.5), glass(1.2, 'not seen'), [1.5, 'strike', {}, 2]], 2, []],
    [
      'the regulator open with a bore plugged',
      [lit, glass(1, 0.5), [1, 'thing', { thing: 'plug', open: true }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      2,
      ['plug']
    ],
    [
      'moving off with the drains open',
      [lit, glass(1, 0.5), [1, 'valve', { valve: 'drains', open: 1 }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      2,
      []
    ],
    [
      'moving long with the drains open',
      [lit, glass(12, 0.5), [1, 'valve', { valve: 'drains', open: 1 }], [1, 'valve', { valve: 'regulator', open: 0.2 }]],
      12.5,
      ['drains']
    ],
    [
      'passengers on one proven feed',
      [
        lit,
        glass(1, 0.5),
        [1, 'phase', { phase: 'Run' }],
        [1, 'feed', { feed: 'Injector', on: false, proven: true }],
        [1, 'tick', { step: 'passengers', outcome: 'done' }]
      ],
      2,
      ['feeds']
    ],
    [
      'passengers on two',
      [
        lit,
        glass(1, 0.5),
        [1, 'phase', { phase: 'Run' }],
        [1, 'tick', { step: 'feeds-proven', outcome: 'done' }],
        [1, 'tick', { step: 'prove-injectors', outcome: 'done' }],
        [1, 'tick', { step: 'passengers', outcome: 'done' }]
      ],
      2,
      []
    ],
    ['after the fire is out nothing is asked', [lit, glass(1, 0.1), [2, 'fire', { act: 'out' }]], 30, []]
  ])('%s', (_, made, minute, keys) => {
    const { state, context } = steaming('Little Bittern', made);
    const found = warnings(context.fitOut, state, at(minute));
    expect(found.map((w) => w.key)).toEqual(keys);
    for (const w of found) {
      expect(w.first).toMatch(/\.$/);
      expect(Date.parse(w.since)).toBeLessThanOrEqual(at(minute));
    }
  });

  it('the worst comes first', () => {
    const { state, context } = steaming('Little Bittern', [lit, glass(1, 'not seen'), pressure(1, 105)]);
    expect(warnings(context.fitOut, state, at(9)).map((w) => w.rank)).toEqual(['act now', 'act now', 'look']);
  });

  const found = (key: string, made: Made[], minute = 2, change: Partial<FitOut> = {}) => {
    const { state, context } = steaming('Little Bittern', made);
    return warnings({ ...context.fitOut, ...change }, state, at(minute)).find((w) => w.key === key);
  };

  it('says which of two it is: no water seen, or water in the nut', () => {
    expect(found('no water', [lit, glass(1, 'not seen')])!.what).toBe('No water seen in the glass');
    expect(found('no water', [lit, glass(1, 'bottom nut')])!.what).toContain('in the bottom nut');
  });

  it('over pressure asks to feed only where the glass shows water', () => {
    expect(found('over pressure', [lit, glass(1, 0.5), pressure(1, 100)])!.first).toContain('Feed: the glass shows water');
    for (const made of [
      [lit, pressure(1, 100)],
      [lit, glass(1, 'not seen'), pressure(1, 100)]
    ] as Made[][])
      expect(found('over pressure', made)!.first).not.toContain('Feed');
    // Exactly a tenth over is not more than a tenth.
    expect(found('over pressure', [lit, pressure(1, 99)])).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 99)])).toBeDefined();
  });

  it('a valve that should have lifted is asked about by the lowest that is set, and not when blowing off was seen', () => {
    const valves = (...set: number[]) => ({
      safetyValves: set.map((p) => ({ ...fitOut('Little Bittern').safetyValves[0]!, set: psi(p) }))
    });
    expect(found('no lift', [lit, pressure(1, 91)], 2, valves(85, 90))!.what).toContain('Over {pressure:');
    expect(found('no lift', [lit, pressure(1, 91)], 2, valves(90, 90))).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 88)], 2, valves(90, 90))).toBeUndefined();
    expect(found('no lift', [lit, pressure(1, 97), [1, 'observation', { seen: 'blowing off' }]])).toBeUndefined();
    // A valve that was only seen to reseat is not one that was seen to lift.
    expect(found('no lift', [lit, pressure(1, 97), [1, 'lift', { valve: 1, reseated: psi(86) }]])).toBeDefined();
  });

  it('the ceiling itself is not over it, and the drains’ time runs from whichever came later', () => {
    expect(found('high', [lit, glass(1, 0.75)])).toBeUndefined();
    expect(found('high', [lit, glass(1, 0.76)])).toBeDefined();
    const drains: Made = [1, 'valve', { valve: 'drains', open: 1 }];
    const regulator = (minute: number, open: number): Made => [minute, 'valve', { valve: 'regulator', open }];
    const late = (made: Made[], minute: number) => found('drains', [lit, glass(minute - 0.5, 0.5), ...made], minute);
    expect(late([drains, regulator(8, 0.2)], 12)).toBeUndefined();
    expect(late([drains, regulator(8, 0.2)], 18)).toBeUndefined();
    expect(late([drains, regulator(8, 0.2)], 18.1)).toBeDefined();
    expect(late([drains, regulator(1, 0)], 30)).toBeUndefined();
    expect(late([drains], 30)).toBeUndefined();
    expect(found('plug', [lit, [1, 'thing', { thing: 'plug', open: true }], regulator(1, 0)])).toBeUndefined();
  });

  it('a fed engine is named its feeds as it has them, proven or not, while it runs with passengers', () => {
    const riding: Made[] = [lit, glass(1, 0.5), [1, 'tick', { step: 'passengers', outcome: 'done' }]];
    const run: Made = [1, 'phase', { phase: 'Run' }];
    expect(found('feeds', riding)).toBeUndefined();
    expect(found('feeds', [...riding, run])!.what).toBe('No feed proven today');
    expect(found('feeds', [...riding, run, [1, 'feed', { feed: 'Injector', on: false, proven: true }]])!.what).toBe(
      'Only one feed proven today: injector'
    );
    // One feed is all that there is: one proven is enough. A bottle and a feed that is not plumbed in are none.
    const { feeds } = fitOut('Little Bittern');
    const one = feeds.filter((f) => f.name === 'Injector');
    const other = feeds.find((f) => f.name !== 'Injector')!;
    const proven: Made[] = [...riding, run, [1, 'feed', { feed: 'Injector', on: false, proven: true }]];
    for (const more of [[], [{ ...other, plumbed: false }], [{ ...other, kind: 'bottle' as const }]])
      expect(found('feeds', proven, 2, { feeds: [...one, ...more] })).toBeUndefined();
    expect(
      found('feeds', [...riding.slice(0, 2), [1, 'tick', { step: 'passengers', outcome: 'skipped', reason: 'none' }], run])
    ).toBeUndefined();
  });

  it('a glance is asked for when its interval is over and not at its end, by the match where nothing was read, and never after the end', () => {
    expect(found('glance', [lit, glass(1, 0.5)], 4)).toBeUndefined();
    expect(found('glance', [lit, glass(1, 0.5)], 4.01)!.since).toBe(new Date(at(1)).toISOString());
    expect(found('glance', [lit], 3.1)!.since).toBe(new Date(at(0)).toISOString());
    const ended: Made[] = [lit, glass(1, 0.5), [2, 'fire', { act: 'out' }], [3, 'sign', { as: 'keeper', name: 'Wenna' }]];
    const { state, context } = steaming('Little Bittern', ended);
    expect(warnings(context.fitOut, state, at(60))).toEqual([]);
    const tin = steaming('Tin Heron', []).context.fitOut;
    expect(glance[tin.size]).toBe(180_000);
  });

  it('low water names a feed that works at this pressure, and the next', () => {
    const first = (made: Made[], change: Partial<FitOut> = {}) => found('low', made, 2, change)!.first;
    const { feeds } = fitOut('Little Bittern');
    const feed = (name: string, more: Partial<FitOut['feeds'][number]>) => ({ ...feeds.find((f) => f.name === name)!, ...more });
    const low: Made[] = [lit, glass(1, 0.2), pressure(1, 60)];
    expect(first(low, { feeds: [feed('Injector', { from: psi(60) })] })).toBe('Feed now: injector.');
    for (const unable of [{ from: psi(61) }, { plumbed: false }, { kind: 'bottle' as const }])
      expect(first(low, { feeds: [feed('Injector', { from: 0, ...unable })] })).toBe(
        'No feed on this engine works at this pressure: fire down.'
      );
    // Standing still a pump that needs turning is the second choice, wherever it stands in the list.
    expect(first(low, { feeds: [feed('Axle pump', { from: 0 }), feed('Injector', { from: 0 })] })).toBe(
      'Feed now: injector; if it will not, axle pump.'
    );
    expect(first(low, { feeds: [feed('Axle pump', { from: 0 })] })).toBe('Feed now: axle pump.');
    expect(first([lit, glass(1, 0.2)], { feeds: [feed('Injector', { from: psi(40) })] })).toContain('fire down');
    expect(first([lit, glass(1, 0.2), pressure(1, 20)])).toBe('Feed now: tender hand pump; if it will not, axle pump.');
    expect(first([lit, glass(1, 0.2), pressure(1, 60)])).toMatch(/^Feed now: tender hand pump/);
  });
});

describe('glances', () => {
  it.each<[string, number]>([
    ['Little Bittern', 3],
    ['Marsh Hen', 5],
    ['Eelcatcher', 10]
  ])('%s: every %i minutes while there is fire', (name, minutes) => {
    const { state, context } = steaming(name, [lit, glass(1, 0.5)]);
    expect(glance[context.fitOut.size]).toBe(minutes * 60_000);
    expect(nextGlance(context.fitOut, state)).toBe(at(1 + minutes));
  });
  it('not before the match, nor where there is no glass', () => {
    expect(nextGlance(fitOut('Marsh Hen'), steaming('Marsh Hen', [glass(1, 0.5)]).state)).toBeUndefined();
    expect(nextGlance(fitOut('Water Rail'), steaming('Water Rail', [lit]).state)).toBeUndefined();
  });
});

describe('gates and what is due', () => {
  const { procedure } = steaming('Little Bittern', []).context;
  const step = (key: string) => procedure.steps.find((s) => s.key === key)!;

  it('a step opens on a reading, not before, and says what it waits for', () => {
    const gate = step('changeover').gates[0]!;
    const cold = steaming('Little Bittern', [lit]);
    expect(waitsFor(gate, cold.state, procedure, at(1))).toMatch(/^opens at \{pressure:206842\.7\}$/);
    expect(waitsFor(gate, steaming('Little Bittern', [lit, pressure(20, 29)]).state, procedure, at(20))).toBeDefined();
    expect(waitsFor(gate, steaming('Little Bittern', [lit, pressure(20, 30)]).state, procedure, at(20))).toBeUndefined();
  });

  it('a step opens after its minutes', () => {
    const log = steaming('Little Bittern', [[0, 'tick', { step: 'match', outcome: 'done' }]]);
    const gate = step('alight').gates[0]!;
    expect(waitsFor(gate, log.state, procedure, at(1))).toBe('opens in 2 min');
    expect(waitsFor(gate, log.state, procedure, at(3))).toBeUndefined();
    expect(waitsFor(gate, steaming('Little Bittern', []).state, procedure, at(3))).toContain('after “Light it”');
  });

  it('a skip with a reason lets the next go on, but not past one that must be done', () => {
    const skipped = (key: string) => steaming('Little Bittern', [[0, 'tick', { step: key, outcome: 'skipped', reason: 'no' }]]).state;
    expect(standing(step('gauge-agrees'), skipped('valve-lifts'), procedure, at(1))).toMatchObject({ is: 'blocked' });
    expect(standing(step('lubricator-on'), skipped('warm-through'), procedure, at(1))).toMatchObject({ is: 'open' });
  });

  it('what stands open forbids what it must, and closing it lets it go on', () => {
    const ready: Made[] = ['fill', 'valves-fitted', 'water-and-valves', 'fire-kit', 'plug-in'].map((key): Made => [
      0,
      'tick',
      { step: key, outcome: 'done' }
    ]);
    const out = steaming('Little Bittern', [...ready, [1, 'thing', { thing: 'valve', open: true }]]);
    expect(standing(step('match'), out.state, procedure, at(2))).toEqual({
      is: 'blocked',
      because: ['A safety valve is out: no fire before it is back.']
    });
    const back = add(out, entry([2, 'thing', { thing: 'valve', open: false }], 99));
    expect(standing(step('match'), back.state, procedure, at(3))).toEqual({ is: 'open' });
  });

  it('now is the first open step of the phase; what earlier phases left undone is missed; chores fill the waits', () => {
    const fresh = due(procedure, steaming('Little Bittern', []).state, at(0));
    expect(fresh.now?.step.key).toBe('papers');
    const raising = steaming('Little Bittern', [
      lit,
      [1, 'phase', { phase: 'Raise' }],
      [2, 'tick', { step: 'alight', outcome: 'done' }],
      [3, 'tick', { step: 'fire-up', outcome: 'done' }]
    ]);
    const plan = due(procedure, raising.state, at(4));
    expect(plan.now?.step.chore).toBe(true);
    expect(plan.missed.map((p) => p.step.phase)).toContain('Look over');
    const hot = add(raising, entry([5, 'reading', { pressure: psi(31) }], 98));
    expect(due(procedure, hot.state, at(5)).now?.step.key).toBe('needle');
  });

  it('what comes next is the rest of this phase and the later ones, in order; only what must be done comes back from an earlier one', () => {
    const keys = (list: readonly { step: { key: string } }[]) => list.map((p) => p.step.key);
    const of = (phase: string) => procedure.steps.filter((s) => s.phase === phase);
    const fresh = due(procedure, steaming('Little Bittern', [[0, 'tick', { step: 'papers', outcome: 'done' }]]).state, at(0));
    const rest = keys(procedure.steps.map((step) => ({ step }))).filter((k) => k !== 'papers' && k !== fresh.now!.step.key);
    expect(keys(fresh.next)).toEqual(rest);
    expect(fresh.missed).toEqual([]);
    const inRaise = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Raise' }]]).state, at(0));
    expect(inRaise.phase).toBe('Raise');
    expect(keys(inRaise.missed)).toEqual(
      keys(procedure.steps.filter((s) => ['Look over', 'Fill and oil', 'Light up'].includes(s.phase)).map((step) => ({ step })))
    );
    expect(keys(inRaise.next).some((k) => keys(inRaise.missed).includes(k))).toBe(false);
    // Everything of the phase settled: now is what must be done of an earlier phase, not what may be left.
    const settled = of('Put away').map((s): Made => [1, 'tick', { step: s.key, outcome: 'done' }]);
    const last = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Put away' }], ...settled]).state, at(2));
    expect(last.now?.step.must).toBe(true);
    expect(last.now?.step.phase).not.toBe('Put away');
    expect(last.missed.length).toBeGreaterThan(1);
    const musts = procedure.steps
      .filter((s) => s.must && s.phase !== 'Put away')
      .map((s): Made => [1, 'tick', { step: s.key, outcome: 'done' }]);
    const free = due(procedure, steaming('Little Bittern', [[0, 'phase', { phase: 'Put away' }], ...settled, ...musts]).state, at(2));
    expect(free.now).toBeUndefined();
    expect(free.next).toEqual([]);
  });

  it('evidence is a young reading with water in it, a lift, or nothing', () => {
    /** The step by itself: nothing else is in its way. */
    const need = (made: Made[], key: string, minute: number) => {
      const s = standing({ ...step(key), needs: [], gates: [] }, steaming('Little Bittern', made).state, procedure, at(minute));
      return s.is === 'lacking' ? s.lacks : undefined;
    };
    expect(need([], 'fill', 0)).toContain('Log the glass');
    expect(need([glass(0, 0.4)], 'fill', 1)).toBeUndefined();
    expect(need([glass(0, 0.4)], 'fill', 6)).toContain('Log the glass');
    expect(need([glass(0, 'bottom nut')], 'water-and-valves', 1)).toContain('water is not seen');
    expect(need([glass(0, 'top nut')], 'fill-last', 1)).toBeUndefined();
    expect(need([[0, 'lift', { valve: 1, reseated: psi(86) }]], 'valve-lifts', 1)).toContain('Log the lift');
    expect(need([[0, 'lift', { valve: 1, lifted: psi(90) }]], 'valve-lifts', 1)).toBeUndefined();
    expect(need([], 'papers', 1)).toBeUndefined();
    expect(need([], 'start-temperature', 1)).toContain('Log the temperature');
    expect(need([[0, 'reading', { temperature: 285 }]], 'start-temperature', 1)).toBeUndefined();
  });

  it('a tick meets one rule however it is made: its evidence, its gate, its order, and whether it may be skipped at all', () => {
    const tick = (made: Made[], body: Bodies['tick'], minute = 1) =>
      tickRefused(body, steaming('Little Bittern', made).state, procedure, at(minute));
    const done = (key: string): Bodies['tick'] => ({ step: key, outcome: 'done' });
    const skipped = (key: string): Bodies['tick'] => ({ step: key, outcome: 'skipped', reason: 'no need' });
    expect(tick([], done('fill'))).toContain('Log the glass');
    expect(tick([glass(0, 0.4)], done('fill'))).toBeUndefined();
    expect(tick([glass(0, 0.4)], done('match'))).toMatch(/^Not yet\. first: /);
    expect(tick([lit], done('changeover'))).toMatch(/first: Light it/);
    expect(tick([lit, [0, 'tick', done('match')]], done('changeover'))).toMatch(/^Not yet: opens at/);
    expect(tick([], skipped('match'))).toContain('not one to skip');
    expect(tick([], skipped('plug-out'))).toContain('not one to skip');
    expect(tick([], skipped('papers'))).toBeUndefined();
    expect(tick([[0, 'tick', done('papers')]], done('papers'))).toContain('done already');
    // Skipped, it may be done after all; done, it is not skipped.
    expect(tick([[0, 'tick', skipped('papers')]], done('papers'))).toBeUndefined();
    expect(tick([[0, 'tick', done('papers')]], skipped('papers'))).toContain('done already');
    expect(tick([], done('fly'))).toContain('no step');
  });

  it('a tick that the log does not bear out is kept, and marked with what it lacked', () => {
    const { steps } = steaming('Little Bittern', [
      [0, 'tick', { step: 'fill', outcome: 'done' }],
      glass(1, 0.4),
      [2, 'tick', { step: 'valves-fitted', outcome: 'done' }]
    ]).state;
    expect(steps.fill).toMatchObject({ outcome: 'done', against: expect.stringContaining('Log the glass') });
    expect(steps['valves-fitted']).not.toHaveProperty('against');
  });
});

describe('the drills', () => {
  it('low water asks whether water can be seen before anything is done, and No never feeds', () => {
    expect(drills[0]).toBe(lowWater);
    expect(lowWater.question!.ask).toBe('Can you see water in the glass?');
    const [yes, no] = lowWater.question!.answers;
    expect(yes!.steps[0]).toMatch(/^Feed now/);
    expect(no!.steps[0]).toBe('Do not feed.');
    expect(no!.steps.slice(1).join(' ')).not.toMatch(/feed/i);
  });
  it.each(drills.map((d) => [d.title, d] as const))('%s: short steps, in order, without shouting', (_, drill) => {
    const steps = drill.steps ?? drill.question!.answers.flatMap((a) => a.steps);
    expect(steps.length).toBeGreaterThan(1);
    for (const s of steps) expect(s).toMatch(/^[A-Z].{2,80}\.$/);
  });
});
