import { fold, type Log } from '$core/log';
import { inClub } from './database';
import { entriesIn, type EntryRow, toEntry } from './sql/entry';
import { contextOf, readable, type Steaming, steamingIn } from './sql/steaming';

export const steaming = (club: string, id: string): Promise<Steaming | undefined> => inClub(club, (tx) => steamingIn(tx, club, id));

/** Entries of one steaming after a place in the order of arrival, with the last place. */
export const entriesAfter = (club: string, steamingId: string, after: number) =>
  inClub(club, (tx) => entriesIn(tx, club, steamingId, after));

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
      select s.steaming_id as id, s.engine_id, m.name as keeper, s.fit_out, s.procedure, s.started_at
      from steaming s join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
      where s.club_id = ${club} and s.started_at is not null and s.ended_at is null limit 100`;
    const rows = stored.map(readable);
    const entries = rows.length
      ? await tx<(EntryRow & { steamingId: string })[]>`
          select steaming_id, seq, entry_id as id, kind, at, by_name as by, source, body, strikes from entry
          where club_id = ${club} and steaming_id in ${tx(rows.map((r) => r.id))} order by seq`
      : [];
    return rows.map((s) => ({ steaming: s, log: fold(contextOf(s), entries.filter((e) => e.steamingId === s.id).map(toEntry)) }));
  });
