import { ladder } from '../procedure';
import { isTimed } from '../sums';
import type { Event } from './events';
import type { Log } from './fold';
import type { RunFact } from './state';
import { factOf } from './stop';

/** WHAT THE RUNS OF A DAY HAVE SHOWN, kept for the days after: how hot the fire is, how fast it burns, when each sense came. */

/** How long after the match each was first sensed in one run, s. */
export type Sensed = RunFact['sensed'];

const rungs = new Set<string>(ladder.map((s) => s.seen));

/** What was sensed in each run of a log, oldest first: the first time after each match of what stands on the ladder. */
export function sensedIn(events: readonly Event[]): Sensed[] {
  const runs: { lit: number; seen: { -readonly [K in keyof Sensed]: Sensed[K] } }[] = [];
  for (const e of events) {
    if (e.is === 'fire' && e.act === 'light') runs.push({ lit: Date.parse(e.at), seen: {} });
    const run = runs.at(-1);
    if (run && e.is === 'seen' && rungs.has(e.seen)) run.seen[e.seen] ??= (Date.parse(e.at) - run.lit) / 1000;
  }
  return runs.map((r) => r.seen);
}

/** Of every run of a log, oldest first; nothing of an engine that can be fed. */
export function runFactsOf({ state, events, context: { fitOut } }: Log): RunFact[] {
  if (!isTimed(fitOut)) return [];
  const sensed = sensedIn(events);
  return state.runs.map((run, i) => factOf(fitOut, run, sensed[i] ?? {}));
}

/** Runs that began alike: as much fuel, to a quarter, and water as warm, to 25 K; what was not said of one is taken to be like the other. */
const alike = (a: Pick<RunFact, 'charge' | 'T'>, b: Pick<RunFact, 'charge' | 'T'>): boolean =>
  (a.charge === undefined || b.charge === undefined || Math.abs(Math.log(a.charge / b.charge)) < 0.25) &&
  (a.T === undefined || b.T === undefined || Math.abs(a.T - b.T) < 25);

/** What was sensed in earlier runs, of this day and before, that began as the last one did. */
export function sensedBefore(log: Log): Sensed[] {
  const { runs, earlier } = log.state;
  const run = runs.at(-1);
  return run ? [...earlier, ...runFactsOf(log).slice(0, -1)].filter((fact) => alike(fact, run)).map((fact) => fact.sensed) : [];
}
