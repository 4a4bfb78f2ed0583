import { isZone, Refusal, usualUnits } from '$core/units';
import { invite } from '$server/accounts';
import { check, need, orRefusal } from '$server/answer';
import { membersOf, type Role, roles, saveUnits, saveZone, unitsSchema } from '$server/members';
import { fail, redirect } from '@sveltejs/kit';

const themes = ['sheet', 'lamp', 'sun'];

export const load = async ({ locals }) => {
  const member = need(locals);
  return { members: await membersOf(member.club), roles, zones: Intl.supportedValuesOf('timeZone') };
};

export const actions = {
  units: async ({ request, locals }) => {
    const member = need(locals);
    const form = Object.fromEntries(await request.formData());
    const units = orRefusal(() => check<typeof usualUnits>(unitsSchema, form));
    if (units instanceof Refusal) return fail(400, { at: 'units', problem: 'Choose one of the units that are offered.' });
    await saveUnits(member, units);
    return { at: 'units', done: true };
  },
  zone: async ({ request, locals }) => {
    const member = need(locals, 'set the clock');
    const zone = String((await request.formData()).get('zone') ?? '')
      .trim()
      .replaceAll(' ', '_');
    if (!isZone(zone)) return fail(400, { at: 'zone', problem: 'Choose a time zone from the list, or UTC.' });
    await saveZone(member.club, zone);
    return { at: 'zone', done: true };
  },
  theme: async ({ request, cookies, url }) => {
    const theme = String((await request.formData()).get('theme'));
    if (!themes.includes(theme)) return fail(400, { at: 'theme', problem: 'Choose Sheet, Lamp or Sun.' });
    cookies.set('joram-theme', theme, {
      path: '/',
      maxAge: 400 * 86_400,
      sameSite: 'lax',
      secure: url.protocol === 'https:',
      httpOnly: true
    });
    // Asked for anew, so that the page itself comes in the theme.
    redirect(303, '/settings');
  },
  invite: async ({ request, locals, url }) => {
    const member = need(locals, 'invite');
    const wanted = (await request.formData())
      .getAll('role')
      .map(String)
      .filter((r): r is Role => (roles as readonly string[]).includes(r));
    if (wanted.length === 0) return fail(400, { at: 'invite', problem: 'Choose at least one role for the new member.' });
    return { at: 'invite', link: `${url.origin}/join/${await invite(member, wanted)}` };
  }
};
