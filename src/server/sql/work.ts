import { type FitOut, fitOutOf } from '$core/engine';
import { carries } from '$core/procedure';
import { againWords, type Done, stillAgain } from '$core/proof';
import { isoDayIn } from '$core/units';
import type { Tx } from './json';
import { lastAccumulation, lastPair, lastSheetsIn } from './proven';

/** WHAT WAS DONE TO AN ENGINE, and what is still to be proven again. */

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

/**
 * What must be proven again of each of these engines before it runs with others: of one that carries, it carries nobody until then.
 * @param before what was done later does not count; ISO 8601
 */
export async function againIn(
  tx: Tx,
  club: string,
  engineIds: readonly string[],
  before?: string
): Promise<Map<string, { text: string; forbids: 'passengers' | 'nothing' }[]>> {
  const done = await doneIn(tx, club, engineIds);
  if (!done.size) return new Map();
  const ids = [...done.keys()];
  const [rows, sheets] = await Promise.all([
    tx<
      { id: string; fitOut: FitOut; zone: string }[]
    >`select e.engine_id as id, e.fit_out, c.zone from engine e join club c using (club_id) where e.club_id = ${club} and e.engine_id = any(${ids}::uuid[])`.execute(),
    // Moments are compared here, and no days.
    lastSheetsIn(tx, club, ids, 'UTC')
  ]);
  return new Map(
    await Promise.all(
      rows.map(async ({ id, fitOut: kept, zone }) => {
        const fitOut = fitOutOf(kept);
        const of = done.get(id)!.filter((d) => !before || d.at <= before);
        // What takes a log to be folded, or runs to be read, only where something of it is open.
        const asked = (proof: string) => stillAgain(of, sheets.get(id)!).some((d) => d.left.includes(proof));
        const made = [
          ...sheets.get(id)!,
          ...(asked('accumulation') ? await lastAccumulation(tx, club, id, zone) : []),
          ...(asked('pair') ? await lastPair(tx, club, id, fitOut, zone) : [])
        ];
        const forbids = carries(fitOut) ? ('passengers' as const) : ('nothing' as const);
        return [id, stillAgain(of, made).map((d) => ({ text: againWords(d), forbids }))] as const;
      })
    )
  );
}
