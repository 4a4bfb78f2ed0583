import { isAsked, isDue, standing, type Standing, type State } from '../log';
import { type Phase, phases, type Procedure, type Step } from '../procedure';

export interface Placed {
  readonly step: Step;
  readonly standing: Standing;
}

export interface Due {
  readonly phase: Phase;
  /** The step to do now: the first that is open in the phase; when all wait, the first open chore. */
  readonly now?: Placed;
  /** What comes after it: open, waiting or blocked, in order. */
  readonly next: readonly Placed[];
  /** Steps of earlier phases that were neither done nor skipped. */
  readonly missed: readonly Placed[];
}

/**
 * What is due.
 * @param now ms since 1970
 */
export function due(procedure: Procedure, state: State, now: number): Due {
  const rank = phases.indexOf(state.phase);
  const left = procedure.steps
    .filter((s) => !state.steps[s.key] && isAsked(s, state))
    .map((step) => ({ step, standing: standing(step, state, procedure, now) }));
  const here = left.filter(({ step }) => step.phase === state.phase);
  const later = left.filter(({ step }) => phases.indexOf(step.phase) > rank);
  const missed = left.filter(({ step }) => phases.indexOf(step.phase) < rank);
  const isOpen = ({ standing }: Placed) => isDue(standing);
  const first = here.find((p) => isOpen(p) && !p.step.chore) ?? here.find(isOpen) ?? missed.find((p) => isOpen(p) && p.step.must);
  return {
    phase: state.phase,
    ...(first ? { now: first } : {}),
    next: [...here, ...later].filter((p) => p !== first),
    missed
  };
}
