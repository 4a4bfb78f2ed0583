import { plantOf } from '$core/boiler';
import { type FitOut, fitOutOf } from '$core/engine';
import { barsOf, barsPassengers } from '$core/faults';
import {
  type Carried,
  carriedOver,
  type Entry,
  type EntryOf,
  fold,
  inOrder,
  litAt,
  type Log,
  type Summary,
  summarise,
  tickRefused
} from '$core/log';
import { remember } from '$core/learn';
import { type DayPlan, startingSum, withFill } from '$core/plan';
import { compose, type Procedure, procedureOf } from '$core/procedure';
import { dayAfter, isoDayIn, momentAt, printMarks, Refusal, usualUnits } from '$core/units';
import { allowed, type Member } from './members';
import { fitsBefore } from './raisings';
import { inClub, json, type Tx } from './sql';
import { newId } from './uuid';

export interface Steaming {
  id: string;
  engineId: string;
  keeperId: string;
  keeper: string;
  purpose: string;
  wantedAt: Date | null;
  startedAt: Date | null;
  endedAt: Date | null;
  fitOut: FitOut;
  procedure: Procedure;
  override: { reason: string; of: string[]; by: string } | null;
  importedFrom: { club: string; at: string } | null;
  summary: Summary | null;
  plan: DayPlan | null;
}

export const steaming = (club: string, id: string): Promise<Steaming | undefined> => inClub(club, (tx) => steamingIn(tx, club, id));

/** What was stored with a steaming by any version, in today's terms. */
const readable = <S extends Pick<Steaming, 'fitOut' | 'procedure'>>(s: S): S => {
  const fitOut = fitOutOf(s.fitOut);
  return { ...s, fitOut, procedure: procedureOf(s.procedure, fitOut) };
};

export const steamingIn = async (tx: Tx, club: string, id: string): Promise<Steaming | undefined> =>
  (
    await tx<Steaming[]>`
    select s.steaming_id as id, s.engine_id as "engineId", s.keeper_id as "keeperId", coalesce(s.imported_from->>'keeper', m.name) as keeper, s.purpose, s.wanted_at as "wantedAt", s.started_at as "startedAt",
      s.ended_at as "endedAt", s.fit_out as "fitOut", s.procedure, s.override, s.imported_from as "importedFrom", s.summary, s.plan
    from steaming s join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    where s.club_id = ${club} and s.steaming_id = ${id}`
  ).map(readable)[0];

interface EntryRow {
  seq: string;
  id: string;
  kind: string;
  at: Date;
  by: string;
  source: string;
  body: unknown;
  strikes: string | null;
}
const toEntry = (row: EntryRow): Entry =>
  ({
    id: row.id,
    kind: row.kind,
    at: row.at.toISOString(),
    by: row.by,
    source: row.source,
    body: row.body,
    ...(row.strikes ? { strikes: row.strikes } : {})
  }) as Entry;

/** Entries of one steaming after a place in the order of arrival, with the last place. */
export const entriesAfter = (club: string, steamingId: string, after: number) =>
  inClub(club, (tx) => entriesIn(tx, club, steamingId, after));

async function entriesIn(tx: Tx, club: string, steamingId: string, after = 0): Promise<{ entries: Entry[]; last: number }> {
  const rows = await tx<EntryRow[]>`
    select seq, entry_id as id, kind, at, by_name as by, source, body, strikes from entry
    where club_id = ${club} and steaming_id = ${steamingId} and seq > ${after} order by seq limit 20000`;
  return { entries: rows.map(toEntry), last: Number(rows.at(-1)?.seq ?? after) };
}

export const contextOf = (s: Steaming) => ({ fitOut: s.fitOut, procedure: s.procedure, keeper: s.keeper });

/** A steaming with its whole log, folded. */
export const folded = (club: string, id: string): Promise<{ steaming: Steaming; log: Log; last: number } | undefined> =>
  inClub(club, async (tx) => {
    const found = await steamingIn(tx, club, id);
    if (!found) return undefined;
    const { entries, last } = await entriesIn(tx, club, id);
    return { steaming: found, log: fold(contextOf(found), entries), last };
  });

/** The folded logs of every engine that is in steam now, for the Yard. */
export const running = (club: string) =>
  inClub(club, async (tx) => {
    const stored = await tx<Steaming[]>`
      select s.steaming_id as id, s.engine_id as "engineId", m.name as keeper, s.fit_out as "fitOut", s.procedure, s.started_at as "startedAt"
      from steaming s join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
      where s.club_id = ${club} and s.started_at is not null and s.ended_at is null limit 100`;
    const rows = stored.map(readable);
    const entries = rows.length
      ? await tx<(EntryRow & { steaming_id: string })[]>`
          select steaming_id, seq, entry_id as id, kind, at, by_name as by, source, body, strikes from entry
          where club_id = ${club} and steaming_id in ${tx(rows.map((r) => r.id))} order by seq`
      : [];
    return rows.map((s) => ({ steaming: s, log: fold(contextOf(s), entries.filter((e) => e.steaming_id === s.id).map(toEntry)) }));
  });

/** What stops an engine from being steamed today, in words. */
export const obstacles = (club: string, engineId: string, today: string) => inClub(club, (tx) => obstaclesIn(tx, club, engineId, today));

async function obstaclesIn(tx: Tx, club: string, engineId: string, today: string) {
  const faults = await tx<{ text: string; forbids: string }[]>`
    select text, forbids from fault where club_id = ${club} and engine_id = ${engineId} and fixed_at is null and withdrawn_at is null and forbids <> 'nothing' order by raised_at desc limit 50`;
  const papers = await tx<{ kind: string; expires: string }[]>`
    select kind, max(expires) as expires from paper where club_id = ${club} and engine_id = ${engineId} group by kind order by kind`;
  return { stops: barsOf({ faults, papers }, today), passengers: barsPassengers({ faults }) };
}

/**
 * Starts a steaming: the engine's fit-out and the procedure composed for it are stored with it. What stops it must be
 * overridden, by someone who may, with a reason that stays in the record.
 */
export async function startSteaming(
  member: Member,
  engineId: string,
  options: {
    purpose: string;
    reason?: string;
    /** The plan it is started from; none when null; when it is not said, the one that today asks for. */
    plan?: string | null;
  }
): Promise<{ id: string }> {
  if (!allowed(member, 'start steaming'))
    throw new Refusal('engine', 'A trainee logs in a steaming that a keeper has started, and does not start one.', { code: 'forbidden' });
  return inClub(member.club, async (tx) => {
    const [row] = await tx<{ fit_out: FitOut; retired_at: Date | null }[]>`
      select fit_out, retired_at from engine where club_id = ${member.club} and engine_id = ${engineId}`;
    if (!row) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
    if (row.retired_at) throw new Refusal('engine', 'This engine is retired: bring it back on its page first.', { code: 'conflict' });
    const today = isoDayIn(Date.now(), member.zone);
    const { stops } = await obstaclesIn(tx, member.club, engineId, today);
    if (stops.length && !options.reason)
      throw new Refusal('reason', 'This engine may not be steamed as it stands.', { code: 'conflict', stops });
    if (stops.length && !allowed(member, 'override'))
      throw new Refusal('reason', 'Only a steward or an owner may override what stops an engine.', { code: 'forbidden', stops });
    const procedure = withFill(compose(row.fit_out), startingSum(row.fit_out, plantOf(row.fit_out)));
    const override = stops.length ? { reason: options.reason!, of: stops, by: member.name } : null;
    // Another day's plan is taken only when it is asked for by name.
    const [from, to] = [momentAt(today, 0, member.zone), momentAt(dayAfter(today, 1), 0, member.zone)];
    const wanted =
      options.plan === null
        ? tx`false`
        : options.plan === undefined
          ? tx`wanted_at >= ${from} and wanted_at < ${to}`
          : tx`steaming_id = ${options.plan}`;
    const [planned] = await tx`
      update steaming set started_at = now(), keeper_id = ${member.id}, fit_out = ${json(tx, row.fit_out)}, procedure = ${json(tx, procedure)}, override = ${override && json(tx, override)}, purpose = coalesce(nullif(${options.purpose}, ''), purpose)
      where club_id = ${member.club} and steaming_id = (select steaming_id from steaming where club_id = ${member.club} and engine_id = ${engineId} and started_at is null and cancelled_at is null and wanted_at is not null and ${wanted} order by wanted_at limit 1)
      returning steaming_id as id`;
    if (!planned && options.plan)
      throw new Refusal('plan', 'There is no such plan: it was called off, or has begun already.', { code: 'missing' });
    const id: string = planned?.id ?? newId();
    if (!planned)
      await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, started_at, fit_out, procedure, override)
        values (${member.club}, ${id}, ${engineId}, ${member.id}, ${options.purpose}, now(), ${json(tx, row.fit_out)}, ${json(tx, procedure)}, ${override && json(tx, override)})`;
    if (override)
      await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, by_id, by_name, source, body)
        values (${member.club}, ${newId()}, ${id}, 'override', now(), ${member.id}, ${member.name}, 'person', ${json(tx, { reason: override.reason, of: override.of.map((s) => s.slice(0, 300)) })})`;
    return { id };
  }).catch((error: { code?: string }) => {
    if (error.code === '23505') throw new Refusal('engine', 'This engine is already in steam: open its Footplate.', { code: 'conflict' });
    throw error;
  });
}

/**
 * Stores entries, each once. What an entry means outside the log (a fault, the end of the steaming) is brought up to date
 * in the same transaction.
 */
export async function appendEntries(
  member: Member,
  steamingId: string,
  entries: readonly (Omit<Entry, 'by'> & { by?: string })[]
): Promise<{ stored: number; last: number; refused: { id: string; sentence: string }[] } | undefined> {
  const club = member.club;
  return inClub(club, async (tx) => {
    const refused = await ticksRefused(tx, club, steamingId, entries);
    const taken = entries.filter((e) => refused.every((r) => r.id !== e.id));
    if (!taken.length) return { stored: 0, last: 0, refused };
    const rows = taken.map((e) => ({
      club_id: club,
      entry_id: e.id,
      steaming_id: steamingId,
      kind: e.kind,
      at: e.at,
      by_id: member.id,
      by_name: member.name,
      source: e.source,
      body: json(tx, e.body),
      strikes: e.strikes ?? null
    }));
    // Both are sent at once; when the steaming turns out not to be there or not to have begun, neither has happened.
    const [[s], stored] = await Promise.all([
      tx<{ engine_id: string; ended_at: Date | null }[]>`
        select engine_id, ended_at from steaming where club_id = ${club} and steaming_id = ${steamingId} and started_at is not null`.execute(),
      tx<{ id: string; seq: string }[]>`
        insert into entry ${tx(rows as never)} on conflict (club_id, entry_id) do nothing returning entry_id as id, seq`
    ]);
    if (!s) throw new NotBegun();
    const fresh = new Set(stored.map((r) => r.id));
    const faults = taken.flatMap((e) =>
      e.kind === 'fault' && fresh.has(e.id)
        ? [
            {
              club_id: club,
              fault_id: e.id,
              engine_id: s.engine_id,
              steaming_id: steamingId,
              ...(e.body as EntryOf<'fault'>['body']),
              raised_at: e.at,
              raised_by: member.name
            }
          ]
        : []
    );
    if (faults.length) await tx`insert into fault ${tx(faults)} on conflict do nothing`;
    const struck = taken.filter((e) => e.strikes && fresh.has(e.id)).map((e) => e.strikes!);
    // A bar is not struck away by just anyone: only by those who may clear one, or at once by whoever raised it.
    if (struck.length)
      await tx`update fault set withdrawn_at = now() where club_id = ${club} and fault_id in ${tx(struck)} and steaming_id = ${steamingId}
        and (forbids <> 'steaming' or ${allowed(member, 'clear a bar')} or (raised_by = ${member.name} and raised_at > now() - interval '1 minute'))`;
    // The end, and anything that reaches a record after its end, rewrites the summary from the one fold.
    if (fresh.size && (s.ended_at || taken.some((e) => e.kind === 'sign' && fresh.has(e.id)))) await settle(tx, club, steamingId);
    return { stored: stored.length, last: Math.max(0, ...stored.map((r) => Number(r.seq))), refused };
  }).catch((error: { code?: string }) => {
    // 23503: no such steaming in this club for the entries to belong to.
    if (error instanceof NotBegun || error.code === '23503') return undefined;
    throw error;
  });
}
class NotBegun extends Error {}

/** A tick that arrives this long after it was made was judged by the device that made it, with what it knew: it is taken, ms. */
const madeNow = 2 * 60_000;

/**
 * Ticks of now that the log does not bear out, each with why: the same rule that the button asks. One that comes late is taken
 * and the fold marks it; so is nothing here that was stored before, for it is only sent again.
 */
async function ticksRefused(
  tx: Tx,
  club: string,
  id: string,
  entries: readonly (Omit<Entry, 'by'> & { by?: string })[]
): Promise<{ id: string; sentence: string }[]> {
  const now = Date.now();
  const ticks = entries.filter((e) => e.kind === 'tick' && Math.abs(now - Date.parse(e.at)) < madeNow) as EntryOf<'tick'>[];
  const found = ticks.length ? await steamingIn(tx, club, id) : undefined;
  if (!found) return [];
  const context = contextOf(found);
  const before = (await entriesIn(tx, club, id)).entries;
  const known = new Set(before.map((e) => e.id));
  const refused: { id: string; sentence: string }[] = [];
  for (const tick of ticks.filter((t) => !known.has(t.id))) {
    const others = [...before, ...(entries as Entry[])].filter((e) => e.id !== tick.id && refused.every((r) => r.id !== e.id));
    const at = Date.parse(tick.at);
    // Two clocks may differ by seconds: what was there before it, or what is there by now, must bear it out.
    const why = (list: readonly Entry[]) => tickRefused(tick.body, fold(context, list).state, context.procedure, at);
    const sentence =
      why(others.filter((e) => inOrder(e, tick) < 0)) && why(others.filter((e) => e.kind !== 'tick' || inOrder(e, tick) < 0));
    if (sentence) refused.push({ id: tick.id, sentence: printMarks(sentence, usualUnits) });
  }
  return refused;
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

/** Writes what the Logbook lists of an ended steaming. */
export async function settle(tx: Tx, club: string, id: string) {
  const found = (await steamingIn(tx, club, id))!;
  const log = fold(contextOf(found), (await entriesIn(tx, club, id)).entries);
  if (!log.state.endedAt) return;
  const raised = remember(log, await fitsBefore(tx, club, found.engineId, found.startedAt!));
  await tx`update steaming set ended_at = ${log.state.endedAt}, summary = ${json(tx, summarise(log))}, raised = ${raised ? json(tx, raised) : null} where club_id = ${club} and steaming_id = ${id}`;
}

export interface BookLine {
  id: string;
  engineId: string;
  engine: string;
  keeper: string;
  purpose: string;
  startedAt: Date;
  endedAt: Date | null;
  summary: Summary | null;
  override: boolean;
  total: number;
}

export const bookPage = 20;

/** A page of the Logbook, newest first. */
export const logbook = (
  club: string,
  { engineId, from, to, keeper, page = 1 }: { engineId?: string; from?: string; to?: string; keeper?: string; page?: number }
) =>
  inClub(
    club,
    (tx) => tx<BookLine[]>`
    select s.steaming_id as id, s.engine_id as "engineId", e.name as engine, coalesce(s.imported_from->>'keeper', m.name) as keeper, s.purpose, s.started_at as "startedAt", s.ended_at as "endedAt", s.summary,
      s.override is not null as override, (count(*) over ())::int as total
    from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    where s.club_id = ${club} and s.started_at is not null and s.thrown_away is null
      ${engineId ? tx`and s.engine_id = ${engineId}` : tx``}
      ${keeper ? tx`and m.name ilike ${`%${keeper.replace(/[%_\\]/g, '\\$&')}%`}` : tx``}
      ${from ? tx`and s.started_at >= ${from}::date` : tx``}
      ${to ? tx`and s.started_at < ${to}::date + 1` : tx``}
    order by s.started_at desc, s.steaming_id limit ${bookPage} offset ${(page - 1) * bookPage}`
  );

export const lastSteamings = (club: string, engineId: string) =>
  inClub(
    club,
    (tx) => tx<Pick<BookLine, 'id' | 'purpose' | 'startedAt' | 'endedAt' | 'summary'>[]>`
    select steaming_id as id, purpose, started_at as "startedAt", ended_at as "endedAt", summary from steaming
    where club_id = ${club} and engine_id = ${engineId} and started_at is not null and thrown_away is null order by started_at desc limit 8`
  );

/** What the last finished steaming of an engine left for the next. */
export async function carriedFrom(club: string, engineId: string): Promise<Carried[]> {
  const [last] = await inClub(
    club,
    (tx) => tx<{ id: string }[]>`
    select steaming_id as id from steaming where club_id = ${club} and engine_id = ${engineId} and ended_at is not null and thrown_away is null order by started_at desc limit 1`
  );
  const found = last && (await folded(club, last.id));
  return found ? carriedOver(found.log) : [];
}
