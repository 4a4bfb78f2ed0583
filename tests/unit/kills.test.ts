import { mkdtempSync, readFileSync, rmSync, writeFileSync, chmodSync } from 'node:fs';
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { keepCluster, startCluster, stopCluster } from '../../tools/cluster.mjs';
import { emptyBook, founded, hasServer } from './process';

/** A cluster of this test's own: it is killed, and what was acknowledged is looked for. */
describe.skipIf(!hasServer)('killed in the middle', () => {
  const data = mkdtempSync('/tmp/joram-kills-');
  const pidFile = join(data, 'pg/postmaster.pid');
  const postmaster = () => Number(readFileSync(pidFile, 'utf8').split('\n')[0]);
  const childrenOf = (pid: number) =>
    readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number);
  const killed = (pid: number) => {
    try {
      process.kill(pid, 'SIGKILL');
    } catch {
      // It ended by itself in that moment.
    }
  };
  let book: Awaited<ReturnType<typeof emptyBook>>;
  let stop: (() => Promise<unknown>) | undefined;
  let post: Awaited<ReturnType<typeof founded>>['post'];
  let made: Awaited<ReturnType<typeof founded>>['made'];
  let path = '';

  beforeAll(async () => {
    chmodSync(data, 0o711);
    const cluster = await startCluster(data, (how) => (stop = how));
    book = await emptyBook('joram_kills', {}, { admin: cluster.url('postgres'), app: cluster.url('postgres', 'app') });
    ({ post, made } = await founded(book));
    const engine = await made('/api/engines', patterns[2]!.fitOut);
    path = `/api/steamings/${await made(`/api/engines/${engine}/steamings`, { reason: 'kills', plan: null })}/entries`;
  }, 120_000);
  afterAll(async () => {
    await book?.stop();
    await stop?.();
    rmSync(data, { recursive: true, force: true });
  });
  const note = () => ({
    id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))),
    kind: 'note',
    at: new Date().toISOString(),
    body: { text: 'x' }
  });

  /** What was acknowledged, and what was sent; each hand sends what was not acknowledged again, as an outbox does. */
  const acknowledged = new Set<string>();
  const sent = new Set<string>();
  async function hands(until: () => boolean) {
    await Promise.all(
      Array.from({ length: 6 }, async () => {
        let entry = note();
        while (!until()) {
          sent.add(entry.id);
          const answer = await post(path, entry).catch(() => undefined);
          if (answer?.ok && (await answer.json().catch(() => undefined))) {
            acknowledged.add(entry.id);
            entry = note();
          } else await new Promise((done) => setTimeout(done, 50));
        }
      })
    );
  }
  async function stored() {
    const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    const rows = await sql<{ id: string }[]>`select entry_id as id from entry where kind = 'note'`;
    await sql.end();
    return rows.map((r) => r.id);
  }

  it('twenty kills of the application and five of PostgreSQL: what was acknowledged is there, once, and nothing else', async () => {
    const unwatch = keepCluster(data);
    try {
      for (let round = 0; round < 25; round++) {
        let over = false;
        const work = hands(() => over);
        await new Promise((done) => setTimeout(done, 120 + ((round * 37) % 200)));
        if (round % 5 === 4) {
          const before = postmaster();
          // The server and, as in a power cut, all of its processes at once.
          for (const pid of [before, ...childrenOf(before)]) killed(pid);
          await expect
            .poll(
              () =>
                postmaster() === before
                  ? undefined
                  : post(path, note()).then(
                      (r) => r.ok,
                      () => false
                    ),
              { timeout: 40_000, interval: 250 }
            )
            .toBe(true);
        } else await book.killed();
        await new Promise((done) => setTimeout(done, 100));
        over = true;
        await work;
      }
      const there = await stored();
      console.log(`kills: ${acknowledged.size} acknowledged of ${sent.size} sent, ${there.length} stored`);
      expect(new Set(there).size).toBe(there.length);
      const known = new Set(there);
      expect([...acknowledged].filter((id) => !known.has(id))).toEqual([]);
      expect(acknowledged.size).toBeGreaterThan(100);
    } finally {
      unwatch();
    }
  }, 240_000);

  it('a file of a dead server whose number another program has by now does not keep it from starting; two users share one cluster', async () => {
    await book.stop();
    await stop!();
    const other = spawn('sleep', ['60']);
    writeFileSync(pidFile, `${other.pid}\n${join(data, 'pg')}\n1700000000\n5999\n\n127.0.0.1\n`);
    const again = await startCluster(data, (how) => (stop = how));
    expect(again.port).not.toBe(5999);
    const sql = postgres(again.url('postgres'), { max: 1 });
    expect(await sql`select 1 as one`).toMatchObject([{ one: 1 }]);
    // Another `serve` on the same folder: it is told of the same server, and leaves it to the first.
    const second = spawnSync(
      process.execPath,
      [
        '-e',
        `import('./tools/cluster.mjs').then(async (c) => { let stop; const { port } = await c.startCluster(${JSON.stringify(data)}, (s) => (stop = s)); console.log('port', port); await stop(); })`
      ],
      { encoding: 'utf8', timeout: 30_000 }
    );
    expect(second.stdout).toContain(`port ${again.port}`);
    expect(await sql`select 1 as one`).toMatchObject([{ one: 1 }]);
    await sql.end();
    // The last to go stops it.
    await stop!();
    stop = undefined;
    expect(await stopCluster(data)).toBe(false);
    other.kill();
  }, 120_000);
});
