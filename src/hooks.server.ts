import { askedBy } from '$server/accounts/limits';
import { sessionMember } from '$server/accounts/sessions';
import { unkeepable, unkeepableSentence } from '$server/text';
import { error, type Handle, type HandleServerError, redirect, type RequestEvent } from '@sveltejs/kit';

const themes = ['sheet', 'lamp', 'sun'] as const;
/** Pages for people who have not signed in. */
const open = /^\/(sign-in|first-run|join\/|reset\/|health$)/;

/** The longest form, bytes; a record comes in by one of its own. */
const longestForm = 1024 * 1024;

const isForm = (request: Request) =>
  /^(application\/x-www-form-urlencoded|multipart\/form-data)/.test(request.headers.get('content-type') ?? '');
const isRecord = ({ pathname, search }: URL) => pathname === '/logbook' && search.startsWith('?/import');

async function spoiltIn({ request, url, params }: RequestEvent): Promise<string | undefined> {
  const inAddress = unkeepable({ ...params, ...Object.fromEntries(url.searchParams) });
  if (inAddress !== undefined || request.method !== 'POST') return inAddress;
  if (!isForm(request) || isRecord(url)) return undefined;
  // A form that cannot be read is the action's to refuse.
  const form = await request
    .clone()
    .formData()
    .catch(() => undefined);
  return form && unkeepable(Object.fromEntries(form));
}

export const handle: Handle = async ({ event, resolve }) => {
  const { cookies, locals, request, url } = event;
  // SvelteKit refuses forms from another origin; JSON and deletions are refused here.
  const origin = request.headers.get('origin');
  if (!['GET', 'HEAD', 'OPTIONS'].includes(request.method) && origin && origin !== url.origin)
    error(403, { message: 'This request came from another site and was refused.' });

  if (isForm(request) && !isRecord(url) && Number(request.headers.get('content-length') ?? Infinity) > longestForm)
    error(413, { message: 'This form is too long, or does not say how long it is: send at most 1 MB.' });

  // Text that no database takes is refused at the door, in an address and in a form; JSON is looked at where it is read.
  const spoilt = await spoiltIn(event);
  if (spoilt !== undefined) error(400, { message: unkeepableSentence, then: `It stands in: ${spoilt}.` });

  const wanted = cookies.get('joram-theme');
  locals.theme = themes.find((t) => t === wanted) ?? 'sheet';
  const token = cookies.get('joram-session');
  const found = token ? await sessionMember(token) : undefined;
  if (found) {
    locals.member = found.member;
    locals.session = found.session;
  }
  if (!found && event.route.id && !open.test(url.pathname)) {
    if (url.pathname.startsWith('/api/'))
      return new Response(JSON.stringify({ field: 'session', sentence: 'Sign in first.' }), {
        status: 401,
        headers: { 'content-type': 'application/json' }
      });
    redirect(303, `/sign-in${url.pathname === '/' ? '' : `?then=${encodeURIComponent(url.pathname + url.search)}`}`);
  }
  // One member's program gone wild must not keep the others' entries waiting.
  const wait = found && (await askedBy(found.member.id));
  if (wait) {
    const sentence = `You ask too often: wait ${wait} s.`;
    if (!url.pathname.startsWith('/api/')) error(429, { message: sentence, then: 'Then load the page again.' });
    return new Response(JSON.stringify({ code: 'too often', field: 'session', sentence }), {
      status: 429,
      headers: { 'content-type': 'application/json', 'retry-after': String(wait) }
    });
  }
  return resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%joram.theme%', locals.theme),
    // The type that ships with the application is asked for with the page, so that no line moves when it comes.
    preload: ({ type }) => type === 'js' || type === 'css' || type === 'font'
  });
};

export const handleError: HandleServerError = ({ error: problem, status, message }) => {
  if (status === 404) return { message: 'There is no such page.', then: 'Go back to the Yard.' };
  if (status < 500) return { message };
  const { code = '', message: said } = (problem ?? {}) as { code?: string; message?: string };
  if (/^(ECONNREFUSED|ECONNRESET|CONNECT(ION)?_\w+|57P0\d|08\d{3})$/.test(code)) {
    console.error(`joram: the database does not answer: ${said}`);
    return { message: 'The database does not answer just now.', then: 'What you logged is kept on this device until it is delivered.' };
  }
  console.error(problem);
  return { message: 'Something went wrong on our side.', then: 'What you logged is kept on this device until it is delivered. Try again.' };
};
