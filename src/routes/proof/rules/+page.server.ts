import { acts, need } from '$server/answer';
import { parseJson } from '$server/parse-json';
import { rulesBefore, rulesOf, saveRules } from '$server/proof';
import { Refusal } from '$core/units';
import type { Actions, RequestEvent } from './$types';

export const load = async ({ locals }) => {
  const { club } = need(locals);
  const [now, before] = await Promise.all([rulesOf(club), rulesBefore(club)]);
  const { version, at: _, by: __, ...rules } = now;
  return { rules, version, before };
};

export const actions = {
  save: acts('save', async ({ request, locals }: RequestEvent) => {
    const member = need(locals, 'keep papers');
    const form = await request.formData();
    const written = form.get('written');
    const parsed = parseJson(typeof written === 'string' ? written.slice(0, 20_000) : '');
    if ('problem' in parsed) throw new Refusal('rules', parsed.problem);
    return { at: 'save', version: await saveRules(member, parsed.value, Number(form.get('version')) || 0) };
  })
} satisfies Actions;
