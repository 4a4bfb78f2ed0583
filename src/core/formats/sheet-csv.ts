import type { Sheet } from '../plan';
import { isoIn, printMarks, usualUnits } from '../units';
import { table } from './csv';

/** A day sheet's steps as CSV: one row a step, in order, times by the club's clock with its offset. `by` says which time it is:
 * as planned, the latest by the raise, or as is to be expected. */
export const sheetCsv = (sheet: Sheet, zone: string): string =>
  table([
    ['start', 'end', 'by', 'who', 'phase', 'step', 'slack min', 'opens at psi', 'chore'],
    ...[...sheet.stations, ...sheet.after].map((s) => [
      isoIn(s.start, zone),
      isoIn(s.end, zone),
      s.by,
      s.who,
      s.phase,
      printMarks(s.what, usualUnits),
      Number.isFinite(s.slack) ? Math.round(s.slack / 60_000) : '',
      s.opensAt === undefined ? '' : Math.round(s.opensAt / 6894.757293),
      s.chore ? 'chore' : ''
    ])
  ]);
