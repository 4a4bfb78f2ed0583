import { Refusal } from '$core/units';
import { openReset, useReset } from '$server/accounts/coming-in';
import { passwordSchema } from '$server/accounts/secrets';
import { check, orRefusal } from '$server/answer';
import { keepSession } from '$server/session-cookie';
import { error, fail, redirect } from '@sveltejs/kit';

export const load = async ({ params }) => {
  const open = await openReset(params.token);
  if (!open) error(404, { message: 'This link has been used or has run out.', then: 'Ask an owner of your club for a new one.' });
  return { club: open.clubName, name: open.name, signIn: open.signIn };
};

export const actions = {
  default: async ({ request, params, cookies, url }) => {
    const given = String((await request.formData()).get('password') ?? '');
    const checked = orRefusal(() => check<string>(passwordSchema, given));
    if (checked instanceof Refusal) return fail(400, { problem: checked.sentence });
    const session = await useReset(params.token, checked, request.headers.get('user-agent') ?? '');
    if ('problem' in session) return fail(session.status, { problem: session.problem });
    keepSession(cookies, session, url);
    redirect(303, '/');
  }
};
