import { footFigures } from '$core/plan';
import { carriedOver, summarise } from '$core/log';
import { redirect } from '@sveltejs/kit';
import { notHere } from './answer';
import { allowed, type Member, membersOf } from './members';
import { known } from './plans';
import { contextOf } from './sql/steaming';
import { triesBefore } from './sql/tries';
import { folded } from './steamings';

/**
 * A steaming that has begun, with its whole log and all that its pages are made from: one document, so that a device that has heard it
 * once can open it without a connection. Of one that was joined to another, that other.
 */
export async function openedOf(member: Member, id: string) {
  const first = await folded(member.club, id);
  const found = first?.steaming.joinedTo ? await folded(member.club, first.steaming.joinedTo) : first;
  if (!found?.steaming.startedAt) return notHere('steaming');
  const { steaming, log, place } = found;
  const { fitOut, plan, summary } = steaming;
  // Of one under way: the fit-out of the steaming, and what the engine's past has shown of it.
  const [past, people, tries] = steaming.endedAt
    ? [undefined, [], []]
    : await Promise.all([
        known(member.club, steaming.engineId),
        membersOf(member.club),
        triesBefore(member.club, steaming.engineId, steaming.id)
      ]);
  const used = past?.used ?? [];
  return {
    id: steaming.id,
    engineId: steaming.engineId,
    club: steaming.importedFrom?.club ?? member.clubName,
    imported: steaming.importedFrom,
    keeper: steaming.keeper,
    purpose: steaming.purpose,
    startedAt: steaming.startedAt!.toISOString(),
    endedAt: steaming.endedAt && steaming.endedAt.toISOString(),
    context: contextOf(steaming),
    entries: log.entries,
    place,
    plan,
    known: { fitOut, fits: past?.fits ?? [], offs: past?.offs ?? [], used, runs: past?.runs ?? [] },
    // The cold mark stands in the glass until the match.
    ...(steaming.endedAt ? { cold: null, water: 0 } : footFigures(fitOut, used, plan)),
    // Whoever may keep an engine.
    people: people.filter((m) => allowed(m, 'sign as keeper')).map((m) => m.name),
    /** Of its feeds, on earlier days. */
    tries,
    mayThrowAway: steaming.keeperId === member.id || allowed(member, 'override'),
    ...(steaming.endedAt ? { summary: summary ?? summarise(log), carried: carriedOver(log) } : {}),
    now: Date.now()
  };
}
export type OpenedSteaming = Awaited<ReturnType<typeof openedOf>>;

/** One under way; one that has ended is a record. */
export async function underWay(member: Member, id: string) {
  const opened = await openedOf(member, id);
  if (opened.endedAt) redirect(303, `/records/${opened.id}`);
  return opened;
}
