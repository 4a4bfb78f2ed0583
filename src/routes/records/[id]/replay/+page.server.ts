import { need, needId, notHere } from '$server/answer';
import { inClub } from '$server/database';
import { fitsBefore } from '$server/sql/raising';
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
    context: contextOf(steaming),
    entries: log.entries,
    plan: steaming.plan,
    // What the forecast stood on then: no later day.
    fits: await inClub(member.club, (tx) => fitsBefore(tx, member.club, steaming.engineId, found.steaming.startedAt!))
  };
};
