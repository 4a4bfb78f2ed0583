import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { anotherProcess, emptyBook, founded, hasServer } from './process';

const founder = { club: 'Sedge Lode', zone: 'UTC', name: 'Ansel Rushby', signIn: 'ansel', password: 'three dry words' };
const note = (text = 'x') => ({
  id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))),
  kind: 'note',
  at: new Date().toISOString(),
  body: { text }
});

describe.skipIf(!hasServer)('at the door', () => {
  let book: Awaited<ReturnType<typeof emptyBook>>;
  let cookie = '';
  beforeAll(async () => {
    book = await emptyBook('joram_door', { JORAM_PATIENCE: '0.01' });
    cookie = (await form('/first-run', founder)).headers.get('set-cookie')!.split(';')[0]!;
  });
  afterAll(() => book?.drop());
  const send = (url: string, path: string, init: RequestInit = {}) => fetch(`${url}${path}`, { redirect: 'manual', ...init });
  const form = (path: string, fields: Record<string, string>, more: Record<string, string> = {}, url = book.url) =>
    send(url, path, {
      method: 'POST',
      headers: { origin: url, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded', ...more },
      body: new URLSearchParams(fields)
    });

  it('every answer has the headers: a page, a file, an endpoint, a redirect, an error, a refusal, nothing at all', async () => {
    const answers = await Promise.all([
      send(book.url, '/sign-in'),
      send(book.url, '/manifest.webmanifest'),
      send(book.url, '/health'),
      send(book.url, '/logbook'),
      send(book.url, '/no-such-page'),
      send(book.url, '/api/engines', { method: 'POST' }),
      send(book.url, '/sign-in', { method: 'POST', headers: { origin: 'https://elsewhere.example' } }),
      send(book.url, '/logbook?from=%00', { headers: { cookie } }),
      send(book.url, '/_app/immutable/none.js')
    ]);
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 303, 404, 401, 403, 400, 404]);
    for (const { url, headers } of answers) {
      expect(headers.get('x-content-type-options'), url).toBe('nosniff');
      expect(headers.get('x-frame-options'), url).toBe('DENY');
      expect(headers.get('content-security-policy'), url).toMatch(/default-src 'self'/);
      expect(headers.get('content-security-policy'), url).toContain("frame-ancestors 'none'");
      // Over plain http a browser is not told that there is https.
      expect(headers.get('strict-transport-security'), url).toBeNull();
    }
  });

  it('a member who asks too often is told how long to wait, and others are not kept waiting', async () => {
    const [second] = await Promise.all([form('/sign-in', { name: 'ansel', password: founder.password })]);
    expect(second.status).toBeLessThan(400);
    let last: Response | undefined;
    for (let i = 0; i < 40; i++) if ((last = await send(book.url, '/api/clock', { headers: { cookie } })).status === 429) break;
    expect(last!.status).toBe(429);
    expect(Number(last!.headers.get('retry-after'))).toBeGreaterThan(0);
    expect(await last!.json()).toMatchObject({ sentence: expect.stringMatching(/wait \d+ s/) });
    // A page says it as a page.
    const page = await send(book.url, '/logbook', { headers: { cookie, accept: 'text/html' } });
    expect([page.status, page.headers.get('content-type'), await page.text()]).toEqual([
      429,
      expect.stringContaining('text/html'),
      expect.stringMatching(/You ask too often: wait \d+ s/)
    ]);
    expect((await send(book.url, '/health')).status).toBe(200);
  });

  it('entries beyond a minute’s are refused whole, with the time to wait; none is half stored', async () => {
    const own = await anotherProcess(book.serving, { JORAM_PATIENCE: '0.02' });
    try {
      const post = (path: string, body: unknown) =>
        send(own.url, path, { method: 'POST', headers: { cookie, 'content-type': 'application/json' }, body: JSON.stringify(body) });
      const { id: engine } = (await (await post('/api/engines', patterns[2]!.fitOut)).json()) as { id: string };
      const { id } = (await (await post(`/api/engines/${engine}/steamings`, { reason: 'x', plan: null })).json()) as { id: string };
      const batch = () => ({ entries: Array.from({ length: 400 }, () => note()) });
      expect((await post(`/api/steamings/${id}/entries`, batch())).status).toBe(200);
      const refused = await post(`/api/steamings/${id}/entries`, batch());
      expect([refused.status, await refused.json()]).toMatchObject([429, { code: 'too often', seconds: expect.any(Number) }]);
      expect(Number(refused.headers.get('retry-after'))).toBeGreaterThan(0);
      const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
      expect(await sql`select count(*)::int as n from entry where steaming_id = ${id} and kind = 'note'`).toMatchObject([{ n: 400 }]);
      await sql.end();
    } finally {
      await own.stop();
    }
  });

  it('what a proxy says is believed only when one is named', async () => {
    const said = { 'x-forwarded-proto': 'https', 'x-forwarded-for': '203.0.113.9' };
    const wrong = { name: 'ansel', password: 'a guess' };
    const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    const last = async () =>
      (await sql`select about->>'address' as address from audit where what = 'sign-in refused' order by audit_id desc limit 1`)[0];
    await form('/sign-in', wrong, said);
    expect(await last()).toEqual({ address: '127.0.0.1' });
    expect((await send(book.url, '/health', { headers: said })).headers.get('strict-transport-security')).toBeNull();
    const behind = await anotherProcess(book.serving, { JORAM_TEST_PROXY: 'yes' });
    try {
      await form('/sign-in', wrong, { ...said, origin: behind.url.replace('http:', 'https:') }, behind.url);
      expect(await last()).toEqual({ address: '203.0.113.9' });
      const { headers } = await send(behind.url, '/health', { headers: said });
      expect(headers.get('strict-transport-security')).toContain('max-age=31536000');
    } finally {
      await behind.stop();
      await sql.end();
    }
  });

  it('a form that is too long, or does not say how long it is, is not read', async () => {
    const long = await form('/sign-in', { name: 'x'.repeat(2 * 1024 * 1024), password: 'x' });
    expect(JSON.stringify(await long.json())).toContain('send at most 1 MB');
  });

  it('a certificate of its own: https, the sign-in kept for it alone, and a browser told to stay with it', async ({ skip }) => {
    const folder = mkdtempSync(join(tmpdir(), 'joram-tls-'));
    const made = spawnSync('openssl', [
      ...['req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '2', '-subj', '/CN=localhost'],
      ...['-keyout', join(folder, 'of.key'), '-out', join(folder, 'of.crt')]
    ]);
    if (made.error) skip('openssl is not on this machine');
    const own = await anotherProcess(book.serving, { JORAM_TEST_TLS: join(folder, 'of') });
    try {
      const body = new URLSearchParams({ name: 'ansel', password: founder.password }).toString();
      const answer = await new Promise<{ status: number; cookie: string; hsts: string }>((done, fail) =>
        request(
          `${own.url}/sign-in`,
          {
            method: 'POST',
            rejectUnauthorized: false,
            headers: {
              origin: own.url,
              accept: 'text/html',
              'content-type': 'application/x-www-form-urlencoded',
              'content-length': body.length
            }
          },
          (a) =>
            a.resume().on('end', () =>
              done({
                status: a.statusCode!,
                cookie: String(a.headers['set-cookie']),
                hsts: String(a.headers['strict-transport-security'])
              })
            )
        )
          .on('error', fail)
          .end(body)
      );
      expect(answer).toMatchObject({
        status: 303,
        cookie: expect.stringMatching(/HttpOnly.*Secure|Secure.*HttpOnly/),
        hsts: 'max-age=31536000'
      });
    } finally {
      await own.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe.skipIf(!hasServer)('a long log', () => {
  it('of more than 20,000 entries is signed, goes out whole, and comes in at another club', async () => {
    const book = await emptyBook('joram_long');
    const other = await emptyBook('joram_long_other');
    try {
      const [{ cookie, post, made }, theirs] = [await founded(book), await founded(other)];
      const id = await made(`/api/engines/${await made('/api/engines', patterns[2]!.fitOut)}/steamings`, { reason: 'x', plan: null });
      const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
      await sql`insert into entry (club_id, entry_id, steaming_id, kind, at, received_at, by_id, by_name, source, body)
        select s.club_id, gen_random_uuid(), s.steaming_id, 'note', now() - n * interval '1 second', now(), s.keeper_id, 'Ansel Rushby', 'person', '{"text": "a device that says much"}'
        from steaming s, generate_series(1, 21000) n where s.steaming_id = ${id}`;
      await sql.end();
      const signed = { ...note(), kind: 'sign', body: { as: 'keeper', name: 'Ansel Rushby' } };
      expect(await (await post(`/api/steamings/${id}/entries`, signed)).json()).toEqual({ stored: 1, refused: [] });
      const record = await (await fetch(`${book.url}/records/${id}/record.json`, { headers: { cookie } })).text();
      expect(JSON.parse(record).entries.length).toBeGreaterThan(21_000);
      const brought = await theirs.post('/api/records', record);
      expect(brought.status).toBe(201);
      const again = await (await fetch(`${other.url}/records/${id}/record.json`, { headers: { cookie: theirs.cookie } })).text();
      expect(again).toBe(record);
    } finally {
      await book.drop();
      await other.drop();
    }
  }, 120_000);
});
