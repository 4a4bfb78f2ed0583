import { plantOf } from '$core/boiler';
import { type FitOut, fitOutOf } from '$core/engine';
import { type FaultEntry, type FaultKind, faultKinds, type FaultSaid, faultState, type FaultState, mayTell } from '$core/faults';
import { type Fact, factsOf, type Fixed, knowledge, prior, type Try, twinsOf, type Twin } from '$core/finder';
import { joiOf, problemsOf } from '$core/form/joi';
import { fold, inOrder, type Entry, type Forbids } from '$core/log';
import { retestName } from '$core/procedure';
import { Refusal } from '$core/units';
import { inClub } from './database';
import { raiseIn } from './faults';
import { allowed, type Member } from './members';
import { entriesIn } from './sql/entry';
import { json, type Tx } from './sql/json';
import { contextOf, steamingIn } from './sql/steaming';
import { triesIn } from './sql/tries';
import { newId } from './uuid';

interface Row {
  id: string;
  text: string;
  forbids: Forbids;
  raisedAt: Date;
  raisedBy: string;
  fixedAt: Date | null;
  fixedBy: string | null;
  fix: string | null;
  steamingId: string | null;
  /** Where on the engine, and the needle at which it showed, Pa at the gauge. */
  place: string | null;
  pressure: number | null;
  engineId: string;
  engine: string;
  fitOut: FitOut;
}

export interface FaultFile extends Row {
  entries: readonly FaultEntry[];
  state: FaultState;
  facts: readonly Fact[];
}

const rowIn = async (tx: Tx, club: string, id: string, lock = false): Promise<Row | undefined> =>
  (
    await tx<Row[]>`
      select f.fault_id as id, f.text, f.forbids, f.raised_at, f.raised_by, f.fixed_at, f.fixed_by, f.fix, f.steaming_id, f.place, f.pressure, e.engine_id, e.name as engine, e.fit_out
      from fault f join engine e using (club_id, engine_id)
      where f.club_id = ${club} and f.fault_id = ${id} and f.withdrawn_at is null ${lock ? tx`for update of f` : tx``}`
  ).map((r) => ({ ...r, fitOut: fitOutOf(r.fitOut) }))[0];

const entriesOf = async (tx: Tx, club: string, id: string): Promise<FaultEntry[]> =>
  (
    await tx<{ id: string; kind: FaultKind; at: Date; by: string; body: unknown }[]>`
      select entry_id as id, kind, at, by_name as by, body from fault_entry where club_id = ${club} and fault_id = ${id} order by seq`
  ).map((e) => ({ ...e, at: e.at.toISOString() }) as FaultEntry);

/** What the record says of it by itself: the log it was found in as far as it had come, and every try of the engine’s feeds. */
async function factsFor(tx: Tx, club: string, row: Row, state: FaultState): Promise<Fact[]> {
  const { symptom, feed } = state;
  if (!symptom) return [];
  const found = row.steamingId ? await steamingIn(tx, club, row.steamingId) : undefined;
  const before = found ? (await entriesIn(tx, club, found.id)).entries.filter((e: Entry) => e.at <= row.raisedAt.toISOString()) : [];
  const tries: readonly Try[] = symptom.of ? await triesIn(tx, club, row.engineId) : [];
  const { fitOut } = row;
  const log = found ? fold(contextOf(found), before.toSorted(inOrder)) : null;
  return factsOf({ symptom, fitOut, plant: plantOf(fitOut), feed, tries, log }, prior(symptom, fitOut));
}

/** A fault with its own log, where that stands, and what the record answers by itself. */
export const faultFile = (club: string, id: string): Promise<FaultFile | undefined> => inClub(club, (tx) => fileIn(tx, club, id));

async function fileIn(tx: Tx, club: string, id: string, lock = false): Promise<FaultFile | undefined> {
  const row = await rowIn(tx, club, id, lock);
  if (!row) return undefined;
  const entries = await entriesOf(tx, club, id);
  // One that was fixed before faults had a log of their own stays so.
  const state = faultState(entries, row.fixedAt !== null && !entries.some((e) => e.kind === 'fix'));
  return { ...row, entries, state, facts: await factsFor(tx, club, row, state) };
}

const schemas = Object.fromEntries(Object.entries(faultKinds).map(([kind, fields]) => [kind, joiOf(fields)])) as Record<
  FaultKind,
  ReturnType<typeof joiOf>
>;

/** What was sent, as something of that kind. @throws Refusal at the first field that cannot be */
export function faultSaid(kind: FaultKind, sent: unknown): FaultSaid {
  const { error, value } = schemas[kind].validate(sent, { abortEarly: false });
  if (!error) return { kind, body: value } as FaultSaid;
  const [first] = problemsOf(faultKinds[kind], error, sent);
  throw new Refusal(first!.path || 'kind', first!.sentence);
}

const worse: Record<Forbids, number> = { nothing: 0, passengers: 1, steaming: 2 };

/**
 * Adds to the log of a fault, and brings its line in the book up to date in the same transaction: what it forbids, whether it is mended, and
 * whom or what a fix still waits for. One at a time for each fault.
 * @throws Refusal at the field that is wrong
 */
export const tellFault = (member: Member, id: string, said: FaultSaid): Promise<FaultState> =>
  inClub(member.club, (tx) => tellIn(tx, member, id, said));

export async function tellIn(tx: Tx, member: Member, id: string, said: FaultSaid): Promise<FaultState> {
  const { club } = member;
  const file = await fileIn(tx, club, id, true);
  if (!file) throw new Refusal('fault', 'There is no such fault.', { code: 'missing' });
  const entry: FaultEntry = { ...said, id: newId(), at: new Date().toISOString(), by: member.name };
  mayTell(file.state, entry, {
    may: (right) => allowed(member, right),
    fitOut: file.fitOut,
    forbids: file.forbids,
    facts: file.facts.map((f) => f.check)
  });
  if (said.kind === 'photo' && !(await tx`select from photo where club_id = ${club} and sum = ${said.body.sum}`).length)
    throw new Refusal('sum', 'There is no such picture: send the picture first, then what it shows.', { code: 'missing' });
  await tx`insert into fault_entry (club_id, entry_id, fault_id, kind, at, by_id, by_name, body)
    values (${club}, ${entry.id}, ${id}, ${entry.kind}, ${entry.at}, ${member.id}, ${member.name}, ${json(tx, entry.body)})`;
  const state = faultState([...file.entries, entry]);
  await project(tx, member, file, state, entry);
  return state;
}

async function project(tx: Tx, member: Member, file: Row, state: FaultState, entry: FaultEntry): Promise<void> {
  const { club } = member;
  const fix = state.fixes.at(-1);
  const awaits = state.stands === 'to be cleared' ? 'examiner' : state.stands === 'to be tried again' ? 'retest' : null;
  const mended = state.stands === 'mended' || state.stands === 'to be tried again';
  // Safety is never a note: what it does sets the least that it forbids, and work on a pressure part bars it until it is cleared.
  const floor: Forbids = state.stands === 'to be cleared' ? 'steaming' : (state.symptom?.floor ?? 'nothing');
  const forbids = worse[floor] > worse[file.forbids] ? floor : file.forbids;
  const done =
    mended && fix ? { fixed_at: file.fixedAt ?? entry.at, fixed_by: fix.by, fix: fix.did } : { fixed_at: null, fixed_by: null, fix: null };
  const where = entry.kind === 'placed' ? { place: entry.body.place, pressure: entry.body.pressure ?? null } : {};
  await tx`update fault set ${tx({ ...done, ...where, forbids, awaits, retest: awaits === 'retest' ? fix!.retest : null })} where club_id = ${club} and fault_id = ${file.id}`;
  if (mended && !file.fixedAt && fix)
    // Told in the log of a steaming that is under way, so that it bars nothing there any more.
    await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, by_id, by_name, source, body)
      select ${club}, gen_random_uuid(), steaming_id, 'cleared', now(), ${member.id}, ${member.name}, 'person', ${json(tx, { fault: file.text, fix: fix.did })}
      from steaming where club_id = ${club} and engine_id = ${file.engineId} and started_at is not null and ended_at is null`;
}

/** How often each cause was what a fix confirmed that was seen to hold, on engines of this kind in this club; and not by the fault that is looked at. */
export const fixedBefore = (club: string, kind: FitOut['kind'], not: string): Promise<Fixed> =>
  inClub(club, async (tx) =>
    Object.fromEntries(
      (
        await tx<{ cause: string; times: number }[]>`
          select x.body->>'cause' as cause, count(*)::int as times
          from fault f join engine e using (club_id, engine_id)
            cross join lateral (select body from fault_entry x where x.club_id = f.club_id and x.fault_id = f.fault_id and x.kind = 'fix' order by seq desc limit 1) x
          where f.club_id = ${club} and f.fault_id <> ${not} and f.fixed_at is not null and f.awaits is null and e.fit_out->>'kind' = ${kind}
            and x.body->>'sure' in ('certain', 'likely') and x.body ? 'cause'
          group by 1`
      ).map(({ cause, times }) => [cause, times])
    )
  );

/** The same trouble on this engine before, or any at the same place: when it was raised, and what mended it then. */
export const recurrences = (club: string, { id, engineId, place, state }: Pick<FaultFile, 'id' | 'engineId' | 'place' | 'state'>) =>
  inClub(
    club,
    (tx) => tx<{ id: string; raisedAt: Date; fix: string | null; cause: string | null }[]>`
      select f.fault_id as id, f.raised_at, f.fix,
        (select body->>'cause' from fault_entry x where x.club_id = f.club_id and x.fault_id = f.fault_id and kind = 'fix' order by seq desc limit 1) as cause
      from fault f where f.club_id = ${club} and f.engine_id = ${engineId} and f.fault_id <> ${id} and f.withdrawn_at is null
        and (f.place = ${place ?? ''}
          or ${state.symptom?.key ?? ''} = (select body->>'symptom' from fault_entry a where a.club_id = f.club_id and a.fault_id = f.fault_id and kind = 'asked' order by seq desc limit 1))
      order by f.raised_at desc limit 12`
  );

/** The club’s other engines on which the same thing might be seen to work. */
export const twinsFor = (club: string, { engineId, fitOut, state }: Pick<FaultFile, 'engineId' | 'fitOut' | 'state'>): Promise<Twin[]> =>
  inClub(club, async (tx) => {
    if (!state.symptom) return [];
    const rows = await tx<{ id: string; name: string; fitOut: FitOut }[]>`
      select engine_id as id, name, fit_out from engine where club_id = ${club} and engine_id <> ${engineId} and retired_at is null order by name limit 100`;
    return twinsOf(
      state.symptom,
      fitOut,
      rows.map((r) => ({ ...r, fitOut: fitOutOf(r.fitOut) })),
      state.feed
    );
  });

/** A retest that was made on the Footplate: told to the fault that it is of. */
export async function tellRetests(tx: Tx, member: Member, engineId: string, stored: readonly Entry[]): Promise<void> {
  const tests = stored.flatMap((e) => (e.kind === 'test' && e.body.result !== 'noted' ? [e.body] : []));
  if (!tests.length) return;
  const waiting = await tx<{ id: string; text: string }[]>`
    select fault_id as id, text from fault where club_id = ${member.club} and engine_id = ${engineId} and awaits = 'retest' and withdrawn_at is null`;
  for (const { test, result, text } of tests) {
    const at = waiting.findIndex((w) => retestName(w) === test);
    const [of] = at < 0 ? [] : waiting.splice(at, 1);
    if (!of) continue;
    try {
      await tellIn(tx, member, of.id, {
        kind: 'retest',
        body: { result: result === 'pass' ? 'holds' : 'back again', ...(text ? { note: text } : {}) }
      });
    } catch (no) {
      // Somebody said it on the fault’s own page meanwhile: the log keeps what was tried, and the fault what came first.
      if (!(no instanceof Refusal)) throw no;
    }
  }
}

/** A fault that is raised by what it does, as the finder has it: in the book with the least that it forbids, and asked. */
export const findFault = (member: Member, engineId: string, key: string): Promise<string | undefined> =>
  inClub(member.club, async (tx) => {
    const symptom = knowledge.symptoms.get(key);
    if (!symptom) throw new Refusal('symptom', 'Choose what it does from the list.');
    const id = await raiseIn(tx, member, engineId, symptom.says[0], symptom.floor ?? 'nothing');
    if (id) await tellIn(tx, member, id, { kind: 'asked', body: { symptom: key } });
    return id;
  });
