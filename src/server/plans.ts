import type { FitOut } from '$core/engine';
import { expectsMeasured, type Learning, type Told } from '$core/learn';
import type { DayPlan, Planned } from '$core/plan';
import { checkPlan } from '$core/plan/check';
import { Refusal } from '$core/units';
import Joi from 'joi';
import { check, readJson } from './answer';
import { inClub } from './database';
import { work } from './jobs';
import type { Member } from './members';
import { json, type Tx } from './sql/json';
import { busyIn, derivePlan, derivePlans, knownIn, knownOf, planIn, type PlanRow, planRows } from './sql/plan';
import { measuredIn } from './sql/measured';
import { raisings } from './sql/raising';
import { runFactsIn } from './sql/runs';
import { newId } from './uuid';
import { sameVersion } from './version';

/** Past raisings of an engine, oldest first, with what its owner said of them. */
export const toldOf = (
  club: string,
  engineId: string
): Promise<{ told: (Told & { startedAt: Date; purpose: string })[]; learning: Learning; learningVersion: number }> =>
  inClub(club, async (tx) => {
    const [rows, [engine]] = await Promise.all([
      raisings(tx, club, [engineId], 60),
      tx<
        { learning: Learning; version: number }[]
      >`select learning, learning_version as version from engine where club_id = ${club} and engine_id = ${engineId}`.execute()
    ]);
    return {
      told: rows.map(({ id, raised, startedAt, purpose }) => ({ id, startedAt, purpose, ...raised })),
      learning: engine?.learning ?? { leftOut: [], chapters: [] },
      learningVersion: engine?.version ?? 1
    };
  });

/** What the runs of an engine that nothing feeds have shown with the burner that it has. */
export const runsShown = (club: string, id: string, fitOut: FitOut) =>
  inClub(club, async (tx) => (await runFactsIn(tx, club, [{ id, fitOut }])).get(id) ?? []);
/** What hands have measured on its last days. */
export const measuredShown = (club: string, id: string) =>
  inClub(club, async (tx) => expectsMeasured(((await measuredIn(tx, club, [id])).get(id) ?? []).map((m) => m.measured)));
export const known = (club: string, engineId: string) => inClub(club, (tx) => knownIn(tx, club, engineId));

const row = (tx: Tx, club: string, id: string) =>
  tx<PlanRow[]>`${planRows(tx)} where s.club_id = ${club} and s.steaming_id = ${id} and s.wanted_at is not null`;

/** A planned steaming with what its sheet is made from, and the sheet. */
export async function planOf(club: string, id: string) {
  const found = await inClub(club, async (tx) => {
    const [found] = await row(tx, club, id);
    if (!found) return undefined;
    const around = found.wantedAt.getTime();
    const [of, busy, others] = await Promise.all([
      knownIn(tx, club, found.engineId),
      busyIn(tx, club, around, id),
      othersIn(tx, club, around, id)
    ]);
    const { plan, problems } = planIn(found);
    return { row: found, plan, problems, known: of!, busy, others };
  });
  return found && { ...found, whole: await work('day sheet', { known: found.known, plan: found.plan, busy: found.busy }) };
}

const othersIn = (tx: Tx, club: string, around: number, but: string) =>
  tx<{ id: string; engine: string; wantedAt: Date }[]>`
    select s.steaming_id as id, e.name as engine, s.wanted_at from steaming s join engine e using (club_id, engine_id)
    where s.club_id = ${club} and s.steaming_id <> ${but} and s.started_at is null and s.cancelled_at is null
      and s.wanted_at between ${new Date(around - 12 * 3.6e6)} and ${new Date(around + 12 * 3.6e6)} order by s.wanted_at limit 40`.execute();

const rowsBetween = (tx: Tx, club: string, from: Date, to: Date) =>
  tx<
    PlanRow[]
  >`${planRows(tx)} where s.club_id = ${club} and s.cancelled_at is null and s.wanted_at >= ${from} and s.wanted_at < ${to} order by s.wanted_at limit 40`.execute();

/** Every plan of a day with what it is made from, those that come after it as they were saved, and the club's bays. */
export const plansOn = (club: string, from: Date, to: Date, ahead: Date) =>
  inClub(club, async (tx) => {
    const [rows, coming, [found]] = await Promise.all([
      rowsBetween(tx, club, from, to),
      rowsBetween(tx, club, to, ahead),
      tx<{ bays: number }[]>`select bays from club where club_id = ${club}`.execute()
    ]);
    const of = await knownOf(tx, club, [...new Set(rows.map((r) => r.engineId))]);
    return {
      plans: rows.map((r) => ({ row: r, ...planIn(r), known: of.get(r.engineId)! })),
      coming,
      bays: found!.bays
    };
  });

export const setBays = (club: string, bays: number) => inClub(club, (tx) => tx`update club set bays = ${bays} where club_id = ${club}`);

const planBody = Joi.object({
  purpose: Joi.string().trim().allow('').max(120).default('').messages({ '*': 'Say in at most 120 characters what this steaming is for.' }),
  plan: Joi.any()
});

/** A plan as it was sent, checked. @throws Refusal with what is wrong with it and where */
export async function readPlan(request: Request): Promise<{ purpose: string; plan: DayPlan }> {
  const { purpose, plan } = check<{ purpose: string; plan: unknown }>(planBody, await readJson(request));
  return { purpose, plan: goodPlan(plan) };
}
/** @throws Refusal */
export function goodPlan(document: unknown): DayPlan {
  const checked = checkPlan(document);
  if ('field' in checked) throw new Refusal(checked.field, checked.sentence);
  return checked.plan;
}

/** The member who is named as keeper; a plan may name anybody, but the steaming belongs to a member. */
const keeperIn = async (tx: Tx, member: Member, plan: DayPlan) => {
  const name = plan.people.find((p) => p.as === 'keeper')!.name;
  const [found] = await tx<{ id: string }[]>`select member_id as id from member where club_id = ${member.club} and name = ${name} limit 1`;
  return found?.id ?? member.id;
};

export const makePlan = (
  member: Member,
  engineId: string,
  { purpose, plan }: { purpose: string; plan: DayPlan }
): Promise<{ id: string }> =>
  inClub(member.club, async (tx) => {
    const of = await knownIn(tx, member.club, engineId);
    if (!of) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    const id = newId();
    const wanted = new Date(plan.wants[0]!.at);
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, wanted_at, fit_out, procedure, plan)
      values (${member.club}, ${id}, ${engineId}, ${await keeperIn(tx, member, plan)}, ${purpose}, ${wanted}, ${json(tx, of.fitOut)}, ${json(tx, of.procedure)}, ${json(tx, plan)})`;
    await derivePlan(tx, member.club, id, of, plan);
    return { id };
  });

/**
 * Changes a plan that has not been started; a started one keeps the plan it was started from.
 * @param from the version that was changed @throws Refusal
 */
export const changePlan = (
  member: Member,
  id: string,
  from: number,
  { purpose, plan }: { purpose?: string; plan: DayPlan }
): Promise<{ id: string; version: number }> =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    const [found] = await tx<
      PlanRow[]
    >`${planRows(tx)} where s.club_id = ${club} and s.steaming_id = ${id} and s.wanted_at is not null for update of s`;
    if (!found || found.cancelledAt)
      throw new Refusal('plan', 'There is no such plan: it was called off, or never made.', { code: 'missing' });
    if (found.startedAt)
      throw new Refusal('plan', 'This steaming has begun: what changes now is said on the Footplate.', { code: 'conflict' });
    sameVersion(from, { version: found.version, by: found.changedBy, document: planIn(found).plan }, plan);
    const of = (await knownIn(tx, club, found.engineId))!;
    const wanted = new Date(plan.wants[0]!.at);
    await tx`update steaming set plan = ${json(tx, plan)}, wanted_at = ${wanted}, keeper_id = ${await keeperIn(tx, member, plan)}, purpose = coalesce(${purpose ?? null}, purpose),
        fit_out = ${json(tx, of.fitOut)}, procedure = ${json(tx, of.procedure)}, plan_version = plan_version + 1, plan_by = ${member.name}
      where club_id = ${club} and steaming_id = ${id}`;
    await derivePlan(tx, club, id, of, plan);
    return { id, version: found.version + 1 };
  });

export const cancelPlan = (member: Member, id: string): Promise<boolean> =>
  inClub(
    member.club,
    async (tx) =>
      (
        await tx`update steaming set cancelled_at = now() where club_id = ${member.club} and steaming_id = ${id} and started_at is null and cancelled_at is null and wanted_at is not null`
      ).count > 0
  );

export const learningSchema = Joi.object({
  leftOut: Joi.array().items(Joi.string().uuid()).max(400).required(),
  chapters: Joi.array()
    .items(
      Joi.object({
        at: Joi.number().required(),
        why: Joi.string().trim().min(1).max(120).required().messages({ '*': 'Say in at most 120 characters what changed.' })
      })
    )
    .max(100)
    .required()
}).required();

/**
 * What of its past counts for an engine; its plans to come are worked out anew from that.
 * @param from the version that was changed @returns nothing when there is no such engine @throws Refusal
 */
export const saveLearning = (
  member: Member,
  engineId: string,
  learning: Learning,
  from: number
): Promise<{ version: number } | undefined> =>
  inClub(member.club, async (tx) => {
    const { club, name } = member;
    const [was] = await tx<{ learning: Learning; version: number; by: string | null }[]>`
      select learning, learning_version as version, learning_by as by from engine where club_id = ${club} and engine_id = ${engineId} for update`;
    if (!was) return undefined;
    sameVersion(from, { ...was, document: was.learning }, learning);
    await tx`update engine set learning = ${json(tx, learning)}, learning_version = learning_version + 1, learning_by = ${name}
      where club_id = ${club} and engine_id = ${engineId}`;
    await derivePlans(tx, club, engineId);
    return { version: was.version + 1 };
  });

/** The next plans of an engine, soonest first, for its page and for who starts it. */
export const plannedFor = (club: string, engineId: string) =>
  inClub(
    club,
    (tx) =>
      tx<{ id: string; wantedAt: Date; purpose: string; planned: Planned | null }[]>`
          select steaming_id as id, wanted_at, purpose, planned from steaming
          where club_id = ${club} and engine_id = ${engineId} and started_at is null and cancelled_at is null and wanted_at > now() - interval '12 hours' order by wanted_at limit 6`
  );
