import { need, needId, notHere, readJson, refuse } from '$server/answer';
import { engine, saveEngine } from '$server/engines';
import { json } from '@sveltejs/kit';

export const GET = async ({ params, locals }) => {
  const found = await engine(need(locals).club, needId(params.id));
  return found ? json(found) : notHere('engine');
};

/** Changes an engine's fit-out. Steamings that have been started keep the one they were started with. */
export const PUT = async ({ request, params, locals }) => {
  const member = need(locals, 'edit engines');
  const read = await readJson(request);
  if ('response' in read) return read.response;
  const saved = await saveEngine(member, read.value, needId(params.id));
  if (!saved) return notHere('engine');
  return 'problems' in saved
    ? refuse(400, saved.problems[0]!.path || 'document', saved.problems[0]!.sentence, { problems: saved.problems })
    : json(saved);
};
