import { need, readJson, refuse } from '$server/answer';
import { saveEngine } from '$server/engines';
import { json } from '@sveltejs/kit';

/** Makes an engine from its fit-out. */
export const POST = async ({ request, locals }) => {
  const member = need(locals, 'edit engines');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const saved = (await saveEngine(member, read.value))!;
  return 'problems' in saved
    ? refuse(400, saved.problems[0]!.path || 'document', saved.problems[0]!.sentence, { problems: saved.problems })
    : json(saved, { status: 201 });
};
