import type { RequestEvent } from './$types';
import { answers, need, needId, notHere } from '$server/answer';
import { cancelPlan, changePlan, readPlan } from '$server/plans';
import { changedFrom } from '$server/version';
import { json } from '@sveltejs/kit';

/** Changes a plan that has not been started. */
export const PUT = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  return json(await changePlan(member, needId(params.id), changedFrom(request), await readPlan(request)));
});

/** Calls a plan off. */
export const DELETE = async ({ params, locals }) => {
  const member = need(locals, 'start steaming');
  return (await cancelPlan(member, needId(params.id))) ? json({ done: true }) : notHere('plan');
};
