import { check, need, needId, notHere } from '$server/answer';
import { yard } from '$server/engines';
import { faults, faultSchema, fixFault, fixSchema, oneFault, pageSize, raiseFault } from '$server/faults';
import { allowed } from '$server/members';
import { fail } from '@sveltejs/kit';
import Joi from 'joi';

const filter = Joi.object({
  engine: Joi.string().uuid().empty(''),
  show: Joi.valid('open', 'fixed', 'all').default('open'),
  page: Joi.number().integer().min(1).max(10_000).default(1)
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
  raise: async ({ request, locals }) => {
    const member = need(locals, 'log');
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = check<{ text: string; forbids: 'steaming' | 'passengers' | 'nothing' }>(faultSchema, values);
    if ('field' in checked) return fail(400, { at: 'raise', problem: checked.sentence });
    if (!(await raiseFault(member, needId(values.engine ?? ''), checked.value.text, checked.value.forbids)))
      return fail(404, { at: 'raise', problem: 'Choose an engine of the club.' });
    return { at: 'raise', done: true };
  },
  fix: async ({ request, locals }) => {
    const member = need(locals, 'fix faults');
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const id = needId(values.fault ?? '');
    const fault = await oneFault(member.club, id);
    if (!fault) return notHere('fault');
    if (fault.forbids === 'steaming' && !allowed(member, 'clear a bar'))
      return fail(403, {
        at: 'fix',
        id,
        problem: 'A fault that forbids steaming is cleared by a steward, an owner or the boiler examiner.'
      });
    const checked = check<{ fix: string }>(fixSchema, values);
    if ('field' in checked) return fail(400, { at: 'fix', id, problem: checked.sentence });
    if (!(await fixFault(member, id, checked.value.fix))) return fail(409, { at: 'fix', id, problem: 'It has been fixed already.' });
    return { at: 'fix', done: true };
  }
};
