import type { Measured } from '$core/log';
import type { Tx } from './json';

/** So many days back. */
const days = 12;

/** What hands have measured on the last days of each of these engines, the newest first: one query. */
export async function measuredIn(
  tx: Tx,
  club: string,
  engineIds: readonly string[]
): Promise<Map<string, { readonly id: string; readonly measured: Measured }[]>> {
  const rows = await tx<{ id: string; engineId: string; measured: Measured }[]>`
    select s.* from unnest(${engineIds as string[]}::uuid[]) as e (id) cross join lateral (
      select steaming_id as id, engine_id, summary->'measured' as measured, started_at from steaming
      where club_id = ${club} and engine_id = e.id and summary ? 'measured' and thrown_away is null order by started_at desc limit ${days}) s
    order by s.started_at desc`;
  const found = new Map<string, { id: string; measured: Measured }[]>();
  for (const { id, engineId, measured } of rows) found.set(engineId, [...(found.get(engineId) ?? []), { id, measured }]);
  return found;
}
