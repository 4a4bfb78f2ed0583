import type { Learning } from '$core/learn';
import { check, need, needId, notHere, readJson, refuse } from '$server/answer';
import { learningSchema, saveLearning } from '$server/plans';
import { json } from '@sveltejs/kit';

/** What the owner says of an engine's past: steamings left out, chapters begun. */
export const PUT = async ({ request, params, locals }) => {
  const member = need(locals, 'edit engines');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const checked = check<Learning>(learningSchema, read.value);
  if ('field' in checked) return refuse(400, checked.field, checked.sentence);
  return (await saveLearning(member.club, needId(params.id), checked.value)) ? json({ done: true }) : notHere('engine');
};
