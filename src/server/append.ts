import { type Entry, type EntryOf, fold, inOrder, tickRefused } from '$core/log';
import { printMarks, usualUnits } from '$core/units';
import { inClub } from './database';
import { allowed, type Member } from './members';
import { settle } from './sql/derived';
import { entriesIn } from './sql/entry';
import { json, type Tx } from './sql/json';
import { derivePlans } from './sql/plan';
import { contextOf, steamingIn } from './sql/steaming';

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
      tx<{ engineId: string; endedAt: Date | null }[]>`
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
              engine_id: s.engineId,
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
    // The end, and anything that reaches a record after its end, rewrites the summary from the one fold, and what is to come from that.
    if (fresh.size && (s.endedAt || taken.some((e) => e.kind === 'sign' && fresh.has(e.id)))) {
      await settle(tx, club, steamingId);
      await derivePlans(tx, club, s.engineId);
    }
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
