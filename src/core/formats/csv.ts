import Papa from 'papaparse';
import { type Entry, type Log, say } from '../log';
import { fromSi, isoIn, printMarks, usualUnits } from '../units';
import type { KeptEntry } from './record';

const round = (x: number | undefined, places: number) => (x === undefined ? '' : Number(x.toFixed(places)));
const reading = (e: Entry) => (e.kind === 'reading' ? e.body : {});

/** The columns of the log as a table, each with how it is filled: the one list that the file and its documentation come from. */
export const columns: readonly {
  name: string;
  means: string;
  of: (entry: KeptEntry, log: Log, zone: string) => string | number | boolean;
}[] = [
  { name: 'id', means: 'UUID of the entry', of: (e) => e.id },
  { name: 'at', means: 'when it was made, by the server’s clock, ISO 8601 in UTC', of: (e) => e.at },
  { name: 'at_club', means: 'the same by the club’s clock, ISO 8601 with its offset', of: (e, _, zone) => isoIn(e.at, zone) },
  { name: 'received_at', means: 'when the server took it in, ISO 8601 in UTC', of: (e) => e.receivedAt },
  { name: 'by', means: 'who made it', of: (e) => e.by },
  { name: 'source', means: 'person, device or practice', of: (e) => e.source },
  { name: 'kind', means: 'kind of entry', of: (e) => e.kind },
  {
    name: 'said',
    means: 'the entry in words, in psi, °C, litres and kilograms',
    of: (e, log) => printMarks(say(e, usualUnits, log.context.procedure), usualUnits).replace(/\u2009/g, ' ')
  },
  {
    name: 'pressure_kpa',
    means: 'gauge pressure, kPa; empty when not read',
    of: (e) => round(reading(e).pressure === undefined ? undefined : reading(e).pressure! / 1000, 3)
  },
  {
    name: 'pressure_psi',
    means: 'the same, psi',
    of: (e) => round(reading(e).pressure === undefined ? undefined : fromSi(reading(e).pressure!, 'pressure', 'psi'), 2)
  },
  {
    name: 'glass',
    means: 'fraction of the gauge glass, 0 to 1, or “bottom nut”, “top nut”, “not seen”',
    of: (e) => reading(e).glass ?? ''
  },
  {
    name: 'glass_number',
    means: 'which glass: 1 or 2; empty when no glass was read',
    of: (e) => (reading(e).glass === undefined ? '' : (reading(e).glassNumber ?? 1))
  },
  {
    name: 'glass_at_kpa',
    means: 'gauge pressure at which the glass was read, kPa; empty when not known',
    of: (e) => round(reading(e).glassAt == null ? undefined : reading(e).glassAt! / 1000, 3)
  },
  {
    name: 'temperature_c',
    means: 'temperature, °C',
    of: (e) => round(reading(e).temperature === undefined ? undefined : reading(e).temperature! - 273.15, 2)
  },
  { name: 'tank', means: 'share of the tank, 0 to 1', of: (e) => reading(e).tank ?? '' },
  { name: 'strikes', means: 'id of the entry that this one strikes out', of: (e) => e.strikes ?? '' },
  { name: 'struck', means: 'true when a later entry has struck this one out', of: (e, log) => log.struck.has(e.id) },
  { name: 'body', means: 'the whole body as JSON, SI units', of: (e) => JSON.stringify(e.body) },
  { name: 'said_at', means: 'what the device’s own clock said; empty when that was the same', of: (e) => e.clock?.said ?? '' },
  {
    name: 'clock_ahead_s',
    means: 'how far that clock was measured to be ahead of the server’s, s',
    of: (e) => (e.clock?.ahead === undefined ? '' : e.clock.ahead / 1000)
  }
];

/**
 * Rows as CSV (RFC 4180, UTF-8), the first the names of the columns. A text that a spreadsheet would take for a formula is
 * written with an apostrophe before it.
 */
export const table = ([fields, ...data]: readonly (readonly (string | number | boolean)[])[]): string =>
  `${Papa.unparse({ fields: fields as string[], data: data as unknown[][] }, { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r]/ })}\r\n`;

/** The log of a steaming as CSV: one row an entry, in the order of the log. */
export const logCsv = (entries: readonly KeptEntry[], log: Log, zone: string): string =>
  table([columns.map((c) => c.name), ...entries.map((e) => columns.map((c) => c.of(e, log, zone)))]);
