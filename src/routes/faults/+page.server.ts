import type { Forbids } from '$core/log';
import { Refusal } from '$core/units';
import { acts, check, need, needId } from '$server/answer';
import { yard } from '$server/engines';
import { faults, faultSchema, pageSize, raiseFault } from '$server/faults';
import Joi from 'joi';
import type { RequestEvent } from './$types';

// What an address asks for that cannot be is as if it had not been asked for.
const filter = Joi.object({
  engine: Joi.string().uuid().empty('').failover(''),
  show: Joi.valid('open', 'fixed', 'all').default('open').failover('open'),
  page: Joi.number().integer().min(1).max(10_000).default(1).failover(1)
}).unknown();

export const load = async ({ locals, url }) => {
  const { club } = need(locals);
  const { value } = filter.validate(Object.fromEntries(url.searchParams));
  const wanted = value as { engine?: string; show: 'open' | 'fixed' | 'all'; page: number };
  const [lines, engines] = await Promise.all([
    faults(club, {
      ...(wanted.engine ? { engineId: wanted.engine } : {}),
      ...(wanted.show === 'all' ? {} : { open: wanted.show === 'open' }),
      page: wanted.page
    }),
    yard(club)
  ]);
  return { lines, engines: engines.map(({ id, name }) => ({ id, name })), wanted, size: pageSize, total: lines[0]?.total ?? 0 };
};

export const actions = {
  raise: acts('raise', async ({ request, locals }: RequestEvent) => {
    const member = need(locals, 'log');
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const { text, forbids } = check<{ text: string; forbids: Forbids }>(faultSchema, values);
    if (!(await raiseFault(member, needId(values.engine ?? ''), text, forbids)))
      throw new Refusal('engine', 'Choose an engine of the club.', { code: 'missing' });
    return { at: 'raise', done: true };
  })
};
