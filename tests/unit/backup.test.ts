import { appendFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { timeOrderedId } from '../../src/core/log/id';
import { backup, counted, databaseName, restore } from '../../tools/backup.mjs';
import { as } from './client';
import { anotherProcess } from './process';

const [adminUrl, appUrl] = [process.env.JORAM_TEST_ADMIN_URL, process.env.JORAM_TEST_APP_URL];
const url = (of: string) => Object.assign(new URL(adminUrl!), { pathname: `/${of}` }).href;

describe.skipIf(!adminUrl)('backup and restore', () => {
  const name = `joram_restored_${process.pid}`;
  const folder = mkdtempSync(join(tmpdir(), 'joram-backup-'));
  const file = join(folder, 'club.dump');
  const server = () => postgres(adminUrl!, { max: 1, onnotice: () => {} });
  let manifest: Awaited<ReturnType<typeof backup>>;
  const logged: string[] = [];

  beforeAll(async () => {
    // Entries arrive all the while.
    const owner = await as('wenna');
    const steaming = /\/footplate\/([0-9a-f-]{36})/.exec((await owner.get('/')).body as string)![1]!;
    let on = true;
    const arriving = (async () => {
      while (on) {
        const id = timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
        await owner.post(`/api/steamings/${steaming}/entries`, {
          id,
          kind: 'note',
          at: new Date().toISOString(),
          body: { text: 'while saving' }
        });
        logged.push(id);
      }
    })();
    manifest = await backup(adminUrl!, file);
    on = false;
    await arriving;
  }, 60_000);
  afterAll(async () => {
    const sql = server();
    const made = await sql<{ datname: string }[]>`select datname from pg_database where datname like ${`${name}%`}`;
    for (const { datname } of made) await sql.unsafe(`drop database ${datname} with (force)`);
    await sql.end();
    rmSync(folder, { recursive: true, force: true });
  });

  it('is of one moment, while entries arrive; what is restored is what was saved, row by row, and is served', async () => {
    expect(logged.length).toBeGreaterThan(3);
    expect(manifest.tables.entry!.rows).toBeGreaterThan(100);
    const done = await restore(url, name, file);
    expect([done.manifest, done.aside]).toEqual([manifest, undefined]);
    const sql = postgres(url(name), { max: 1, onnotice: () => {}, connection: { TimeZone: 'UTC' } });
    const there = await counted(sql as never);
    // Only what belongs to the server was made anew: the numbers of transactions, and the name of the feed.
    const { entry: _, house: __, migration: ___, ...rest } = there;
    const { entry, house: _h, migration: _m, ...saved } = manifest.tables;
    expect(rest).toEqual(saved);
    expect(there.entry!.rows).toBe(entry!.rows);
    await sql.end();
    const app = await anotherProcess(Object.assign(new URL(appUrl!), { pathname: `/${name}` }).href);
    expect(await (await fetch(`${app.url}/sign-in`)).text()).toContain('Wenna Thrale');
    await app.stop();
  }, 60_000);

  it('puts nothing over a club unless that is asked for and the database is named; then what was there is set aside', async () => {
    await expect(restore(url, name, file)).rejects.toThrow(/has 2 clubs in it: add --replace/);
    await expect(restore(url, name, file, { replace: async () => 'joram' })).rejects.toThrow('nothing was changed');
    const { aside } = await restore(url, name, file, { replace: async () => name });
    const sql = postgres(url(aside!), { max: 1 });
    expect((await sql`select count(*)::int as n from club`)[0]!.n).toBe(2);
    await sql.end();
  }, 60_000);

  it('refuses a file that is not as it was saved, half a backup, and a name that is none', async () => {
    await expect(backup(adminUrl!, file)).rejects.toThrow('There is a file');
    appendFileSync(file, 'x');
    await expect(restore(url, `${name}_x`, file)).rejects.toThrow('checksum differs');
    await expect(restore(url, `${name}_x`, join(folder, 'none'))).rejects.toThrow('a backup is two files');
    expect(() => databaseName('joram; drop')).toThrow('small letters');
    expect(JSON.parse(readFileSync(`${file}.json`, 'utf8')).format).toBe('joram.backup/1');
  });
});
