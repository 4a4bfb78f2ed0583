import { compose } from '$core/procedure';
import type { FitOut } from '$core/engine';
import { carriedOver } from '$core/log';
import { type Fit, fitsNow, type Learning, type Past, type Told } from '$core/learn';
import { type Busy, type DayPlan, dayPlanSchema, type Known, type Planned, plannedOf, planWhole, type Used } from '$core/plan';
import Joi from 'joi';
import { check, readJson, refuse } from './answer';
import type { Member } from './members';
import { inClub, json, type Tx } from './sql';
import { folded } from './steamings';
import { newId } from './uuid';

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
}

const past = (tx: Tx, club: string, engineId: string, limit = 60) =>
  tx<
    {
      id: string;
      raised: { past: Past; fit?: Fit; off?: number };
      fuel: number | null;
      inSteam: number | null;
      startedAt: Date;
      purpose: string;
    }[]
  >`
    select steaming_id as id, raised, (summary->>'fuel')::float8 as fuel, (summary->>'inSteam')::float8 as "inSteam", started_at as "startedAt", purpose from steaming
    where club_id = ${club} and engine_id = ${engineId} and raised is not null order by started_at desc limit ${limit}`;

/** Past raisings of an engine, oldest first, with what its owner said of them. */
export const toldOf = (
  club: string,
  engineId: string
): Promise<{ told: (Told & { startedAt: Date; purpose: string })[]; learning: Learning }> =>
  inClub(club, async (tx) => {
    const [rows, [engine]] = await Promise.all([
      past(tx, club, engineId).execute(),
      tx<{ learning: Learning }[]>`select learning from engine where club_id = ${club} and engine_id = ${engineId}`
    ]);
    return {
      told: rows.reverse().map(({ id, raised, startedAt, purpose }) => ({ id, startedAt, purpose, ...raised })),
      learning: engine?.learning ?? { leftOut: [], chapters: [] }
    };
  });

/** What a day on an engine is planned from, today. */
export async function knownIn(tx: Tx, club: string, engineId: string): Promise<Known | undefined> {
  const [[engine], rows] = await Promise.all([
    tx<
      { fit_out: FitOut; learning: Learning }[]
    >`select fit_out, learning from engine where club_id = ${club} and engine_id = ${engineId}`.execute(),
    past(tx, club, engineId, 24).execute()
  ]);
  if (!engine) return undefined;
  const told: Told[] = rows.map(({ id, raised }) => ({ id, ...raised })).reverse();
  const used: Used[] = rows.flatMap((r) => (r.fuel && r.inSteam ? [{ fuel: r.fuel, inSteam: r.inSteam }] : []));
  const offs = rows.flatMap((r) => (r.raised.off === undefined || engine.learning.leftOut.includes(r.id) ? [] : [r.raised.off]));
  return { fitOut: engine.fit_out, procedure: compose(engine.fit_out), fits: fitsNow(told, engine.learning), offs, used };
}
export const known = (club: string, engineId: string) => inClub(club, (tx) => knownIn(tx, club, engineId));

/** What other sheets of about that day have people doing. */
async function busyIn(tx: Tx, club: string, around: number, but: string): Promise<Busy> {
  const rows = await tx<{ planned: Planned }[]>`
    select planned from steaming where club_id = ${club} and steaming_id <> ${but} and started_at is null and cancelled_at is null and planned is not null
      and wanted_at between ${new Date(around - 20 * 3.6e6)} and ${new Date(around + 20 * 3.6e6)} order by wanted_at limit 40`;
  const busy: Record<string, [number, number][]> = {};
  for (const { planned } of rows)
    for (const [who, list] of Object.entries(planned.busy)) (busy[who] ??= []).push(...list.map(([a, b]): [number, number] => [a, b]));
  return busy;
}

const row = (tx: Tx, club: string, id: string) => tx<PlanRow[]>`
  select s.steaming_id as id, s.engine_id as "engineId", e.name as engine, m.name as keeper, s.purpose, s.started_at as "startedAt", s.cancelled_at as "cancelledAt", s.plan, s.planned, s.wanted_at as "wantedAt"
  from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
  where s.club_id = ${club} and s.steaming_id = ${id} and s.wanted_at is not null`;

/** The plan of one who only said when: the keeper alone, two hours of running. */
export const usualPlan = (keeper: string, wantedAt: Date, purpose: string): DayPlan => ({
  wants: [{ what: purpose || 'in steam', at: wantedAt.toISOString() }],
  end: null,
  people: [{ name: keeper, as: 'keeper', from: null }],
  water: 284.15,
  air: 286.15,
  running: 120,
  tests: [],
  minutes: {},
  without: [],
  packed: []
});

/** A planned steaming with all that its sheet is made from. */
export const planOf = async (club: string, id: string) => {
  const found = await inClub(club, async (tx) => {
    const [plan] = await row(tx, club, id);
    if (!plan) return undefined;
    const [of, busy, [last], others] = await Promise.all([
      knownIn(tx, club, plan.engineId),
      busyIn(tx, club, plan.wantedAt.getTime(), id),
      tx<
        { id: string }[]
      >`select steaming_id as id from steaming where club_id = ${club} and engine_id = ${plan.engineId} and ended_at is not null order by started_at desc limit 1`.execute(),
      othersIn(tx, club, plan.wantedAt.getTime(), id)
    ]);
    return { row: plan, plan: plan.plan ?? usualPlan(plan.keeper, plan.wantedAt, plan.purpose), known: of!, busy, last, others };
  });
  if (!found) return undefined;
  const log = found.last ? (await folded(club, found.last.id))?.log : undefined;
  return { ...found, carried: log ? carriedOver(log) : [] };
};

const othersIn = (tx: Tx, club: string, around: number, but: string) =>
  tx<{ id: string; engine: string; wantedAt: Date }[]>`
    select s.steaming_id as id, e.name as engine, s.wanted_at as "wantedAt" from steaming s join engine e using (club_id, engine_id)
    where s.club_id = ${club} and s.steaming_id <> ${but} and s.started_at is null and s.cancelled_at is null
      and s.wanted_at between ${new Date(around - 12 * 3.6e6)} and ${new Date(around + 12 * 3.6e6)} order by s.wanted_at limit 40`.execute();

/** Every plan of a stretch of time with what it is made from: a day with several engines. */
export const plansBetween = (club: string, from: Date, to: Date) =>
  inClub(club, async (tx) => {
    const rows = await tx<PlanRow[]>`
      select s.steaming_id as id, s.engine_id as "engineId", e.name as engine, m.name as keeper, s.purpose, s.started_at as "startedAt", s.cancelled_at as "cancelledAt", s.plan, s.planned, s.wanted_at as "wantedAt"
      from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
      where s.club_id = ${club} and s.cancelled_at is null and s.wanted_at >= ${from} and s.wanted_at < ${to} order by s.wanted_at limit 40`;
    const found = await Promise.all(
      rows.map(async (r) => ({
        row: r,
        plan: r.plan ?? usualPlan(r.keeper, r.wantedAt, r.purpose),
        known: (await knownIn(tx, club, r.engineId))!
      }))
    );
    const [{ bays }] = (await tx<[{ bays: number }]>`select bays from club where club_id = ${club}`)!;
    return { plans: found, bays };
  });

export const setBays = (club: string, bays: number) => inClub(club, (tx) => tx`update club set bays = ${bays} where club_id = ${club}`);

const planBody = Joi.object({
  purpose: Joi.string().trim().allow('').max(120).default('').messages({ '*': 'Say in at most 120 characters what this steaming is for.' }),
  plan: Joi.any()
});

/** A plan as it was sent, checked; or the answer that says what is wrong with it and where. */
export async function readPlan(request: Request): Promise<{ purpose: string; plan: DayPlan } | { response: Response }> {
  const read = await readJson(request);
  if ('response' in read) return read;
  const body = check<{ purpose: string; plan: unknown }>(planBody, read.value);
  if ('field' in body) return { response: refuse(400, body.field, body.sentence) };
  const plan = check<DayPlan>(dayPlanSchema, body.value.plan);
  if ('field' in plan) return { response: refuse(400, plan.field === 'body' ? 'plan' : plan.field, plan.sentence) };
  return { purpose: body.value.purpose, plan: plan.value };
}

export type SavedPlan = { id: string } | { problem: string; field: string; status: 400 | 404 | 409 };

/** The member who is named as keeper; a plan may name anybody, but the steaming belongs to a member. */
const keeperIn = async (tx: Tx, member: Member, plan: DayPlan) => {
  const name = plan.people.find((p) => p.as === 'keeper')!.name;
  const [found] = await tx<{ id: string }[]>`select member_id as id from member where club_id = ${member.club} and name = ${name} limit 1`;
  return found?.id ?? member.id;
};

export const makePlan = (member: Member, engineId: string, { purpose, plan }: { purpose: string; plan: DayPlan }): Promise<SavedPlan> =>
  inClub(member.club, async (tx): Promise<SavedPlan> => {
    const of = await knownIn(tx, member.club, engineId);
    if (!of) return { problem: 'There is no such engine.', field: 'engine', status: 404 };
    const id = newId();
    const wanted = new Date(plan.wants[0]!.at);
    const planned = plannedOf(planWhole(of, plan, await busyIn(tx, member.club, wanted.getTime(), id)), plan);
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, wanted_at, fit_out, procedure, plan, planned)
      values (${member.club}, ${id}, ${engineId}, ${await keeperIn(tx, member, plan)}, ${purpose}, ${wanted}, ${json(tx, of.fitOut)}, ${json(tx, of.procedure)}, ${json(tx, plan)}, ${json(tx, planned)})`;
    return { id };
  });

/** Changes a plan that has not been started; a started one keeps the plan it was started from. */
export const changePlan = (member: Member, id: string, { purpose, plan }: { purpose?: string; plan: DayPlan }): Promise<SavedPlan> =>
  inClub(member.club, async (tx): Promise<SavedPlan> => {
    const [found] = await row(tx, member.club, id);
    if (!found || found.cancelledAt)
      return { problem: 'There is no such plan: it was called off, or never made.', field: 'plan', status: 404 };
    if (found.startedAt)
      return { problem: 'This steaming has begun: what changes now is said on the Footplate.', field: 'plan', status: 409 };
    const of = (await knownIn(tx, member.club, found.engineId))!;
    const wanted = new Date(plan.wants[0]!.at);
    const planned = plannedOf(planWhole(of, plan, await busyIn(tx, member.club, wanted.getTime(), id)), plan);
    await tx`update steaming set plan = ${json(tx, plan)}, planned = ${json(tx, planned)}, wanted_at = ${wanted}, keeper_id = ${await keeperIn(tx, member, plan)}, purpose = coalesce(${purpose ?? null}, purpose),
        fit_out = ${json(tx, of.fitOut)}, procedure = ${json(tx, of.procedure)}
      where club_id = ${member.club} and steaming_id = ${id} and started_at is null`;
    return { id };
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

export const saveLearning = (club: string, engineId: string, learning: Learning): Promise<boolean> =>
  inClub(
    club,
    async (tx) =>
      (await tx`update engine set learning = ${json(tx, learning)} where club_id = ${club} and engine_id = ${engineId}`).count > 0
  );

/** The next plan of an engine, for its page. */
export const plannedFor = (club: string, engineId: string) =>
  inClub(
    club,
    async (tx) =>
      (
        await tx<{ id: string; wantedAt: Date; purpose: string; planned: Planned | null }[]>`
          select steaming_id as id, wanted_at as "wantedAt", purpose, planned from steaming
          where club_id = ${club} and engine_id = ${engineId} and started_at is null and cancelled_at is null and wanted_at > now() - interval '12 hours' order by wanted_at limit 1`
      )[0]
  );
