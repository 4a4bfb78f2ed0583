import { need, needId, notHere } from '$server/answer';
import { contextOf, folded } from '$server/steamings';
import { membersOf } from '$server/members';
import { known } from '$server/plans';
import { redirect } from '@sveltejs/kit';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const found = await folded(member.club, needId(params.id));
  if (!found || !found.steaming.startedAt) return notHere('steaming');
  const { steaming, log, last } = found;
  if (steaming.endedAt) redirect(303, `/records/${steaming.id}`);
  // The fit-out of the steaming, and what the engine's past has shown of it.
  const fits = (await known(member.club, steaming.engineId))?.fits ?? [];
  return {
    id: steaming.id,
    known: { fitOut: steaming.fitOut, fits },
    plan: steaming.plan,
    engineId: steaming.engineId,
    purpose: steaming.purpose,
    context: contextOf(steaming),
    entries: log.entries,
    last,
    people: (await membersOf(member.club)).map((m) => m.name),
    now: Date.now()
  };
};
