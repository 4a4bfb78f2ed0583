import type { Try } from '$core/finder';
import { inClub } from '../database';
import type { Tx } from './json';
import { unstruck } from './entry';

/** No more than so many: a feed that is tried oftener is another than it was. */
const most = 120;

/** The tries of the feeds of an engine in its other steamings, oldest first; what was struck is none. */
export const triesBefore = (club: string, engineId: string, not: string): Promise<readonly Try[]> =>
  inClub(club, (tx) => triesIn(tx, club, engineId, not));

/** The tries of the feeds of an engine, oldest first. @param not a steaming whose tries are known */
export async function triesIn(tx: Tx, club: string, engineId: string, not?: string): Promise<readonly Try[]> {
  const rows = await tx<{ body: Omit<Try, 'at'>; at: Date }[]>`
      select e.body, e.at from steaming s join entry e on e.club_id = s.club_id and e.steaming_id = s.steaming_id
      where s.club_id = ${club} and s.engine_id = ${engineId} ${not ? tx`and s.steaming_id <> ${not}` : tx``} and s.thrown_away is null and e.kind = 'attempt'
        and ${unstruck(tx)}
      order by e.at desc limit ${most}`;
  return rows.map(({ body, at }) => ({ ...body, at: at.toISOString() })).reverse();
}
