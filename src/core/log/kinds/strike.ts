import { group, type Infer, optional, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Strike', { reason: optional(text('Reason', 1, 300)) });
export type Strike = Infer<typeof fields>;

/** What a strike does to another entry is the fold's: it works by its target, not by its time. */
export const strike: KindOf<Strike> = { fields, says: ({ reason }) => `Struck out${reason ? `: ${reason}` : ''}` };
