import { type BegunAway, type DeviceBook, type EngineInBook, mayBegin, unheardOf } from '$core/faults';
import type { FitOut } from '$core/engine';
import { begunSchema, procedureSchema } from '$core/formats/begun';
import { placed } from '$core/log';
import { isoDayIn, Refusal } from '$core/units';
import Joi from 'joi';
import { inClub } from './database';
import { enginesIn } from './engines';
import { allowed, type Member, membersOf } from './members';
import { json, type Tx } from './sql/json';
import { rulesOf } from './proof';
import { bookIn, obstaclesIn } from './start';
import { newId } from './uuid';

/** STEAMINGS THAT ARE BEGUN WITHOUT A CONNECTION: the book that a device begins them by, and how they come in. */

/** The club's book for a device that may be without a connection tomorrow. */
export async function deviceBook(member: Member): Promise<DeviceBook> {
  const { club } = member;
  const [people, rules, engines] = await Promise.all([
    membersOf(club),
    rulesOf(club),
    inClub(club, async (tx) => {
      const engines = await enginesIn(tx, club);
      const ids = engines.map((e) => e.id);
      const [book, about] = await Promise.all([bookIn(tx, club, ids), aboutIn(tx, member, ids)]);
      return engines.map(({ id, version }): EngineInBook => {
        const { known, ...of } = book.get(id)! as EngineInBook;
        const { fits, offs, used, runs = [], measured = [] } = known;
        const { plans, records, ...rest } = about.get(id)!;
        return { ...of, ...rest, id, version, known: { fits, offs, used, runs, measured }, plans: plans ?? [], records: records ?? [] };
      });
    })
  ]);
  return {
    at: new Date().toISOString(),
    people: people.filter((m) => allowed(m, 'sign as keeper')).map((m) => m.name),
    engines,
    // The example is nobody’s rule: by it no test is begun.
    ...(rules.version ? { accumulation: byRules(rules) } : {})
  };
}

const byRules = ({
  name,
  version,
  accumulation,
  accumulationTime
}: Awaited<ReturnType<typeof rulesOf>>): NonNullable<DeviceBook['accumulation']> => ({
  rule: `${name.slice(0, 60)}, version ${version}`,
  ...(accumulation === null ? {} : { over: accumulation }),
  ...(accumulationTime === null ? {} : { lasts: accumulationTime })
});

/** What is planned of each engine, what is under way, and its last records: one query. */
async function aboutIn(tx: Tx, { club, id: me }: Member, ids: readonly string[]) {
  const rows = await tx<
    { id: string; plans: EngineInBook['plans'] | null; running: string | null; mine: boolean; records: string[] | null }[]
  >`
    select e.id,
      (select jsonb_agg(jsonb_build_object('id', p.steaming_id, 'wantedAt', p.wanted_at, 'purpose', p.purpose, 'plan', p.plan) order by p.wanted_at)
        from (select * from steaming where club_id = ${club} and engine_id = e.id and started_at is null and cancelled_at is null
          and wanted_at > now() - interval '12 hours' order by wanted_at limit 6) p) as plans,
      (select steaming_id from steaming where club_id = ${club} and engine_id = e.id and started_at is not null and ended_at is null
        order by started_at limit 1) as running,
      exists (select from steaming where club_id = ${club} and engine_id = e.id and keeper_id = ${me} and started_at > now() - interval '1 year') as mine,
      (select jsonb_agg(r.steaming_id order by r.started_at desc) from (select steaming_id, started_at from steaming where club_id = ${club} and engine_id = e.id
        and ended_at is not null and thrown_away is null order by started_at desc limit 2) r) as records
    from unnest(${ids as string[]}::uuid[]) as e (id)`;
  return new Map(rows.map((r) => [r.id, r]));
}

export const awaySchema = Joi.object({
  engine: Joi.string().uuid().required(),
  version: Joi.number().integer().min(1).required(),
  at: Joi.string().isoDate().required(),
  ahead: Joi.number().integer().min(-4e12).max(4e12),
  book: Joi.string().isoDate().required(),
  entry: Joi.string().uuid().required(),
  purpose: Joi.string().trim().allow('').max(120).required(),
  plan: Joi.string().uuid().allow(null).required(),
  begun: begunSchema.required(),
  procedure: procedureSchema.required(),
  override: Joi.object({
    id: Joi.string().uuid().required(),
    reason: Joi.string().trim().min(1).max(1000).required(),
    of: Joi.array().items(Joi.string().max(2200)).min(1).max(80).required()
  })
    .allow(null)
    .required()
}).label('begun');

/**
 * Takes in a steaming that was begun on a device without a connection: once, however often it is sent. What happened is kept, whatever
 * the book has come to say meanwhile; another fire of the same engine is kept beside it, until somebody says which is which.
 * @throws Refusal
 */
export async function takeAway(member: Member, id: string, sent: BegunAway): Promise<{ id: string }> {
  const { club } = member;
  const received = Date.now();
  const when = placed(Date.parse(sent.at), sent.ahead, received);
  const today = isoDayIn(when.at, member.zone);
  mayBegin(sent.begun, {
    may: (right) => allowed(member, right),
    reason: sent.override?.reason,
    today,
    occasion: sent.begun.occasion,
    public: sent.begun.public
  });
  return inClub(club, async (tx) => {
    await tx`select pg_advisory_xact_lock(hashtextextended(${sent.engine}, 0))`;
    const [there] = await tx<{ engineId: string }[]>`select engine_id from steaming where club_id = ${club} and steaming_id = ${id}`;
    if (there?.engineId === sent.engine) return { id };
    if (there) throw new Refusal('id', 'There is another steaming of this id.', { code: 'conflict' });
    const [engine] = await tx<{ fitOut: FitOut; beside: string | null }[]>`
      select v.fit_out, (select s.steaming_id from steaming s where s.club_id = v.club_id and s.engine_id = v.engine_id
        and s.started_at is not null and s.ended_at is null order by s.started_at limit 1) as beside
      from fit_out_version v where v.club_id = ${club} and v.engine_id = ${sent.engine} and v.version = ${sent.version}`;
    if (!engine) throw new Refusal('version', 'There is no such engine, or it never had this version of its fit-out.', { code: 'missing' });
    const { stops } = await obstaclesIn(tx, club, sent.engine, today, { ...sent.begun, before: when.at });
    const away = { book: sent.book, received: new Date(received).toISOString(), unheard: unheardOf(stops, sent, today) };
    const override = sent.override && { reason: sent.override.reason, of: sent.override.of, by: member.name };
    const plan = sent.plan === null ? null : await usedPlan(tx, club, sent.engine, sent.plan);
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, started_at, fit_out, procedure, override, begun, begun_away, beside, plan, planned, wanted_at)
      values (${club}, ${id}, ${sent.engine}, ${member.id}, ${sent.purpose || (plan?.purpose ?? '')}, ${when.at}, ${json(tx, engine.fitOut)},
        ${json(tx, sent.procedure)}, ${override && json(tx, override)}, ${json(tx, sent.begun)}, ${json(tx, away)}, ${engine.beside},
        ${plan?.plan ? json(tx, plan.plan) : null}, ${plan?.planned ? json(tx, plan.planned) : null}, ${plan?.wantedAt ?? null})`;
    const said = { book: Math.max(0, Math.round((Date.parse(when.at) - Date.parse(sent.book)) / 1000)) };
    const entries = [
      { entry_id: sent.entry, kind: 'away', body: json(tx, said) },
      ...(override
        ? [
            {
              entry_id: sent.override!.id,
              kind: 'override',
              body: json(tx, { reason: override.reason, of: override.of.map((s) => s.slice(0, 300)) })
            }
          ]
        : []),
      ...(away.unheard.length
        ? [
            {
              entry_id: newId(),
              kind: 'note',
              body: json(tx, { text: `Its device had not heard of what stood against it: ${away.unheard.join('; ')}`.slice(0, 2000) })
            }
          ]
        : [])
    ].map((e) => ({
      ...e,
      club_id: club,
      steaming_id: id,
      at: when.at,
      said_at: when.clock?.said ?? null,
      ahead_ms: when.clock?.ahead ?? null,
      by_id: member.id,
      by_name: member.name,
      source: 'person'
    }));
    await tx`insert into entry ${tx(entries as never)}`;
    return { id };
  });
}

/** The day sheet that it was begun from is used by it, unless another was begun from it meanwhile. */
async function usedPlan(tx: Tx, club: string, engineId: string, id: string) {
  const [found] = await tx<{ plan: unknown; planned: unknown; purpose: string; wantedAt: Date; startedAt: Date | null }[]>`
    select plan, planned, purpose, wanted_at, started_at from steaming
    where club_id = ${club} and engine_id = ${engineId} and steaming_id = ${id} and wanted_at is not null for update`;
  if (found && !found.startedAt)
    await tx`update steaming set cancelled_at = coalesce(cancelled_at, now()) where club_id = ${club} and steaming_id = ${id}`;
  return found ?? null;
}
