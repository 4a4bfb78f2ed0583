import type { RequestEvent } from './$types';
import { answers, need, readJson, recordLimit } from '$server/answer';
import { importRecord, readRecord } from '$server/records';
import { json } from '@sveltejs/kit';

/** Brings in a record: all of it or nothing. */
export const POST = answers<RequestEvent>(async ({ request, locals }) => {
  const member = need(locals, 'import');
  return json(await importRecord(member, readRecord(await readJson(request, recordLimit))), { status: 201 });
});
