import type { DayPlan } from './day';
import type { Task } from './schedule';
import { type Busy, fit } from './tasks';

const minute = 60_000;

/** What would bring a sheet forward. */
export interface Cut {
  readonly what: string;
  /** ms gained */ readonly gains: number;
}

/** What to leave out or change, and what it gains; never a step whose evidence may not be skipped. */
export function cutsOf(
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
export const canWait = (step: Task['step']): boolean => step.phase === 'Look over' && !step.must && !step.chore && !onTheDay.has(step.key);
