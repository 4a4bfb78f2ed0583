import Papa from 'papaparse';
import type { Sheet } from '../plan';
import { printMarks, usualUnits } from '../units';

/** A day sheet's steps as CSV: one row a step, in order, times in UTC. */
export const sheetCsv = (sheet: Sheet): string =>
  Papa.unparse([
    ['start', 'end', 'who', 'phase', 'step', 'slack min', 'opens at psi', 'chore'],
    ...sheet.stations.map((s) => [
      new Date(s.start).toISOString(),
      new Date(s.end).toISOString(),
      s.who,
      s.phase,
      printMarks(s.what, usualUnits),
      Number.isFinite(s.slack) ? Math.round(s.slack / 60_000) : '',
      s.opensAt === undefined ? '' : Math.round(s.opensAt / 6894.757293),
      s.chore ? 'chore' : ''
    ])
  ]);
