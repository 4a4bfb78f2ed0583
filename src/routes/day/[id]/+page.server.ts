import { need, needId, notHere } from '$server/answer';
import { membersOf } from '$server/members';
import { planOf } from '$server/plans';
import { carriedFrom } from '$server/book';

export const load = async ({ params, locals }) => {
  const member = need(locals);
  const found = await planOf(member.club, needId(params.id));
  if (!found) return notHere('plan');
  const { row, plan, problems, known, busy, others, whole } = found;
  const [carried, members] = await Promise.all([carriedFrom(member.club, row.engineId), membersOf(member.club)]);
  return {
    id: row.id,
    engineId: row.engineId,
    engine: row.engine,
    purpose: row.purpose,
    startedAt: row.startedAt,
    cancelled: row.cancelledAt !== null,
    plan,
    version: row.version,
    problems,
    known,
    busy,
    carried,
    others,
    names: members.map((m) => m.name),
    // Worked out once here, so that the sheet stands before the page has a worker.
    whole,
    now: Date.now()
  };
};
