import { type FitOut, fitOutOf } from '$core/engine';
import { derivedVersion, fitsNow, type Learning } from '$core/learn';
import { type Busy, type DayPlan, type Known, type Planned, plannedOf, usualPlan } from '$core/plan';
import { readablePlan } from '$core/plan/check';
import { compose } from '$core/procedure';
import { work } from '../jobs';
import { json, type Tx } from './json';
import { measuredIn } from './measured';
import { raisings, toldFrom } from './raising';
import { runFactsIn } from './runs';

export interface PlanRow {
  id: string;
  engineId: string;
  engine: string;
  keeper: string;
  purpose: string;
  startedAt: Date | null;
  cancelledAt: Date | null;
  plan: DayPlan | null;
  planned: Planned | null;
  wantedAt: Date;
  version: number;
  changedBy: string | null;
}

/** What a day on each of these engines is planned from, today: two queries, however many there are. */
export async function knownOf(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, Known>> {
  const [engines, rows] = await Promise.all([
    tx<{ id: string; fitOut: FitOut; learning: Learning }[]>`
      select engine_id as id, fit_out, learning from engine where club_id = ${club} and engine_id = any(${engineIds as string[]}::uuid[])`.execute(),
    raisings(tx, club, engineIds, 24)
  ]);
  const measured = await measuredIn(tx, club, engineIds);
  const facts = await runFactsIn(
    tx,
    club,
    engines.map((e) => ({ id: e.id, fitOut: fitOutOf(e.fitOut), leftOut: e.learning.leftOut }))
  );
  return new Map(
    engines.map(({ id, fitOut: stored, learning }) => {
      const fitOut = fitOutOf(stored);
      const own = rows.filter((r) => r.engineId === id);
      return [
        id,
        {
          fitOut,
          runs: facts.get(id) ?? [],
          measured: (measured.get(id) ?? []).filter((m) => !learning.leftOut.includes(m.id)).map((m) => m.measured),
          procedure: compose(fitOut),
          fits: fitsNow(toldFrom(own), learning),
          offs: own.flatMap((r) => (r.raised.off === undefined || learning.leftOut.includes(r.id) ? [] : [r.raised.off])),
          used: own.flatMap(({ id, fuel, inSteam, raised }) => {
            const water = learning.leftOut.includes(id) ? undefined : raised.past.used;
            return (fuel && inSteam) || water ? [{ fuel: fuel ?? 0, inSteam: inSteam ?? 0, ...(water ? { water } : {}) }] : [];
          })
        }
      ];
    })
  );
}
export const knownIn = async (tx: Tx, club: string, engineId: string) => (await knownOf(tx, club, [engineId])).get(engineId);
/** What other sheets of about that day have people doing. */
export async function busyIn(tx: Tx, club: string, around: number, but: string): Promise<Busy> {
  const rows = await tx<{ planned: Planned }[]>`
    select planned from steaming where club_id = ${club} and steaming_id <> ${but} and started_at is null and cancelled_at is null and planned is not null
      and wanted_at between ${new Date(around - 20 * 3.6e6)} and ${new Date(around + 20 * 3.6e6)} order by wanted_at limit 40`;
  const busy: Record<string, [number, number][]> = {};
  for (const { planned } of rows)
    for (const [who, list] of Object.entries(planned.busy)) (busy[who] ??= []).push(...list.map(([a, b]): [number, number] => [a, b]));
  return busy;
}

/** Columns of a planned steaming that everybody reads. */
export const planRows = (tx: Tx) => tx`
  select s.steaming_id as id, s.engine_id, e.name as engine, m.name as keeper, s.purpose, s.started_at, s.cancelled_at, s.plan, s.planned, s.wanted_at, s.plan_version as version, s.plan_by as changed_by
  from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id`;

/** The plan of a row as it can be shown today, with what does not fit any more. */
export const planIn = (r: PlanRow) => readablePlan(r.plan, usualPlan(r.keeper, r.wantedAt.toISOString(), r.purpose));

/** What a plan says, worked out and written beside it: when to light, when there is steam, who is busy when. */
export async function derivePlan(tx: Tx, club: string, id: string, of: Known, plan: DayPlan): Promise<void> {
  const wanted = Date.parse(plan.wants[0]!.at);
  const planned = plannedOf(await work('day sheet', { known: of, plan, busy: await busyIn(tx, club, wanted, id) }), plan);
  await tx`update steaming set planned = ${json(tx, planned)}, derived = ${derivedVersion} where club_id = ${club} and steaming_id = ${id}`;
}

/** The plans of an engine that the Yard and the coming days still show, worked out anew: its past says something else than when they were made. */
export async function derivePlans(tx: Tx, club: string, engineId: string): Promise<void> {
  const rows = await tx<PlanRow[]>`${planRows(tx)}
    where s.club_id = ${club} and s.engine_id = ${engineId} and s.plan is not null and s.started_at is null and s.cancelled_at is null
      and s.wanted_at > now() - interval '12 hours' order by s.wanted_at limit 10`;
  const of = rows.length ? await knownIn(tx, club, engineId) : undefined;
  if (of) for (const row of rows) await derivePlan(tx, club, row.id, of, planIn(row).plan);
}
