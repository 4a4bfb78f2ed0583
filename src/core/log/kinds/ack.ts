import { group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Taken note of', { rule: text('Which warning', 1, 40), what: text('As it was said', 1, 300) });
/** Somebody has taken note of a warning: it is quiet until it is worse, and stands until it is put right. */
export type Ack = Infer<typeof fields>;

export const ack: KindOf<Ack> = { fields, says: ({ what }) => `Taken note of: ${what}` };
