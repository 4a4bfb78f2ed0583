import { redirect } from '@sveltejs/kit';
import { fold, type Log } from '$core/log';
import { needId, notHere } from './answer';
import { inClub } from './database';
import { placeSaid } from './live/place';
import { logIn } from './live/warm';
import { entriesIn, type Place } from './sql/entry';
import { contextOf, readable, type Steaming, steamingIn } from './sql/steaming';

export const steaming = (club: string, id: string): Promise<Steaming | undefined> => inClub(club, (tx) => steamingIn(tx, club, id));

/** Entries of one steaming from a place in the order of arrival on, with the place to go on from. */
export const entriesAfter = async (club: string, steamingId: string, from: Place) => {
  const { entries, next } = await inClub(club, (tx) => entriesIn(tx, club, steamingId, from));
  return { entries, place: await placeSaid(next) };
};

/** A steaming with its whole log, folded, and the place from which its feed goes on. */
export const folded = (club: string, id: string): Promise<{ steaming: Steaming; log: Log; place: string } | undefined> =>
  inClub(club, async (tx) => {
    const found = await steamingIn(tx, club, id);
    if (!found) return undefined;
    const { entries, next } = await entriesIn(tx, club, id);
    return { steaming: found, log: fold(contextOf(found), entries), place: await placeSaid(next) };
  });

/** The folded logs of every engine that is in steam now, for the Yard. */
export const running = (club: string) =>
  inClub(club, async (tx) => {
    const stored = await tx<Steaming[]>`
      select s.steaming_id as id, s.engine_id, m.name as keeper, s.fit_out, s.procedure, s.started_at
      from steaming s join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
      where s.club_id = ${club} and s.started_at is not null and s.ended_at is null limit 100`;
    return Promise.all(stored.map(readable).map(async (steaming) => ({ steaming, log: (await logIn(tx, club, steaming.id))! })));
  });

/** A steaming that was begun and has ended, with its log; one that is still under way is on its Footplate. */
export async function finished(club: string, id: string) {
  const found = await folded(club, needId(id));
  if (!found) return notHere('record');
  const { steaming, log } = found;
  if (steaming.joinedTo) redirect(303, `/records/${steaming.joinedTo}`);
  if (!steaming.startedAt) return notHere('record');
  if (!steaming.endedAt) redirect(303, `/footplate/${steaming.id}`);
  return { steaming, log, startedAt: steaming.startedAt };
}
