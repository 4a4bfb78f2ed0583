import { isZone, Refusal, usualUnits } from '$core/units';
import { type Detail, details } from '$core/watch';
import { changePassword } from '$server/accounts/keeping';
import { passwordSchema } from '$server/accounts/secrets';
import { endSession, sessionsOf } from '$server/accounts/sessions';
import { acts, check, need, orRefusal } from '$server/answer';
import { feedsAskedOf, membersOf, saveCards, saveFeedsAsked, saveUnits, saveZone, unitsSchema } from '$server/members';
import type { RequestEvent } from './$types';
import { fail, redirect } from '@sveltejs/kit';

const themes = ['sheet', 'lamp', 'sun'];

export const load = async ({ locals }) => {
  const member = need(locals);
  const [members, sessions, feedsAsked] = await Promise.all([membersOf(member.club), sessionsOf(member), feedsAskedOf(member.club)]);
  return {
    members,
    feedsAsked,
    zones: Intl.supportedValuesOf('timeZone'),
    sessions: sessions.map((s) => ({ ...s, here: s.hash === locals.session?.hash }))
  };
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
  cards: async ({ request, locals }) => {
    const member = need(locals);
    const cards = String((await request.formData()).get('cards'));
    if (!Object.hasOwn(details, cards)) return fail(400, { at: 'cards', problem: 'Choose full, usual or brief.' });
    await saveCards(member, cards as Detail);
    return { at: 'cards', done: true };
  },
  zone: async ({ request, locals }) => {
    const member = need(locals, 'set the clock');
    const zone = String((await request.formData()).get('zone') ?? '')
      .trim()
      .replaceAll(' ', '_');
    if (!isZone(zone)) return fail(400, { at: 'zone', problem: 'Choose a time zone from the list, or UTC.' });
    await saveZone(member, zone);
    return { at: 'zone', done: true };
  },
  feeds: async ({ request, locals }) => {
    const member = need(locals, 'set the clock');
    const asked = Number((await request.formData()).get('feeds'));
    if (!Number.isInteger(asked) || asked < 0 || asked > 6)
      return fail(400, { at: 'feeds', problem: 'Give a whole number of feeds, from 0 to 6. Two is usual.' });
    await saveFeedsAsked(member, asked);
    return { at: 'feeds', done: true };
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
  password: acts('password', async ({ request, locals }: RequestEvent) => {
    const member = need(locals);
    const form = await request.formData();
    const password = check<string>(passwordSchema, String(form.get('password') ?? ''));
    await changePassword(member, locals.session!.hash, String(form.get('old') ?? ''), password);
    return { at: 'password', done: true };
  }),
  session: acts('session', async ({ request, locals }: RequestEvent) => {
    const member = need(locals);
    const ended = await endSession(member, String((await request.formData()).get('session') ?? ''), true);
    if (!ended) throw new Refusal('session', 'That session has ended already.', { code: 'missing' });
    return { at: 'session', done: true };
  })
};
