import { need, needId, refuse } from '$server/answer';
import { makePlan, readPlan } from '$server/plans';
import { json } from '@sveltejs/kit';

/** Plans a steaming of this engine. */
export const POST = async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const read = await readPlan(request);
  if ('response' in read) return read.response;
  const made = await makePlan(member, needId(params.id), read);
  return 'problem' in made ? refuse(made.status, made.field, made.problem) : json(made, { status: 201 });
};
