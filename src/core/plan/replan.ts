import type { Band } from '../forecast';
import type { Procedure } from '../procedure';
import { canWait, type Cut } from './cuts';
import type { DayPlan } from './day';
import type { RaisePlan } from './raising';
import { schedule } from './schedule';
import { certain, handsAt, tasksOf } from './tasks';

const minute = 60_000;

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
          return {
            gates,
            up: gates.at(-1)!.band,
            ...(input.raise.alight && { alight: input.raise.alight }),
            ...(input.raise.boils && { boils: input.raise.boils })
          };
        })()
      : input.raise;
  const tasks = tasksOf(procedure, plan, raise, done).filter((t) => !(t.lights && lit !== undefined));
  const hands = handsAt(plan, now, {});
  const s = schedule(tasks, hands, { from: 0, plain: true, ...(lit === undefined ? {} : { lit }) });
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
        hands,
        { plain: true }
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
