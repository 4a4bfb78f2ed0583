import type { RequestEvent } from './$types';
import { answers, need, readJson } from '$server/answer';
import { saveEngine } from '$server/engines';
import { json } from '@sveltejs/kit';

/** Makes an engine from its fit-out. */
export const POST = answers<RequestEvent>(async ({ request, locals }) => {
  const member = need(locals, 'edit engines');
  return json(await saveEngine(member, await readJson(request)), { status: 201 });
});
