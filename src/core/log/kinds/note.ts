import { group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Note', { text: text('What is noted', 1, 2000) });
export type Note = Infer<typeof fields>;

export const note: KindOf<Note> = { fields, verbatim: true, says: (body) => body.text, echoes: (body) => `note: ${body.text}` };
