import { type FitOut, fitOutOf } from '$core/engine';
import { carries } from '$core/procedure';
import { againWords, type Done, type Made, stillAgain } from '$core/proof';
import { isoDayIn } from '$core/units';
import type { Tx } from './json';
import { accumulatedIn } from './commission';

/** WHAT WAS DONE TO AN ENGINE, and what has been proven since. */

/** What was done to each of these engines and not taken back, the oldest first. */
export async function doneIn(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, Done[]>> {
  const rows = await tx<
    { id: string; engineId: string; work: string; text: string; again: string[]; at: Date; by: string; zone: string }[]
  >`
    select w.work_id as id, w.engine_id, w.work, w.text, w.again, w.at, w.by_name as by, c.zone from work w join club c using (club_id)
    where w.club_id = ${club} and w.engine_id = any(${engineIds as string[]}::uuid[]) and w.of_id is null
      and not exists (select from work b where b.club_id = w.club_id and b.of_id = w.work_id)
    order by w.seq`;
  const found = new Map<string, Done[]>();
  for (const { engineId, at, zone, ...of } of rows)
    found.set(engineId, [...(found.get(engineId) ?? []), { ...of, at: at.toISOString(), day: isoDayIn(at, zone) }]);
  return found;
}

/** So many sessions are looked through: each that was tested is folded. */
const most = 12;

/** What was proven of an engine since, by whatever proves it. @param since ISO */
export async function madeIn(tx: Tx, club: string, engineId: string, since: string): Promise<Made[]> {
  const [sheets, sessions] = await Promise.all([
    tx<{ proof: string; at: Date; verdict: string }[]>`
      select sheet as proof, at, verdict from proof where club_id = ${club} and engine_id = ${engineId} and kind = 'worksheet' and at > ${since}
      order by seq desc limit 200`.execute(),
    tx<{ id: string; endedAt: Date; tested: boolean; ran: boolean }[]>`
      select * from (
        select steaming_id as id, ended_at, coalesce(summary ? 'runs', false) as ran,
          exists (select from entry e where e.club_id = s.club_id and e.steaming_id = s.steaming_id and e.kind = 'accumulation') as tested
        from steaming s where club_id = ${club} and engine_id = ${engineId} and started_at > ${since} and ended_at is not null and thrown_away is null and joined_to is null) s
      where tested or ran order by ended_at desc limit ${most}`.execute()
  ]);
  const tested = await Promise.all(
    sessions.map(async ({ id, endedAt, tested, ran }): Promise<Made[]> => {
      const at = endedAt.toISOString();
      const came = tested ? await accumulatedIn(tx, club, id, endedAt) : undefined;
      return [
        ...(ran ? [{ proof: 'pair', at, good: true }] : []),
        ...(came ? [{ proof: 'accumulation', at, good: came === 'stayed under' }] : [])
      ];
    })
  );
  return [
    ...sheets.map(({ proof, at, verdict }) => ({ proof, at: at.toISOString(), good: verdict === 'within' || verdict === 'measured' })),
    ...tested.flat()
  ];
}

/** What must be proven again of each of these engines before it runs with others: of one that carries, it carries nobody until then. @param before what was done later does not count; ISO 8601 */
export async function againIn(
  tx: Tx,
  club: string,
  engineIds: readonly string[],
  before?: string
): Promise<Map<string, { text: string; forbids: 'passengers' | 'nothing' }[]>> {
  const done = await doneIn(tx, club, engineIds);
  if (!done.size) return new Map();
  const rows = await tx<
    { id: string; fitOut: FitOut }[]
  >`select engine_id as id, fit_out from engine where club_id = ${club} and engine_id = any(${[...done.keys()]}::uuid[])`;
  return new Map(
    await Promise.all(
      rows.map(async ({ id, fitOut }) => {
        const of = done.get(id)!.filter((d) => !before || d.at <= before);
        const forbids = carries(fitOutOf(fitOut)) ? ('passengers' as const) : ('nothing' as const);
        return [
          id,
          stillAgain(of, of.length ? await madeIn(tx, club, id, of[0]!.at) : []).map((d) => ({ text: againWords(d), forbids }))
        ] as const;
      })
    )
  );
}
