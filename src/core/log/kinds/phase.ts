import { group, type Infer, oneWord } from '../../form';
import { phases } from '../../procedure';
import type { KindOf } from './kind';

const fields = group('Phase', { phase: oneWord('Which phase', phases) });
export type PhaseBody = Infer<typeof fields>;

export const phase: KindOf<PhaseBody> = {
  fields,
  does: (state, { phase }, { at }) => (phase === state.phase ? state : { ...state, phase, phaseSince: at }),
  says: ({ phase }) => `On to: ${phase}`
};
