import { checkRecord } from '$core/formats';
import { need, readJson, recordLimit, refuse } from '$server/answer';
import { importRecord } from '$server/records';
import { json } from '@sveltejs/kit';

/** Brings in a record: all of it or nothing. */
export const POST = async ({ request, locals }) => {
  const member = need(locals, 'import');
  const read = await readJson(request, recordLimit);
  if ('response' in read) return read.response;
  const checked = checkRecord(read.value);
  if ('problems' in checked)
    return refuse(400, checked.problems[0]!.path || 'document', checked.problems[0]!.sentence, { problems: checked.problems });
  const imported = await importRecord(member, checked.record);
  return 'problem' in imported ? refuse(409, imported.path, imported.problem) : json(imported, { status: 201 });
};
