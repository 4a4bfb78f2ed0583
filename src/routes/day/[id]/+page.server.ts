import { engineOf, planWhole } from '$core/plan';
import { need, needId, notHere } from '$server/answer';
import { membersOf } from '$server/members';
import { planOf } from '$server/plans';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const found = await planOf(member.club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, known, busy, carried, others } = found;
  return {
    id: row.id,
    engineId: row.engineId,
    engine: row.engine,
    purpose: row.purpose,
    startedAt: row.startedAt,
    cancelled: row.cancelledAt !== null,
    plan,
    known,
    busy,
    carried,
    others,
    names: (await membersOf(member.club)).map((m) => m.name),
    // Worked out once here, so that the sheet stands before the page has a worker.
    whole: planWhole(known, plan, busy, engineOf(known)),
    now: Date.now()
  };
};
