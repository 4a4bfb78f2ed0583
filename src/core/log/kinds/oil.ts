import { group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Oil', { what: text('What was oiled', 1, 80) });
export type Oil = Infer<typeof fields>;

export const oil: KindOf<Oil> = { fields, tells: (body) => [{ is: 'oil', ...body }], says: ({ what }) => what };
