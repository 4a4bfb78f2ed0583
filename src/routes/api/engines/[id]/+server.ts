import type { RequestEvent } from './$types';
import { answers, need, needId, notHere, readJson } from '$server/answer';
import { engine, saveEngine } from '$server/engines';
import { changedFrom } from '$server/version';
import { json } from '@sveltejs/kit';

export const GET = async ({ params, locals }) => {
  const found = await engine(need(locals).club, needId(params.id));
  return found ? json(found) : notHere('engine');
};

/** Changes an engine's fit-out. Steamings that have been started keep the one they were started with. */
export const PUT = answers<RequestEvent>(async ({ request, params, locals }) => {
  const member = need(locals, 'edit engines');
  const changed = { id: needId(params.id), from: changedFrom(request) };
  return json((await saveEngine(member, await readJson(request), changed)) ?? notHere('engine'));
});
