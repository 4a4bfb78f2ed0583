import { inSteamAt } from '$core/engine';
import { type Following, follow, following, type Live, liveOf } from '$core/forecast';
import { add, type Context, type Entry, fold, type Log } from '$core/log';
import {
  type DayPlan,
  daySheet,
  type engineOf,
  gateBand,
  type Known,
  planRaise,
  pressuresOf,
  type RaisePlan,
  replan,
  type Replan
} from '$core/plan';

/** A steaming under way as the forecast wants it. */
export interface Under {
  readonly id: string;
  readonly context: Context;
  readonly known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used'>;
  readonly plan?: DayPlan;
}
export interface Footing {
  readonly live: Live;
  /** When each tenth of working pressure is reached: what the fan is drawn from, ms since 1970. */
  readonly fan: readonly { readonly pressure: number; readonly early: number; readonly middle: number; readonly late: number }[];
  /** What the plan said, from when it meant to light. */
  readonly planned?: { readonly light: number; readonly band: Footing['fan'] };
  readonly replan?: Replan;
}

/** What the plan said before anything was known of the day: worked out once. */
interface Planned {
  readonly raise: RaisePlan;
  readonly light: number;
  readonly band: Footing['fan'];
}

/** A steaming that is followed: its log as it came so far, and what was taken of it. */
interface Followed {
  readonly under: Under;
  readonly engine: ReturnType<typeof engineOf>;
  readonly gates: readonly number[];
  readonly planned: Planned | undefined;
  log: Log;
  following: Following;
}
const all = new Map<string, Followed>();

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

/** Begins to follow a steaming: nothing of its log is known yet. */
export function begin(under: Under, engine: ReturnType<typeof engineOf>): void {
  const { context, plan } = under;
  const { fitOut, procedure } = context;
  const { plant, heating } = engine;
  const asked = steps.map((s) => s * inSteamAt(fitOut));
  const log = fold(context, []);
  let planned: Planned | undefined;
  if (plan) {
    const raise = planRaise(fitOut, procedure, plant, heating, plan);
    const { light } = daySheet({ procedure, plan, raise, plain: true });
    const whole = planRaise(fitOut, { ...procedure, steps: [] }, plant, heating, plan, asked);
    planned = { raise, light, band: fanOf(whole.gates, light, 1000) };
  }
  if (all.size > 12) all.clear();
  all.set(under.id, {
    under,
    engine,
    gates: [...new Set([...pressuresOf(procedure, inSteamAt(fitOut)), ...asked])].sort((a, b) => a - b),
    planned,
    log,
    following: following(log, plant, heating, plan, under.known.used)
  });
}

/** What stands now, with what was added since it was last asked. */
export function footing({ id, added, now }: { id: string; added: readonly Entry[]; now: number }): Footing {
  const f = all.get(id);
  if (!f) throw new Error('This steaming is not followed yet.');
  f.log = f.log.entries.length === 0 ? fold(f.under.context, added) : added.reduce(add, f.log);
  follow(f.following, f.log);
  const { state } = f.log;
  const live = liveOf(f.following, f.log, { now, gates: f.gates });
  // From where the needle is now: what lies behind is read, not forecast.
  const needle = live.lastReading && state.pressure ? state.pressure.value : 0;
  const left = fanOf(live.gates.filter((g) => g.band.middle > now + 1000 && g.pressure > needle));
  const fan = left.length ? [{ pressure: Math.min(needle, left[0]!.pressure), early: now, middle: now, late: now }, ...left] : [];
  const { plan, context } = f.under;
  if (!plan || !f.planned || state.phase === 'Run' || state.fire.outAt) return { live, fan };
  const { raise, light, band } = f.planned;
  const litAt = state.fire.litAt ? Date.parse(state.fire.litAt) : undefined;
  const again = replan({
    procedure: context.procedure,
    plan,
    raise: litAt === undefined || live.gates.length ? raise : over(raise, litAt, now),
    done: new Set(Object.keys(state.steps)),
    now,
    ...(litAt === undefined ? {} : { litAt }),
    live: live.gates
  });
  return { live, fan, planned: { light, band }, ...(again ? { replan: again } : {}) };
}

/** A raise that is over: its gates are open. */
const over = (raise: RaisePlan, litAt: number, now: number): RaisePlan => {
  const at = (now - litAt) / 1000;
  const band = { early: at, middle: at, late: at, sure: 1 };
  return {
    gates: raise.gates.map((g) => ({ ...g, band: gateBand(raise, g.pressure).middle > at ? band : g.band })),
    up: band,
    alight: band
  };
};
