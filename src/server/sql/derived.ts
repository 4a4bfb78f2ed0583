import { fold } from '$core/log';
import { derivedOf } from '$core/learn';
import { entriesIn } from './entry';
import { json, type Tx } from './json';
import { fitsBefore } from './raising';
import { contextOf, steamingIn } from './steaming';

/** Writes what is kept of a steaming that has ended: what the Logbook lists, and what it showed of its engine. */
export async function settle(tx: Tx, club: string, id: string) {
  const found = (await steamingIn(tx, club, id))!;
  const log = fold(contextOf(found), (await entriesIn(tx, club, id)).entries);
  if (!log.state.endedAt) return;
  const { summary, raised, version } = derivedOf(log, await fitsBefore(tx, club, found.engineId, found.startedAt!));
  await tx`update steaming set ended_at = ${log.state.endedAt}, summary = ${json(tx, summary)}, raised = ${raised && json(tx, raised)}, derived = ${version}
    where club_id = ${club} and steaming_id = ${id}`;
}
