import { group, type Infer, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Photo', {
  sum: text('Sum of its bytes, SHA-256', 64, 64),
  what: text('What it shows', 1, 200),
  fault: optional(text('Of which fault', 36, 36)),
  place: optional(text('Of which place', 1, 60))
});
/** A picture that was taken: the bytes travel by themselves. */
export type PhotoBody = Infer<typeof fields>;

export const photo: KindOf<PhotoBody> = {
  fields,
  does: (state, body, { id, at, by }) => ({ ...state, photos: [...state.photos, { ...body, id, at, by }] }),
  says: ({ what }) => `Photo: ${what}`
};
