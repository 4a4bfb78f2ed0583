import { sheetOf } from '$core/proof';
import { acts, need, needId, notHere } from '$server/answer';
import { engine } from '$server/engines';
import { parseJson } from '$server/parse-json';
import { keepWorksheet, rulesOf, worked } from '$server/proof';
import { Refusal } from '$core/units';
import { redirect } from '@sveltejs/kit';
import type { Actions, RequestEvent } from './$types';

export const load = async ({ locals, params, url }) => {
  const { club } = need(locals);
  const of = sheetOf(params.sheet);
  const found = await engine(club, needId(url.searchParams.get('engine') ?? ''));
  if (!of || !found || !(of.when?.(found.fitOut) ?? true)) return notHere('worksheet');
  const { name, version, source } = await rulesOf(club);
  return { key: of.key, engine: { id: found.id, name: found.name }, fitOut: found.fitOut, rules: { name, version, source } };
};

/** What was written, as it was sent: the form is one document. */
async function sentBy({ request, url }: RequestEvent): Promise<{ engine: string; written: unknown }> {
  const said = (await request.formData()).get('written');
  const parsed = parseJson(typeof said === 'string' ? said.slice(0, 100_000) : '');
  if ('problem' in parsed) throw new Refusal('sheet', parsed.problem);
  return { engine: needId(url.searchParams.get('engine') ?? ''), written: parsed.value };
}

export const actions = {
  work: acts('work', async (event: RequestEvent) => {
    const { club } = need(event.locals, 'sign as keeper');
    const { engine: id, written } = await sentBy(event);
    const { findings, verdict } = await worked(club, id, event.params.sheet, written);
    return { at: 'work', findings, verdict };
  }),
  keep: acts('keep', async (event: RequestEvent) => {
    const member = need(event.locals, 'sign as keeper');
    const { engine: id, written } = await sentBy(event);
    redirect(303, `/proof/${await keepWorksheet(member, id, event.params.sheet, written)}`);
  })
} satisfies Actions;
