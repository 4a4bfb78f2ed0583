import type { Due } from '$core/formats';
import { provenOf } from '$core/proof';
import { isoDayIn } from '$core/units';
import { inClub } from './database';
import { enginesIn } from './engines';
import type { Member } from './members';
import { rulesOf } from './proof';
import { lastAccumulation, lastSheetsIn } from './sql/proven';

/** Every paper and every proof of the club's engines that runs out, the next first. */
export async function dueOf({ club, zone }: Pick<Member, 'club' | 'zone'>): Promise<Due[]> {
  const rules = await rulesOf(club);
  const today = isoDayIn(Date.now(), zone);
  const due = await inClub(club, async (tx) => {
    const engines = await enginesIn(tx, club);
    const papers = await tx<{ id: string; engine: string; what: string; day: string }[]>`
      select distinct on (p.engine_id, p.kind) p.paper_id as id, e.name as engine, p.kind as what, p.expires as day
      from paper p join engine e using (club_id, engine_id)
      where p.club_id = ${club} and p.withdrawn_at is null and e.retired_at is null order by p.engine_id, p.kind, p.expires desc`;
    const sheets = await lastSheetsIn(
      tx,
      club,
      engines.map((e) => e.id),
      zone
    );
    const proofs = await Promise.all(
      engines.map(async ({ id, name, fitOut }) => {
        const last = [...sheets.get(id)!, ...(rules.accumulationEvery === null ? [] : await lastAccumulation(tx, club, id, zone))];
        return provenOf(fitOut, rules, { last, done: [], today }).flatMap((p) =>
          p.due ? [{ id: `${id}-${p.key}`, engine: name, what: p.name, ...p.due }] : []
        );
      })
    );
    return [...papers.map((p) => ({ ...p, past: p.day < today })), ...proofs.flat()];
  });
  return due.sort((a, b) => (a.day < b.day ? -1 : 1));
}
