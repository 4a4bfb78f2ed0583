import { type Fit, fitsNow, type Learning, type Past, type Told } from '$core/learn';
import type { Tx } from './json';

/** A past raising as it is kept with its steaming. */
export interface RaisingRow {
  id: string;
  engineId: string;
  raised: { past: Past; fit?: Fit; off?: number };
  fuel: number | null;
  inSteam: number | null;
  startedAt: Date;
  purpose: string;
}

/** The last raisings of engines, oldest first, so many of each. @param before only those that began before this */
export const raisings = async (tx: Tx, club: string, engineIds: readonly string[], limit: number, before?: Date): Promise<RaisingRow[]> =>
  engineIds.length
    ? await tx<RaisingRow[]>`
        select s.* from unnest(${engineIds as string[]}::uuid[]) as e (id) cross join lateral (
          select steaming_id as id, engine_id, raised, (summary->>'fuel')::float8 as fuel, (summary->>'inSteam')::float8 as "inSteam", started_at, purpose
          from steaming where club_id = ${club} and engine_id = e.id and raised is not null ${before ? tx`and started_at < ${before}` : tx``}
          order by started_at desc limit ${limit}) s
        order by s.started_at`
    : [];

export const toldFrom = (rows: readonly RaisingRow[]): Told[] => rows.map(({ id, raised }) => ({ id, ...raised }));

/** What raisings before a moment had shown of an engine: what a forecast at its match stood on. */
export async function fitsBefore(tx: Tx, club: string, engineId: string, before: Date): Promise<Fit[]> {
  const [rows, [engine]] = await Promise.all([
    raisings(tx, club, [engineId], 24, before),
    tx<{ learning: Learning }[]>`select learning from engine where club_id = ${club} and engine_id = ${engineId}`.execute()
  ]);
  return rows.length && engine ? fitsNow(toldFrom(rows), engine.learning) : [];
}
