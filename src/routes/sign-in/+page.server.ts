import { demoMembers, demoSignIn, hasClubs, signIn } from '$server/accounts';
import { goOn, keepSession } from '$server/session-cookie';
import { fail, redirect } from '@sveltejs/kit';

export const load = async ({ locals, url }) => {
  if (locals.member) redirect(303, goOn(url.searchParams.get('then')));
  if (!(await hasClubs())) redirect(303, '/first-run');
  return { demo: await demoMembers() };
};

export const actions = {
  default: async ({ request, cookies, url, getClientAddress }) => {
    const form = await request.formData();
    const demo = form.get('demo');
    const agent = request.headers.get('user-agent') ?? '';
    const name = String(form.get('name') ?? '').trim();
    const session = demo
      ? await demoSignIn(String(demo), agent)
      : name
        ? await signIn(name, String(form.get('password') ?? ''), { address: getClientAddress(), agent })
        : { problem: 'Give the name you sign in with.', status: 400 as const };
    if ('problem' in session) return fail(session.status, { problem: session.problem, name });
    keepSession(cookies, session, url);
    redirect(303, goOn(url.searchParams.get('then')));
  }
};
