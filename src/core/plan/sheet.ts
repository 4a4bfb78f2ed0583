import type { Band } from '../forecast';
import type { Phase, Procedure } from '../procedure';
import { afterRunning, minutesAfter } from './after';
import { type Cut, cutsOf } from './cuts';
import type { DayPlan, Want } from './day';
import type { RaisePlan } from './raising';
import type { Placed } from './schedule';
import { type Busy, fit, tasksOf } from './tasks';

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
  /**
   * Which clock its time is by: as planned; by the late edge of the raise, so that it may come sooner; or as is to be expected,
   * so that it may come later.
   */
  readonly by: 'plan' | 'latest' | 'expected';
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
  /** Running, shutting down and putting away, each with its time and who does it. */
  readonly after: readonly Station[];
  /** Chores for which the waits had no room. */
  readonly noRoom: readonly string[];
  /** When running must stop so that everything is over in time; undefined when no end was given. */
  readonly stopBy?: number;
  /** What to say of it: impossible wants and what stands in the way. */
  readonly problems: readonly string[];
  /** What would bring it forward, the best first. */
  readonly cuts: readonly Cut[];
}

const minute = 60_000;
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
  const stopBy = plan.end ? Date.parse(plan.end) - minutesAfter(procedure, plan) * minute : undefined;
  const after = afterRunning(procedure, plan, raise, { ready, ...(stopBy === undefined ? {} : { stopBy }) });
  const problems: string[] = [];
  if (raise.up.sure < 0.5)
    problems.push(
      'By what is known of this engine it does not come into steam within nine hours: look at its fire, its water and its figures.'
    );
  else if (raise.up.late === Infinity)
    problems.push('One time in ten this engine does not come into steam: the times below count on the usual day, not on a late one.');
  if (late) {
    const arrives = keeper.from ? Date.parse(keeper.from) : undefined;
    const needs = Math.round((s.ready - s.placed[0]!.start) / 60);
    if (elsewhere) problems.push(`${keeper.name} is with another engine until {at:${Math.round(elsewhere)}}: a lit fire is not left.`);
    problems.push(
      arrives !== undefined && arrives > wanted
        ? `${keeper.name} arrives after steam is wanted. The earliest is {at:${ready}}.`
        : `It needs ${needs} min from the first look to the last proof, and there are ${Math.max(0, Math.round((wanted - at(s.placed[0]!.start)) / minute))}. The earliest is {at:${ready}}.`
    );
  }
  if (stopBy !== undefined && stopBy < ready)
    problems.push('Shutting down and putting away would have to begin before it is ready: there is no running in this day.');
  const over = Math.max(...after.map((a) => a.end));
  if (plan.end && over > Date.parse(plan.end) + minute)
    problems.push(
      `It is to be all over by {at:${Date.parse(plan.end)}}, and by itself it is cool enough to be put away at about {at:${over}}: end the running sooner, or leave the last of it for the next day.`
    );
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
    stations: s.placed.map((p) => station(p, at, procedure, s.lit)),
    after,
    noRoom: s.left.map((t) => t.step.what),
    ...(stopBy === undefined ? {} : { stopBy }),
    problems,
    cuts: plain ? [] : cutsOf(tasks, plan, ready, wanted, busy, input.notBefore, late > 0)
  };
}

const station = (p: Placed, at: (t: number) => number, procedure: Procedure, lit: number): Station => {
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
    by: p.start < lit ? 'plan' : 'latest',
    ...(gate?.kind === 'pressure' ? { opensAt: gate.atLeast } : {})
  };
};
