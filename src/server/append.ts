import { add, closing, type Entry, type EntryOf, fold, inOrder, type Log, mayNotEnter, placed } from '$core/log';
import { retestMark } from '$core/procedure';
import { printMarks, Refusal, usualUnits } from '$core/units';
import { inClub, sql } from './database';
import { tellRetests } from './fault-log';
import { logIn } from './live/warm';
import { refusedByBook } from './by-book';
import { allowed, type Member } from './members';
import { settle } from './sql/derived';
import type { Tx } from './sql/json';
import { derivePlans } from './sql/plan';
import { together } from './together';

/** An entry as it comes: by its device's clock, and how far ahead of the server's that was measured to be, ms. */
export type Sent = Pick<Entry, 'id' | 'kind' | 'at' | 'strikes' | 'body'> & { readonly ahead?: number };

export interface Appended {
  readonly stored: number;
  readonly refused: readonly { readonly id: string; readonly field: string; readonly sentence: string }[];
}
type Row = { engineId: string; endedAt: Date | null; fresh: string[] | null };
type Stored = { readonly id: string };

const store = (tx: Pick<Tx, 'json'>, club: string, steamingId: string, rows: readonly Stored[], openOnly: boolean) =>
  (tx as Tx)<Row[]>`select * from append_entries(${club}, ${steamingId}, ${tx.json(rows as never)}, ${openOnly})`;

/** By steaming: what is sent while the last statement is under way is stored with the next one. */
const soon = new Map<string, (rows: readonly Stored[]) => Promise<Row | undefined>>();
/** More than so many are a statement of their own: a phone that was away for hours. */
const few = 20;
/** As many steamings as are remembered: a statement that is under way holds its own. */
const mostSoon = 500;

/** Stores entries that no rule is to be asked of, with those that others send meanwhile: each request hears of its own. */
function storeSoon(club: string, steamingId: string, rows: readonly Stored[]): Promise<Row | undefined> {
  const key = `${club} ${steamingId}`;
  let of = soon.get(key);
  if (!of) {
    if (soon.size >= mostSoon) soon.clear();
    of = together<readonly Stored[], Row | undefined>(
      async (sent) => {
        const alone = async (of: readonly Stored[]) => (await store(sql, club, steamingId, of, true))[0];
        try {
          const row = await alone(sent.flat());
          const left = new Set(row?.fresh);
          // What two sent at once was stored once, and is the first one's.
          return sent.map((of) => row && { ...row, fresh: row.fresh && of.flatMap(({ id }) => (left.delete(id) ? [id] : [])) });
        } catch (error) {
          if (sent.length === 1) throw error;
          // One that cannot be stored is no reason for the others not to be.
          return Promise.all(sent.map((of) => alone(of).catch((e: Error) => e)));
        }
      },
      { atOnce: 2, most: 50 }
    );
    soon.set(key, of);
  }
  return of(rows);
}

const isLight = (e: Sent) => e.kind === 'fire' && (e.body as { act?: unknown }).act === 'light';
/** What is asked about before it goes in: a step's evidence, a match, fuel for a fire that burns, what is said to be closed, who keeps it, a signature, a strike; the rest of what a person says is taken. */
const judged: ReadonlySet<string> = new Set([
  'tick',
  'sign',
  'override',
  'away',
  'handover',
  'taken',
  'cleared',
  'charge',
  'measured',
  'cell',
  'sweep',
  'rig'
]);
const isTight = (e: Sent) => e.kind === 'thing' && (e.body as { open?: unknown }).open === false;
const isJudged = (e: Sent) => judged.has(e.kind) || isLight(e) || isTight(e) || e.strikes !== undefined;
/** What means something outside the log. */
const isTold = (e: Sent) => e.kind === 'fault' || (e.kind === 'test' && String((e.body as { test?: unknown }).test).startsWith(retestMark));

/**
 * Stores entries, each once. What an entry means outside the log (a fault, the end of the steaming) is brought up to date in the
 * same transaction. Most are one statement: no rule is to be asked of them while the steaming is open.
 * @returns nothing when there is no such steaming
 */
export async function appendEntries(member: Member, sentTo: string, sent: readonly Sent[]): Promise<Appended | undefined> {
  const received = Date.now();
  const entries = sent.map(
    ({ ahead, at, ...e }) =>
      ({
        ...e,
        ...placed(Date.parse(at), ahead, received),
        receivedAt: new Date(received).toISOString(),
        by: member.name,
        source: 'person',
        ...(ahead === undefined ? {} : { ahead })
      }) as Entry & { ahead?: number }
  );
  const rows = entries.map((e) => ({
    id: e.id,
    kind: e.kind,
    at: e.at,
    said: e.clock?.said,
    ahead: e.ahead,
    received: e.receivedAt,
    maker: member.id,
    name: member.name,
    source: e.source,
    body: e.body,
    strikes: e.strikes
  }));
  const { club } = member;
  if (!sent.some((e) => isJudged(e) || isTold(e))) {
    const row = await (rows.length > few ? store(sql, club, sentTo, rows, true).then(([r]) => r) : storeSoon(club, sentTo, rows));
    if (!row) return undefined;
    if (row.fresh) return { stored: row.fresh.length, refused: [] };
  }
  return inClub(club, async (tx) => {
    const steamingId = await filedIn(tx, club, sentTo);
    const log = await logIn(tx, club, steamingId);
    if (!log) return undefined;
    // What is here already is only sent again.
    const anew = entries.filter((e) => log.entries.every((known) => known.id !== e.id));
    const kept = await refusedByBook(tx, member, log, anew);
    const { taken, refused } = judge(
      entries.filter((e) => kept.every((r) => r.id !== e.id)),
      log,
      member,
      received
    );
    refused.push(...kept);
    const [row] = await store(
      tx,
      club,
      steamingId,
      rows.filter((r) => taken.has(r.id)),
      false
    );
    if (!row) return undefined;
    const fresh = new Set(row.fresh);
    const stored = entries.filter((e) => fresh.has(e.id));
    await tellFaults(tx, member, row.engineId, steamingId, stored);
    await tellRetests(tx, member, row.engineId, stored);
    if (stored.length) await keepEnd(tx, club, steamingId, row, log, stored);
    return { stored: stored.length, refused };
  });
}

/** Where the entries of a steaming are filed, locked for whoever adds to it: in another, where it was joined to that. */
async function filedIn(tx: Tx, club: string, sentTo: string): Promise<string> {
  await tx`select pg_advisory_xact_lock(hashtextextended(${sentTo}, 0))`;
  const [found] = await tx<
    { joinedTo: string | null }[]
  >`select joined_to from steaming where club_id = ${club} and steaming_id = ${sentTo}`;
  if (!found?.joinedTo) return sentTo;
  await tx`select pg_advisory_xact_lock(hashtextextended(${found.joinedTo}, 0))`;
  return found.joinedTo;
}

/** Each entry by the log as it stands before it, in the order in which they were made. What is there already is only sent again. */
function judge(entries: readonly Entry[], before: Log, member: Member, now: number) {
  const maker = { name: member.name, may: (right: Parameters<typeof allowed>[1]) => allowed(member, right) };
  const known = new Set(before.entries.map((e) => e.id));
  const taken = new Set<string>();
  const refused: Appended['refused'][number][] = [];
  let log = before;
  for (const entry of [...entries].sort(inOrder)) {
    if (known.has(entry.id)) {
      taken.add(entry.id);
      continue;
    }
    // Two clocks may differ by seconds: what was there before it, or what is there by now, must bear it out.
    const no =
      mayNotEnter(entry, log, maker, now) &&
      mayNotEnter(
        entry,
        fold(
          log.context,
          log.entries.filter((e) => inOrder(e, entry) < 0)
        ),
        maker,
        now
      );
    if (no) refused.push({ id: entry.id, field: no.field, sentence: printMarks(no.sentence, usualUnits) });
    else {
      taken.add(entry.id);
      log = add(log, entry);
    }
  }
  return { taken, refused };
}

/** Faults stand on their own page too. A strike takes back a note; what forbids something stands until somebody who may has cleared it. */
async function tellFaults(tx: Tx, member: Member, engineId: string, steamingId: string, stored: readonly Entry[]) {
  const { club } = member;
  const faults = stored
    .filter((e): e is EntryOf<'fault'> => e.kind === 'fault')
    .map(({ id, at, body: { text, forbids, place, pressure } }) => ({
      club_id: club,
      fault_id: id,
      engine_id: engineId,
      steaming_id: steamingId,
      text,
      forbids,
      place: place ?? null,
      pressure: pressure ?? null,
      raised_at: at,
      raised_by: member.name,
      raised_by_id: member.id
    }));
  if (faults.length) await tx`insert into fault ${tx(faults)} on conflict do nothing`;
  const struck = stored.flatMap((e) => e.strikes ?? []);
  if (struck.length)
    await tx`update fault set withdrawn_at = now()
      where club_id = ${club} and fault_id in ${tx(struck)} and steaming_id = ${steamingId} and forbids = 'nothing'`;
}

/** The end, and anything that reaches a log after its end, rewrites the summary from the one fold, and what is to come from that. */
async function keepEnd(tx: Tx, club: string, id: string, row: Row, before: Log, stored: readonly Entry[]) {
  const ended = stored.reduce(add, before).state.endedAt;
  const end = closing(before);
  if (!ended && end && stored.some((e) => e.strikes === end.id)) {
    // Its signature was struck: it is under way again.
    await tx`update steaming set ended_at = null where club_id = ${club} and steaming_id = ${id}`.catch((error: { code?: string }) => {
      if (error.code === '23505')
        throw new Refusal('strikes', 'This engine is in steam again: its last record stays closed.', { code: 'conflict' });
      throw error;
    });
    return;
  }
  if (!ended) return;
  await settle(tx, club, id);
  await derivePlans(tx, club, row.engineId);
}
