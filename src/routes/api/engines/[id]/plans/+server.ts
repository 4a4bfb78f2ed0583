import { type DayPlan, dayPlanSchema } from '$core/plan';
import { check, need, needId, readJson, refuse } from '$server/answer';
import { makePlan, planBody } from '$server/plans';
import { json } from '@sveltejs/kit';

/** Plans a steaming of this engine. */
export const POST = async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const body = check<{ purpose: string; plan: unknown }>(planBody, read.value);
  if ('field' in body) return refuse(400, body.field, body.sentence);
  const plan = check<DayPlan>(dayPlanSchema, body.value.plan);
  if ('field' in plan) return refuse(400, plan.field === 'body' ? 'plan' : plan.field, plan.sentence);
  const made = await makePlan(member, needId(params.id), { purpose: body.value.purpose, plan: plan.value });
  return 'problem' in made ? refuse(made.status, made.field, made.problem) : json(made, { status: 201 });
};
