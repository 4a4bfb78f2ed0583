import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyBook, hasServer } from './process';

describe.skipIf(!hasServer)('an empty database', () => {
  let app: Awaited<ReturnType<typeof emptyBook>>;
  beforeAll(async () => {
    app = await emptyBook('joram_empty');
  });
  afterAll(() => app?.drop());

  const form = (path: string, fields: Record<string, string>, cookie = '') =>
    fetch(`${app.url}${path}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: app.url, cookie, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams(fields)
    });
  /** SvelteKit answers a form sent for JSON with 200 and says in the body how it went. */
  const answered = async (response: Response) =>
    (await response.json()) as { type: string; status: number; location?: string; data?: string };
  const session = (response: Response) => response.headers.get('set-cookie')?.split(';')[0] ?? '';
  const person = { name: 'Ansel Rushby', signIn: 'Ansel@fen.example', password: 'three dry words' };
  let owner = '';

  it('asks for the first club, whatever is opened, and says at the field what is wrong', async () => {
    const opened = await fetch(`${app.url}/sign-in`, { redirect: 'manual' });
    expect(opened.headers.get('location')).toBe('/first-run');
    for (const [spoilt, sentence] of [
      [{ club: '' }, 'Give the club its name.'],
      [{ password: 'short' }, 'Choose a password of at least ten characters'],
      [{ signIn: 'two words' }, 'at least two characters, no spaces']
    ] as const) {
      const answer = await answered(await form('/first-run', { club: 'Sedge Lode Steamers', ...person, ...spoilt }));
      expect(answer.status).toBe(400);
      expect(answer.data).toContain(sentence);
      expect(answer.data).not.toContain(person.password);
    }
  });

  it('is founded once, and its owner is signed in', async () => {
    const made = await form('/first-run', { club: 'Sedge Lode Steamers', ...person });
    owner = session(made);
    expect(await answered(made)).toMatchObject({ type: 'redirect', location: '/' });
    const yard = await (await fetch(app.url, { headers: { cookie: owner } })).text();
    expect(yard).toContain('No engines yet');
    expect(yard).toContain('Sedge Lode Steamers');
    const again = await answered(await form('/first-run', { club: 'Another', ...person, signIn: 'other' }));
    expect(again.data).toContain('There is a club here already');
  });

  it('takes the owner in by password, whatever the case of the name, and nobody by another', async () => {
    expect(await answered(await form('/sign-in', { name: 'ANSEL@fen.example', password: person.password }))).toMatchObject({
      type: 'redirect'
    });
    expect((await answered(await form('/sign-in', { name: 'ansel@fen.example', password: 'Three dry words' }))).data).toContain(
      'do not belong together'
    );
  });

  it('never follows a way back to another site', async () => {
    for (const then of ['//elsewhere.example', '/\\elsewhere.example', 'https://elsewhere.example'])
      expect(
        await answered(await form(`/sign-in?then=${encodeURIComponent(then)}`, { name: person.signIn, password: person.password }))
      ).toMatchObject({ location: '/' });
    expect(await answered(await form('/sign-in?then=%2Flogbook', { name: person.signIn, password: person.password }))).toMatchObject({
      location: '/logbook'
    });
  });

  it('an invitation lets one person in, once, with the roles it was made for', async () => {
    const invited = await answered(await form('/members?/invite', { role: 'operator' }, owner));
    const path = new URL(/http[^"]*\/join\/[\w-]+/.exec(invited.data!)![0]).pathname;
    const joining = { name: 'Nessa Coldham', signIn: 'nessa', password: 'a long enough one' };
    expect((await answered(await form(path, { ...joining, signIn: person.signIn }))).data).toContain(
      'Somebody already signs in with that name'
    );
    const joined = await form(path, joining);
    expect(await answered(joined)).toMatchObject({ type: 'redirect', location: '/' });
    expect((await fetch(`${app.url}${path}`)).status).toBe(404);
    // An operator invites nobody.
    expect(await answered(await form('/members?/invite', { role: 'owner' }, session(joined)))).toMatchObject({ type: 'error' });
    const members = await (await fetch(`${app.url}/settings`, { headers: { cookie: owner } })).text();
    expect(members).toContain('Nessa Coldham');
  });

  it('signing out ends the session at the server, not only in the browser', async () => {
    const cookie = session(await form('/sign-in', { name: 'nessa', password: 'a long enough one' }));
    const at = (path: string) => fetch(`${app.url}${path}`, { headers: { cookie }, redirect: 'manual' });
    expect((await at('/')).status).toBe(200);
    await form('/sign-out', {}, cookie);
    expect((await at('/')).headers.get('location')).toBe('/sign-in');
  });
});
