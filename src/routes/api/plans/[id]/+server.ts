import { type DayPlan, dayPlanSchema } from '$core/plan';
import { check, need, needId, notHere, readJson, refuse } from '$server/answer';
import { cancelPlan, changePlan, planBody } from '$server/plans';
import { json } from '@sveltejs/kit';

/** Changes a plan that has not been started. */
export const PUT = async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const body = check<{ purpose: string; plan: unknown }>(planBody, read.value);
  if ('field' in body) return refuse(400, body.field, body.sentence);
  const plan = check<DayPlan>(dayPlanSchema, body.value.plan);
  if ('field' in plan) return refuse(400, plan.field === 'body' ? 'plan' : plan.field, plan.sentence);
  const saved = await changePlan(member, needId(params.id), { purpose: body.value.purpose, plan: plan.value });
  return 'problem' in saved ? refuse(saved.status, saved.field, saved.problem) : json(saved);
};

/** Calls a plan off. */
export const DELETE = async ({ params, locals }) => {
  const member = need(locals, 'start steaming');
  return (await cancelPlan(member, needId(params.id))) ? json({ done: true }) : notHere('plan');
};
