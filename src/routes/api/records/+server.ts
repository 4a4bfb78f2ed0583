import type { RequestEvent } from './$types';
import { answers, need, readText, recordLimit } from '$server/answer';
import { work } from '$server/jobs';
import { importRecord } from '$server/records';
import { json } from '@sveltejs/kit';

/** Brings in a record: all of it or nothing. */
export const POST = answers<RequestEvent>(async ({ request, locals }) => {
  const member = need(locals, 'import');
  return json(await importRecord(member, await work('read record', await readText(request, recordLimit))), { status: 201 });
});
