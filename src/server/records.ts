import { type KeptEntry, type RecordDocument, recordDocument } from '$core/formats';
import { Refusal } from '$core/units';
import type { Member } from './members';
import { tell } from './audit';
import { inClub } from './database';
import { entriesIn } from './sql/entry';
import { json } from './sql/json';
import { settle } from './sql/derived';
import { derivePlans } from './sql/plan';
import { type Steaming, steamingIn } from './sql/steaming';
import { newId } from './uuid';

/** A steaming with its log as it is kept: what every export is made from. */
export const kept = (club: string, id: string): Promise<{ steaming: Steaming & { engine: string }; entries: KeptEntry[] } | undefined> =>
  inClub(club, async (tx) => {
    const steaming = await steamingIn(tx, club, id);
    if (!steaming?.startedAt) return undefined;
    return { steaming: { ...steaming, engine: steaming.fitOut.name }, entries: (await entriesIn(tx, club, id)).entries as KeptEntry[] };
  });

const iso = (date: Date | null) => date && date.toISOString();

/** The record as one document. A record that came from another club goes out as it came in. */
export async function exportRecord(member: Member, id: string): Promise<RecordDocument | undefined> {
  const found = await kept(member.club, id);
  if (!found) return undefined;
  const { steaming: s, entries } = found;
  await inClub(member.club, (tx) => tell(tx, member.club, member, 'record exported', { engine: s.engine }));
  return recordDocument({
    club: s.importedFrom?.club ?? member.clubName,
    steaming: {
      id: s.id,
      engine: s.engine,
      keeper: s.keeper,
      purpose: s.purpose,
      wantedAt: iso(s.wantedAt),
      startedAt: s.startedAt!.toISOString(),
      endedAt: iso(s.endedAt),
      override: s.override,
      ...(s.begun ? { begun: s.begun } : {})
    },
    fitOut: s.fitOut,
    procedure: s.procedure,
    entries
  });
}

/**
 * Takes in a record from a file: all of it or nothing. It joins the engine of that name, or makes one from its fit-out.
 * Faults in it stay in its log; an old record does not bar an engine of today.
 */
export async function importRecord(member: Member, record: RecordDocument): Promise<{ id: string; madeEngine: boolean }> {
  const { steaming: s } = record;
  if (!s.endedAt)
    throw new Refusal('steaming.endedAt', 'This steaming has not ended: only a finished record can be brought in.', { code: 'conflict' });
  return inClub(member.club, async (tx) => {
    const [there] = await tx`select 1 from steaming where club_id = ${member.club} and steaming_id = ${s.id}`;
    if (there) throw new Refusal('steaming.id', 'This record is in the book already.', { code: 'conflict' });
    const [engine] = await tx<
      { id: string }[]
    >`select engine_id as id from engine where club_id = ${member.club} and lower(name) = lower(${s.engine})`;
    const engineId = engine?.id ?? newId();
    if (!engine)
      await tx`insert into engine (club_id, engine_id, name, fit_out) values (${member.club}, ${engineId}, ${s.engine}, ${json(tx, record.fitOut)})`;
    const from = { club: record.club, at: new Date().toISOString(), keeper: s.keeper };
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, wanted_at, started_at, ended_at, fit_out, procedure, override, begun, imported_from)
      values (${member.club}, ${s.id}, ${engineId}, ${member.id}, ${s.purpose}, ${s.wantedAt}, ${s.startedAt}, ${s.endedAt}, ${json(tx, record.fitOut)}, ${json(tx, record.procedure)}, ${s.override && json(tx, s.override)}, ${s.begun ? json(tx, s.begun) : null}, ${json(tx, from)})`;
    const rows = record.entries.map((e) => ({
      club_id: member.club,
      entry_id: e.id,
      steaming_id: s.id,
      kind: e.kind,
      at: e.at,
      said_at: e.clock?.said ?? null,
      ahead_ms: e.clock?.ahead ?? null,
      received_at: e.receivedAt,
      by_id: member.id,
      by_name: e.by,
      source: e.source,
      body: json(tx, e.body),
      strikes: e.strikes ?? null
    }));
    for (let i = 0; i < rows.length; i += 1000) await tx`insert into entry ${tx(rows.slice(i, i + 1000) as never)}`;
    await settle(tx, member.club, s.id);
    await derivePlans(tx, member.club, engineId);
    await tell(tx, member.club, member, 'record brought in', { engine: s.engine });
    return { id: s.id, madeEngine: !engine };
  }).catch((error: { code?: string }) => {
    if (error.code === '23505')
      throw new Refusal('entries', 'An entry of this record is in the book already, in another steaming.', { code: 'conflict' });
    throw error;
  });
}
