import { group, type Infer, oneWord } from '../../form';
import { observationKeys, observations } from '../../procedure';
import { seen } from '../events';
import type { KindOf } from './kind';

const fields = group('Observation', { seen: oneWord('What was seen', observationKeys) });
export type ObservationBody = Infer<typeof fields>;

export const observation: KindOf<ObservationBody> = {
  fields,
  // A further run asks its own steps anew, and those of the end of each: the engine is at work again.
  does: (state, { seen }, { at }, { procedure }) =>
    seen === 'another run'
      ? {
          ...state,
          again: at,
          phase: 'Run',
          phaseSince: at,
          steps: Object.fromEntries(
            Object.entries(state.steps).filter(([key]) => {
              const step = procedure.steps.find((s) => s.key === key);
              return step && !step.cycle && step.phase !== 'Shut down' && step.phase !== 'Put away';
            })
          )
        }
      : state,
  tells: (body) => seen(body.seen),
  says: ({ seen }) => observations[seen],
  echoes: ({ seen }) => observations[seen]
};
