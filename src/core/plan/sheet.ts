import type { Band } from '../forecast';
import type { Phase, Procedure, Step } from '../procedure';
import type { DayPlan, Want } from './day';
import { gateBand, type RaisePlan } from './raising';
import { type Hand, type Placed, type Schedule, schedule, type Task } from './schedule';

/**
 * Until when an engine's fire has its keeper, ms since 1970: a lit fire is not left before the running is over.
 * @param ready when it is proven
 */
export const keptUntil = (plan: DayPlan, ready: number): number =>
  Math.max(ready + plan.running * 60_000, ...plan.wants.map((w) => Date.parse(w.at)));

/** A step at its clock time, ms since 1970. */
export interface Station {
  readonly key: string;
  readonly what: string;
  readonly phase: Phase;
  readonly who: string;
  readonly start: number;
  readonly end: number;
  /** ms it can slip without moving what is wanted. */
  readonly slack: number;
  readonly chore: boolean;
  readonly must: boolean;
  /** What it waits for, Pa at the gauge. */
  readonly opensAt?: number;
}

/** A sheet: when to begin, to light, to be in steam, and every step at its time. */
export interface Sheet {
  readonly want: Want;
  readonly begin: number;
  readonly light: number;
  /** Working pressure, ms since 1970: eight times in ten between early and late. */
  readonly steam: Band;
  /** When it is proven and fit to run, by the late edge of the raise. */
  readonly ready: number;
  /** ms after what was wanted; 0 when it is in time. */
  readonly late: number;
  readonly stations: readonly Station[];
  /** Chores for which the waits had no room. */
  readonly noRoom: readonly string[];
  /** When running must stop so that everything is over in time; undefined when no end was given. */
  readonly stopBy?: number;
  /** What to say of it: impossible wants and what stands in the way. */
  readonly problems: readonly string[];
  /** What would bring it forward, the best first. */
  readonly cuts: readonly Cut[];
}

export interface Cut {
  readonly what: string;
  /** ms gained */ readonly gains: number;
}

const minute = 60_000;
const upToRunning: readonly Phase[] = ['Look over', 'Fill and oil', 'Light up', 'Raise', 'Prove'];

/**
 * The late edge of a band; its middle when one time in ten it never comes, for what cannot be placed would be left out and the
 * day would seem the shorter for it. Infinity when even the middle does not come.
 */
const certain = ({ middle, late }: Band): number => (late < Infinity ? late : middle);

/** Steps by key, of the phases before running, with what this plan changes. */
export function tasksOf(
  procedure: Procedure,
  plan: Pick<DayPlan, 'minutes' | 'without' | 'tests'>,
  raise: RaisePlan,
  done: ReadonlySet<string> = new Set()
): Task[] {
  const span = (s: Step) => (plan.minutes[s.key] ?? s.minutes) * 60;
  const steps = procedure.steps.filter((s) => upToRunning.includes(s.phase) && !plan.without.includes(s.key) && !done.has(s.key));
  const lightsAt = procedure.steps.findIndex((s) => s.act === 'light');
  const tasks = steps.map((step): Task => {
    const gate = step.gates.find((g) => g.kind === 'pressure');
    const after = step.gates.find((g) => g.kind === 'minutes');
    const afterLighting = procedure.steps.indexOf(step) > lightsAt;
    // The time to do a step counts from when it opens, and it opens at the late edge: nine times in ten there is no wait.
    const opens =
      gate?.kind === 'pressure' ? certain(gateBand(raise, gate.atLeast)) : after?.kind === 'minutes' ? after.minutes * 60 : undefined;
    return {
      step,
      span: span(step),
      ...(step.act === 'light' ? { lights: true } : {}),
      ...(opens !== undefined && afterLighting ? { afterMatch: opens } : {})
    };
  });
  const tests = plan.tests.map((t, i): Task => ({
    step: { key: `test-${i + 1}`, what: t.what, phase: 'Prove', who: 'keeper', chore: false, must: true, needs: [] },
    span: t.minutes * 60,
    afterMatch: certain(raise.up) + 1
  }));
  return [...tasks, ...tests];
}

const handsAt = (plan: DayPlan, zero: number, busy: Busy): Hand[] =>
  plan.people.map((p) => ({
    name: p.name,
    as: p.as,
    from: p.from ? (Date.parse(p.from) - zero) / 1000 : -Infinity,
    until: p.until ? (Date.parse(p.until) - zero) / 1000 : Infinity,
    busy: (busy[p.name] ?? []).map(([a, b]) => [(a - zero) / 1000, (b - zero) / 1000] as const)
  }));

/** Who is busy with another engine, and when, ms since 1970. */
export type Busy = Readonly<Record<string, readonly (readonly [number, number])[]>>;

const shift = (band: Band, at: number): Band => ({
  early: at + band.early * 1000,
  middle: at + band.middle * 1000,
  late: at + band.late * 1000,
  sure: band.sure
});

export interface SheetInput {
  readonly procedure: Procedure;
  readonly plan: DayPlan;
  readonly raise: RaisePlan;
  readonly busy?: Busy;
  /** Nothing can begin before this, ms since 1970. */
  readonly notBefore?: number;
  /** It must have left its place in the bays by this, ms since 1970. */
  readonly leaveBy?: number;
  /** Leave out what to cut: it costs a few more schedules. */
  readonly plain?: boolean;
}

/** The sheet of a day: begun as late as it can be and still be ready when it is first wanted. */
export function daySheet(input: SheetInput): Sheet {
  const { procedure, plan, raise, busy = {}, plain } = input;
  const want = plan.wants[0]!;
  const wanted = Math.min(Date.parse(want.at), input.leaveBy ?? Infinity);
  const tasks = tasksOf(procedure, plan, raise);
  const keeper = plan.people.find((p) => p.as === 'keeper')!;
  let { zero, s } = fit(tasks, plan, wanted, busy, input.notBefore);
  // From the match to the end of the running its keeper is nowhere else: when they would be, it begins after that.
  const elsewhere = Math.max(
    0,
    ...(busy[keeper.name] ?? [])
      .filter(([from, to]) => from < keptUntil(plan, Math.max(wanted, zero + s.ready * 1000)) && to > zero + s.lit * 1000)
      .map(([, to]) => to)
  );
  if (elsewhere) ({ zero, s } = fit(tasks, plan, wanted, busy, Math.max(input.notBefore ?? -Infinity, elsewhere)));
  const at = (t: number) => zero + t * 1000;
  const ready = at(s.ready);
  const late = Math.max(0, ready - wanted) < minute / 2 ? 0 : ready - wanted;
  const steam = shift(raise.up, at(s.lit));
  const after = minutesAfter(procedure, plan);
  const stopBy = plan.end ? Date.parse(plan.end) - after * minute : undefined;
  const problems: string[] = [];
  if (raise.up.sure < 0.5)
    problems.push(
      'By what is known of this engine it does not reach working pressure within nine hours: look at its fire, its water and its figures.'
    );
  else if (raise.up.late === Infinity)
    problems.push(
      'One time in ten this engine does not reach working pressure: the times below count on the usual day, not on a late one.'
    );
  if (late) {
    const arrives = keeper.from ? Date.parse(keeper.from) : undefined;
    const needs = Math.round((s.ready - s.placed[0]!.start) / 60);
    if (elsewhere) problems.push(`${keeper.name} is with another engine until {at:${elsewhere}}: a lit fire is not left.`);
    problems.push(
      arrives !== undefined && arrives > wanted
        ? `${keeper.name} arrives after steam is wanted. The earliest is {at:${ready}}.`
        : `It needs ${needs} min from the first look to the last proof, and there are ${Math.max(0, Math.round((wanted - at(s.placed[0]!.start)) / minute))}. The earliest is {at:${ready}}.`
    );
  }
  if (stopBy !== undefined && stopBy < ready)
    problems.push('Shutting down and putting away would have to begin before it is ready: there is no running in this day.');
  for (const w of plan.wants)
    if (stopBy !== undefined && Date.parse(w.at) > stopBy)
      problems.push(`“${w.what}” is after {at:${stopBy}}, when shutting down must begin to be over in time.`);
  return {
    want,
    begin: at(s.placed[0]?.start ?? 0),
    light: at(s.lit),
    steam,
    ready,
    late,
    stations: s.placed.map((p) => station(p, at, procedure)),
    noRoom: s.left.map((t) => t.step.what),
    ...(stopBy === undefined ? {} : { stopBy }),
    problems,
    cuts: plain ? [] : cutsOf(tasks, plan, ready, wanted, busy, input.notBefore, late > 0)
  };
}

const station = (p: Placed, at: (t: number) => number, procedure: Procedure): Station => {
  const { step } = p.task;
  const gate = procedure.steps.find((s) => s.key === step.key)?.gates.find((g) => g.kind === 'pressure');
  return {
    key: step.key,
    what: step.what,
    phase: step.phase,
    who: p.who,
    start: at(p.start),
    end: at(p.end),
    slack: p.slack * 1000,
    chore: step.chore,
    must: step.must,
    ...(gate?.kind === 'pressure' ? { opensAt: gate.atLeast } : {})
  };
};

/** Zero is slid until the schedule ends when it should: people who come later may stretch it, so it is tried again. */
function fit(tasks: readonly Task[], plan: DayPlan, wanted: number, busy: Busy, notBefore = -Infinity): { zero: number; s: Schedule } {
  let zero = wanted;
  let s!: Schedule;
  for (let n = 0; n < 6; n++) {
    // The first go assumes that everybody is there.
    s = schedule(
      tasks,
      n === 0 ? handsAt(plan, zero, {}).map((h) => ({ ...h, from: -Infinity, until: Infinity })) : handsAt(plan, zero, busy)
    );
    const over = zero + s.ready * 1000 - wanted;
    const next = Math.max(notBefore, zero - over);
    if (n > 0 && Math.abs(next - zero) < 1000) break;
    // Nobody comes earlier than they can: when sliding does not help, it is late.
    const arrives = plan.people.find((p) => p.as === 'keeper')!.from;
    const earliest = Math.max(notBefore, arrives ? Date.parse(arrives) : -Infinity);
    zero = Math.max(next, earliest);
  }
  // Begun on a whole minute: nobody looks at a clock more closely.
  zero = Math.max(notBefore, Math.floor(zero / minute) * minute);
  s = schedule(tasks, handsAt(plan, zero, busy));
  return { zero, s };
}

/** Minutes from the end of running to the last thing put away, one pair of hands after another. */
export function minutesAfter(procedure: Procedure, plan: Pick<DayPlan, 'minutes' | 'without'>): number {
  return procedure.steps
    .filter((s) => (s.phase === 'Shut down' || s.phase === 'Put away') && !plan.without.includes(s.key))
    .reduce((sum, s) => sum + (plan.minutes[s.key] ?? s.minutes), 0);
}

/** What to leave out or change, and what it gains; never a step whose evidence may not be skipped. */
function cutsOf(
  tasks: readonly Task[],
  plan: DayPlan,
  ready: number,
  wanted: number,
  busy: Busy,
  notBefore: number | undefined,
  late: boolean
): Cut[] {
  if (!late) return [];
  const gain = (list: readonly Task[], people = plan) => {
    const { zero, s } = fit(list, people, wanted, busy, notBefore);
    return ready - (zero + s.ready * 1000);
  };
  const cuts: Cut[] = [];
  for (const t of tasks) {
    const { step } = t;
    if (!canWait(step)) continue;
    const gains = gain(tasks.filter((x) => x !== t));
    if (gains >= minute) cuts.push({ what: `Do “${step.what}” the evening before`, gains });
  }
  if (plan.people.length === 1) {
    const helper = { ...plan, people: [...plan.people, { name: 'a helper', as: 'helper' as const, from: plan.people[0]!.from }] };
    const gains = gain(tasks, helper);
    if (gains >= minute) cuts.push({ what: 'Bring a helper from the start', gains });
  }
  return cuts.sort((a, b) => b.gains - a.gains).slice(0, 6);
}
/** What is looked at on the day itself, however late it is. */
const onTheDay = new Set(['papers', 'carried', 'valves-fitted', 'gauge-zero', 'glass-clean']);
/** What can be done the evening before: looking over, but for what must be seen on the day. */
const canWait = (step: Task['step']): boolean => step.phase === 'Look over' && !step.must && !step.chore && !onTheDay.has(step.key);

/**
 * The same from a steaming under way: what is left, from now, by the raise as it is going.
 * Undefined when working pressure is not to be expected.
 */
export interface Replan {
  readonly ready: number;
  /** ms after what was wanted, below 0 when it is early */
  readonly behind: number;
  /** What could have been done the evening before, and what leaving it gains; nothing once there is a fire. */
  readonly skip: readonly Cut[];
  /** Later wants that move with it. */
  readonly wants: readonly { readonly what: string; readonly wanted: number; readonly now: number }[];
}

export function replan(input: {
  procedure: Procedure;
  plan: DayPlan;
  raise: RaisePlan;
  done: ReadonlySet<string>;
  /** ms since 1970 */ now: number;
  /** ms since 1970, when it was lit */ litAt?: number;
  /** To each pressure, ms since 1970. */ live?: readonly { readonly pressure: number; readonly band: Band }[];
}): Replan | undefined {
  const { procedure, plan, done, now, litAt, live } = input;
  const lit = litAt === undefined ? undefined : (litAt - now) / 1000;
  // Live bands, as s after the match, in the place of the plan's.
  const raise: RaisePlan =
    litAt !== undefined && live?.length
      ? (() => {
          const gates = live.map(({ pressure, band }) => ({
            pressure,
            band: {
              early: (band.early - litAt) / 1000,
              middle: (band.middle - litAt) / 1000,
              late: (band.late - litAt) / 1000,
              sure: band.sure
            }
          }));
          return { gates, up: gates.at(-1)!.band };
        })()
      : input.raise;
  const tasks = tasksOf(procedure, plan, raise, done).filter((t) => !(t.lights && lit !== undefined));
  const hands = handsAt(plan, now, {});
  const s = schedule(tasks, hands, { from: 0, ...(lit === undefined ? {} : { lit }) });
  // Nothing is ready before there is steam, whatever is left to do; without steam in sight there is no time to give.
  const up = certain(raise.up);
  if (up === Infinity) return undefined;
  const ready = Math.max(now + s.ready * 1000, (litAt ?? now + s.lit * 1000) + up * 1000);
  const wanted = Date.parse(plan.wants[0]!.at);
  const behind = ready - wanted;
  const skip: Cut[] = [];
  // Once there is a fire nothing is skipped.
  if (behind > minute && lit === undefined)
    for (const t of tasks.filter((t) => canWait(t.step))) {
      const without = schedule(
        tasks.filter((x) => x !== t),
        hands
      );
      const gains = ready - (now + without.ready * 1000);
      if (gains >= minute) skip.push({ what: t.step.what, gains });
    }
  return {
    ready,
    behind,
    skip: skip.sort((a, b) => b.gains - a.gains).slice(0, 3),
    wants: plan.wants.map((w) => ({ what: w.what, wanted: Date.parse(w.at), now: Math.max(Date.parse(w.at), ready) }))
  };
}
