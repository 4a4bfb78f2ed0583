import type { FitOut } from '$core/engine';
import { type Live, live } from '$core/forecast';
import { type Context, type Entry, fold } from '$core/log';
import { type Learned, learn, type Learning, type Told } from '$core/learn';
import {
  type Busy,
  type DayPlan,
  daySheet,
  engineOf,
  gateBand,
  type Known,
  planRaise,
  planWhole,
  pressuresOf,
  type RaisePlan,
  replan,
  type Replan,
  type Whole
} from '$core/plan';

/** A steaming under way as the forecast wants it. */
export interface Under {
  readonly context: Context;
  readonly entries: readonly Entry[];
  readonly known: Pick<Known, 'fitOut' | 'fits' | 'offs'>;
  readonly plan?: DayPlan;
  readonly now: number;
}
export interface Footing {
  readonly live: Live;
  /** When each tenth of working pressure is reached: what the fan is drawn from, ms since 1970. */
  readonly fan: readonly { readonly pressure: number; readonly early: number; readonly middle: number; readonly late: number }[];
  /** What the plan said, from when it meant to light. */
  readonly planned?: { readonly light: number; readonly band: Footing['fan'] };
  readonly replan?: Replan;
}

/** Engines are known by what they are made of: a page asks again and again for the same one. */
const engines = new Map<string, ReturnType<typeof engineOf>>();
function engineFor(known: Pick<Known, 'fitOut' | 'fits' | 'offs'>) {
  const key = JSON.stringify([known.fitOut, known.fits, known.offs]);
  let found = engines.get(key);
  if (!found) {
    if (engines.size > 12) engines.clear();
    engines.set(key, (found = engineOf(known)));
  }
  return found;
}

const steps = [0.02, 0.06, 0.12, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
const fanOf = (
  gates: readonly { pressure: number; band: { early: number; middle: number; late: number } }[],
  at = 0,
  scale = 1
): Footing['fan'] =>
  gates
    .filter((g) => g.band.late < Infinity)
    .map(({ pressure, band }) => ({
      pressure,
      early: at + band.early * scale,
      middle: at + band.middle * scale,
      late: at + band.late * scale
    }));

function footing({ context, entries, known, plan, now }: Under): Footing {
  const { plant, heating } = engineFor(known);
  const { fitOut, procedure } = context;
  const log = fold(context, entries);
  const asked = steps.map((s) => s * fitOut.workingPressure);
  const gates = [...new Set([...pressuresOf(procedure, fitOut.workingPressure), ...asked])].sort((a, b) => a - b);
  const found = live(log, plant, heating, { now, gates, ...(plan ? { day: plan } : {}) });
  // From where the needle is now: what lies behind is read, not forecast.
  const needle = found.lastReading && log.state.pressure ? log.state.pressure.value : 0;
  const left = fanOf(found.gates.filter((g) => g.band.middle > now + 1000 && g.pressure > needle));
  const fan = left.length ? [{ pressure: Math.min(needle, left[0]!.pressure), early: now, middle: now, late: now }, ...left] : [];
  if (!plan || log.state.phase === 'Run' || log.state.fire.outAt) return { live: found, fan };
  // What the plan said before anything was known of the day.
  const raise: RaisePlan = planRaise(fitOut, procedure, plant, heating, plan);
  const sheet = daySheet({ procedure, plan, raise, plain: true });
  const whole = planRaise(fitOut, { ...procedure, steps: [] }, plant, heating, plan, asked);
  const litAt = log.state.fire.litAt ? Date.parse(log.state.fire.litAt) : undefined;
  const done = new Set(Object.keys(log.state.steps));
  const again = replan({
    procedure,
    plan,
    raise: litAt === undefined || found.gates.length ? raise : over(raise, litAt, now),
    done,
    now,
    ...(litAt === undefined ? {} : { litAt }),
    live: found.gates
  });
  return {
    live: found,
    fan,
    planned: { light: sheet.light, band: fanOf(whole.gates, sheet.light, 1000) },
    ...(again ? { replan: again } : {})
  };
}

/** A raise that is over: its gates are open. */
const over = (raise: RaisePlan, litAt: number, now: number): RaisePlan => {
  const at = (now - litAt) / 1000;
  const band = { early: at, middle: at, late: at, sure: 1 };
  return { gates: raise.gates.map((g) => ({ ...g, band: gateBand(raise, g.pressure).middle > at ? band : g.band })), up: band };
};

/** The table of jobs. Each takes plain data and gives plain data back. */
export const jobs = {
  plan: ({ known, plan, busy }: { known: Known; plan: DayPlan; busy: Busy }): Whole => planWhole(known, plan, busy, engineFor(known)),
  footing,
  learn: (
    { fitOut, told, learning }: { fitOut: FitOut; told: readonly Told[]; learning: Learning },
    progress: (share: number) => void
  ): Learned => learn(fitOut, told, learning, progress)
} as const;

export type Job = keyof typeof jobs;
export type Input<J extends Job> = Parameters<(typeof jobs)[J]>[0];
export type Output<J extends Job> = ReturnType<(typeof jobs)[J]>;
