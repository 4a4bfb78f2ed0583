import { need, needId, notHere, refuse } from '$server/answer';
import { cancelPlan, changePlan, readPlan } from '$server/plans';
import { json } from '@sveltejs/kit';

/** Changes a plan that has not been started. */
export const PUT = async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const read = await readPlan(request);
  if ('response' in read) return read.response;
  const saved = await changePlan(member, needId(params.id), read);
  return 'problem' in saved ? refuse(saved.status, saved.field, saved.problem) : json(saved);
};

/** Calls a plan off. */
export const DELETE = async ({ params, locals }) => {
  const member = need(locals, 'start steaming');
  return (await cancelPlan(member, needId(params.id))) ? json({ done: true }) : notHere('plan');
};
