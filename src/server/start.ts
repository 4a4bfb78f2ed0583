import { type OccasionKey, occasionKeys, occasions } from '$core/commission';
import { type FitOut, fitOutOf } from '$core/engine';
import { barsOf, barsPassengers, type For, mayBegin } from '$core/faults';
import { fold, litAt } from '$core/log';
import { beginning, type DayPlan, type InBook } from '$core/plan';
import type { Retest } from '$core/procedure';
import { dayAfter, isoDayIn, momentAt, Refusal } from '$core/units';
import Joi from 'joi';
import { leftBy } from './book';
import { inClub } from './database';
import { allowed, type Member } from './members';
import { beginsWith, commissionedIn } from './sql/commission';
import { entriesIn } from './sql/entry';
import { json, type Tx } from './sql/json';
import { knownOf } from './sql/plan';
import { contextOf, steamingIn } from './sql/steaming';
import { treatedIn } from './sql/water';
import { againIn } from './sql/work';
import { newId } from './uuid';

export const occasionSchema = Joi.valid(...occasionKeys)
  .empty('')
  .messages({
    '*': `Say what it is worked on for: ${Object.values(occasions)
      .map((o) => o.name.toLowerCase())
      .join(', ')}.`
  });

/** What stops an engine from being steamed today, in words. */
export const obstacles = (club: string, engineId: string, today: string) => inClub(club, (tx) => obstaclesIn(tx, club, engineId, today));

/** @param before faults that were found later do not count; ISO 8601 */
export async function obstaclesIn(tx: Tx, club: string, engineId: string, today: string, of: For & { readonly before?: string } = {}) {
  const inBook = await inBookOf(tx, club, [engineId], of.before);
  const { faults = [], papers = [] } = inBook.get(engineId) ?? {};
  const [row] = await tx<{ fitOut: FitOut }[]>`select fit_out from engine where club_id = ${club} and engine_id = ${engineId}`;
  const engines = row ? [{ id: engineId, fitOut: fitOutOf(row.fitOut) }] : [];
  const shown = (await commissionedIn(tx, club, engines, inBook)).get(engineId);
  const { build, before } = shown ? beginsWith(shown) : {};
  const standing = { faults, papers, ...(build ? { build } : {}) };
  return { stops: barsOf(standing, today, of), passengers: barsPassengers({ faults }), standing, rigs: Object.values(before?.rigs ?? {}) };
}

/** Open faults, what forbids most first, what must be proven again, and the latest last day of each kind of paper, of each of these engines. */
export async function inBookOf(
  tx: Tx,
  club: string,
  engineIds: readonly string[],
  before?: string
): Promise<Map<string, Pick<InBook, 'faults' | 'papers' | 'retests'>>> {
  const rows = await tx<
    { id: string; faults: InBook['faults'][number][] | null; papers: InBook['papers'][number][] | null; retests: Retest[] | null }[]
  >`
    select e.id,
      (select jsonb_agg(jsonb_build_object('text', case when f.awaits = 'examiner' then 'mended, and not yet cleared by the examiner: ' || f.text else f.text end, 'forbids', f.forbids) order by (f.forbids = 'nothing'), f.raised_at desc)
        from (select * from fault where club_id = ${club} and engine_id = e.id and fixed_at is null and withdrawn_at is null
            ${before ? tx`and raised_at <= ${before}` : tx``} order by (forbids = 'nothing'), raised_at desc limit 50) f) as faults,
      (select jsonb_agg(jsonb_build_object('kind', p.kind, 'expires', p.expires) order by p.kind)
        from (select kind, max(expires) as expires from paper where club_id = ${club} and engine_id = e.id and withdrawn_at is null group by kind) p) as papers,
      (select jsonb_agg(jsonb_build_object('id', f.fault_id, 'text', f.text, 'retest', f.retest, 'fix', f.fix) order by f.fixed_at)
        from (select * from fault where club_id = ${club} and engine_id = e.id and awaits = 'retest' and withdrawn_at is null order by fixed_at limit 12) f) as retests
    from unnest(${engineIds as string[]}::uuid[]) as e (id)`;
  const again = await againIn(tx, club, engineIds, before);
  return new Map(
    rows.map(({ id, faults, papers, retests }) => [
      id,
      { faults: [...(faults ?? []), ...(again.get(id) ?? [])], papers: papers ?? [], retests: retests ?? [] }
    ])
  );
}

/** What a steaming of each of these engines would be begun from now. */
export async function bookIn(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, InBook>> {
  const [stands, known, left, treated, [rule]] = await Promise.all([
    inBookOf(tx, club, engineIds),
    knownOf(tx, club, engineIds),
    leftBy(tx, club, engineIds),
    treatedIn(tx, club, engineIds),
    tx<{ feedsAsked: number }[]>`select feeds_asked from club where club_id = ${club}`.execute()
  ]);
  const commissioned = await commissionedIn(
    tx,
    club,
    [...known].map(([id, { fitOut }]) => ({ id, fitOut })),
    stands
  );
  return new Map(
    [...known].map(([id, of]) => {
      return [
        id,
        {
          ...stands.get(id)!,
          fitOut: of.fitOut,
          known: of,
          left: left.get(id) ?? [],
          ...(treated.has(id) ? { treated: treated.get(id)! } : {}),
          feedsAsked: rule!.feedsAsked,
          ...beginsWith(commissioned.get(id)!)
        }
      ];
    })
  );
}

const inSteamAlready = 'This engine is already in steam: open its Footplate.';

/**
 * Starts a steaming: the engine's fit-out and the procedure composed for it are stored with it. What stops it must be
 * overridden, by someone who may, with a reason that stays in the record.
 */
export async function startSteaming(
  member: Member,
  engineId: string,
  options: {
    /** Made by whoever asks, so that asking again starts nothing twice. */
    id?: string;
    purpose: string;
    reason?: string;
    /** The plan it is started from; none when null; when it is not said, the one that today asks for. */
    plan?: string | null;
    /** Public running. */
    public?: boolean;
    /** What it is worked on for; a steaming when it is not said. */
    occasion?: OccasionKey | undefined;
  }
): Promise<{ id: string }> {
  return inClub(member.club, async (tx) => {
    const [row] = await tx<{ retiredAt: Date | null; running: string | null; again: boolean }[]>`
      select retired_at, (select s.steaming_id from steaming s where s.club_id = e.club_id and s.engine_id = e.engine_id
          and s.started_at is not null and s.ended_at is null order by s.started_at limit 1) as running,
        exists (select from steaming s where s.club_id = e.club_id and s.steaming_id = ${options.id ?? null} and s.started_at is not null) as again
      from engine e where club_id = ${member.club} and engine_id = ${engineId}`;
    if (!row) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    if (row.again) return { id: options.id! };
    if (row.retiredAt) throw new Refusal('engine', 'This engine is retired: bring it back on its page first.', { code: 'conflict' });
    if (row.running) throw new Refusal('engine', inSteamAlready, { code: 'conflict' });
    const today = isoDayIn(Date.now(), member.zone);
    const book = (await bookIn(tx, member.club, [engineId])).get(engineId)!;
    const stops = mayBegin(book, {
      may: (right) => allowed(member, right),
      reason: options.reason,
      today,
      occasion: options.occasion,
      public: options.public
    });
    const override = stops.length ? { reason: options.reason!, of: stops, by: member.name } : null;
    // Another day's plan is taken only when it is asked for by name.
    const [from, to] = [momentAt(today, 0, member.zone), momentAt(dayAfter(today, 1), 0, member.zone)];
    const wanted =
      options.plan === null || (options.occasion ?? 'running') !== 'running'
        ? tx`false`
        : options.plan === undefined
          ? tx`wanted_at >= ${from} and wanted_at < ${to}`
          : tx`steaming_id = ${options.plan}`;
    const [planned] = await tx<{ id: string; plan: DayPlan | null }[]>`
      select steaming_id as id, plan from steaming where club_id = ${member.club} and engine_id = ${engineId} and started_at is null
        and cancelled_at is null and wanted_at is not null and ${wanted} order by wanted_at limit 1 for update`;
    if (!planned && options.plan)
      throw new Refusal('plan', 'There is no such plan: it was called off, or has begun already.', { code: 'missing' });
    const { begun, procedure } = beginning(book, {
      at: new Date().toISOString(),
      stops,
      plan: planned?.plan ?? undefined,
      public: options.public ?? false,
      occasion: options.occasion
    });
    const id = planned?.id ?? options.id ?? newId();
    if (planned)
      await tx`update steaming set started_at = now(), keeper_id = ${member.id}, fit_out = ${json(tx, book.fitOut)}, procedure = ${json(tx, procedure)},
          override = ${override && json(tx, override)}, begun = ${json(tx, begun)}, purpose = coalesce(nullif(${options.purpose}, ''), purpose)
        where club_id = ${member.club} and steaming_id = ${id}`;
    else
      await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, started_at, fit_out, procedure, override, begun)
        values (${member.club}, ${id}, ${engineId}, ${member.id}, ${options.purpose}, now(), ${json(tx, book.fitOut)}, ${json(tx, procedure)}, ${override && json(tx, override)}, ${json(tx, begun)})`;
    if (override)
      await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, by_id, by_name, source, body)
        values (${member.club}, ${newId()}, ${id}, 'override', now(), ${member.id}, ${member.name}, 'person', ${json(tx, { reason: override.reason, of: override.of.map((s) => s.slice(0, 300)) })})`;
    return { id };
  }).catch((error: { code?: string }) => {
    if (error.code === '23505') throw new Refusal('engine', inSteamAlready, { code: 'conflict' });
    throw error;
  });
}

/**
 * Throws away a start that was none: nothing was lit. What was logged stays with it and can be looked at; it stands in no list,
 * and a plan it was begun from is a plan again.
 */
export const throwAway = (member: Member, id: string, reason: string): Promise<void> =>
  inClub(member.club, async (tx) => {
    const { club } = member;
    const found = await steamingIn(tx, club, id);
    if (!found?.startedAt || found.endedAt) throw new Refusal('steaming', 'There is no such steaming under way.', { code: 'missing' });
    if (found.keeperId !== member.id && !allowed(member, 'override'))
      throw new Refusal('steaming', 'Only who started it, a steward or an owner throws a start away.', { code: 'forbidden' });
    const log = fold(contextOf(found), (await entriesIn(tx, club, id)).entries);
    if (litAt(log))
      throw new Refusal('steaming', 'It has been lit: a steaming with a fire is signed off, not thrown away.', { code: 'conflict' });
    await tx`update steaming set ended_at = now(), thrown_away = ${json(tx, { by: member.name, at: new Date().toISOString(), reason })}
      where club_id = ${club} and steaming_id = ${id}`;
    if (found.plan)
      await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, wanted_at, fit_out, procedure, plan, planned)
        select club_id, ${newId()}::uuid, engine_id, keeper_id, purpose, wanted_at, fit_out, procedure, plan, planned
        from steaming where club_id = ${club} and steaming_id = ${id} and wanted_at > now() - interval '12 hours'`;
  });
