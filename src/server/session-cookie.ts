import type { Cookies } from '@sveltejs/kit';
import { sessionDays, type SignIn } from './accounts';

/** Keeps the session in the browser. Plain http is allowed: a phone on the club's own network has nothing better. */
export const keepSession = (cookies: Cookies, session: Extract<SignIn, { token: string }>, url: URL) =>
  cookies.set('joram-session', session.token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: url.protocol === 'https:',
    maxAge: sessionDays * 86_400
  });

/** Where to go after signing in: a path of our own, never another site's. */
export const goOn = (then: string | null): string => (then && /^\/(?![/\\])/.test(then) ? then : '/');
