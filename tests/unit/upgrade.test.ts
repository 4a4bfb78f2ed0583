import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { timeOrderedId } from '../../src/core/log/id';
import { ensureDatabase, migrate } from '../../tools/migrate.mjs';
import { anotherProcess, hasServer } from './process';

/** The database of the first release, with what it held, as it stood in November 2026: brought up to date and worked with. */
describe.skipIf(!hasServer)('the first release’s database', () => {
  const name = `joram_first_${process.pid}`;
  const of = (url: string | undefined) => Object.assign(new URL(url!), { pathname: `/${name}` }).href;
  let app: Awaited<ReturnType<typeof anotherProcess>>;
  let sql: postgres.Sql;
  let cookie = '';
  /** What was logged, word for word. */
  const logged = async () => {
    const rows =
      await sql`select entry_id, steaming_id, kind, at, received_at, by_id, by_name, source, body::text, strikes from entry order by entry_id`;
    return { rows: rows.length, sum: createHash('sha256').update(JSON.stringify(rows)).digest('hex') };
  };
  let before: Awaited<ReturnType<typeof logged>>;

  beforeAll(async () => {
    await ensureDatabase(process.env.JORAM_TEST_ADMIN_URL!, name);
    const admin = of(process.env.JORAM_TEST_ADMIN_URL);
    const loaded = spawnSync('psql', [admin, '-q', '-v', 'ON_ERROR_STOP=1', '-f', 'tests/old/database.2026-11.sql'], { encoding: 'utf8' });
    expect(loaded.stderr).toBe('');
    sql = postgres(admin, { max: 1, onnotice: () => {} });
    await sql`set search_path = public`;
    before = await logged();
    await migrate(admin);
    app = await anotherProcess(of(process.env.JORAM_TEST_APP_URL));
    const signedIn = await fetch(`${app.url}/sign-in`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: app.url, 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams({ name: 'wenna', password: 'osier fen demo' })
    });
    cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
  }, 120_000);
  afterAll(async () => {
    await app?.stop();
    await sql?.end();
    const server = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1, onnotice: () => {} });
    await server.unsafe(`drop database if exists ${name} with (force)`);
    await server.end();
  });
  const open = async (path: string) => {
    const answer = await fetch(`${app.url}${path}`, { headers: { cookie }, redirect: 'manual' });
    return { status: answer.status, text: await answer.text() };
  };

  it('keeps every entry as it was, and signs its members in by their old passwords', async () => {
    expect(before.rows).toBeGreaterThan(500);
    expect(await logged()).toEqual(before);
    expect(cookie).toContain('joram-session=');
  });

  it('every page of it opens: engines, records, what is planned', async () => {
    const club = sql`select club_id from member where sign_in = 'wenna'`;
    const engines = await sql`select engine_id as id from engine where club_id in (${club})`;
    const steamings = await sql`select steaming_id as id, started_at, ended_at from steaming where club_id in (${club})`;
    expect(engines.length).toBeGreaterThan(1);
    const pages = [
      '/',
      '/logbook',
      '/faults',
      '/day',
      '/settings',
      '/members',
      '/audit',
      ...engines.flatMap(({ id }) => [`/engines/${id}`, `/engines/${id}/edit`])
    ];
    for (const { id, started_at, ended_at } of steamings)
      pages.push(!started_at ? `/day/${id}` : ended_at ? `/records/${id}` : `/footplate/${id}`);
    expect(pages.some((p) => p.startsWith('/records/'))).toBe(true);
    expect(pages.some((p) => p.startsWith('/day/'))).toBe(true);
    for (const path of pages) expect((await open(path)).status, path).toBe(200);
  });

  it('goes on: a record goes out as today’s, an engine is changed from the version it has, one is steamed', async () => {
    const [ended] = await sql`select steaming_id as id from steaming where ended_at is not null limit 1`;
    expect(JSON.parse((await open(`/records/${ended!.id}/record.json`)).text)).toMatchObject({ format: 'joram.record/2' });
    const [engine] =
      await sql`select e.engine_id as id, e.version, e.fit_out from engine e where club_id = (select club_id from member where sign_in = 'wenna')
      and not exists (select from steaming s where s.engine_id = e.engine_id and started_at is not null and ended_at is null) limit 1`;
    const { fitOut, version } = JSON.parse((await open(`/api/engines/${engine!.id}`)).text);
    const json = (method: string, path: string, body: unknown) =>
      fetch(`${app.url}${path}`, {
        method,
        headers: { cookie, 'content-type': 'application/json', 'if-match': `"${version}"` },
        body: JSON.stringify(body)
      });
    expect((await json('PUT', `/api/engines/${engine!.id}`, { ...fitOut, scale: 'as before' })).status).toBe(200);
    const { id } = (await (await json('POST', `/api/engines/${engine!.id}/steamings`, { reason: 'upgrade', plan: null })).json()) as {
      id: string;
    };
    const note = { id: timeOrderedId(Date.now(), new Uint8Array(10)), kind: 'note', at: new Date().toISOString(), body: { text: 'on' } };
    expect(await (await json('POST', `/api/steamings/${id}/entries`, note)).json()).toEqual({ stored: 1, refused: [] });
  });
});
