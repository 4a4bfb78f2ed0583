import type { WorkKey } from '$core/proof';
import { acts, check, need, needId, notHere } from '$server/answer';
import { papersOf } from '$server/engines';
import { provenPage } from '$server/proven';
import { logWork, takeBack, takenBackSchema, workSchema } from '$server/work';
import type { Actions, RequestEvent } from './$types';

export const load = async ({ locals, params }) => {
  const member = need(locals);
  const id = needId(params.id);
  const [found, papers] = await Promise.all([provenPage(member, id), papersOf(member.club, id)]);
  if (!found) return notHere('engine');
  return { ...found, papers, now: Date.now() };
};

export const actions = {
  work: acts('work', async ({ request, locals, params }: RequestEvent) => {
    const member = need(locals, 'edit engines');
    await logWork(
      member,
      needId(params.id),
      check<{ work: WorkKey; text: string }>(workSchema, Object.fromEntries(await request.formData()))
    );
    return { at: 'work', done: true };
  }),
  back: acts('back', async ({ request, locals, params }: RequestEvent) => {
    const member = need(locals, 'keep papers');
    await takeBack(
      member,
      needId(params.id),
      check<{ work: string; why: string }>(takenBackSchema, Object.fromEntries(await request.formData()))
    );
    return { at: 'back', done: true };
  })
} satisfies Actions;
