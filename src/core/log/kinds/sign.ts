import { group, type Infer, oneWord, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Signature', {
  as: oneWord('As', ['keeper', 'examiner']),
  name: text('Name', 1, 120),
  remarks: optional(text('Remarks', 1, 2000))
});
export type Sign = Infer<typeof fields>;

export const sign: KindOf<Sign> = {
  fields,
  does: (state, body, { at, by }) => ({
    ...state,
    signatures: [...state.signatures, { ...body, at, by }],
    ...(body.as === 'keeper' ? { endedAt: at } : {})
  }),
  says: ({ as, name, remarks }) => `Signed as ${as}: ${name}${remarks ? `. ${remarks}` : ''}`
};
