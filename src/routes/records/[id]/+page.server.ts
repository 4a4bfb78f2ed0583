import { carriedOver, summarise } from '$core/log';
import { need } from '$server/answer';
import { contextOf } from '$server/sql/steaming';
import { finished } from '$server/steamings';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const { steaming, log, startedAt } = await finished(member.club, params.id);
  return {
    id: steaming.id,
    engineId: steaming.engineId,
    club: steaming.importedFrom?.club ?? member.clubName,
    imported: steaming.importedFrom,
    keeper: steaming.keeper,
    purpose: steaming.purpose,
    startedAt: startedAt.toISOString(),
    context: contextOf(steaming),
    entries: log.entries,
    summary: steaming.summary ?? summarise(log),
    carried: carriedOver(log),
    now: Date.now()
  };
};
