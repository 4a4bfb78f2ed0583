import { burnerKey, type FitOut } from '$core/engine';
import type { RunFact } from '$core/log';
import { isTimed } from '$core/sums';
import type { Tx } from './json';

/** So many days back, and so many runs. */
const [days, most] = [8, 12] as const;

/** What the runs of engines that nothing feeds have shown with the burner that they have now, the newest first: one query. */
export async function runFactsIn(
  tx: Tx,
  club: string,
  engines: readonly { readonly id: string; readonly fitOut: FitOut; readonly leftOut?: readonly string[] }[]
): Promise<Map<string, RunFact[]>> {
  const timed = engines.filter((e) => isTimed(e.fitOut));
  if (!timed.length) return new Map();
  const rows = await tx<{ id: string; engineId: string; runs: RunFact[] }[]>`
    select s.* from unnest(${timed.map((e) => e.id)}::uuid[]) as e (id) cross join lateral (
      select steaming_id as id, engine_id, summary->'runs' as runs, started_at from steaming
      where club_id = ${club} and engine_id = e.id and summary ? 'runs' and thrown_away is null order by started_at desc limit ${days}) s
    order by s.started_at desc`;
  return new Map(
    timed.map(({ id, fitOut, leftOut = [] }) => {
      const burner = burnerKey(fitOut);
      const facts = rows.filter((r) => r.engineId === id && !leftOut.includes(r.id)).flatMap((r) => [...r.runs].reverse());
      return [id, facts.filter((f) => f.burner === burner).slice(0, most)];
    })
  );
}
