import { acts, check, need, needId } from '$server/answer';
import { answers, tellApart, type TwiceAnswer, twiceOf, twiceSchema } from '$server/twice';
import { redirect } from '@sveltejs/kit';
import type { RequestEvent } from './$types';

export const load = async ({ params, locals }) => ({
  ...(await twiceOf(need(locals).club, needId(params.id))),
  id: params.id,
  answers,
  now: Date.now()
});

export const actions = {
  default: acts('twice', async ({ request, params, locals }: RequestEvent) => {
    const member = need(locals, 'override');
    const said = check<{ as: TwiceAnswer; why: string }>(twiceSchema, Object.fromEntries(await request.formData()));
    redirect(303, `/footplate/${await tellApart(member, needId(params.id), said)}`);
  })
};
