import { occasionKeys, occasionOf } from '$core/commission';
import { type Carried, carriedOver, fold, type Summary } from '$core/log';
import { inClub } from './database';
import { entriesIn } from './sql/entry';
import type { Tx } from './sql/json';
import { contextOf, steamingIn } from './sql/steaming';

export interface BookLine {
  id: string;
  engineId: string;
  engine: string;
  keeper: string;
  purpose: string;
  startedAt: Date;
  endedAt: Date | null;
  summary: Summary | null;
  override: boolean;
  total: number;
}

export const bookPage = 20;

/** A page of the Logbook, newest first. */
export const logbook = (
  club: string,
  { engineId, from, to, keeper, page = 1 }: { engineId?: string; from?: string; to?: string; keeper?: string; page?: number }
) =>
  inClub(
    club,
    (tx) => tx<BookLine[]>`
    select s.steaming_id as id, s.engine_id, e.name as engine, coalesce(s.imported_from->>'keeper', m.name) as keeper, s.purpose, s.started_at, s.ended_at, s.summary,
      s.override is not null as override, (count(*) over ())::int as total
    from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    where s.club_id = ${club} and s.started_at is not null and s.thrown_away is null
      ${engineId ? tx`and s.engine_id = ${engineId}` : tx``}
      ${keeper ? tx`and m.name ilike ${`%${keeper.replace(/[%_\\]/g, '\\$&')}%`}` : tx``}
      ${from ? tx`and s.started_at >= ${from}::date` : tx``}
      ${to ? tx`and s.started_at < ${to}::date + 1` : tx``}
    order by s.started_at desc, s.steaming_id limit ${bookPage} offset ${(page - 1) * bookPage}`
  );

export const lastSteamings = (club: string, engineId: string) =>
  inClub(
    club,
    (tx) => tx<Pick<BookLine, 'id' | 'purpose' | 'startedAt' | 'endedAt' | 'summary'>[]>`
    select steaming_id as id, purpose, started_at, ended_at, summary from steaming
    where club_id = ${club} and engine_id = ${engineId} and started_at is not null and thrown_away is null order by started_at desc limit 8`
  );

/** Occasions with a fire of their own. */
const fired = occasionKeys.filter((key) => occasionOf(key).by === 'own fire');

/** What the last finished steaming of each engine left for the next, and cold work or a session on air since beside it: one query. */
export async function leftBy(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, readonly Carried[]>> {
  const rows = await tx<{ id: string; engineId: string; carried: Carried[] | null }[]>`
    select s.id, s.engine_id, s.carried from unnest(${engineIds as string[]}::uuid[]) as e (id) cross join lateral (
      select steaming_id as id, engine_id, summary->'carried' as carried, started_at, max(started_at) filter (where fired) over () as last from (
        select *, coalesce(begun->>'occasion', 'running') = any(${fired}) as fired from steaming
        where club_id = ${club} and engine_id = e.id and ended_at is not null and thrown_away is null
        order by started_at desc limit 12) ended) s
    where s.last is null or s.started_at >= s.last order by s.started_at desc`;
  const left = await Promise.all(
    rows.map(async ({ id, engineId, carried }) => ({ engineId, carried: carried ?? (await readAnew(tx, club, id)) }))
  );
  return new Map(engineIds.map((id) => [id, left.flatMap((l) => (l.engineId === id ? l.carried : []))]));
}

/** A summary that an earlier version kept does not say it. */
async function readAnew(tx: Tx, club: string, id: string): Promise<Carried[]> {
  const found = (await steamingIn(tx, club, id))!;
  return carriedOver(fold(contextOf(found), (await entriesIn(tx, club, id)).entries));
}
export const carriedFrom = (club: string, engineId: string) =>
  inClub(club, async (tx) => (await leftBy(tx, club, [engineId])).get(engineId) ?? []);
