import { things } from '../procedure';
import type { Log } from './fold';

/** Something that the last steaming left for the next: what was forgotten comes first next time. */
export interface Carried {
  readonly what: string;
  readonly how: 'skipped' | 'not done' | 'left open';
  readonly reason?: string;
}

/** What a finished steaming leaves behind: steps skipped with their reason, steps never reached, things still open. */
export const carriedOver = ({ context, state }: Log): Carried[] => [
  ...Object.keys(state.open).map((key): Carried => ({ what: things[key as keyof typeof things].open, how: 'left open' })),
  ...context.procedure.steps.flatMap((step): Carried[] => {
    const done = state.steps[step.key];
    if (!done) return step.chore ? [] : [{ what: step.what, how: 'not done' }];
    return done.outcome === 'skipped' ? [{ what: step.what, how: 'skipped', ...(done.reason ? { reason: done.reason } : {}) }] : [];
  })
];
