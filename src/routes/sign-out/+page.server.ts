import { endSession } from '$server/accounts';
import { redirect } from '@sveltejs/kit';

export const load = () => redirect(303, '/');
export const actions = {
  default: async ({ cookies, locals }) => {
    if (locals.member && locals.sessionHash) await endSession(locals.member, locals.sessionHash);
    cookies.delete('joram-session', { path: '/' });
    redirect(303, '/sign-in');
  }
};
