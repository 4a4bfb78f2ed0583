import { describe, expect, it } from 'vitest';
import { plantOf, usualFill } from '../boiler';
import { type FitOut, inSteamAt, patterns } from '../engine';
import { compose } from '../procedure';
import { startingSum } from '../sums';
import { type DayPlan, kitFor, planRaise, schedule, type Task, usualPlan, withFill } from '.';
import { checkPlan } from './check';
import { canWait } from './cuts';
import { gateBand, pressuresOf } from './raising';
import { runsOf } from './runs';
import { certain, handsAt, tasksOf } from './tasks';
import { classHeating } from '../forecast';

/** The parts that a sheet is made of, each by hand at its edges. */

const patternOf = (name: string) => patterns.find((p) => p.fitOut.name === name)!.fitOut;
const hen = patternOf('Marsh Hen');
const solid = (f: FitOut, more: object) => ({ ...f, fire: { ...f.fire, ...more } }) as FitOut;
const band = (at: number) => ({ early: at - 60, middle: at, late: at + 60, sure: 1 });

describe('what to pack, by what the engine has', () => {
  const kit = (f: FitOut) => kitFor(f, compose(f)).map((k) => k.what);
  const has = (f: FitOut, word: string) => kit(f).some((k) => k.includes(word));
  it.each<[string, FitOut, FitOut]>([
    ['Flue brush for', hen, patternOf('Tin Heron')],
    ['Firing shovel', hen, patternOf('Water Rail')],
    ['Pliers for hot grate pins', solid(hen, { ashpan: 'pins' }), solid(hen, { ashpan: 'fixed' })],
    ['Fan with its', solid(hen, { draught: 'fan' }), solid(hen, { draught: 'none' })],
    ['Plug for the second chimney bore', solid(hen, { chimneyBores: 2 }), solid(hen, { chimneyBores: 1 })],
    ['spanners for the gas unions', patternOf('Water Rail'), hen],
    ['Mains lead', patternOf('Lantern'), hen],
    ['Spare gauge glass and seals (2)', hen, patternOf('Water Rail')],
    ['Measuring jug', patternOf('Water Rail'), hen],
    ['Syringe or filler bottle', patternOf('Water Rail'), hen],
    ['Syringe for lubricator condensate', patternOf('Little Bittern'), { ...hen, lubrication: [] }],
    ['Spare fusible plug', { ...hen, fusiblePlug: true }, { ...hen, fusiblePlug: false }],
    ['manhole and mudhole', { ...hen, manholes: 0, mudholes: 1 }, { ...hen, manholes: 0, mudholes: 0 }],
    [
      'Water treatment',
      { ...hen, water: { ...hen.water, treatment: 'tank' } } as FitOut,
      { ...hen, water: { ...hen.water, treatment: 'none' } }
    ],
    ['Wheel chocks', patternOf('Peat Presser'), hen],
    ['Tray under', patternOf('Tin Heron'), hen],
    ['What comes off for transport: cab roof', { ...hen, comesOff: 'cab roof' }, { ...hen, comesOff: '' }],
    ['Matches or gas lighter', hen, patternOf('Lantern')]
  ])('%s', (what, one, other) => expect([has(one, what), has(other, what)]).toEqual([true, false]));
  it('names what a step needs once, for the first step that needs it', () => {
    const procedure = compose(hen);
    const list = kitFor(hen, procedure);
    const bucket = procedure.steps.find((s) => s.materials.includes('ash bucket'))!;
    expect(list.filter((k) => /ash bucket/i.test(k.what))).toEqual([{ what: 'Ash bucket', for: bucket.what }]);
    const twice = procedure.steps.flatMap((s) => s.materials).filter((m, i, all) => all.indexOf(m) !== i && m !== 'oil');
    expect(twice.length).toBeGreaterThan(0);
    for (const m of twice) expect(list.filter((k) => k.what.toLowerCase() === m).length, m).toBeLessThan(2);
  });
  it('is each thing once, papers first, and nothing that is weighed or poured', () => {
    for (const { fitOut } of patterns) {
      const list = kit(fitOut);
      expect(new Set(list).size, fitOut.name).toBe(list.length);
      expect(list[0]).toBe('Boiler certificate and insurance');
      expect(list.filter((k) => /^(coal|steam oil|start fuel)$/i.test(k))).toEqual([]);
    }
  });
});

describe('the filling step', () => {
  it('names the level of the sheet, and holds the glass against it here and before the match; or the measure, where there is no glass', () => {
    for (const name of ['Marsh Hen', 'Water Rail']) {
      const f = patternOf(name);
      const plant = plantOf(f);
      const procedure = compose(f);
      const level = startingSum({ fitOut: f, plant });
      const filled = withFill(procedure, level, { fitOut: f, plant });
      expect(filled.steps.filter((s, i) => s !== procedure.steps[i]).map((s) => s.key)).toEqual(
        f.glasses.length
          ? ['fill', 'water-and-valves']
          : ['fill', 'water-and-valves', 'gas-light', 'again-fill', 'again-charge', 'again-light', 'run-limit']
      );
      expect(filled.steps.find((s) => s.key === 'fill')!.what).toMatch(
        f.glasses.length ? /^Fill to .* of the glass$/ : /^Fill with .*, measured$/
      );
    }
  });
});

describe('what waits, and for how long', () => {
  const raise = {
    gates: [
      { pressure: 2e5, band: band(600) },
      { pressure: 4e5, band: band(1200) }
    ],
    up: band(1800)
  };
  it('a gate between two is the one above it, a hair above it still itself, and above all of them it is working pressure', () => {
    expect([1, 2e5, 2.0001e5, 2.1e5, 4e5, 5e5].map((p) => gateBand(raise, p).middle)).toEqual([600, 600, 600, 1200, 1200, 1800]);
  });
  it('is placed by the late edge, by the middle where one time in ten it never comes, and never where even that does not', () => {
    expect(certain(band(600))).toBe(660);
    expect(certain({ ...band(600), late: Infinity })).toBe(600);
    expect(certain({ early: 1, middle: Infinity, late: Infinity, sure: 0.3 })).toBe(Infinity);
  });
  it('the pressures that steps wait for rise to working pressure, each once and none above it', () => {
    const procedure = compose(hen);
    const all = pressuresOf(procedure, hen.workingPressure);
    expect(all).toEqual([...new Set(all)].sort((a, b) => a - b));
    expect(all.at(-1)).toBe(hen.workingPressure);
    expect(pressuresOf(procedure, 1e5).at(-1)).toBe(1e5);
  });
  it('cooling takes longer to each lower pressure, and longer where less is lost', () => {
    const procedure = compose(hen);
    const plant = plantOf(hen);
    const heating = classHeating(hen, plant, { water: 18, T: 284 });
    const cools = (of: typeof plant) => planRaise(hen, procedure, of, heating, { water: 284, air: 286, kg: 18 }).cooling!;
    const falls = cools(plant);
    expect(falls.map((c) => c.pressure)).toEqual(falls.map((c) => c.pressure).sort((a, b) => b - a));
    expect(falls.map((c) => c.after)).toEqual(falls.map((c) => c.after).sort((a, b) => a - b));
    const lagged = cools({ ...plant, vessel: { ...plant.vessel, loss: plant.vessel.loss / 2 } });
    expect(lagged.at(-1)!.after / falls.at(-1)!.after).toBeCloseTo(2, 6);
  });
  it('a step takes the plan’s minutes or its own; what is done, left out or after running is no task; tests come last, in steam', () => {
    const procedure = compose(hen);
    const plan = { minutes: { papers: 30 }, without: ['carried'], tests: [{ what: 'Slug test', minutes: 25 }] };
    const tasks = tasksOf(procedure, plan, raise, new Set(['glass-clean']));
    const task = (key: string) => tasks.find((t) => t.step.key === key);
    expect(task('papers')!.span).toBe(1800);
    expect([task('carried'), task('glass-clean'), task('fire-drop')]).toEqual([undefined, undefined, undefined]);
    expect(tasks.at(-1)).toMatchObject({ step: { key: 'test-1', what: 'Slug test', phase: 'Prove' }, span: 1500, afterMatch: 1861 });
    expect(tasks.filter((t) => t.lights)).toHaveLength(1);
    const before = tasks.findIndex((t) => t.lights);
    expect(tasks.slice(0, before + 1).every((t) => t.afterMatch === undefined)).toBe(true);
    const gated = tasks.find((t) => procedure.steps.find((s) => s.key === t.step.key)?.gates[0]?.kind === 'pressure')!;
    expect(gated.afterMatch).toBeGreaterThanOrEqual(660);
  });
  it('people are there from and until when they say, and busy where they are', () => {
    const at = Date.parse('2026-06-13T09:00:00Z');
    const iso = (minutes: number) => new Date(at + minutes * 60_000).toISOString();
    const plan = {
      ...usualPlan('W', iso(120), ''),
      people: [
        { name: 'W', as: 'keeper' as const, from: null },
        { name: 'C', as: 'helper' as const, from: iso(10), until: iso(60) }
      ]
    };
    expect(handsAt(plan, at, { C: [[at + 60_000, at + 120_000]] })).toEqual([
      { name: 'W', as: 'keeper', from: -Infinity, until: Infinity, busy: [] },
      { name: 'C', as: 'helper', from: 600, until: 3600, busy: [[60, 120]] }
    ]);
  });
  it('what can wait for the evening before is looking over, and not what is looked at on the day', () => {
    const keys = compose(hen)
      .steps.filter(canWait)
      .map((s) => s.key);
    expect(keys.length).toBeGreaterThan(3);
    for (const key of ['papers', 'carried', 'valves-fitted', 'gauge-zero', 'glass-clean', 'fill', 'match']) expect(keys).not.toContain(key);
  });
});

describe('hands and tasks', () => {
  const task = (key: string, minutes: number, more: Partial<Task['step']> & { afterMatch?: number; lights?: boolean } = {}): Task => {
    const { afterMatch, lights, ...step } = more;
    return {
      step: { key, what: key, phase: 'Raise', who: 'anyone', chore: false, must: false, needs: [], ...step } as Task['step'],
      span: minutes * 60,
      ...(afterMatch === undefined ? {} : { afterMatch: afterMatch * 60 }),
      ...(lights ? { lights } : {})
    };
  };
  const hand = (name: string, as: 'keeper' | 'helper', more: object = {}) => ({
    name,
    as,
    from: -Infinity,
    until: Infinity,
    busy: [],
    ...more
  });
  const [W, C] = [hand('W', 'keeper'), hand('C', 'helper')];
  const told = (tasks: Task[], hands = [W]) => {
    const s = schedule(tasks, hands);
    return {
      ...s,
      at: Object.fromEntries(s.placed.map((p) => [p.task.step.key, [p.start / 60, p.end / 60, p.who, Math.round(p.slack / 60)]]))
    };
  };
  const light = task('match', 1, { who: 'keeper', lights: true });
  it('alone, one after the other in the order of the list; with two, side by side', () => {
    expect(told([task('a', 5), task('b', 3), light]).at).toEqual({ a: [0, 5, 'W', 0], b: [5, 8, 'W', 0], match: [8, 9, 'W', 0] });
    expect(told([task('a', 5), task('b', 3), light], [W, C]).at).toEqual({ a: [0, 5, 'W', 0], b: [0, 3, 'C', 2], match: [5, 6, 'W', 0] });
  });
  it('a task waits for what it needs and for its gate, and gates open in their order whatever the list says', () => {
    const s = told([light, task('late', 2, { afterMatch: 20 }), task('soon', 2, { afterMatch: 10 }), task('then', 1, { needs: ['late'] })]);
    expect(s.at).toMatchObject({ soon: [11, 13, 'W', 8], late: [21, 23, 'W', 0], then: [23, 24, 'W', 0] });
    expect([s.lit / 60, s.ready / 60]).toEqual([1, 24]);
  });
  it('work for a helper goes to the helper first, the keeper’s to the keeper alone', () => {
    expect(told([task('a', 5, { who: 'helper' }), task('b', 5, { who: 'keeper' }), light], [W, C]).at).toMatchObject({
      a: [0, 5, 'C', 0],
      b: [0, 5, 'W', 0]
    });
    expect(told([task('a', 5, { who: 'helper' }), light]).at.a).toEqual([0, 5, 'W', 0]);
  });
  it('whoever goes away from a lit fire is not its keeper; alone nobody goes', () => {
    const away = task('away', 5, { away: true });
    expect(told([light, away], [W, C]).at.away).toEqual([1, 6, 'C', 0]);
    expect(told([light, away]).left.map((t) => t.step.key)).toEqual(['away']);
  });
  it('what burns is handled before there is a fire', () => {
    expect(told([task('a', 5), light, task('lamps', 3, { flammable: true })]).at).toMatchObject({
      a: [0, 5, 'W', 0],
      lamps: [5, 8, 'W', 0],
      match: [8, 9, 'W', 0]
    });
  });
  it('a chore goes into a wait and never moves the end; one that must be kept makes the day longer instead', () => {
    const wait = [light, task('gate', 1, { afterMatch: 10 })];
    const chore = (minutes: number, more = {}) => task('chore', minutes, { chore: true, ...more });
    expect(told([...wait, chore(10)]).at).toMatchObject({ chore: [1, 11, 'W', 0], gate: [11, 12, 'W', 0] });
    const dropped = told([...wait, chore(11)]);
    expect([dropped.left.map((t) => t.step.key), dropped.ready / 60]).toEqual([['chore'], 12]);
    const kept = told([...wait, chore(11, { kept: true })]);
    expect([kept.left, kept.ready / 60 > 12]).toEqual([[], true]);
  });
  it('a chore of the raise waits for the match, one of the proving for the first proof, any other for nothing', () => {
    const day = [
      task('look', 5, { phase: 'Look over', who: 'keeper' }),
      light,
      task('proof', 5, { phase: 'Prove', who: 'keeper', afterMatch: 30 })
    ];
    const chore = (key: string, phase: string) => task(key, 2, { chore: true, phase: phase as 'Raise' });
    const { at } = told(
      [...day, chore('any', 'Fill and oil'), chore('lit', 'Light up'), chore('raise', 'Raise'), chore('prove', 'Prove')],
      [W, C]
    );
    expect([at.any![0], at.lit![0], at.raise![0], at.prove![0]]).toEqual([0, 6, 6, 36]);
    // With the fire burning already there is no match to wait for, and without a proof its chores come when there is a fire.
    const under = schedule([task('a', 5), chore('prove', 'Prove')], [W, C], { from: 60, lit: 0 });
    expect(under.placed.map((p) => [p.task.step.key, p.start])).toEqual([
      ['prove', 0],
      ['a', 60]
    ]);
  });
  it('what ends a day is told in the order of its times', () => {
    const s = schedule([task('long', 9), task('short', 3), light], [W, C]);
    expect(s.placed.map((p) => p.task.step.key)).toEqual(['short', 'long', 'match']);
    expect(schedule([task('long', 9), light], [W], { plain: true }).placed).toEqual([]);
  });
  it('nobody works before they come, after they go, or while they are elsewhere', () => {
    const at = (more: object) => told([task('a', 5)], [hand('W', 'keeper', more)]);
    expect(at({ from: 600 }).at.a).toEqual([10, 15, 'W', 0]);
    expect(at({ busy: [[120, 360]] }).at.a).toEqual([6, 11, 'W', 0]);
    expect(at({ busy: [[300, 600]] }).at.a).toEqual([0, 5, 'W', 0]);
    expect(at({ until: 299 }).left).toHaveLength(1);
    expect(at({ until: 300 }).left).toHaveLength(0);
  });
});

describe('a plan from outside, at the edges of its fields', () => {
  const good = usualPlan('Wenna Thrale', '2026-06-13T11:00:00.000Z', 'train');
  const field = (more: object) => {
    const checked = checkPlan({ ...good, ...more });
    return 'field' in checked ? checked.field : undefined;
  };
  const many = <T>(n: number, of: (i: number) => T) => Array.from({ length: n }, (_, i) => of(i));
  it.each<[keyof DayPlan | string, readonly object[], readonly object[]]>([
    ['water', [{ water: 274 }, { water: 372 }], [{ water: 273.9 }, { water: 372.1 }]],
    ['air', [{ air: 243 }, { air: 323 }], [{ air: 242 }, { air: 324 }]],
    ['running', [{ running: 0 }, { running: 1440 }], [{ running: -1 }, { running: 1441 }]],
    [
      'wants',
      [{ wants: many(12, (i) => ({ what: 'w', at: `2026-06-13T1${i % 8}:00:00Z` })) }],
      [{ wants: [] }, { wants: many(13, () => good.wants[0]) }, { wants: undefined }]
    ],
    [
      'people',
      [{ people: many(12, (i) => ({ name: `P${i}`, as: i ? 'helper' : 'keeper' })) }],
      [{ people: [] }, { people: many(13, (i) => ({ name: `P${i}`, as: i ? 'helper' : 'keeper' })) }]
    ],
    [
      'tests.0.minutes',
      [{ tests: [{ what: 't', minutes: 1 }] }, { tests: [{ what: 't', minutes: 240 }] }],
      [{ tests: [{ what: 't', minutes: 0 }] }, { tests: [{ what: 't', minutes: 241 }] }]
    ],
    [
      'minutes.papers',
      [{ minutes: { papers: 0 } }, { minutes: { papers: 480 } }],
      [{ minutes: { papers: -1 } }, { minutes: { papers: 481 } }]
    ],
    ['end', [{ end: '2026-06-13T11:00:01Z' }, { end: null }], [{ end: '2026-06-13T11:00:00Z' }, { end: 'late' }]]
  ])('%s', (name, yes, no) => {
    for (const more of yes) expect(field(more), JSON.stringify(more)).toBeUndefined();
    for (const more of no) expect(field(more), JSON.stringify(more)).toBe(name);
  });

  it('waits on an engine without a gauge for what shows instead, and for the start fuel to be well alight', () => {
    for (const tellTale of ['whistle', 'feather', 'spring'] as const) {
      const f = { ...hen, gauge: false, tellTale };
      const [procedure, plant] = [compose(f), plantOf(f)];
      const heating = classHeating(f, plant, { water: usualFill(f, plant), T: 288.15 });
      const raise = planRaise(f, procedure, plant, heating, { water: 288.15, air: 288.15 });
      const seen = procedure.steps.filter((x) => x.gates.some((g) => g.kind === 'seen' && g.what !== 'start fuel alight'));
      expect(seen.length, f.tellTale).toBeGreaterThan(0);
      const plan = { minutes: {}, without: [], tests: [] };
      for (const t of tasksOf(procedure, plan, raise).filter((t) => seen.some((x) => x.key === t.step.key))) {
        const at = { whistle: 0.6, feather: 0.97, spring: 0.4 }[tellTale] * inSteamAt(f);
        expect(t.afterMatch, t.step.key).toBe(certain(gateBand(raise, at)));
        expect(t.afterMatch!).toBeGreaterThan(60);
      }
    }
    const plant = plantOf(hen);
    const heating = classHeating(hen, plant, { water: usualFill(hen, plant), T: 288.15 });
    const raise = planRaise(hen, compose(hen), plant, heating, { water: 288.15, air: 288.15 });
    expect(raise.alight!.middle).toBeCloseTo(2 * heating.lag, 9);
    expect(raise.alight!.late).toBeCloseTo(2 * heating.lag * Math.exp(1.2816 * heating.lagSpread), 9);
    const first = compose(hen).steps.find((x) => x.gates.some((g) => g.kind === 'seen' && g.what === 'start fuel alight'))!;
    const task = tasksOf(compose(hen), { minutes: {}, without: [], tests: [] }, raise).find((t) => t.step.key === first.key)!;
    expect(task.afterMatch).toBe(raise.alight!.late);
  });
});

describe('runs of a day, beside its raise', () => {
  const tin = patternOf('Tin Heron');
  const given = { fitOut: tin, plant: plantOf(tin) };
  const procedure = compose(tin);
  const plan = { ...usualPlan('Wenna', '2026-06-13T11:00:00.000Z', 'show'), water: 318.15 };
  const wanted = Date.parse(plan.wants[0]!.at);
  const runs = (light: number, middle = 300) => runsOf({ given, procedure, fill: tin.fill!, up: { middle } }, plan, { light })!;
  it('it is up when the raise has it, and not when another sum would', () => {
    expect(runs(wanted - 300_000, 290).runs[0]!.up).toBeCloseTo(wanted - 10_000, -1);
    expect(runs(wanted - 300_000, 400).runs[0]!.up).toBeCloseTo(wanted + 100_000, -1);
    const never = runs(wanted - 300_000, Infinity);
    expect(Number.isFinite(never.runs[0]!.up)).toBe(true);
  });
  it('a run that has to be over when it is wanted is said to', () => {
    expect(runs(wanted - 300_000).problems).toEqual([]);
    expect(runs(wanted - 540_000).problems.join()).toContain('has to be over already');
    expect(runs(wanted - 300_000, 600).problems.join()).toContain('there is no running in it');
  });
  it('a gate on the way up is not counted on later than what stands at its end', () => {
    const raise = {
      gates: [
        { pressure: 1, band: { early: 100, middle: 200, late: 900, sure: 1 } },
        { pressure: 1e6, band: { early: 200, middle: 350, late: Infinity, sure: 0.8 } }
      ],
      up: { early: 200, middle: 350, late: Infinity, sure: 0.8 }
    };
    const gated = {
      ...procedure,
      steps: procedure.steps.map((s) => (s.key === 'warm-gently' ? { ...s, gates: [{ kind: 'pressure' as const, atLeast: 1 }] } : s))
    };
    expect(tasksOf(gated, plan, raise).find((t) => t.step.key === 'warm-gently')!.afterMatch).toBe(350);
  });
});
