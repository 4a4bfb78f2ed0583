import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { emptyBook, feed, hasServer } from './process';

describe.skipIf(!hasServer)('members, kept by their owner', () => {
  let app: Awaited<ReturnType<typeof emptyBook>>;
  beforeAll(async () => {
    app = await emptyBook('joram_members', { JORAM_SETUP_CODE: 'sedge-lode-7' });
  });
  afterAll(() => app?.drop());

  /** A form sent as a browser does; what came of it, and the session that it gave. */
  async function send(cookie: string, path: string, fields: Record<string, string> | [string, string][]) {
    const response = await fetch(`${app.url}${path}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: app.url, cookie, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams(fields as never)
    });
    const text = await response.text();
    const said = JSON.parse(text || '{}') as { type: string; status: number; location?: string; data?: string };
    return { ...said, code: response.status, session: response.headers.get('set-cookie')?.split(';')[0] ?? '', text };
  }
  const page = async (cookie: string, path: string) => {
    const response = await fetch(`${app.url}${path}`, { headers: { cookie }, redirect: 'manual' });
    return { status: response.status, text: await response.text(), location: response.headers.get('location') };
  };
  const password = 'three dry words';
  const signIn = (who: string, given = password) => send('', '/sign-in', { name: who, password: given });
  const linkIn = (text: string, kind: string) => new RegExp(`/${kind}/([\\w-]+)`).exec(text)![1]!;
  async function comeIn(owner: string, role: string, who: string, full: string) {
    const made = await send(owner, '/members?/invite', { role });
    return send('', `/join/${linkIn(made.text, 'join')}`, { name: full, signIn: who, password });
  }
  const memberId = async (who: string) => {
    const sql = postgres(app.admin, { max: 1 });
    const [row] = await sql<{ id: string }[]>`select member_id as id from member where sign_in = ${who}`.finally(() => sql.end());
    return row!.id;
  };
  let owner = '';
  let corrin = '';

  it('the first club asks for the code that stands where the server was started, before it works on a password', async () => {
    const person = { club: 'Sedge Lode Steamers', zone: 'UTC', name: 'Ansel Rushby', signIn: 'ansel', password };
    expect((await send('', '/first-run', { ...person, code: 'guess' })).text).toContain('not the set-up code');
    const made = await send('', '/first-run', { ...person, code: 'sedge-lode-7' });
    expect(made.type).toBe('redirect');
    owner = made.session;
    expect((await send('', '/first-run', { ...person, signIn: 'x2', code: 'sedge-lode-7' })).text).toContain('a club here already');
  });

  it('an invitation is listed, recalled, and then lets nobody in; a name that is there already does not come in twice', async () => {
    const made = await send(owner, '/members?/invite', { role: 'operator' });
    const listed = (await page(owner, '/members')).text;
    const hash = /name="invitation" value="(\w+)"/.exec(listed)![1]!;
    expect((await send(owner, '/members?/recall', { invitation: hash })).text).toContain('done');
    expect((await page('', `/join/${linkIn(made.text, 'join')}`)).status).toBe(404);
    expect((await send(owner, '/members?/recall', { invitation: hash })).text).toContain('recalled already');
    const came = await comeIn(owner, 'steward', 'corrin', 'Corrin Sallow');
    corrin = came.session;
    expect(came.type).toBe('redirect');
    expect((await comeIn(owner, 'operator', 'other', 'corrin sallow')).text).toContain('member of that name');
    expect((await page(corrin, '/members')).status).toBe(403);
    expect((await page(corrin, '/audit')).status).toBe(403);
  });

  it('roles are changed and say so; the last owner stays one', async () => {
    const [ansel, other] = [await memberId('ansel'), await memberId('corrin')];
    expect((await send(owner, '/members?/roles', { member: ansel, role: 'operator' })).text).toContain('keeps at least one owner');
    expect((await send(owner, '/members?/out', { member: ansel })).text).toContain('keeps at least one owner');
    expect((await send(owner, '/members?/roles', { member: other })).text).toContain('at least one role');
    expect((await send(corrin, '/members?/roles', { member: other, role: 'owner' })).code).toBe(403);
    await send(owner, '/members?/roles', [
      ['member', other],
      ['role', 'operator'],
      ['role', 'examiner']
    ]);
    expect((await page(owner, '/members')).text).toContain('operator, examiner');
  });

  it('put out, a member’s sessions and feeds end at once, and they do not come in again until they are let in', async () => {
    const other = await memberId('corrin');
    const live = await feed(`${app.url}/api/live`, { cookie: corrin });
    await live.untilEvent('entries');
    await send(owner, '/members?/out', { member: other });
    await live.untilEvent('over', 3000);
    live.stop();
    expect((await page(corrin, '/')).location).toContain('/sign-in');
    expect((await signIn('corrin')).text).toContain('do not belong together');
    await send(owner, '/members?/again', { member: other });
    corrin = (await signIn('corrin')).session;
    expect((await page(corrin, '/')).status).toBe(200);
  });

  it('a password is changed by who knows it, and by a link once; other sessions end', async () => {
    const second = (await signIn('corrin')).session;
    expect((await send(corrin, '/settings?/password', { old: 'wrong', password: 'four wet words' })).text).toContain('not your password');
    expect((await send(corrin, '/settings?/password', { old: password, password: 'short' })).text).toContain('at least ten');
    expect((await send(corrin, '/settings?/password', { old: password, password: 'four wet words' })).text).toContain('done');
    expect((await page(second, '/')).location).toContain('/sign-in');
    expect((await page(corrin, '/')).status).toBe(200);
    const link = linkIn((await send(owner, '/members?/reset', { member: await memberId('corrin') })).text, 'reset');
    expect((await page('', `/reset/${link}`)).text).toContain('Corrin Sallow');
    const used = await send('', `/reset/${link}`, { password: 'five dry reeds' });
    expect(used.type).toBe('redirect');
    expect((await page(corrin, '/')).location).toContain('/sign-in');
    expect((await send('', `/reset/${link}`, { password: 'six dry reeds' })).text).toContain('used or has run out');
    corrin = used.session;
  });

  it('a member sees where they are signed in and ends it there, and nobody else’s', async () => {
    const second = (await signIn('corrin', 'five dry reeds')).session;
    const hashes = [...(await page(corrin, '/settings')).text.matchAll(/name="session" value="(\w+)"/g)].map((m) => m[1]!);
    expect(hashes).toHaveLength(1);
    expect((await send(owner, '/settings?/session', { session: hashes[0]! })).text).toContain('ended already');
    expect((await page(second, '/')).status).toBe(200);
    await send(corrin, '/settings?/session', { session: hashes[0]! });
    expect((await page(second, '/')).location).toContain('/sign-in');
  });

  it('good sign-ins are not counted, wrong ones are: for a name, by every process, through a restart', async () => {
    for (let i = 0; i < 12; i++) expect((await signIn('ansel')).type).toBe('redirect');
    for (let i = 0; i < 9; i++) expect((await signIn('corrin', `guess ${i}`)).text).toContain('do not belong together');
    await app.restart();
    expect((await signIn('corrin', 'five dry reeds')).text).toContain('Too many tries');
    expect((await signIn('ansel')).type).toBe('redirect');
  });

  it('after signing in one stays here, whatever the link says', async () => {
    for (const [then, to] of [
      ['/day', '/day'],
      ['/records/x?y=1', '/records/x?y=1'],
      ['//elsewhere.example', '/'],
      ['/\t/elsewhere.example', '/'],
      ['/\\elsewhere.example', '/'],
      ['https://elsewhere.example/', '/'],
      ['javascript:alert(1)', '/'],
      ['/..//elsewhere.example', '/elsewhere.example']
    ] as const) {
      const answer = await send('', `/sign-in?then=${encodeURIComponent(then)}`, { name: 'ansel', password });
      expect(answer.location, then).toBe(to);
    }
  });

  it('papers are withdrawn with a reason, a fit-out says what changed, and all of it stands in what was done', async () => {
    const json = (method: string, path: string, body: unknown) =>
      fetch(`${app.url}${path}`, {
        method,
        headers: { cookie: owner, 'content-type': 'application/json', 'if-match': '"1"' },
        body: JSON.stringify(body)
      }).then((r) => r.json() as Promise<{ id: string }>);
    const fitOut = { ...patterns[2]!.fitOut, name: 'Withy Hen' };
    const { id } = await json('POST', '/api/engines', fitOut);
    await json('PUT', `/api/engines/${id}`, { ...fitOut, workingPressure: fitOut.workingPressure + 6895 });
    await send(owner, `/engines/${id}?/paper`, { kind: 'Boiler certificate', number: 'DE-7', issued: '2026-01-02', expires: '2099-01-01' });
    const paper = async () => /aria-label="Withdraw Boiler certificate DE-7"/.test((await page(owner, `/engines/${id}`)).text);
    expect(await paper()).toBe(true);
    const sql = postgres(app.admin, { max: 1 });
    const [row] = await sql<{ id: string }[]>`select paper_id as id from paper`;
    expect((await send(owner, `/engines/${id}?/withdrawPaper`, { paper: row!.id, why: '' })).text).toContain('Say why');
    await send(owner, `/engines/${id}?/withdrawPaper`, { paper: row!.id, why: 'wrong engine' });
    expect(await paper()).toBe(false);
    expect(await sql`select withdrawn_why as why from paper`).toMatchObject([{ why: 'wrong engine' }]);
    const done = (await page(owner, '/audit')).text;
    for (const said of [
      'founded the club',
      'made an invitation as operator',
      'recalled an invitation as operator',
      'came in by an invitation as steward',
      'changed the roles of Corrin Sallow from steward to operator, examiner',
      'put out Corrin Sallow',
      'let Corrin Sallow in again',
      'changed their password',
      'made a link by which Corrin Sallow gives a new password',
      'a sign-in was refused',
      'ended a session on another device',
      `changed the fit-out of Withy Hen: workingPressure: ${fitOut.workingPressure} → ${fitOut.workingPressure + 6895}`,
      'withdrew from Withy Hen: Boiler certificate DE-7, good until 2099-01-01, because wrong engine'
    ])
      expect(done.replaceAll('&#39;', '’'), said).toContain(said);
    const csv = (await page(owner, '/audit/audit.csv')).text;
    expect(csv.split('\r\n')[0]).toBe('at,by,what,said,about');
    // Nobody changes it: not even the role that serves.
    const app_ = postgres(app.serving, { max: 1 });
    await expect(app_`update audit set by_name = 'x'`).rejects.toThrow(/permission denied/);
    await expect(app_`delete from audit`).rejects.toThrow(/permission denied/);
    await expect(app_`delete from paper`).rejects.toThrow(/permission denied/);
    await Promise.all([app_.end(), sql.end()]);
  });
});
