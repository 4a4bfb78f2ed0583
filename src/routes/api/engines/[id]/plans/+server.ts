import type { RequestEvent } from './$types';
import { answers, need, needId } from '$server/answer';
import { makePlan, readPlan } from '$server/plans';
import { json } from '@sveltejs/kit';

/** Plans a steaming of this engine. */
export const POST = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  return json(await makePlan(member, needId(params.id), await readPlan(request)), { status: 201 });
});
