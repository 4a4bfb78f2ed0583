import type { Entry } from '$core/log';
import type { Tx } from './json';

export interface EntryRow {
  id: string;
  steamingId: string;
  kind: string;
  at: Date;
  saidAt: Date | null;
  aheadMs: string | null;
  receivedAt: Date;
  by: string;
  source: string;
  body: unknown;
  strikes: string | null;
  xact: string;
}

/** Columns of an entry that everybody reads. */
const columns = (tx: Pick<Tx, 'unsafe'>) =>
  tx.unsafe('entry_id as id, steaming_id, kind, at, said_at, ahead_ms, received_at, by_name as by, source, body, strikes, xact');

/** That an entry `e` stands: it was not struck, or its strike was. */
export const unstruck = (
  tx: Tx
) => tx`not exists (select from entry x where x.club_id = e.club_id and x.steaming_id = e.steaming_id and x.strikes = e.entry_id
  and not exists (select from entry y where y.club_id = x.club_id and y.steaming_id = x.steaming_id and y.strikes = x.entry_id))`;

export const toEntry = ({ id, kind, at, saidAt, aheadMs, receivedAt, by, source, body, strikes }: EntryRow): Entry =>
  ({
    id,
    kind,
    at: at.toISOString(),
    ...(saidAt ? { clock: { said: saidAt.toISOString(), ...(aheadMs === null ? {} : { ahead: Number(aheadMs) }) } } : {}),
    receivedAt: receivedAt.toISOString(),
    by,
    source,
    body,
    ...(strikes ? { strikes } : {})
  }) as Entry;

/**
 * A place in the order in which entries become visible: everything that was brought by an earlier transaction has been seen.
 * Whoever asks for what came from there on may get an entry twice, and misses none, whatever commits late.
 */
export type Place = string;
export const fromTheStart: Place = '0';

/** Entries of a club from a place on, of some steamings or of all, with the next place. One query, and one look at the database. */
export async function entriesFrom(
  tx: Tx,
  club: string,
  place: Place,
  steamings?: readonly string[]
): Promise<{ rows: EntryRow[]; next: Place }> {
  const found = await tx<(EntryRow & { next: Place })[]>`
    select pg_snapshot_xmin(pg_current_snapshot())::text as next, e.* from (values (1)) as look left join lateral (
      select ${columns(tx)}, seq from entry
      where club_id = ${club} and xact >= ${place}::xid8 ${steamings ? tx`and steaming_id = any(${steamings as string[]}::uuid[])` : tx``}
    ) e on true order by e.seq`;
  return { rows: found.filter((r) => r.id), next: found[0]!.next };
}

/** How far a reading of what was missed has come: everything before it has been read. */
export interface Reached {
  readonly place: Place;
  readonly seq: string;
}

/**
 * A part of what became visible from a place on, in the order of transactions: `next` is the place that may be given away after it, and
 * `reached` where the next part begins; nothing when there was no more.
 */
export async function partFrom(
  tx: Tx,
  club: string,
  { place, seq }: Reached,
  most: number,
  steamings?: readonly string[]
): Promise<{ rows: EntryRow[]; next: Place; reached: Reached | undefined }> {
  const found = await tx<(EntryRow & { next: Place; seq: string })[]>`
    select pg_snapshot_xmin(pg_current_snapshot())::text as next, e.* from (values (1)) as look left join lateral (
      select ${columns(tx)}, seq from entry
      where club_id = ${club} and (xact, seq) > (${place}::xid8, ${seq}::bigint)
        ${steamings ? tx`and steaming_id = any(${steamings as string[]}::uuid[])` : tx``}
      order by xact, seq limit ${most}
    ) e on true order by e.xact, e.seq`;
  const rows = found.filter((r) => r.id);
  const { next } = found[0]!;
  const last = found.at(-1)!;
  if (rows.length < most) return { rows, next, reached: undefined };
  // What is told so far ends within a transaction, or beyond one that is still open: whoever comes back gets that one again.
  return { rows, next: BigInt(last.xact) < BigInt(next) ? last.xact : next, reached: { place: last.xact, seq: last.seq } };
}

/** The whole log of one steaming, in the order of arrival, and the place to go on from. */
export async function entriesIn(
  tx: Tx,
  club: string,
  steamingId: string,
  place: Place = fromTheStart
): Promise<{ entries: Entry[]; next: Place }> {
  const { rows, next } = await entriesFrom(tx, club, place, [steamingId]);
  return { entries: rows.map(toEntry), next };
}
