import { checkRecord } from '$core/formats';
import { check, isoDay, need, parseJson, recordLimit } from '$server/answer';
import { yard } from '$server/engines';
import { importRecord } from '$server/records';
import { bookPage, logbook } from '$server/steamings';
import { fail, redirect } from '@sveltejs/kit';
import Joi from 'joi';

const dayOrNothing = isoDay('Give the day as 2026-06-13.').empty('');
const filter = Joi.object({
  engine: Joi.string().uuid().empty('').messages({ '*': 'Choose an engine of the club.' }),
  keeper: Joi.string().trim().max(120).empty('').messages({ '*': 'A name has at most 120 characters.' }),
  from: dayOrNothing,
  to: dayOrNothing,
  page: Joi.number().integer().min(1).max(10_000).default(1).messages({ '*': 'Pages are counted from 1.' })
}).unknown();

export const load = async ({ locals, url }) => {
  const member = need(locals);
  const checked = check<{ engine?: string; keeper?: string; from?: string; to?: string; page: number }>(
    filter,
    Object.fromEntries(url.searchParams)
  );
  const problem = 'field' in checked ? { field: checked.field, sentence: checked.sentence } : undefined;
  const wanted = 'value' in checked ? checked.value : { page: 1 };
  const { engine: engineId, ...rest } = wanted as { engine?: string; keeper?: string; from?: string; to?: string; page: number };
  const [lines, engines] = await Promise.all([logbook(member.club, { ...(engineId ? { engineId } : {}), ...rest }), yard(member.club)]);
  return {
    lines,
    engines: engines.map(({ id, name }) => ({ id, name })),
    wanted: { engine: engineId, ...rest },
    problem,
    size: bookPage,
    total: lines[0]?.total ?? 0
  };
};

export const actions = {
  import: async ({ request, locals }) => {
    const member = need(locals, 'import');
    const file = (await request.formData()).get('record');
    if (!(file instanceof File) || file.size === 0)
      return fail(400, { problems: [{ path: 'record', sentence: 'Choose a record: a JSON file that Joram exported.' }] });
    if (file.size > recordLimit)
      return fail(413, { problems: [{ path: 'record', sentence: `The file is over ${recordLimit / 1024 / 1024} MB.` }] });
    const parsed = parseJson(await file.text());
    if ('problem' in parsed) return fail(400, { problems: [{ path: file.name, sentence: parsed.problem }] });
    const checked = checkRecord(parsed.value);
    if ('problems' in checked) return fail(400, { problems: checked.problems });
    const imported = await importRecord(member, checked.record);
    if ('problem' in imported) return fail(409, { problems: [{ path: imported.path, sentence: imported.problem }] });
    redirect(303, `/records/${imported.id}`);
  }
};
