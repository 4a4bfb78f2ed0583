import type { Cookies } from '@sveltejs/kit';
import { type Opened, sessionDays } from './accounts/sessions';

/** Keeps the session in the browser. Plain http is allowed: a phone on the club's own network has nothing better. */
export const keepSession = (cookies: Cookies, session: Opened, url: URL) =>
  cookies.set('joram-session', session.token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: url.protocol === 'https:',
    maxAge: sessionDays * 86_400
  });

/**
 * Where to go after signing in: a path of our own, never another site's. A browser reads a backslash as a slash and leaves tabs and
 * line ends out, so it is read as a browser reads it, and given back without what it could be misled by.
 */
export function goOn(then: string | null): string {
  const here = 'http://here.invalid';
  try {
    const url = new URL(then ?? '/', here);
    return url.origin === here ? url.pathname.replace(/^\/+/, '/') + url.search : '/';
  } catch {
    return '/';
  }
}
