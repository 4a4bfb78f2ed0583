import { upcast } from '../form';
import type { FitOut } from './fit-out';

/** A fit-out as it was stored or exported, in today's terms. There is one version so far; the next adds its rung here. */
export const fitOutOf = (document: unknown): FitOut =>
  upcast(document, { at: 'format', today: 'joram.fit-out/1', ladder: [], given: undefined });
