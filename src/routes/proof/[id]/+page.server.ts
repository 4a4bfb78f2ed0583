import { acts, need, needId, notHere } from '$server/answer';
import { signWorksheet, worksheet } from '$server/proof';
import type { Actions, RequestEvent } from './$types';

export const load = async ({ locals, params }) => {
  const { club } = need(locals);
  const found = await worksheet(club, needId(params.id));
  if (!found) return notHere('worksheet');
  return found;
};

export const actions = {
  sign: acts('sign', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'sign as examiner');
    const note = (await request.formData()).get('note');
    await signWorksheet(member, needId(params.id), typeof note === 'string' ? note.slice(0, 2000) : '');
    return { at: 'sign', done: true };
  })
} satisfies Actions;
