import { asksForCode, foundFirstClub, hasClubs } from '$server/accounts';
import { firstClubSchema } from '$server/accounts/secrets';
import { Refusal } from '$core/units';
import { check, orRefusal } from '$server/answer';
import { keepSession } from '$server/session-cookie';
import { fail, redirect } from '@sveltejs/kit';

export const load = async () => {
  if (await hasClubs()) redirect(303, '/sign-in');
  return { asksForCode };
};

export const actions = {
  default: async ({ request, cookies, url }) => {
    const values = Object.fromEntries(await request.formData()) as Record<string, string>;
    const checked = orRefusal(() =>
      check<{ club: string; zone: string; code: string; name: string; signIn: string; password: string }>(firstClubSchema, values)
    );
    const { password: _, ...shown } = values;
    if (checked instanceof Refusal) return fail(400, { values: shown, field: checked.field, problem: checked.sentence });
    const session = await foundFirstClub(checked);
    if ('problem' in session)
      return fail(session.status, { values: shown, field: 'field' in session ? session.field : 'club', problem: session.problem });
    keepSession(cookies, session, url);
    redirect(303, '/');
  }
};
