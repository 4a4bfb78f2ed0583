import type { Problem } from '$core/form';
import { Refusal } from '$core/units';
import { check, isoDay, need, orRefusal, recordLimit } from '$server/answer';
import { yard } from '$server/engines';
import { work } from '$server/jobs';
import { importRecord } from '$server/records';
import { bookPage, logbook } from '$server/book';
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

interface Wanted {
  engine?: string;
  keeper?: string;
  from?: string;
  to?: string;
  page: number;
}

export const load = async ({ locals, url }) => {
  const member = need(locals);
  const checked = orRefusal(() => check<Wanted>(filter, Object.fromEntries(url.searchParams)));
  const problem = checked instanceof Refusal ? { field: checked.field, sentence: checked.sentence } : undefined;
  const { engine: engineId, ...rest } = checked instanceof Refusal ? ({ page: 1 } as Wanted) : checked;
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
    let imported: { id: string };
    try {
      imported = await importRecord(member, await work('read record', await file.text()));
    } catch (problem) {
      if (!(problem instanceof Refusal)) throw problem;
      const { field, sentence, more } = problem;
      return fail(400, {
        problems: (more.problems as Problem[] | undefined) ?? [{ path: field === 'body' ? file.name : field, sentence }]
      });
    }
    redirect(303, `/records/${imported.id}`);
  }
};
