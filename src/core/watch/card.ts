import { isAsked, standing, type State } from '../log';
import { type Procedure, rounds, type Step } from '../procedure';
import type { Placed } from './due';

/** How much is asked at once: every point a card of its own, a round at once, all that can be done at once. */
export const details = { full: 'every point, one by one', usual: 'in rounds', brief: 'all that can be done at once' } as const;
export type Detail = keyof typeof details;

/**
 * The points that stand on one card with the step that is to be done now: those of its round that are open, or will be when the points before
 * them are done. The step alone where it is no point of a round, or where every point is asked for by itself.
 * @param now ms since 1970
 */
export function cardOf(first: Placed, procedure: Procedure, state: State, now: number, detail: Detail): readonly Placed[] {
  const { round, phase } = first.step;
  if (detail === 'full' || !round || first.standing.is !== 'open') return [first];
  const together = (s: Step) =>
    s.phase === phase && s.round !== undefined && isAsked(s, state) && (detail === 'brief' || s.round === round);
  const at = new Date(now).toISOString();
  const done = { outcome: 'done', at, by: '' } as const;
  /** As if a point had been done, and seen what it sees. */
  const with_ = (before: State, { key, sees }: Step): State => ({
    ...before,
    steps: { ...before.steps, [key]: done },
    seen: sees ? { ...before.seen, [sees]: at } : before.seen
  });
  let after = with_(state, first.step);
  const points = [first];
  for (const step of procedure.steps) {
    if (!together(step) || after.steps[step.key]) continue;
    const is = standing(step, after, procedure, now);
    if (is.is !== 'open') continue;
    points.push({ step, standing: is });
    after = with_(after, step);
  }
  return points;
}

/** What stands over a card, and what one touch says of all its points. */
export const headOf = (points: readonly Placed[]): { readonly what: string; readonly all: string } => {
  const keys = new Set(points.map((p) => p.step.round));
  const [key] = keys;
  if (keys.size > 1 || !key) return { what: points[0]!.step.phase, all: 'All found right and done' };
  // A round of a library that is not known here is still a round.
  return rounds[key] ?? { what: points[0]!.step.phase, all: 'All done' };
};
