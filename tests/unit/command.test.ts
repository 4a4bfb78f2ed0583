import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import postgres from 'postgres';
import { afterAll, describe, expect, it } from 'vitest';
import { ensureDatabase, migrate } from '../../tools/migrate.mjs';

const data = mkdtempSync(join(tmpdir(), 'joram-command-'));
afterAll(() => rmSync(data, { recursive: true, force: true }));

/** Runs the one command, in a data folder of its own. */
function joram(args: string[], env: Record<string, string> = {}) {
  const { status, stdout, stderr } = spawnSync('./joram', args, {
    encoding: 'utf8',
    env: { ...process.env, JORAM_DATA: data, ...env },
    timeout: 55_000
  });
  return { status, stdout, stderr };
}

describe('the one command says in a sentence why it stops', () => {
  it('an unknown verb, a port that is none', () => {
    expect(joram(['polish'])).toMatchObject({ status: 2, stderr: expect.stringContaining("there is no verb 'polish'") });
    expect(joram(['demo', '--port', 'seventy'])).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('--port takes a whole number from 1 to 65535')
    });
    expect(joram(['db', 'polish'])).toMatchObject({ status: 1, stderr: expect.stringContaining('start, stop, reset or psql') });
    expect(joram([])).toMatchObject({ status: 0, stdout: '' });
  });

  it('a port that is taken, before anything else is done', async () => {
    const other = createServer();
    const port = await new Promise<number>((done) => other.listen(0, '127.0.0.1', () => done((other.address() as { port: number }).port)));
    const result = joram(['serve', '--host', '127.0.0.1', '--port', String(port)]);
    other.close();
    expect(result).toMatchObject({ status: 1, stderr: expect.stringContaining(`Port ${port} is taken by another program`) });
  });

  it('a cluster that was never finished', () => {
    mkdirSync(join(data, 'pg'));
    expect(joram(['db', 'start'])).toMatchObject({ status: 1, stderr: expect.stringContaining('is not a finished database cluster') });
    expect(joram(['db', 'reset', '--yes'])).toMatchObject({ status: 0 });
  });

  const adminUrl = process.env.JORAM_TEST_ADMIN_URL;
  it.skipIf(!adminUrl)('a database that is newer than the code, and one that does not answer', async () => {
    const name = `joram_newer_${process.pid}`;
    await ensureDatabase(adminUrl!, name);
    const newer = Object.assign(new URL(adminUrl!), { pathname: `/${name}` }).href;
    await migrate(newer);
    const sql = postgres(newer, { max: 1, onnotice: () => {} });
    await sql`insert into migration (number, name) values (9999, 'from the future')`;
    await sql.end();
    const result = joram(['serve', '--host', '127.0.0.1', '--port', '48793'], { JORAM_DATABASE_URL: newer });
    expect(result).toMatchObject({ status: 1, stderr: expect.stringContaining('run the newer Joram that made it') });
    const admin = postgres(adminUrl!, { max: 1, onnotice: () => {} });
    await admin.unsafe(`drop database ${name} with (force)`);
    await admin.end();
    const gone = joram(['serve', '--host', '127.0.0.1', '--port', '48793'], { JORAM_DATABASE_URL: 'postgres://nobody:x@127.0.0.1:1/none' });
    expect(gone).toMatchObject({ status: 1, stderr: expect.stringContaining('could not be') });
  });
});
