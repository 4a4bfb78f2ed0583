import type { RequestEvent } from './$types';
import { answers, check, need, needId, readJson } from '$server/answer';
import { throwAway } from '$server/start';
import { json } from '@sveltejs/kit';
import Joi from 'joi';

const schema = Joi.object({
  reason: Joi.string().trim().min(1).max(300).required().messages({ '*': 'Say in at most 300 characters why it was no start.' })
});

/** Throws away a start that was none. */
export const POST = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const { reason } = check<{ reason: string }>(schema, await readJson(request));
  await throwAway(member, needId(params.id), reason);
  return json({ done: true });
});
