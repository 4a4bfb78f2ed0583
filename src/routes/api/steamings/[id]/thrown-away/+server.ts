import { check, need, needId, readJson, refuse } from '$server/answer';
import { throwAway } from '$server/steamings';
import { json } from '@sveltejs/kit';
import Joi from 'joi';

const schema = Joi.object({
  reason: Joi.string().trim().min(1).max(300).required().messages({ '*': 'Say in at most 300 characters why it was no start.' })
});

/** Throws away a start that was none. */
export const POST = async ({ request, params, locals }) => {
  const member = need(locals, 'start steaming');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const checked = check<{ reason: string }>(schema, read.value);
  if ('field' in checked) return refuse(400, checked.field, checked.sentence);
  const thrown = await throwAway(member, needId(params.id), checked.value.reason);
  return 'problem' in thrown ? refuse(thrown.status, 'steaming', thrown.problem) : json(thrown);
};
