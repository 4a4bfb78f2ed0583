import { describe, expect, it } from 'vitest';
import { tell } from '../../../demo/story';
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

  it('low water names a feed that works at this pressure, and the next', () => {
    const first = (made: Made[]) => {
      const { state, context } = steaming('Little Bittern', made);
      return warnings(context.fitOut, state, at(2)).find((w) => w.key === 'low')!.first;
    };
    expect(first([lit, glass(1, 0.2), pressure(1, 20)])).toBe('Feed now: tender hand pump; if it will not, axle pump.');
    expect(first([lit, glass(1, 0.2), pressure(1, 60)])).toMatch(/^Feed now: tender hand pump/);
  });

  it('in ordinary steamings an alarm comes less than once a quarter of an hour, and never "act now"', () => {
    for (const { fitOut: f } of patterns) {
      let [hours, begun] = [0, 0];
      for (let seed = 1; seed <= 3; seed++) {
        const told = tell(f, { seed, keeper: 'Wenna', begins: t0, running: 45 });
        let log = fold(told.context, []);
        let standing = new Set<string>();
        for (const e of told.entries) {
          log = add(log, e);
          const now = warnings(f, log.state, Date.parse(e.at));
          expect(now.filter((w) => w.rank === 'act now')).toEqual([]);
          begun += now.filter((w) => !standing.has(w.key)).length;
          standing = new Set(now.map((w) => w.key));
        }
        const { litAt, outAt } = log.state.fire;
        hours += (Date.parse(outAt!) - Date.parse(litAt!)) / 3.6e6;
      }
      expect(begun / hours, f.name).toBeLessThan(4);
    }
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
