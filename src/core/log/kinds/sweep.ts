import { type Leak, leaks, placeKinds, type PlaceKind } from '../../commission';
import { group, type Infer, oneWord, optional, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

const fields = group('Place of a sweep', {
  place: text('Which place', 1, 60),
  at: gauge('Pressure of the walk'),
  is: oneWord('What it does', [...(Object.keys(leaks) as Leak[]), 'disturbed']),
  kind: optional(oneWord('What it is, of a place of one’s own', Object.keys(placeKinds) as PlaceKind[])),
  text: optional(text('What was seen', 1, 300))
});
/** A place that can leak, looked at on a walk round the engine at one pressure; or taken apart, and all before counts for nothing. */
export type SweepBody = Infer<typeof fields>;

export const sweep: KindOf<SweepBody> = {
  fields,
  does: (state, body, { at: when, by }) => ({ ...state, swept: [...state.swept, { ...body, when, by }] }),
  says: ({ place, at, is, text }, { units }) =>
    is === 'disturbed'
      ? `${place}: taken apart, to be swept anew${text ? `. ${text}` : ''}`
      : `${place}: ${leaks[is]} ${at === 0 ? 'cold' : `at ${printText(at, 'pressure', units)}`}${text ? `. ${text}` : ''}`
};
