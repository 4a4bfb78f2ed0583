import { describe, expect, it } from 'vitest';
import { patterns } from '../engine';
import { compose } from '../procedure';
import { psi } from '../units';
import { afterRunning, type DayPlan, minutesAfter, planProblem, type RaisePlan, usualPlan, withEnd } from '.';

const { fitOut } = patterns.find((p) => p.fitOut.name === 'Marsh Hen')!;
const procedure = compose(fitOut);
const minute = 60_000;
const t0 = Date.parse('2026-06-13T11:00:00.000Z');
const iso = (minutes: number) => new Date(t0 + minutes * minute).toISOString();
const planOf = (more: Partial<DayPlan> = {}): DayPlan => ({ ...usualPlan('Wenna Thrale', iso(0), 'first train'), running: 90, ...more });
const band = { early: 2000, middle: 2400, late: 3000, sure: 1 };
/** A boiler that takes so many minutes to come down to each pressure by itself. */
const raiseOf = (cooling: readonly (readonly [pressure: number, after: number])[]): RaisePlan => ({
  gates: [],
  up: band,
  cooling: cooling.map(([pressure, after]) => ({ pressure: psi(pressure), after: after * 60 }))
});
const raise = raiseOf([
  [25, 70],
  [0, 200]
]);
const after = (plan: DayPlan, more: { ready?: number; stopBy?: number } = {}, of = raise) =>
  afterRunning(procedure, plan, of, { ready: t0 - 5 * minute, ...more });
const at = (rows: ReturnType<typeof after>, key: string) => rows.find((r) => r.key === key)!;
const from = (ms: number) => (ms - t0) / minute;

describe('running, shutting down, putting away', () => {
  const ends = procedure.steps.filter((s) => ['Shut down', 'Put away'].includes(s.phase));
  const ending = procedure.steps.filter((s) => s.phase === 'Run' && s.ends);

  it('running lasts as long as is asked, from when it is wanted or ready, whichever is later', () => {
    expect([from(at(after(planOf()), 'running').start), from(at(after(planOf()), 'running').end)]).toEqual([0, 90]);
    const late = at(after(planOf(), { ready: t0 + 20 * minute }), 'running');
    expect([from(late.start), from(late.end)]).toEqual([20, 110]);
    expect(late).toMatchObject({ phase: 'Run', who: 'Wenna Thrale', by: 'expected', slack: 0, chore: false, must: false });
  });

  it('a later want is run and not only waited for; what must be over cuts it short', () => {
    const wants = [0, 180].map((m) => ({ what: 'train', at: iso(m) }));
    expect(from(at(after(planOf({ wants })), 'running').end)).toBe(195);
    expect(from(at(after(planOf({ wants: [wants[0]!, { what: 'train', at: iso(30) }] })), 'running').end)).toBe(90);
    expect(from(at(after(planOf(), { stopBy: t0 + 40 * minute }), 'running').end)).toBe(40);
    expect(after(planOf(), { stopBy: t0 })).toEqual([]);
    expect(after(planOf({ running: 0 }))).toEqual([]);
  });

  it('opens on the Footplate when the sheet has it: by its running, by what must be over, and nothing else is gated anew', () => {
    const opens = (plan: DayPlan) =>
      Object.fromEntries(
        withEnd(procedure, plan).steps.flatMap((s) =>
          s.gates.flatMap((g) => (g.kind === 'ending' && g.from ? [[s.key, from(Date.parse(g.from))]] : []))
        )
      );
    // Ten minutes of last fire and two of stopping, to the end of 90.
    expect(opens(planOf())).toEqual({ 'last-fire': 78, 'run-end': 88 });
    const rows = after(planOf());
    expect(from(at(rows, 'last-fire').start)).toBe(78);
    expect(opens(planOf({ minutes: { 'last-fire': 25 } }))).toEqual({ 'last-fire': 63, 'run-end': 88 });
    expect(opens(planOf({ without: ['last-fire'] }))).toEqual({ 'run-end': 88 });
    const over = minutesAfter(procedure, planOf());
    expect(opens(planOf({ end: iso(60 + over) }))).toEqual({ 'last-fire': 48, 'run-end': 58 });
    const changed = withEnd(procedure, planOf()).steps.filter((s, i) => s !== procedure.steps[i]);
    expect(changed.map((s) => s.key)).toEqual(['last-fire', 'run-end']);
  });

  it('what belongs to the end of the running ends with it, one after the other', () => {
    expect(ending.length).toBeGreaterThan(0);
    const rows = after(planOf());
    const last = at(rows, ending.at(-1)!.key);
    expect(from(last.end)).toBe(90);
    expect(from(last.start)).toBe(90 - ending.at(-1)!.minutes);
    const [first] = ending;
    const shorter = after(planOf({ minutes: { [first!.key]: first!.minutes + 10 } }));
    expect(at(rows, first!.key).start - at(shorter, first!.key).start).toBe(10 * minute);
    expect(after(planOf({ without: [first!.key] })).some((r) => r.key === first!.key)).toBe(false);
    // Never before the running it ends.
    expect(from(at(after(planOf({ running: 1 })), first!.key).start)).toBe(0);
  });

  it('every step of the end has its row after the running, putting away after shutting down, nobody at two things', () => {
    const rows = after(planOf()).filter((r) => ends.some((s) => s.key === r.key));
    expect(rows.map((r) => r.key).sort()).toEqual(ends.map((s) => s.key).sort());
    for (const r of rows) expect(from(r.start)).toBeGreaterThanOrEqual(90);
    const shut = Math.max(...rows.filter((r) => r.phase === 'Shut down').map((r) => r.end));
    for (const r of rows.filter((r) => r.phase === 'Put away')) expect(r.start).toBeGreaterThanOrEqual(shut);
    const keepers = rows.filter((r) => r.who === 'Wenna Thrale').sort((a, b) => a.start - b.start);
    keepers.slice(1).forEach((r, i) => expect(r.start).toBeGreaterThanOrEqual(keepers[i]!.end - 1));
    for (const s of ends) expect(at(rows, s.key)).toMatchObject({ phase: s.phase, must: s.must, by: 'expected' });
  });

  it('what waits for the pressure to fall waits as long as the boiler takes to cool, after the fire is out', () => {
    const waits = ends.filter((s) => s.gates.some((g) => g.kind === 'pressure falls'));
    expect(waits.length).toBeGreaterThan(0);
    const out = procedure.steps.find((s) => s.key === 'fire-drop')!.minutes;
    for (const s of waits) {
      const gate = s.gates.find((g) => g.kind === 'pressure falls')!;
      const cools = gate.kind === 'pressure falls' && gate.atMost >= psi(25) * 0.999 ? 70 : 200;
      expect(from(at(after(planOf()), s.key).start), s.key).toBeGreaterThanOrEqual(90 + Math.min(5, out) + cools - 0.01);
    }
    const slow = after(
      planOf(),
      {},
      raiseOf([
        [25, 100],
        [0, 260]
      ])
    );
    expect(at(slow, waits[0]!.key).start - at(after(planOf()), waits[0]!.key).start).toBe(30 * minute);
    // A boiler of which nothing is known about its cooling is not said to take long.
    expect(from(at(after(planOf(), {}, { gates: [], up: band }), waits[0]!.key).start)).toBeLessThan(90 + 70);
  });

  it('counts the work of the end alone: its own minutes, without what is left out', () => {
    const all = ends.reduce((sum, s) => sum + s.minutes, 0);
    expect(minutesAfter(procedure, planOf())).toBe(all);
    const [first] = ends;
    expect(minutesAfter(procedure, planOf({ without: [first!.key] }))).toBe(all - first!.minutes);
    expect(minutesAfter(procedure, planOf({ minutes: { [first!.key]: 40 } }))).toBe(all - first!.minutes + 40);
  });
});

describe('what a plan’s fields say to each other', () => {
  const person = (name: string, more: Partial<DayPlan['people'][number]> = {}) => ({ name, as: 'helper' as const, from: null, ...more });
  const keeper = { name: 'Wenna Thrale', as: 'keeper' as const, from: null };
  const field = (more: Partial<DayPlan>) => planProblem(planOf(more))?.field;

  it.each<[string, Partial<DayPlan>, string | undefined]>([
    ['a plan as it usually is', {}, undefined],
    ['nobody keeps it', { people: [person('Corin Ashby')] }, 'people'],
    ['two keep it', { people: [keeper, { ...keeper, name: 'Corin Ashby' }] }, 'people'],
    ['named twice, in another hand', { people: [keeper, person(' wenna thrale ')] }, 'people.1.name'],
    ['leaves as they come', { people: [keeper, person('Corin Ashby', { from: iso(0), until: iso(0) })] }, 'people.1.until'],
    ['leaves after they come', { people: [keeper, person('Corin Ashby', { from: iso(0), until: iso(1) })] }, undefined],
    ['over as steam is last wanted', { end: iso(0) }, 'end'],
    ['over a minute later', { end: iso(1) }, undefined],
    ['over before the later want', { wants: [0, 60].map((m) => ({ what: 'train', at: iso(m) })), end: iso(30) }, 'end'],
    ['wants twenty hours apart', { wants: [0, 1200].map((m) => ({ what: 'train', at: iso(m) })) }, undefined],
    ['wants a minute more apart', { wants: [0, 1201].map((m) => ({ what: 'train', at: iso(m) })) }, 'wants']
  ])('%s', (_, more, wrong) => expect(field(more)).toBe(wrong));
});
