import type { Band } from '../forecast';
import { type Gate, opensAtPressure, type Phase, type Procedure, type Step } from '../procedure';
import type { DayPlan } from './day';
import { gateBand, type RaisePlan } from './raising';
import { type Hand, type Schedule, schedule, type Task } from './schedule';

const minute = 60_000;
const upToRunning: readonly Phase[] = ['Look over', 'Fill and oil', 'Light up', 'Raise', 'Prove'];

/** Who is busy with another engine, and when, ms since 1970. */
export type Busy = Readonly<Record<string, readonly (readonly [number, number])[]>>;

/**
 * The late edge of a band; its middle when one time in ten it never comes, for what cannot be placed would be left out and the
 * day would seem the shorter for it. Infinity when even the middle does not come.
 */
export const certain = ({ middle, late }: Band): number => (late < Infinity ? late : middle);

/** When a gate opens, s after the match, at its late edge; undefined where nothing forecasts it. */
function opensAfter(gate: Gate, raise: RaisePlan): number | undefined {
  if (gate.kind === 'minutes') return gate.minutes * 60;
  if (gate.kind === 'seen' && gate.what === 'start fuel alight') return raise.alight && certain(raise.alight);
  if (gate.kind === 'seen' && gate.what === 'glass moving') return raise.boils && certain(raise.boils);
  // The last of its gates is the pressure in steam.
  const pressure = opensAtPressure(gate, raise.gates.at(-1)?.pressure ?? 0);
  // Nothing on the way up is counted on later than what stands at its end.
  return pressure === undefined ? undefined : Math.min(certain(gateBand(raise, pressure)), certain(raise.up));
}

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
    const afterLighting = procedure.steps.indexOf(step) > lightsAt;
    // The time to do a step counts from when it opens, and it opens at the late edge: nine times in ten there is no wait.
    const waits = step.gates.flatMap((g) => opensAfter(g, raise) ?? []);
    const opens = waits.length ? Math.max(...waits) : undefined;
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

export const handsAt = (plan: DayPlan, zero: number, busy: Busy): Hand[] =>
  plan.people.map((p) => ({
    name: p.name,
    as: p.as,
    from: p.from ? (Date.parse(p.from) - zero) / 1000 : -Infinity,
    until: p.until ? (Date.parse(p.until) - zero) / 1000 : Infinity,
    busy: (busy[p.name] ?? []).map(([a, b]) => [(a - zero) / 1000, (b - zero) / 1000] as const)
  }));

/** Zero is slid until the schedule ends when it should: people who come later may stretch it, so it is tried again. */
export function fit(
  tasks: readonly Task[],
  plan: DayPlan,
  wanted: number,
  busy: Busy,
  notBefore = -Infinity
): { zero: number; s: Schedule } {
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
