import { group, type Infer, oneWord } from '../../form';
import { observationKeys, observations } from '../../procedure';
import { seen } from '../events';
import type { KindOf } from './kind';

const fields = group('Observation', { seen: oneWord('What was seen', observationKeys) });
export type ObservationBody = Infer<typeof fields>;

export const observation: KindOf<ObservationBody> = {
  fields,
  tells: (body) => seen(body.seen),
  says: ({ seen }) => observations[seen],
  echoes: ({ seen }) => observations[seen]
};
