import { symptomsFor } from '$core/finder';
import { forbids } from '$core/log';
import { Refusal } from '$core/units';
import { acts, need, needId } from '$server/answer';
import { engine, yard } from '$server/engines';
import { findFault } from '$server/fault-log';
import { redirect } from '@sveltejs/kit';
import Joi from 'joi';
import type { Actions, RequestEvent } from './$types';

const filter = Joi.object({
  engine: Joi.string().uuid().empty('').failover(''),
  say: Joi.string().trim().max(200).default('').failover('')
}).unknown();

export const load = async ({ locals, url }) => {
  const { club } = need(locals);
  const wanted = filter.validate(Object.fromEntries(url.searchParams)).value as { engine?: string; say: string };
  const engines = (await yard(club)).filter((e) => !e.retired).map(({ id, name }) => ({ id, name }));
  const found = wanted.engine || engines[0] ? await engine(club, wanted.engine || engines[0]!.id) : undefined;
  return {
    engines,
    engine: found ? { id: found.id, name: found.name } : null,
    say: wanted.say,
    symptoms: found
      ? symptomsFor(found.fitOut, wanted.say).map(({ key, says: [name, ...also], floor }) => ({
          key,
          name,
          also: also.slice(0, 3).join(', '),
          floor: floor ? forbids[floor] : null
        }))
      : []
  };
};

export const actions = {
  found: acts('found', async ({ request, locals }: RequestEvent) => {
    const member = need(locals, 'log');
    const form = await request.formData();
    const symptom = form.get('symptom');
    const id = await findFault(member, needId(String(form.get('engine') ?? '')), typeof symptom === 'string' ? symptom : '');
    if (!id) throw new Refusal('engine', 'Choose an engine of the club.', { code: 'missing' });
    redirect(303, `/faults/${id}`);
  })
} satisfies Actions;
