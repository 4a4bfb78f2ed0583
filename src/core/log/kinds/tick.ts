import { group, type Infer, optional, text, union } from '../../form';
import { type Phase, phases } from '../../procedure';
import { stepDone } from '../events';
import type { Context, State } from '../state';
import type { KindOf } from './kind';

const of = { step: text('Which step', 1, 60), initials: optional(text('Initials', 1, 8)) };
const fields = union('Outcome', 'outcome', {
  done: group('done', { ...of, reason: optional(text('Reason', 1, 300)) }),
  skipped: group('skipped', { ...of, reason: text('Why it was skipped', 1, 300) })
});
export type Tick = Infer<typeof fields>;

/** The phase moves on when nothing is left to do in it; it never moves back by itself. */
function advance(state: State, { procedure }: Context, at: string): State {
  let rank = phases.indexOf(state.phase);
  while (rank < phases.length - 1 && procedure.steps.every((s) => s.phase !== phases[rank] || state.steps[s.key])) rank++;
  const phase = phases[rank] as Phase;
  return phase === state.phase ? state : { ...state, phase, phaseSince: at };
}

export const tick: KindOf<Tick> = {
  fields,
  tells: ({ step: key, outcome }, state, { at }, { procedure }) => {
    const step = outcome === 'done' ? procedure.steps.find((s) => s.key === key) : undefined;
    return step ? stepDone(step, state, at) : [];
  },
  does: (state, { step, outcome, reason, initials }, { at, by }, context) =>
    context.procedure.steps.some((s) => s.key === step)
      ? advance(
          {
            ...state,
            steps: { ...state.steps, [step]: { outcome, at, by, ...(reason ? { reason } : {}), ...(initials ? { initials } : {}) } }
          },
          context,
          at
        )
      : state,
  says: ({ step, outcome, reason }, { procedure }) => {
    const what = procedure?.steps.find((s) => s.key === step)?.what ?? step;
    const why = reason ?? '';
    return outcome === 'done' ? what : `Skipped: ${what}. ${why[0]?.toUpperCase() ?? ''}${why.slice(1)}`;
  }
};
