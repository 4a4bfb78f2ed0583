import type { Procedure, Step } from './step';

/** What the club’s book says of an engine when a steaming of it begins. */
export interface Book {
  /** ISO 8601: when it was asked. */
  readonly at: string;
  /** Papers with their last days, in words. */
  readonly papers: readonly string[];
  /** What stands against steaming it; it may have been overridden. */
  readonly stops: readonly string[];
  /** Open faults, and what the last steaming left undone or open, in words. */
  readonly left: readonly string[];
  /** Oiling points that the last round missed: they head this one. */
  readonly missed?: readonly string[];
  /** For public running: how many proven feeds are asked for, and of which. */
  readonly feeds?: { readonly asked: number; readonly of: readonly string[] };
}

/** A procedure that asks nothing that the book shows: papers in date are, and what was left is told and not looked for. */
export const withBook = (procedure: Procedure, { at, papers, stops, left, missed = [], feeds }: Book): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((s): Step => {
    if (s.key === 'papers')
      return {
        ...s,
        known: {
          at,
          says: [...papers, ...stops],
          done: stops.length === 0,
          ...(stops.length ? { against: stops.join('; ').slice(0, 1000) } : {})
        }
      };
    if (s.key === 'carried') return { ...s, known: { at, says: left.length ? left : ['Nothing was left from last time'], done: true } };
    if (s.key === 'oil-round' && missed.length) return { ...s, known: { at, says: missed, done: false } };
    return s.act === 'carry' && feeds ? { ...s, proof: { kind: 'feeds', ...feeds } } : s;
  })
});
