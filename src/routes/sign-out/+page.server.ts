import { endSession } from '$server/accounts/sessions';
import { redirect } from '@sveltejs/kit';

export const load = () => redirect(303, '/');
export const actions = {
  default: async ({ cookies, locals }) => {
    if (locals.member && locals.session) await endSession(locals.member, locals.session.hash);
    cookies.delete('joram-session', { path: '/' });
    redirect(303, '/sign-in');
  }
};
