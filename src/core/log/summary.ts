import { inSteamAt } from '../engine';
import { type Carried, carriedOver } from './carry-over';
import type { Log } from './fold';
import { runFactsOf } from './runs';
import { isAsked } from './standing';
import type { Run, RunFact } from './state';

/** What hands have measured on a day. */
export interface Measured {
  /** s each, by what was timed. */
  readonly times?: Readonly<Record<string, readonly number[]>>;
  /** What each feed gave, as a share of what its fit-out says, and the spread of its logarithm. */
  readonly feeds?: Readonly<Record<string, { readonly gave: number; readonly spread: number }>>;
  /** m, and s a lap. */
  readonly lap?: { readonly length: number; readonly time: number };
}

/** What the Logbook lists of a steaming that has ended: computed once, from the fold, when it is signed. */
export interface Summary {
  /** s from the match into steam; null when it never got there. */
  readonly raise: number | null;
  /** s from the match to the fire being out; of several runs, what each burnt. */
  readonly inSteam: number | null;
  /** Pa at the gauge */ readonly highest: number | null;
  /** kg, of what was weighed */ readonly fuel: number;
  /** rounds of fuel put on */ readonly rounds: number;
  readonly readings: number;
  readonly faults: number;
  readonly skipped: number;
  readonly missed: number;
  readonly entries: number;
  /** What each run has shown, of an engine that nothing feeds. */
  readonly runs?: readonly RunFact[];
  /** What it left for the next; what was kept by an earlier version has none. */
  readonly carried?: readonly Carried[];
  readonly measured?: Measured;
}

const seconds = (from: string | undefined, to: string | undefined) =>
  from && to && to > from ? (Date.parse(to) - Date.parse(from)) / 1000 : null;

/** When the match was first put to it. */
export const litAt = ({ events }: Pick<Log, 'events'>): string | undefined => events.find((e) => e.is === 'fire' && e.act === 'light')?.at;

/** A needle this near to it is as good as there. */
const asGoodAs = 0.97;

/** When the pressure was first logged as good as in steam, with the fire lit. */
export const upAt = (log: Log): string | undefined => {
  const lit = litAt(log);
  const near = inSteamAt(log.context.fitOut) * asGoodAs;
  return log.events.find((e) => e.is === 'reading' && (e.pressure ?? 0) >= near && (!lit || e.at > lit))?.at;
};

/** How long it burnt in all, s: of several runs each for itself. */
export const burning = (runs: readonly Run[]): number =>
  runs.reduce((sum, { litAt, outAt }) => sum + (outAt ? (Date.parse(outAt) - Date.parse(litAt)) / 1000 : 0), 0);

export function summarise(log: Log): Summary {
  const { state, context } = log;
  const lit = litAt(log);
  const ticks = Object.values(state.steps);
  const runs = runFactsOf(log);
  return {
    raise: seconds(lit, upAt(log)),
    inSteam: state.runs.length > 1 ? burning(state.runs) : seconds(lit, state.fire.outAt),
    highest: state.highest?.value ?? null,
    fuel: state.fire.fuel,
    rounds: state.fire.rounds,
    readings: log.entries.filter((e) => e.kind === 'reading' && !log.struck.has(e.id)).length,
    faults: state.faults.length,
    skipped: ticks.filter((t) => t.outcome === 'skipped').length,
    missed: context.procedure.steps.filter((s) => isAsked(s, state)).length - ticks.length,
    entries: log.entries.length - log.struck.size,
    carried: carriedOver(log),
    ...(runs.length ? { runs } : {})
  };
}
