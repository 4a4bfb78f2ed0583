import { group, type Infer, quantity } from '../../form';
import type { KindOf } from './kind';

const fields = group('Begun without a connection', {
  book: quantity('How old the book was by which it was begun', 'time', 0, 3.2e9)
});
/** It was begun on a device without a connection, by the club's book as that had last heard it. */
export type Away = Infer<typeof fields>;

const words = (s: number): string =>
  s < 3600 ? `${Math.round(s / 60)} min` : s < 48 * 3600 ? `${Math.round(s / 3600)} h` : `${Math.round(s / 86_400)} days`;

export const away: KindOf<Away> = { fields, says: ({ book }) => `Begun without a connection, by a book ${words(book)} old` };
