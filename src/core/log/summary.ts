import type { Log } from './fold';

/** What the Logbook lists of a steaming that has ended: computed once, from the fold, when it is signed. */
export interface Summary {
  /** s from the match to 95 % of working pressure; null when it never got there. */
  readonly raise: number | null;
  /** s from the match to the fire being out. */
  readonly inSteam: number | null;
  /** Pa at the gauge */ readonly highest: number | null;
  /** kg, of what was weighed */ readonly fuel: number;
  /** rounds of fuel put on */ readonly rounds: number;
  readonly readings: number;
  readonly faults: number;
  readonly skipped: number;
  readonly missed: number;
  readonly entries: number;
}

const seconds = (from: string | undefined, to: string | undefined) =>
  from && to && to > from ? (Date.parse(to) - Date.parse(from)) / 1000 : null;

export function summarise({ entries, struck, state, context }: Log): Summary {
  const live = entries.filter((e) => !struck.has(e.id));
  const litAt = live.find(
    (e) =>
      (e.kind === 'fire' && e.body.act === 'light') ||
      (e.kind === 'tick' && e.body.outcome === 'done' && context.procedure.steps.find((s) => s.key === e.body.step)?.act === 'light')
  )?.at;
  const up = live.find(
    (e) => e.kind === 'reading' && (e.body.pressure ?? 0) >= context.fitOut.workingPressure * 0.95 && (!litAt || e.at > litAt)
  )?.at;
  const ticks = Object.values(state.steps);
  return {
    raise: seconds(litAt, up),
    inSteam: seconds(litAt, state.fire.outAt),
    highest: state.highest?.value ?? null,
    fuel: state.fire.fuel,
    rounds: state.fire.rounds,
    readings: live.filter((e) => e.kind === 'reading').length,
    faults: state.faults.length,
    skipped: ticks.filter((t) => t.outcome === 'skipped').length,
    missed: context.procedure.steps.length - ticks.length,
    entries: live.length
  };
}
