import { things } from '../procedure';
import type { Log } from './fold';
import { isAsked } from './standing';

/** The step whose points are each accounted for. */
export const oilRound = 'oil-round';
/** How points that were missed are said, and read back. */
export const missedOf = (reason: string): string[] => (reason.startsWith('Missed: ') ? reason.slice(8).split('; ') : []);

/** Something that the last steaming left for the next: what was forgotten comes first next time. */
export interface Carried {
  readonly what: string;
  readonly how: 'skipped' | 'not done' | 'in part' | 'left open';
  readonly reason?: string;
}

/** What a finished steaming leaves behind: steps skipped with their reason, steps never reached, things still open. Rigs, matrix and sweeps have a book of their own. */
export const carriedOver = ({ context, state }: Log): Carried[] => [
  ...Object.keys(state.open).map((key): Carried => ({ what: things[key as keyof typeof things].open, how: 'left open' })),
  ...context.procedure.steps.flatMap((step): Carried[] => {
    const done = state.steps[step.key];
    if (!done) return step.chore || !isAsked(step, state) ? [] : [{ what: step.what, how: 'not done' }];
    // A round of points that was done but for some of them.
    if (done.outcome === 'done' && step.key === oilRound && done.reason) return [{ what: step.what, how: 'in part', reason: done.reason }];
    return done.outcome === 'skipped' ? [{ what: step.what, how: 'skipped', ...(done.reason ? { reason: done.reason } : {}) }] : [];
  })
];
