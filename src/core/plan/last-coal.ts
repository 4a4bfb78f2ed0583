import { type Given, lastFire, usualDuty } from '../sums';
import type { DayPlan } from './day';

/** The last coal goes on so long before the end as the bed takes to burn down at the day's work: minutes of that step. */
export function lastCoal(engine: Given, { duty = usualDuty }: Pick<DayPlan, 'duty'>): DayPlan['minutes'] {
  if (!lastFire.when!(engine)) return {};
  return { 'last-fire': Math.round(lastFire.work({ ...lastFire.usual(engine), duty }, engine).value / 60) };
}
