import { createHash } from 'node:crypto';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { leftBehind, parts } from '../../src/server/archive/tables';
import { as, url } from './client';
import { emptyBook, hasServer } from './process';

/** A club whole, out of one server and into another: the demo's, with everything that it has. */
describe.skipIf(!hasServer || !url)('a club as one archive', () => {
  const folder = mkdtempSync(join(tmpdir(), 'joram-archive-'));
  const file = join(folder, 'osier-fen.zip');
  let other: Awaited<ReturnType<typeof emptyBook>>;
  let archive: Uint8Array;
  beforeAll(async () => {
    other = await emptyBook('joram_archive');
    const { cookie, post } = await as('wenna');
    // A picture and a build, which the demo has none of.
    const picture = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0, 255]);
    const sum = createHash('sha256').update(picture).digest('hex');
    const kept = await fetch(`${url}/api/photos/${sum}`, {
      method: 'PUT',
      headers: { cookie, 'content-type': 'image/jpeg' },
      body: new Uint8Array(picture)
    });
    expect(kept.status).toBe(200);
    const { id } = (await post('/api/engines', { ...patterns[2]!.fitOut, name: `Taken along ${Date.now()}` })).body as { id: string };
    const form = { cookie, origin: url, 'content-type': 'application/x-www-form-urlencoded' };
    const begun = await fetch(`${url}/build/${id}?/begun`, { method: 'POST', headers: form, body: new URLSearchParams({ has: 'boiler' }) });
    expect(begun.status).toBe(200);
    archive = new Uint8Array(await (await fetch(`${url}/club.zip`, { headers: { cookie } })).arrayBuffer());
    writeFileSync(file, archive);
  });
  afterAll(async () => {
    await other?.drop();
    rmSync(folder, { recursive: true, force: true });
  });
  /** The one command, on the other server. */
  const joram = (...args: string[]) => {
    const { status, stdout, stderr } = spawnSync('./joram', args, {
      encoding: 'utf8',
      env: { ...process.env, JORAM_DATABASE_URL: other.admin, JORAM_APP_DATABASE_URL: other.serving },
      timeout: 55_000
    });
    return { status, said: stdout + stderr };
  };

  it('has every table of a club, and of each what it says', async () => {
    const admin = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1, onnotice: () => {} });
    const tables =
      await admin`select table_name as name from information_schema.columns join information_schema.tables using (table_schema, table_name)
      where table_schema = 'public' and column_name = 'club_id' and table_type = 'BASE TABLE'`;
    await admin.end();
    expect(tables.map((t) => t.name).sort()).toEqual([...parts.map((p) => p.table), ...leftBehind].sort());
    const files = unzipSync(archive);
    const manifest = JSON.parse(new TextDecoder().decode(files['manifest.json']));
    expect(Object.keys(files).sort()).toEqual(['manifest.json', ...Object.keys(manifest.files)].sort());
    expect(manifest.files['entry.jsonl'].rows).toBeGreaterThan(5000);
    const members = new TextDecoder().decode(files['member.jsonl']);
    for (const name of ['photo', 'build_entry']) expect(manifest.files[`${name}.jsonl`].rows).toBeGreaterThan(0);
    expect(members).toContain('Wenna Thrale');
    expect(members).not.toMatch(/secret|argon2/);
    expect(new TextDecoder().decode(files['csv/engine.csv']).split('\n').length).toBeGreaterThan(10);
  });

  it('that was changed or cut short is not taken, nor is what is none; nothing is half there', async () => {
    const files = unzipSync(archive);
    const changed = { ...files, 'member.jsonl': strToU8(new TextDecoder().decode(files['member.jsonl']).replace('Wenna', 'Wanda')) };
    for (const [name, bytes, said] of [
      ['changed', zipSync(changed), /member\.jsonl is not as it was written/],
      ['short', archive.slice(0, archive.length / 2), /not an archive of a club/],
      ['none', strToU8('a letter'), /not an archive of a club/],
      ['newer', zipSync({ 'manifest.json': strToU8('{"format":"joram.club/9","files":{}}') }), /joram\.club\/9.*a newer one/]
    ] as const) {
      writeFileSync(join(folder, name), bytes);
      expect(joram('archive', 'in', join(folder, name)), name).toMatchObject({ status: 1, said: expect.stringMatching(said) });
    }
    const sql = postgres(other.admin, { max: 1 });
    expect(await sql`select count(*)::int as n from club`).toMatchObject([{ n: 0 }]);
    await sql.end();
  });

  it('is brought in by another server, written again byte for byte, and worked with; a second time it is refused', async () => {
    expect(joram('archive', 'in', file)).toMatchObject({ status: 0, said: expect.stringContaining('Osier Fen Steam Society is in') });
    const again = join(folder, 'again.zip');
    expect(joram('archive', 'out', again, 'Osier Fen Steam Society').status).toBe(0);
    expect(Buffer.compare(readFileSync(again), archive)).toBe(0);
    expect(joram('archive', 'in', file)).toMatchObject({ status: 1, said: expect.stringContaining('is on this server already') });
    expect(joram('archive', 'out', join(folder, 'x.zip'), 'Nowhere')).toMatchObject({
      status: 1,
      said: expect.stringContaining('no club called')
    });

    // Nobody has a password: a lone owner is helped by whoever runs the server.
    expect(joram('reset-password', 'nobody-at-all')).toMatchObject({ status: 1, said: expect.stringContaining('Nobody signs in as') });
    const token = /\/reset\/([\w-]+)/.exec(joram('reset-password', 'Wenna').said)![1]!;
    const form = { origin: other.url, 'content-type': 'application/x-www-form-urlencoded' };
    const password = 'three dry words';
    const given = await fetch(`${other.url}/reset/${token}`, {
      method: 'POST',
      redirect: 'manual',
      headers: form,
      body: new URLSearchParams({ password })
    });
    const cookie = given.headers.get('set-cookie')!.split(';')[0]!;
    const here = (path: string) => fetch(`${other.url}${path}`, { headers: { cookie } }).then((r) => r.text());
    expect(await here('/')).toContain('Marsh Hen');
    expect(await here('/audit')).toContain('was brought in here as an archive');
    // One of its records is the same as where it came from, and its running engine goes on.
    const record = /\/records\/([0-9a-f-]{36})/.exec(await here('/logbook'))![1]!;
    const there = await as('wenna');
    expect(JSON.parse(await here(`/records/${record}/record.json`))).toEqual((await there.get(`/records/${record}/record.json`)).body);
    expect(await here('/')).toMatch(/\/footplate\/[0-9a-f-]{36}/);
  });
});
