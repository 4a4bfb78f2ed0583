import type { Entry } from '$core/log';
import type { Tx } from './json';

export interface EntryRow {
  seq: string;
  id: string;
  kind: string;
  at: Date;
  by: string;
  source: string;
  body: unknown;
  strikes: string | null;
}
export const toEntry = (row: EntryRow): Entry =>
  ({
    id: row.id,
    kind: row.kind,
    at: row.at.toISOString(),
    by: row.by,
    source: row.source,
    body: row.body,
    ...(row.strikes ? { strikes: row.strikes } : {})
  }) as Entry;

/** Entries of one steaming after a place in the order of arrival, with the last place. */
export async function entriesIn(tx: Tx, club: string, steamingId: string, after = 0): Promise<{ entries: Entry[]; last: number }> {
  const rows = await tx<EntryRow[]>`
    select seq, entry_id as id, kind, at, by_name as by, source, body, strikes from entry
    where club_id = ${club} and steaming_id = ${steamingId} and seq > ${after} order by seq limit 20000`;
  return { entries: rows.map(toEntry), last: Number(rows.at(-1)?.seq ?? after) };
}
