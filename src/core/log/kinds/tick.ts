import { group, type Infer, optional, text, union } from '../../form';
import { stepDone } from '../events';
import { advance } from '../shown';
import { tickRefused } from '../standing';
import type { KindOf } from './kind';

const of = { step: text('Which step', 1, 60), initials: optional(text('Initials', 1, 8)) };
const fields = union('Outcome', 'outcome', {
  done: group('done', { ...of, reason: optional(text('Reason', 1, 300)) }),
  skipped: group('skipped', { ...of, reason: text('Why it was skipped', 1, 300) })
});
export type Tick = Infer<typeof fields>;

export const tick: KindOf<Tick> = {
  fields,
  tells: ({ step: key, outcome }, state, { at }, { procedure }) => {
    const step = outcome === 'done' ? procedure.steps.find((s) => s.key === key) : undefined;
    return step ? stepDone(step, state, at) : [];
  },
  does: (state, body, { at, by }, context) => {
    const { step, outcome, reason, initials } = body;
    if (!context.procedure.steps.some((s) => s.key === step)) return state;
    // What was said was said, and is kept; what the log does not bear out is marked.
    const against = tickRefused(body, state, context.procedure, Date.parse(at));
    const told = { outcome, at, by, ...(reason ? { reason } : {}), ...(initials ? { initials } : {}), ...(against ? { against } : {}) };
    return advance({ ...state, steps: { ...state.steps, [step]: told } }, context, at);
  },
  says: ({ step, outcome, reason }, { procedure }) => {
    const what = procedure?.steps.find((s) => s.key === step)?.what ?? step;
    const why = reason ?? '';
    if (outcome === 'done') return reason ? `${what}. ${why[0]!.toUpperCase()}${why.slice(1)}` : what;
    return `Skipped: ${what}. ${why[0]?.toUpperCase() ?? ''}${why.slice(1)}`;
  }
};
