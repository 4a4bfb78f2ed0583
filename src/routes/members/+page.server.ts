import { invitationsOf, invite, recall, resetLink } from '$server/accounts/coming-in';
import { changeRoles, letInAgain, putOut } from '$server/accounts/keeping';
import { acts, need, needId } from '$server/answer';
import { allMembers, type Role, roles } from '$server/members';
import { Refusal } from '$core/units';
import type { RequestEvent } from './$types';

export const load = async ({ locals }) => {
  const member = need(locals, 'keep members');
  const [members, invitations] = await Promise.all([allMembers(member.club), invitationsOf(member.club)]);
  return { members, invitations, roles };
};

const rolesOf = (form: FormData): Role[] =>
  form
    .getAll('role')
    .map(String)
    .filter((r): r is Role => (roles as readonly string[]).includes(r));

/** An action on one member: what comes back stands beside that member. */
const onMember =
  (what: string, act: (event: RequestEvent, id: string, form: FormData) => Promise<object | void>) => async (event: RequestEvent) => {
    const form = await event.request.formData();
    const id = needId(String(form.get('member') ?? ''));
    return acts(`${what} ${id}`, async () => ({ at: `${what} ${id}`, done: true, ...(await act(event, id, form)) }))(event);
  };

export const actions = {
  invite: acts('invite', async ({ request, locals, url }: RequestEvent) => {
    const member = need(locals, 'invite');
    const wanted = rolesOf(await request.formData());
    if (wanted.length === 0) throw new Refusal('role', 'Choose at least one role for the new member.');
    return { at: 'invite', link: `${url.origin}/join/${await invite(member, wanted)}` };
  }),
  recall: acts('recall', async ({ request, locals }: RequestEvent) => {
    await recall(need(locals, 'invite'), String((await request.formData()).get('invitation') ?? ''));
    return { at: 'recall', done: true };
  }),
  roles: onMember('roles', ({ locals }, id, form) => changeRoles(need(locals, 'keep members'), id, rolesOf(form))),
  out: onMember('out', ({ locals }, id) => putOut(need(locals, 'keep members'), id)),
  again: onMember('again', ({ locals }, id) => letInAgain(need(locals, 'keep members'), id)),
  reset: onMember('reset', async ({ locals, url }, id) => {
    const member = need(locals, 'keep members');
    return { link: `${url.origin}/reset/${await resetLink(member.club, id, member)}` };
  })
};
