import type { Joint } from '$core/log';
import { everyJoint, jointNames } from '$core/log';
import type { FitOut } from '$core/engine';
import { inClub } from './database';
import { unstruck } from './sql/entry';

/** How many steamings back the register is read: what was not tested in so many is not known any more. */
const back = 60;

/** The register of an engine's gas joints, from its logs: when each was disturbed last, when tested last, by whom and with what result. */
export async function jointsOf(club: string, engineId: string, fitOut: FitOut): Promise<Joint[]> {
  const names = jointNames(fitOut);
  if (!names.length) return [];
  const { tested, disturbed } = await inClub(club, async (tx) => {
    const log = tx`select e.kind, e.at, e.by_name, e.body from entry e
      where e.club_id = ${club} and e.steaming_id in
        (select steaming_id from steaming where club_id = ${club} and engine_id = ${engineId} and started_at is not null and thrown_away is null
          order by started_at desc limit ${back})
      and ${unstruck(tx)}`;
    return {
      tested: await tx<{ name: string; at: Date; by: string; result: 'pass' | 'fail' }[]>`
        select distinct on (body->>'test') body->>'test' as name, at, by_name as by, body->>'result' as result from (${log}) l
        where kind = 'test' and body->>'result' <> 'noted' and body->>'test' in ${tx([...names])} order by body->>'test', at desc`,
      // The step that fills and fits the canister disturbs them too.
      disturbed: await tx<{ name: string; at: Date }[]>`
        select coalesce(body->>'which', ${everyJoint}) as name, max(at) as at from (${log}) l
        where (kind = 'thing' and body->>'thing' = 'gas joint' and body->>'open' = 'true')
          or (kind = 'tick' and body->>'step' = 'canister' and body->>'outcome' = 'done') group by 1`
    };
  });
  const at = (name: string) => disturbed.find((d) => d.name === name)?.at.toISOString() ?? '';
  return names.map((name): Joint => {
    const test = tested.find((t) => t.name === name);
    const last = at(name) > at(everyJoint) ? at(name) : at(everyJoint);
    return {
      name,
      ...(last ? { disturbedAt: last } : {}),
      ...(test ? { testedAt: test.at.toISOString(), by: test.by, result: test.result } : {})
    };
  });
}
