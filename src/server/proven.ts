import { beforeAndAfter, type Day, type Finding, ledgerOf, provenOf, stillAgain, workName, worksOn } from '$core/proof';
import { isoDayIn } from '$core/units';
import { inClub } from './database';
import { engine } from './engines';
import type { Member } from './members';
import { rulesOf, readDocument, type Worksheet } from './proof';
import type { Tx } from './sql/json';
import { lastAccumulation, lastPair, lastSheetsIn } from './sql/proven';
import { wateredIn } from './sql/water';
import { doneIn } from './sql/work';

/** The findings of these worksheets, by which they are. */
async function findingsOf(tx: Tx, club: string, ids: readonly string[]): Promise<Map<string, readonly Finding[]>> {
  const rows = await tx<{ id: string; document: string }[]>`
    select proof_id as id, document from proof where club_id = ${club} and proof_id = any(${ids as string[]}::uuid[])`;
  return new Map(rows.map(({ id, document }) => [id, readDocument<Worksheet>(document)?.findings ?? []]));
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
    const [sheets, tested, ran, days, watered] = await Promise.all([
      lastSheetsIn(tx, club, [id], zone),
      lastAccumulation(tx, club, id, zone),
      lastPair(tx, club, id, found.fitOut, zone),
      done.length ? daysOf(tx, club, id) : [],
      wateredIn(tx, club, id, zone)
    ]);
    const kept = sheets.get(id)!;
    const findings = await findingsOf(
      tx,
      club,
      kept.map((l) => l.id!)
    );
    const last = [...kept, ...tested, ...ran].map((l) => ({ ...l, findings: findings.get(l.id ?? '') ?? [] }));
    const open = new Map(stillAgain(done, last).map((d) => [d.id, d.left]));
    return {
      engine: { id, name: found.name, fitOut: found.fitOut },
      rules: { name: rules.name, version: rules.version },
      proven: provenOf(found.fitOut, rules, { last, done, today: isoDayIn(Date.now(), zone) }),
      done: done
        .map((d) => ({
          ...d,
          name: workName(d.work),
          left: open.get(d.id) ?? [],
          beside: beforeAndAfter(days, d.at)
        }))
        .reverse(),
      ledger: ledgerOf(watered, rules.washOutAfter),
      works: worksOn(found.fitOut)
    };
  });
}
