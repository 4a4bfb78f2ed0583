import {
  beforeAndAfter,
  type Day,
  type Finding,
  type Last,
  ledgerOf,
  provenOf,
  stillAgain,
  type Verdict,
  type WorkKey,
  works,
  worksOn
} from '$core/proof';
import { isoDayIn } from '$core/units';
import { inClub } from './database';
import { engine } from './engines';
import type { Member } from './members';
import { rulesOf, readDocument, type Worksheet } from './proof';
import { accumulatedIn } from './sql/commission';
import type { Tx } from './sql/json';
import { wateredIn } from './sql/water';
import { doneIn, madeIn } from './sql/work';

/** A proof as it was made last, and where it is looked at. */
export interface LastMade extends Last {
  readonly href: string;
  readonly by: string;
  readonly signedBy: string | null;
  /** Of a worksheet, its sum in the chain. */
  readonly hash?: string;
  readonly findings: readonly Finding[];
}

/** The newest worksheet of each kind. */
export async function lastSheets(tx: Tx, club: string, id: string, zone: string): Promise<LastMade[]> {
  const rows = await tx<
    { id: string; proof: string; at: Date; by: string; verdict: Verdict; hash: string; document: string; signedBy: string | null }[]
  >`
    select distinct on (sheet) proof_id as id, sheet as proof, at, by_name as by, verdict, hash, document,
      (select s.by_name from proof s where s.club_id = p.club_id and s.of_id = p.proof_id) as signed_by
    from proof p where club_id = ${club} and engine_id = ${id} and kind = 'worksheet' order by sheet, seq desc`;
  return rows.map(({ id, at, document, ...of }) => ({
    ...of,
    at: at.toISOString(),
    day: isoDayIn(at, zone),
    good: of.verdict === 'within' || of.verdict === 'measured',
    href: `/proof/${id}`,
    findings: readDocument<Worksheet>(document)?.findings ?? []
  }));
}

/** What an accumulation test comes to, as the verdict of a worksheet. */
const asVerdict = { 'stayed under': 'within', over: 'not within', 'too close': 'too close' } as const;

/** The last session in which an accumulation test was run to its end. */
export async function lastAccumulation(tx: Tx, club: string, id: string, zone: string): Promise<LastMade[]> {
  const rows = await tx<{ id: string; endedAt: Date; by: string }[]>`
    select s.steaming_id as id, s.ended_at, e.by_name as by from steaming s
      join lateral (select by_name from entry e where e.club_id = s.club_id and e.steaming_id = s.steaming_id and e.kind = 'accumulation' order by seq desc limit 1) e on true
    where s.club_id = ${club} and s.engine_id = ${id} and s.ended_at is not null and s.thrown_away is null and s.joined_to is null
    order by s.ended_at desc limit 3`;
  for (const { id, endedAt, by } of rows) {
    const came = await accumulatedIn(tx, club, id, endedAt);
    if (!came) continue;
    const at = endedAt.toISOString();
    const verdict = asVerdict[came];
    return [
      {
        proof: 'accumulation',
        at,
        day: isoDayIn(endedAt, zone),
        by,
        verdict,
        good: verdict === 'within',
        href: `/records/${id}`,
        signedBy: null,
        findings: []
      }
    ];
  }
  return [];
}

const daysOf = (tx: Tx, club: string, id: string) =>
  tx<{ at: Date; summary: Omit<Day, 'at'> }[]>`
    select started_at as at, summary from steaming where club_id = ${club} and engine_id = ${id} and ended_at is not null and summary is not null
      and thrown_away is null and joined_to is null and coalesce(begun->>'occasion', 'running') = 'running' order by started_at desc limit 200`.then(
    (rows) =>
      rows.map(({ at, summary: { raise, highest, fuel, inSteam } }): Day => ({ at: at.toISOString(), raise, highest, fuel, inSteam }))
  );

/** What is proven of an engine today, what was done to it, and what its days showed before and since. */
export async function provenPage({ club, zone }: Pick<Member, 'club' | 'zone'>, id: string) {
  const [found, rules] = await Promise.all([engine(club, id), rulesOf(club)]);
  if (!found) return undefined;
  return inClub(club, async (tx) => {
    const done = (await doneIn(tx, club, [id])).get(id) ?? [];
    const [made, sheets, tested, days, watered] = await Promise.all([
      done.length ? madeIn(tx, club, id, done[0]!.at) : [],
      lastSheets(tx, club, id, zone),
      lastAccumulation(tx, club, id, zone),
      done.length ? daysOf(tx, club, id) : [],
      wateredIn(tx, club, id, zone)
    ]);
    const last = [...sheets, ...tested];
    const open = new Map(stillAgain(done, made).map((d) => [d.id, d.left]));
    return {
      engine: { id, name: found.name, fitOut: found.fitOut },
      rules: { name: rules.name, version: rules.version },
      proven: provenOf(found.fitOut, rules, { last, done, made, today: isoDayIn(Date.now(), zone) }),
      done: done
        .map((d) => ({
          ...d,
          name: works[d.work as WorkKey]?.name ?? d.work,
          left: open.get(d.id) ?? [],
          beside: beforeAndAfter(days, d.at)
        }))
        .reverse(),
      ledger: ledgerOf(watered, rules.washOutAfter),
      works: worksOn(found.fitOut)
    };
  });
}
