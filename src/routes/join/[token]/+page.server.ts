import { invitation, join } from '$server/accounts/coming-in';
import { joinSchema } from '$server/accounts/secrets';
import { Refusal } from '$core/units';
import { check, orRefusal } from '$server/answer';
import { keepSession } from '$server/session-cookie';
import { error, fail, redirect } from '@sveltejs/kit';

export const load = async ({ params }) => {
  const open = await invitation(params.token);
  if (!open) error(404, { message: 'This invitation has been used or has run out.', then: 'Ask the club’s owner for a new link.' });
  return { club: open.clubName, roles: open.roles };
};

export const actions = {
  default: async ({ request, params, cookies, url }) => {
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = orRefusal(() => check<{ name: string; signIn: string; password: string }>(joinSchema, values));
    const { password: _, ...shown } = values;
    if (checked instanceof Refusal) return fail(400, { values: shown, field: checked.field, problem: checked.sentence });
    const session = await join(params.token, checked, request.headers.get('user-agent') ?? '');
    if ('problem' in session)
      return fail(session.status, { values: shown, field: 'field' in session ? session.field : 'signIn', problem: session.problem });
    keepSession(cookies, session, url);
    redirect(303, '/');
  }
};
