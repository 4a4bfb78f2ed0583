import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { plantOf, usualFill } from '../boiler';
import { type FitOut, patterns } from '../engine';
import { classHeating } from '../forecast';
import { compose } from '../procedure';
import { engineFigures, fillOf, startingSum } from '../sums';
import { mark, printGlass } from '../units';
import {
  daySheet,
  type DayPlan,
  kitFor,
  minutesAfter,
  planRaise,
  planWhole,
  replan,
  schedule,
  type Sheet,
  type Task,
  together,
  usualPlan,
  withFill
} from '.';
import { checkPlan, readablePlan } from './check';
import { keptUntil } from './sheet';
import { tasksOf } from './tasks';

const patternOf = (key: string) => patterns.find((p) => p.key === key)!.fitOut;
const clock = (time: string) => Date.parse(`2026-06-13T${time}:00Z`);
const iso = (time: string) => new Date(clock(time)).toISOString();
const keeper = { name: 'Wenna Thrale', as: 'keeper' as const, from: null };
const helper = { name: 'Corin Ashby', as: 'helper' as const, from: null };
const dayOf = (more: Partial<DayPlan> = {}): DayPlan => ({
  wants: [{ what: 'first train', at: iso('11:00') }],
  end: null,
  people: [keeper],
  water: 283.15,
  air: 288.15,
  running: 120,
  tests: [],
  minutes: {},
  without: [],
  packed: [],
  ...more
});
const inputFor = (fitOut: FitOut, plan: DayPlan) => {
  const plant = plantOf(fitOut);
  const procedure = compose(fitOut);
  const heating = classHeating(fitOut, plant, { water: usualFill(fitOut, plant, 283), T: 283.15 });
  return { fitOut, procedure, plan, raise: planRaise(fitOut, procedure, plant, heating, { water: plan.water, air: plan.air }) };
};
const [hen, rail] = [patternOf('large-tank'), patternOf('gas-tank')];
let henDay: ReturnType<typeof inputFor>;
let sheet: Sheet;
beforeAll(() => {
  henDay = inputFor(hen, dayOf());
  sheet = daySheet(henDay);
});

describe('the day sheet', () => {
  it('ends when steam is wanted, lights the raise before, and gives the raise as a band', () => {
    expect(sheet.ready).toBeLessThanOrEqual(clock('11:00') + 1000);
    expect(sheet.ready).toBeGreaterThan(clock('10:58'));
    expect(sheet.late).toBe(0);
    const { early, middle, late } = sheet.steam;
    expect(sheet.light).toBeLessThan(early);
    expect(early).toBeLessThan(middle);
    expect(middle).toBeLessThan(late);
    expect(late).toBeLessThan(sheet.ready);
    expect(sheet).not.toHaveProperty('stopBy');
    expect(sheet.noRoom.every((what) => henDay.procedure.steps.some((s) => s.chore && s.what === what))).toBe(true);
  });

  it('moves every time with what is wanted, and with nothing else', () => {
    const earlier = daySheet(inputFor(hen, dayOf({ wants: [{ what: 'first train', at: iso('10:30') }] })));
    expect(earlier.stations.map((s) => s.key)).toEqual(sheet.stations.map((s) => s.key));
    earlier.stations.forEach((s, i) => expect(s.start).toBeCloseTo(sheet.stations[i]!.start - 30 * 60_000, -3));
  });

  it('keeps a step’s minutes that the plan sets, and leaves out what it leaves out', () => {
    const longer = daySheet({ ...henDay, plan: dayOf({ minutes: { papers: 30 } }) });
    expect(sheet.begin - longer.begin).toBeGreaterThan(20 * 60_000);
    expect(daySheet({ ...henDay, plan: dayOf({ without: ['oil-round'] }) }).stations.map((s) => s.key)).not.toContain('oil-round');
  });

  it('never drops the oil round, the air or a leak look for want of room: with no wait to put them in, the day begins earlier', () => {
    for (const { fitOut } of patterns) {
      const day = inputFor(fitOut, dayOf());
      // A raise of half a minute from gate to gate leaves no wait at all.
      const at = (late: number) => ({ early: late, middle: late, late, sure: 1 });
      const none = { gates: day.raise.gates.map((g, i) => ({ ...g, band: at(30 * (i + 1)) })), up: at(30 * day.raise.gates.length) };
      for (const raise of [day.raise, none]) {
        const made = daySheet({ ...day, raise });
        const kept = day.procedure.steps.filter((s) => s.kept).map((s) => s.key);
        expect(
          made.stations.map((s) => s.key),
          fitOut.name
        ).toEqual(expect.arrayContaining(kept));
        expect(made.late, fitOut.name).toBe(0);
      }
    }
    const short = {
      ...henDay,
      raise: { ...henDay.raise, gates: henDay.raise.gates.map((g) => ({ ...g, band: { ...g.band, late: 60 } })) }
    };
    const with_ = daySheet(short);
    const without = daySheet({ ...short, plan: dayOf({ without: ['oil-round', 'air-out', 'leaks-50'] }) });
    expect(with_.begin).toBeLessThan(without.begin);
  });

  it('running, shutting down and putting away have their times, their people and their clock', () => {
    const day = inputFor(hen, dayOf({ people: [keeper, helper], running: 90 }));
    const { stations, after, ready, light } = daySheet(day);
    for (const s of stations) expect(s.by, s.key).toBe(s.start < light ? 'plan' : 'latest');
    expect(new Set(after.map((s) => s.by))).toEqual(new Set(['expected']));
    const of = (phase: string) => after.filter((s) => s.phase === phase);
    const run = after.find((s) => s.key === 'running')!;
    expect(run.start).toBeGreaterThanOrEqual(ready);
    expect(run.end - run.start).toBe(90 * 60_000);
    expect(after.find((s) => s.key === 'run-end')!.end).toBe(run.end);
    expect(
      of('Shut down')
        .map((s) => s.key)
        .sort()
    ).toEqual(
      day.procedure.steps
        .filter((s) => s.phase === 'Shut down')
        .map((s) => s.key)
        .sort()
    );
    expect(of('Put away').length).toBeGreaterThan(5);
    const cold = Math.max(...of('Shut down').map((s) => s.end));
    for (const s of of('Put away')) expect(s.start, s.key).toBeGreaterThanOrEqual(cold);
    expect(new Set(after.map((s) => s.who))).toEqual(new Set(['Wenna Thrale', 'Corin Ashby']));
    // Nothing opens to the air before the boiler has come down by itself, and a smaller boiler comes down sooner.
    const waits = (d: typeof day) => {
      const made = daySheet(d).after;
      return made.find((s) => s.key === 'vacuum')!.start - made.find((s) => s.key === 'running')!.end;
    };
    expect(waits(day)).toBeGreaterThan(45 * 60_000);
    expect(waits(inputFor(patternOf('tender'), dayOf()))).toBeLessThan(waits(day));
    // An end that comes before it is cold is said.
    const end = new Date(run.end + 60 * 60_000).toISOString();
    expect(daySheet({ ...day, plan: { ...day.plan, end } }).problems.join(' ')).toContain('cool enough to be put away');
    const late = daySheet({ ...day, plan: dayOf({ wants: [dayOf().wants[0]!, { what: 'last train', at: iso('15:00') }] }) });
    expect(late.after.find((s) => s.key === 'running')!.end).toBe(clock('15:15'));
  });

  it('says what is impossible, why, and the earliest that is not', () => {
    const late = daySheet({ ...henDay, plan: dayOf({ people: [{ ...keeper, from: iso('10:30') }] }) });
    expect(late.late).toBeGreaterThan(60 * 60_000);
    expect(late.problems.join(' ')).toMatch(/needs \d+ min .* earliest is \{at:\d+/);
    expect(late.cuts.length).toBeGreaterThan(0);
    const absent = daySheet({ ...henDay, plan: dayOf({ people: [{ ...keeper, from: iso('12:00') }] }) });
    expect(absent.problems[0]).toContain('arrives after steam is wanted');
    const short = daySheet({ ...henDay, plan: dayOf({ end: iso('11:20') }) });
    expect(short.problems.join(' ')).toContain('no running in this day');
    expect(minutesAfter(henDay.procedure, dayOf())).toBeGreaterThan(20);
  });

  it('replans a raise that is slow: how far behind, what each want becomes, nothing that may not be skipped', () => {
    const plan = dayOf({ wants: [...dayOf().wants, { what: 'last train', at: iso('15:00') }] });
    const done = new Set(
      henDay.procedure.steps
        .slice(
          0,
          henDay.procedure.steps.findIndex((s) => s.key === 'chores')
        )
        .map((s) => s.key)
    );
    const at = (late: number) =>
      replan({
        ...henDay,
        plan,
        done,
        now: clock('10:20'),
        litAt: sheet.light,
        live: henDay.raise.gates.map(({ pressure }) => ({
          pressure,
          band: { early: clock('10:40') + late, middle: clock('10:45') + late, late: clock('10:52') + late, sure: 1 }
        }))
      });
    const [a, b] = [at(0)!, at(8 * 60_000)!];
    expect(b.ready - a.ready).toBeCloseTo(8 * 60_000, -3);
    expect(b.behind).toBeGreaterThan(0);
    expect(b.wants[0]!.now).toBeCloseTo(b.ready, -3);
    expect(b.wants[1]!.now).toBe(clock('15:00'));
    // With a fire nothing is skipped; before it, nothing that must be seen on the day.
    expect(b.skip).toEqual([]);
    const cold = replan({ ...henDay, plan, done: new Set(), now: clock('09:30') })!;
    expect(cold.behind).toBeGreaterThan(0);
    expect(cold.skip.length).toBeGreaterThan(0);
    for (const cut of cold.skip) expect(henDay.procedure.steps.find((s) => s.what === cut.what)?.must).toBe(false);
  });

  it('once it is lit the match is not waited for, ticked or not, and the last gate says when it is up', () => {
    const done = new Set(henDay.procedure.steps.filter((s) => s.phase !== 'Raise').map((s) => s.key));
    const match = tasksOf(henDay.procedure, dayOf(), henDay.raise).find((t) => t.lights)!.step.key;
    const under = { ...henDay, plan: dayOf(), now: clock('10:20'), litAt: clock('10:15') };
    const [ticked, unticked] = [new Set([...done, match]), new Set([...done].filter((k) => k !== match))];
    expect(replan({ ...under, done: unticked })).toEqual(replan({ ...under, done: ticked }));
    const at = (minute: number) => ({
      early: clock('10:20') + minute * 60_000,
      middle: clock('10:20') + minute * 60_000,
      late: clock('10:20') + minute * 60_000,
      sure: 1
    });
    const live = [10, 50].map((minute, i) => ({ pressure: henDay.raise.gates[i]!.pressure, band: at(minute) }));
    expect(replan({ ...under, done: ticked, live })!.ready).toBeGreaterThanOrEqual(clock('11:10'));
    expect(replan({ ...under, done: ticked, live: live.slice(0, 1) })!.ready).toBeLessThan(clock('11:10'));
  });

  it('a keeper who is elsewhere between the match and the end of the running begins after that; before and after they are free', () => {
    const plan = dayOf({ people: [helper, keeper] });
    const free = daySheet({ ...henDay, plan });
    const of = (from: number, to: number, who = keeper.name) => daySheet({ ...henDay, plan, busy: { [who]: [[from, to]] } });
    const [until, min] = [keptUntil(plan, Math.max(clock('11:00'), free.ready)), 60_000];
    for (const [from, to] of [
      [free.light + min, free.light + 2 * min],
      [free.light - 9 * min, free.light + min],
      [until - min, until + min]
    ] as const) {
      const moved = of(from, to);
      expect(moved.begin).toBeGreaterThanOrEqual(to);
      expect(moved.problems.join(' ')).toContain(`${keeper.name} is with another engine until {at:${Math.round(to)}}`);
    }
    for (const other of [of(until, until + 60 * min), of(free.begin - 60 * min, free.begin - 30 * min)]) expect(other).toEqual(free);
    expect(of(free.light + min, until, helper.name).problems.join(' ')).not.toContain('another engine');
  });

  it('a plan that says little is given the rest, and the names of steps and things have their length', () => {
    const { tests: _, minutes: __, without: ___, packed: ____, end: _____, ...little } = dayOf();
    expect(checkPlan(little)).toEqual({ plan: dayOf() });
    const [long, longer] = ['x'.repeat(60), 'x'.repeat(61)];
    const taken = (more: object) => 'plan' in checkPlan({ ...dayOf(), ...more });
    expect([{ without: [long] }, { minutes: { [long]: 3 } }, { packed: ['y'.repeat(120)] }].map(taken)).toEqual([true, true, true]);
    expect([{ without: [longer] }, { minutes: { [longer]: 3 } }, { packed: ['y'.repeat(121)] }].map(taken)).toEqual([false, false, false]);
    expect(checkPlan({ ...dayOf(), end: 'soon' })).toMatchObject({ field: 'end', sentence: expect.stringContaining('2026-06-13T11:00') });
    expect(usualPlan('Wenna Thrale', iso('11:00'), 'first train')).toEqual(dayOf({ air: 286.15, water: 284.15 }));
  });

  it('leaves no step out for an engine that may not get there, says so, and gives no time when no steam is in sight', () => {
    const open = (middle: number) => {
      const band = (b: { early: number; middle: number }) => ({
        early: b.early,
        middle: Math.min(b.middle, middle),
        late: Infinity,
        sure: middle < Infinity ? 0.85 : 0.3
      });
      const gates = henDay.raise.gates.map((g) => ({
        ...g,
        band: middle < Infinity ? band(g.band) : { ...band(g.band), middle: Infinity }
      }));
      return { ...henDay, raise: { gates, up: gates.at(-1)!.band } };
    };
    const doubtful = daySheet(open(1e9));
    const chores = new Set(henDay.procedure.steps.filter((s) => s.chore).map((s) => s.key));
    const done = (x: Sheet) => x.stations.flatMap((s) => (chores.has(s.key) ? [] : [s.key])).sort();
    expect(done(doubtful)).toEqual(done(sheet));
    expect(doubtful.problems.join(' ')).toContain('One time in ten');
    expect(daySheet(open(Infinity)).problems.join(' ')).toContain('does not come into steam');
    const under = { plan: dayOf(), done: new Set<string>(), now: clock('10:00'), litAt: clock('09:30') };
    expect(replan({ ...open(Infinity), ...under })).toBeUndefined();
    expect(replan({ ...open(1e9), ...under })!.ready).toBeGreaterThanOrEqual(clock('09:30') + henDay.raise.up.middle * 1000);
  });

  it.each([
    ['without a keeper', { people: [helper] }, 'people', /exactly one/],
    ['with one person twice', { people: [keeper, { ...helper, name: ` ${keeper.name.toUpperCase()}` }] }, 'people.1.name', /named twice/],
    [
      'left before arriving',
      { people: [{ ...keeper, from: iso('09:00'), until: iso('08:00') }] },
      'people.0.until',
      /leave before arriving/
    ],
    ['over before it is wanted', { end: iso('10:00') }, 'end', /cannot be over before/],
    ['spread over days', { wants: [dayOf().wants[0]!, { what: 'next week', at: '2026-06-20T11:00:00Z' }] }, 'wants', /one day/],
    ['wanted at no time', { wants: [{ what: 'x', at: 'soon' }] }, 'wants.0.at', /2026-06-13T11:00/],
    ['with a test of no minutes', { tests: [{ what: 'x', minutes: 0 }] }, 'tests.0.minutes', /1 to 240/]
  ])('a plan %s is refused at its field, and shown all the same when it was stored before the rule was', (_, wrong, field, sentence) => {
    const document = dayOf(wrong as Partial<DayPlan>);
    expect(checkPlan(document)).toMatchObject({ field, sentence: expect.stringMatching(sentence) });
    const shown = readablePlan(document, usualPlan('Wenna Thrale', iso('11:00'), ''));
    expect(shown.problems[0]).toMatchObject({ field });
    expect(checkPlan(shown.plan)).toHaveProperty('plan');
    // What is not wrong of it stays.
    expect(shown.plan.running).toBe(document.running);
    expect(() => planWhole({ fitOut: hen, procedure: compose(hen), fits: [], used: [] }, shown.plan)).not.toThrow();
  });
  it('a plan that fits comes back as it is, its wants in order, with nothing to say', () => {
    const wants = [
      { what: 'last train', at: iso('15:00') },
      { what: 'first train', at: iso('11:00') }
    ];
    const checked = checkPlan(dayOf({ wants }));
    expect('plan' in checked && checked.plan.wants.map((w) => w.what)).toEqual(['first train', 'last train']);
    expect(readablePlan(dayOf(), usualPlan('X', iso('11:00'), '')).problems).toEqual([]);
    // Somebody who leaves later than they come, and an end after the last want, are no problem.
    expect(checkPlan(dayOf({ people: [{ ...keeper, from: iso('08:00'), until: iso('18:00') }], end: iso('17:00') }))).toHaveProperty(
      'plan'
    );
  });
});

describe('schedules', () => {
  const task = fc.record({
    span: fc.integer({ min: 60, max: 900 }),
    who: fc.constantFrom('keeper' as const, 'helper' as const, 'either' as const),
    chore: fc.boolean(),
    gate: fc.option(fc.integer({ min: 60, max: 3000 }), { nil: undefined }),
    flammable: fc.boolean(),
    away: fc.boolean(),
    need: fc.nat(20)
  });
  const tasksFrom = (
    list: readonly {
      span: number;
      who: 'keeper' | 'helper' | 'either';
      chore: boolean;
      gate: number | undefined;
      flammable: boolean;
      away: boolean;
      need: number;
    }[],
    match: number
  ): Task[] =>
    list.map((t, i) => {
      const after = i > match;
      const burns = i !== match && t.chore && t.flammable;
      const needs =
        !burns && i > 0 && t.need < i && !list[t.need]!.chore && !list[t.need]!.flammable && !(t.need > match && i < match)
          ? [`t${t.need}`]
          : [];
      return {
        step: {
          key: `t${i}`,
          what: `task ${i}`,
          phase: after ? 'Raise' : 'Look over',
          who: t.who,
          chore: i !== match && t.chore,
          must: false,
          needs,
          flammable: burns,
          away: t.away && after
        },
        span: t.span,
        ...(i === match ? { lights: true } : {}),
        ...(after && !burns && t.gate !== undefined ? { afterMatch: t.gate } : {})
      };
    });

  it('never put one pair of hands to two things, nor anything before what it needs or its gate; the lit fire keeps its keeper', () => {
    fc.assert(
      fc.property(
        fc.array(task, { minLength: 3, maxLength: 18 }),
        fc.nat(17),
        fc.boolean(),
        fc.integer({ min: 0, max: 2000 }),
        (list, m, two, from) => {
          const match = Math.min(m, list.length - 1);
          const hands = [
            { name: 'K', as: 'keeper' as const, from: 0, until: Infinity, busy: [[500, 700]] as const },
            ...(two ? [{ name: 'H', as: 'helper' as const, from, until: Infinity, busy: [] }] : [])
          ];
          const tasks = tasksFrom(list, match);
          const s = schedule(tasks, hands);
          const at = new Map(s.placed.map((p) => [p.task.step.key, p]));
          for (const p of s.placed) {
            for (const key of p.task.step.needs) expect(p.start).toBeGreaterThanOrEqual(at.get(key)?.end ?? 0);
            if (p.task.afterMatch !== undefined) expect(p.start).toBeGreaterThanOrEqual(s.lit + p.task.afterMatch - 1e-6);
            if (p.task.step.flammable) expect(p.end).toBeLessThanOrEqual(s.lit + 1e-6);
            if (p.task.step.away && p.start > s.lit) expect(p.who).toBe('H');
            expect(p.slack).toBeGreaterThanOrEqual(0);
            expect(p.start).toBeGreaterThanOrEqual(p.who === 'H' ? from : 0);
            for (const q of s.placed) if (q !== p && q.who === p.who) expect(q.start >= p.end - 1e-6 || p.start >= q.end - 1e-6).toBe(true);
            if (p.who === 'K') expect(p.start >= 700 - 1e-6 || p.end <= 500 + 1e-6).toBe(true);
          }
          expect(new Set(s.placed.map((p) => p.task.step.key)).size).toBe(s.placed.length);
        }
      ),
      { numRuns: 200 }
    );
  });

  it('share people and bays between engines: nobody at two, no bay twice, and said when there is none', () => {
    const people = [keeper, helper];
    const other = [
      { ...helper, as: 'keeper' as const },
      { ...keeper, as: 'helper' as const }
    ];
    const engine = (id: string, key: string, who: DayPlan['people'], at: string) => ({
      id,
      name: id,
      plain: true,
      ...inputFor(patternOf(key), dayOf({ people: who, wants: [{ what: 'train', at: iso(at) }] }))
    });
    const engines = [
      engine('a', 'tender', people, '11:00'),
      engine('b', 'small-tank', other, '11:30'),
      engine('c', 'large-tank', people, '15:00')
    ];
    const placed = together(engines, 1);
    const spans = placed.flatMap((p) => p.sheet.stations.map((s) => ({ ...s, engine: p.id })));
    for (const a of spans)
      for (const b of spans) if (a.engine !== b.engine && a.who === b.who) expect(a.end <= b.start + 1 || b.end <= a.start + 1).toBe(true);
    const bays = placed.filter((p) => p.bay !== undefined);
    for (const a of bays)
      for (const b of bays)
        if (a !== b && a.bay === b.bay) expect(a.sheet.ready <= b.sheet.begin + 1000 || b.sheet.ready <= a.sheet.begin + 1000).toBe(true);
    for (const p of placed) if (p.bay === undefined) expect(p.problems.join()).toContain('bays are taken');
    expect(together(engines, 3).every((p) => p.bay !== undefined)).toBe(true);
    // The keeper of the first is with its fire until its running is over, and the third says so.
    const first = placed.find((p) => p.id === 'a')!.sheet;
    for (const s of placed.find((p) => p.id === 'c')!.sheet.stations.filter((s) => s.who === keeper.name))
      expect(s.end <= first.light + 1 || s.start >= first.ready + 119 * 60_000).toBe(true);
    const clash = together([engines[0]!, engine('d', 'small-tank', [keeper], '12:00')], 3).find((p) => p.id === 'd')!;
    expect(clash.problems.join(' ')).toMatch(/Wenna Thrale is with another engine until \{at:\d+\}: a lit fire is not left/);
  });
});

describe('what a whole sheet says', () => {
  it('names one starting level wherever it is shown: the figure, its working, the step, the sheet', () => {
    for (const { fitOut } of patterns) {
      const plant = plantOf(fitOut);
      const level = startingSum({ fitOut, plant });
      const figure = engineFigures({ fitOut, plant }).find((f) => f.key === 'start')!.worked;
      const whole = planWhole({ fitOut, procedure: compose(fitOut), fits: [], used: [] }, dayOf({ water: 288.15, air: 288.15 }));
      const said = whole.sheet.stations.find((s) => s.key === 'fill')!.what;
      expect(figure.value, fitOut.name).toBe(level.fill.value);
      expect(figure.steps.at(-1)!.result.value, fitOut.name).toBe(figure.value);
      expect(whole.level.fill.value, fitOut.name).toBe(level.fill.value);
      expect(said, fitOut.name).toBe(withFill(compose(fitOut), level, { fitOut, plant }).steps.find((s) => s.key === 'fill')!.what);
      expect(said, fitOut.name).toContain(
        level.fill.kind === 'glass' ? printGlass(level.fill.value) : mark(fillOf(level, plant), 'volume')
      );
    }
  });

  it('packs kit by the fit-out', () => {
    const kit = (f: FitOut) =>
      kitFor(f, compose(f))
        .map((k) => k.what)
        .join('; ');
    expect(kit(rail)).toContain('Measuring jug');
    expect(kit(patternOf('tender'))).toContain('second chimney bore');
    expect(kit(hen)).not.toContain('second chimney bore');
  });
});
