import type { Phase, Procedure } from '../procedure';
import type { DayPlan } from './day';
import type { RaisePlan } from './raising';
import { schedule, type Task } from './schedule';
import type { Station } from './sheet';
import { handsAt } from './tasks';

const minute = 60_000;
const ends: readonly Phase[] = ['Shut down', 'Put away'];

/** Minutes of work from the end of running to the last thing put away, one pair of hands after another; the cooling is not in it. */
export function minutesAfter(procedure: Procedure, plan: Pick<DayPlan, 'minutes' | 'without'>): number {
  return procedure.steps
    .filter((s) => ends.includes(s.phase) && !plan.without.includes(s.key))
    .reduce((sum, s) => sum + (plan.minutes[s.key] ?? s.minutes), 0);
}

/** Until when it runs, ms since 1970: as long as was said, a later want as well, and no longer than leaves time to put it away. @param from when it begins */
function runsUntil(plan: DayPlan, from: number, stopBy = Infinity): number {
  const last = Date.parse(plan.wants.at(-1)!.at);
  // A later want is run, not only waited for.
  return Math.min(stopBy, Math.max(from + plan.running * minute, last + (plan.wants.length > 1 ? 15 * minute : 0)));
}

/** What belongs to the end of the running, and how long each takes, ms: begun so that it ends with it. */
const endingOf = (procedure: Procedure, plan: Pick<DayPlan, 'minutes' | 'without'>) =>
  procedure.steps
    .filter((s) => s.phase === 'Run' && s.ends && !plan.without.includes(s.key))
    .map((step) => ({ step, takes: (plan.minutes[step.key] ?? step.minutes) * minute }));

/** A procedure in which what belongs to the end of the running opens when the day sheet has it, as far as it can be known at the start. */
export function withEnd(procedure: Procedure, plan: DayPlan): Procedure {
  const stopBy = plan.end ? Date.parse(plan.end) - minutesAfter(procedure, plan) * minute : Infinity;
  let left = runsUntil(plan, Date.parse(plan.wants[0]!.at), stopBy);
  const opens = new Map<string, string>();
  for (const { step, takes } of endingOf(procedure, plan).reverse()) opens.set(step.key, new Date((left -= takes)).toISOString());
  return {
    ...procedure,
    steps: procedure.steps.map((s) => {
      const from = opens.get(s.key);
      return from ? { ...s, gates: s.gates.map((g) => (g.kind === 'ending' ? { ...g, from } : g)) } : s;
    })
  };
}

/**
 * Running, then shutting down and putting away, as is to be expected: what waits for the pressure to fall waits as long as the
 * boiler takes to cool by itself.
 * @param ready when it is proven, ms since 1970 @param stopBy when running must stop at the latest
 */
export function afterRunning(
  procedure: Procedure,
  plan: DayPlan,
  raise: RaisePlan,
  { ready, stopBy }: { ready: number; stopBy?: number }
): Station[] {
  const keeper = plan.people.find((p) => p.as === 'keeper')!.name;
  const from = Math.max(ready, Date.parse(plan.wants[0]!.at));
  const to = runsUntil(plan, from, stopBy);
  if (!(to > from)) return [];
  const row = (key: string, what: string, start: number, end: number): Station => ({
    key,
    what,
    phase: 'Run',
    who: keeper,
    start,
    end,
    slack: 0,
    chore: false,
    must: false,
    by: 'expected'
  });
  const ending = endingOf(procedure, plan);
  let start = to - ending.reduce((sum, { takes }) => sum + takes, 0);
  const running = [
    row('running', 'Running', from, to),
    ...ending.map(({ step: s, takes }) => {
      const end = start + takes;
      const placed = row(s.key, s.what, Math.max(from, start), end);
      start = end;
      return placed;
    })
  ];

  const steps = procedure.steps.filter((s) => ends.includes(s.phase) && !plan.without.includes(s.key));
  const shutDown = steps.filter((s) => s.phase === 'Shut down').map((s) => s.key);
  const cooled = (atMost: number) => raise.cooling?.find((c) => c.pressure <= atMost * 1.001)?.after ?? 0;
  const out = (plan.minutes['fire-drop'] ?? 5) * 60;
  const tasks = steps.map((s): Task => {
    const falls = s.gates.find((g) => g.kind === 'pressure falls');
    return {
      step: {
        ...s,
        chore: false,
        // Putting away comes after shutting down, and within each the steps come in their order.
        needs: s.phase === 'Put away' ? shutDown : s.needs
      },
      span: (plan.minutes[s.key] ?? s.minutes) * 60,
      ...(falls?.kind === 'pressure falls' ? { afterMatch: out + cooled(falls.atMost) } : {})
    };
  });
  // Somebody who leaves before that is not counted on; the keeper stays to the end.
  const hands = handsAt(plan, to, {}).map((h) => (h.as === 'keeper' ? { ...h, until: Infinity } : h));
  const s = schedule(tasks, hands, { from: 0, lit: 0 });
  return [
    ...running,
    ...s.placed.map((p) => ({
      ...row(p.task.step.key, p.task.step.what, to + p.start * 1000, to + p.end * 1000),
      phase: p.task.step.phase,
      who: p.who,
      must: p.task.step.must
    }))
  ];
}
