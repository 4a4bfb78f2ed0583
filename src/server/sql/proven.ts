import { burnerKey, type FitOut } from '$core/engine';
import type { RunFact } from '$core/log';
import { isGood, type Last, measuresPair, type Verdict } from '$core/proof';
import { isoDayIn } from '$core/units';
import { accumulatedIn } from './commission';
import type { Tx } from './json';

/** WHAT WAS PROVEN LAST: of each proof the newest, for one that was not good is not made good by an older one. */

/** A proof as it was made last, and where it is looked at. */
export interface LastMade extends Last {
  readonly href: string;
  readonly by: string;
  readonly signedBy: string | null;
  /** Of a worksheet, which it is and its sum in the chain. */
  readonly id?: string;
  readonly hash?: string;
}
const made = (proof: string, verdict: Verdict, at: Date, zone: string) => ({
  proof,
  verdict,
  at: at.toISOString(),
  day: isoDayIn(at, zone),
  good: isGood(verdict)
});

/** The newest worksheet of each kind, of each of these engines: one query. */
export async function lastSheetsIn(tx: Tx, club: string, engineIds: readonly string[], zone: string): Promise<Map<string, LastMade[]>> {
  const rows = await tx<
    { id: string; engineId: string; sheet: string; at: Date; by: string; verdict: Verdict; hash: string; signedBy: string | null }[]
  >`
    select distinct on (engine_id, sheet) proof_id as id, engine_id, sheet, at, by_name as by, verdict, hash,
      (select s.by_name from proof s where s.club_id = p.club_id and s.of_id = p.proof_id) as signed_by
    from proof p where club_id = ${club} and engine_id = any(${engineIds as string[]}::uuid[]) and kind = 'worksheet' order by engine_id, sheet, seq desc`;
  const found = new Map<string, LastMade[]>(engineIds.map((id) => [id, []]));
  for (const { engineId, sheet, verdict, at, ...of } of rows)
    found.get(engineId)!.push({ ...of, ...made(sheet, verdict, at, zone), href: `/proof/${of.id}` });
  return found;
}

/** What an accumulation test comes to, as the verdict of a worksheet. */
const asVerdict = { 'stayed under': 'within', over: 'not within', 'too close': 'too close' } as const;
/** So many sessions are looked through: one that was given up or spoilt shows nothing, and the one before it counts. */
const most = 3;

/** The last session in which an accumulation test came to something. Its log is folded: asked only where somebody asks for it. */
export async function lastAccumulation(tx: Tx, club: string, engineId: string, zone: string): Promise<LastMade[]> {
  const rows = await tx<{ id: string; endedAt: Date; by: string }[]>`
    select s.steaming_id as id, s.ended_at, e.by_name as by from steaming s
      join lateral (select by_name from entry e where e.club_id = s.club_id and e.steaming_id = s.steaming_id and e.kind = 'accumulation' order by seq desc limit 1) e on true
    where s.club_id = ${club} and s.engine_id = ${engineId} and s.ended_at is not null and s.thrown_away is null and s.joined_to is null
    order by s.ended_at desc limit ${most}`;
  for (const { id, endedAt, by } of rows) {
    const came = await accumulatedIn(tx, club, id, endedAt);
    if (came) return [{ ...made('accumulation', asVerdict[came], endedAt, zone), by, href: `/records/${id}`, signedBy: null }];
  }
  return [];
}

/** The last session that measured what a run takes, by the burner that it has now. */
export async function lastPair(tx: Tx, club: string, engineId: string, fitOut: FitOut, zone: string): Promise<LastMade[]> {
  const rows = await tx<{ id: string; endedAt: Date; by: string; runs: RunFact[] }[]>`
    select s.steaming_id as id, s.ended_at, m.name as by, s.summary->'runs' as runs from steaming s
      join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    where s.club_id = ${club} and s.engine_id = ${engineId} and s.ended_at is not null and s.thrown_away is null and s.joined_to is null and s.summary ? 'runs'
    order by s.ended_at desc limit 12`;
  const burner = burnerKey(fitOut);
  const last = rows.find(({ runs }) => measuresPair(runs, burner));
  return last ? [{ ...made('pair', 'measured', last.endedAt, zone), by: last.by, href: `/records/${last.id}`, signedBy: null }] : [];
}
