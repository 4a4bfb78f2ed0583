import { work } from '../jobs';
import { entriesIn } from './entry';
import { json, type Tx } from './json';
import { fitsBefore } from './raising';
import { contextOf, steamingIn } from './steaming';

/** Writes what is kept of a steaming that has ended: what the Logbook lists, and what it showed of its engine. */
export async function settle(tx: Tx, club: string, id: string) {
  const found = (await steamingIn(tx, club, id))!;
  const { entries } = await entriesIn(tx, club, id);
  const shown = await work('what a log shows', {
    context: contextOf(found),
    entries,
    before: await fitsBefore(tx, club, found.engineId, found.startedAt!),
    ...(found.plan?.duty ? { duty: found.plan.duty } : {})
  });
  if (!shown) return;
  const { endedAt, summary, raised, version } = shown;
  await tx`update steaming set ended_at = ${endedAt}, summary = ${json(tx, summary)}, raised = ${raised && json(tx, raised)}, derived = ${version}
    where club_id = ${club} and steaming_id = ${id}`;
}
