import { need } from '$server/answer';
import { inClub } from '$server/database';
import { fitsBefore } from '$server/sql/raising';
import { contextOf } from '$server/sql/steaming';
import { finished } from '$server/steamings';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const { steaming, log, startedAt } = await finished(member.club, params.id);
  return {
    id: steaming.id,
    engineId: steaming.engineId,
    context: contextOf(steaming),
    entries: log.entries,
    plan: steaming.plan,
    // What the forecast stood on then: no later day.
    fits: await inClub(member.club, (tx) => fitsBefore(tx, member.club, steaming.engineId, startedAt))
  };
};
