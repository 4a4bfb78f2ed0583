import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { Feed } from '../../src/lib/live/feed.svelte';
import { emptyBook, founded, hasServer } from './process';

/** The page's own feed, through a proxy that is not kind, to the real server: everything is told, whatever closes it. */
describe.skipIf(!hasServer)('the live feed, through a proxy', () => {
  let book: Awaited<ReturnType<typeof emptyBook>>;
  let proxy: Server;
  let cookie = '';
  let post: Awaited<ReturnType<typeof founded>>['post'];
  let made: Awaited<ReturnType<typeof founded>>['made'];
  let steaming = '';
  /** How long the proxy bears a connection, ms, and what it answers instead, as often as there is something here. */
  let bears = Infinity;
  const instead: number[] = [];
  let connections = 0;

  beforeAll(async () => {
    book = await emptyBook('joram_proxy');
    proxy = createServer((from, to) => {
      if (from.url!.startsWith('/api/live')) connections++;
      const status = instead.shift();
      if (status) return void to.writeHead(status).end('<html>bad gateway</html>');
      const on = request(`${book.url}${from.url}`, { method: from.method, headers: { ...from.headers, cookie } }, (answer) => {
        to.writeHead(answer.statusCode!, answer.headers);
        answer.pipe(to);
        if (bears < Infinity) setTimeout(() => (answer.destroy(), to.destroy()), bears);
      });
      on.on('error', () => to.destroy());
      to.on('close', () => on.destroy());
      from.pipe(on);
    });
    await new Promise<void>((done) => proxy.listen(0, '127.0.0.1', done));
    const base = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
    // What a browser has and Node has not.
    const straight = fetch;
    vi.stubGlobal('fetch', (path: string, init?: RequestInit) => straight(path.startsWith('/') ? base + path : path, init));
    vi.stubGlobal('addEventListener', () => {});
    vi.stubGlobal('removeEventListener', () => {});
    vi.stubGlobal('document', { addEventListener() {}, removeEventListener() {}, visibilityState: 'visible' });
    ({ cookie, post, made } = await founded(book));
    const id = await made('/api/engines', patterns[2]!.fitOut);
    steaming = await made(`/api/engines/${id}/steamings`, { reason: 'proxy', plan: null });
  });
  afterAll(async () => {
    vi.unstubAllGlobals();
    proxy?.closeAllConnections();
    proxy?.close();
    await book?.drop();
  });
  const id = () => timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
  const log = async () => {
    const entry = { id: id(), kind: 'note', at: new Date().toISOString(), body: { text: 'x' } };
    await post(`/api/steamings/${steaming}/entries`, entry);
    return entry.id;
  };
  function listen() {
    const heard: string[] = [];
    const feed = new Feed([steaming], '', { entries: (told) => heard.push(...(told[steaming] ?? []).map((e) => e.id)) });
    return { feed, heard, close: feed.open() };
  }
  const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

  it('that closes every connection after a moment: nothing is missed', async () => {
    bears = 900;
    connections = 0;
    const { heard, close } = listen();
    const made: string[] = [];
    for (let i = 0; i < 60; i++, await pause(80)) made.push(await log());
    await vi.waitFor(() => expect(made.filter((m) => !heard.includes(m))).toEqual([]), { timeout: 15_000, interval: 200 });
    close();
    bears = Infinity;
    expect(connections).toBeGreaterThan(2);
  });

  it('that answers 502 once and twice, before and while it listens: nothing is missed', async () => {
    instead.push(502);
    const { heard, close, feed } = listen();
    const first = await log();
    await vi.waitFor(() => expect(heard).toContain(first), { timeout: 10_000, interval: 100 });
    instead.push(502, 502);
    // Every connection there is ends at once, and the next two are refused.
    proxy.closeAllConnections();
    const second = await log();
    await vi.waitFor(() => expect(heard).toContain(second), { timeout: 15_000, interval: 100 });
    expect(feed.deaf).toBe(false);
    close();
  });

  it('two hundred entries of a transaction that commits after later ones: all of them are told', async () => {
    const { heard, close } = listen();
    await vi.waitFor(() => expect(heard.length).toBeGreaterThan(0), { timeout: 10_000, interval: 100 });
    const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    const late = Array.from({ length: 200 }, id);
    await sql.begin(async (tx) => {
      await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, received_at, by_id, by_name, source, body)
        select s.club_id, n::uuid, s.steaming_id, 'note', now(), now(), s.keeper_id, 'Ansel Rushby', 'person', '{"text": "late"}'
        from steaming s, unnest(${late}::text[]) n where s.steaming_id = ${steaming}`;
      for (let i = 0; i < 5; i++) {
        const meanwhile = await log();
        await vi.waitFor(() => expect(heard).toContain(meanwhile), { timeout: 10_000, interval: 50 });
      }
      expect(heard).not.toContain(late[0]);
    });
    await vi.waitFor(() => expect(late.filter((l) => !heard.includes(l))).toEqual([]), { timeout: 10_000, interval: 100 });
    await sql.end();
    close();
  });

  it('whose session has ended: it says so, and asks no more', async () => {
    const { feed, close } = listen();
    await pause(500);
    const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    await sql`delete from session`;
    await sql.end();
    await vi.waitFor(() => expect(feed.over).toBe(true), { timeout: 10_000, interval: 100 });
    const asked = connections;
    await pause(2000);
    expect([feed.deaf, connections]).toEqual([true, asked]);
    close();
  });
});
