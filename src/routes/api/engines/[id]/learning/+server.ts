import type { RequestEvent } from './$types';
import type { Learning } from '$core/learn';
import { answers, check, need, needId, notHere, readJson } from '$server/answer';
import { learningSchema, saveLearning } from '$server/plans';
import { changedFrom } from '$server/version';
import { json } from '@sveltejs/kit';

/** What the owner says of an engine's past: steamings left out, chapters begun. */
export const PUT = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'edit engines');
  const learning = check<Learning>(learningSchema, await readJson(request));
  return json((await saveLearning(member, needId(params.id), learning, changedFrom(request))) ?? notHere('engine'));
});
