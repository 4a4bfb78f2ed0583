import { carriedOver, summarise } from '$core/log';
import { need, needId, notHere } from '$server/answer';
import { contextOf } from '$server/sql/steaming';
import { folded } from '$server/steamings';
import { redirect } from '@sveltejs/kit';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const found = await folded(member.club, needId(params.id));
  if (!found || !found.steaming.startedAt) return notHere('record');
  const { steaming, log } = found;
  if (!steaming.endedAt) redirect(303, `/footplate/${steaming.id}`);
  return {
    id: steaming.id,
    engineId: steaming.engineId,
    club: steaming.importedFrom?.club ?? member.clubName,
    imported: steaming.importedFrom,
    keeper: steaming.keeper,
    purpose: steaming.purpose,
    startedAt: found.steaming.startedAt.toISOString(),
    context: contextOf(steaming),
    entries: log.entries,
    summary: steaming.summary ?? summarise(log),
    carried: carriedOver(log),
    now: Date.now()
  };
};
