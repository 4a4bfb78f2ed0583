// How fast the server is, in processes of its own on a database of its own: printed as a table. `./joram bench server`.
import { readFileSync } from 'node:fs';
import { Agent, type ClientRequest, request } from 'node:http';
import postgres from 'postgres';
import { patterns } from '../src/core/engine';
import { timeOrderedId } from '../src/core/log/id';
import { psi } from '../src/core/units';
import { anotherProcess, emptyBook } from '../tests/unit/process';
import { quantile } from './page';

const row = (what: string, measured: string, aim = '') => console.log(`${what.padEnd(62)} ${measured.padEnd(56)} ${aim}`);
const ms = (x: number) => `${x.toFixed(1)} ms`;
const spread = (list: number[]) => `middle ${ms(quantile(list, 0.5))}, p95 ${ms(quantile(list, 0.95))}, p99 ${ms(quantile(list, 0.99))}`;
const later = (milliseconds: number) => new Promise((done) => setTimeout(done, milliseconds));

const book = await emptyBook('joram_bench');
const agent = new Agent({ keepAlive: true });
function send(url: string, method: string, path: string, body?: unknown, more: Record<string, string> = {}) {
  const text = body === undefined ? '' : typeof body === 'string' ? body : JSON.stringify(body);
  const headers = { 'content-type': 'application/json', ...more, ...(text ? { 'content-length': String(Buffer.byteLength(text)) } : {}) };
  return new Promise<{ status: number; text: string; cookie: string }>((done, fail) =>
    request(`${url}${path}`, { method, agent, headers }, (answer) => {
      let text = '';
      answer
        .setEncoding('utf8')
        .on('data', (part) => (text += part))
        .on('end', () => done({ status: answer.statusCode!, text, cookie: String(answer.headers['set-cookie']?.[0]).split(';')[0]! }));
    })
      .on('error', fail)
      .end(text)
  );
}
const form = { origin: book.url, 'content-type': 'application/x-www-form-urlencoded', accept: 'application/json' };
const founder = { club: 'Sedge Lode', zone: 'UTC', name: 'Ansel Rushby', signIn: 'ansel', password: 'three dry words' };
const { cookie } = await send(book.url, 'POST', '/first-run', new URLSearchParams(founder).toString(), form);
const idIn = async (path: string, body: unknown) => JSON.parse((await send(book.url, 'POST', path, body, { cookie })).text).id as string;
const engine = await idIn('/api/engines', { ...patterns[2]!.fitOut, name: 'Bench Hen' });
const steaming = await idIn(`/api/engines/${engine}/steamings`, { reason: 'bench', plan: null });
const plan = await idIn(`/api/engines/${engine}/plans`, {
  plan: { wants: [{ what: 'train', at: '2098-06-13T10:00:00.000Z' }], people: [{ name: 'Ansel Rushby', as: 'keeper' }] }
});
const quiet = await idIn(`/api/engines/${await idIn('/api/engines', { ...patterns[2]!.fitOut, name: 'Quiet Hen' })}/steamings`, {
  reason: 'bench',
  plan: null
});
const path = `/api/steamings/${steaming}/entries`;
const id = () => timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
const entry = () => ({ id: id(), kind: 'reading', at: new Date().toISOString(), ahead: 0, body: { pressure: psi(60) } });

const sql = postgres(book.admin, { max: 8, onnotice: () => {} });
const [whose] = await sql<{ club: string; member: string }[]>`select club_id as club, member_id as member from member`;

/** Does one thing after another with eight hands for a while: how long each took. */
async function hands(seconds: number, work: () => Promise<unknown>, count = 8): Promise<{ rate: number; taken: number[] }> {
  const taken: number[] = [];
  const until = performance.now() + seconds * 1000;
  await Promise.all(
    Array.from({ length: count }, async () => {
      while (performance.now() < until) {
        const from = performance.now();
        await work();
        taken.push(performance.now() - from);
      }
    })
  );
  return { rate: taken.length / seconds, taken };
}
const direct = () => {
  const { id, kind, at, body } = entry();
  return sql`insert into entry (club_id, entry_id, steaming_id, kind, at, ahead_ms, received_at, by_id, by_name, source, body)
    values (${whose!.club}, ${id}, ${steaming}, ${kind}, ${at}, 0, ${at}, ${whose!.member}, 'Ansel Rushby', 'person', ${sql.json(body)})`;
};
const posted = async (of = entry()) => {
  const { status, text } = await send(book.url, 'POST', path, of, { cookie });
  if (status !== 200) throw new Error(`${status} ${text}`);
};

await hands(3, posted);
await hands(1, direct);
const rounds = { direct: [] as number[], posted: [] as number[], taken: [] as number[] };
for (let i = 0; i < 3; i++) {
  rounds.direct.push((await hands(4, direct)).rate);
  const { rate, taken } = await hands(4, () => posted());
  rounds.posted.push(rate);
  rounds.taken.push(...taken);
}
const [straight, through] = [quantile(rounds.direct, 0.5), quantile(rounds.posted, 0.5)];
row(
  'one entry at a time from 8 clients, a second',
  `${through.toFixed(0)} of ${straight.toFixed(0)} inserted directly: ${((through / straight) * 100).toFixed(0)} %`,
  '40 %'
);
row('  how long each took', spread(rounds.taken), 'p95 under 10 ms');

// One phone that logs twenty entries a second, alone; then while ten sheets are printed at once.
const paced = async (while_: () => boolean) => {
  const taken: number[] = [];
  while (while_()) {
    const from = performance.now();
    await posted();
    taken.push(performance.now() - from);
    await later(Math.max(0, 50 - taken.at(-1)!));
  }
  return taken;
};
const times = (n: number) => {
  let left = n;
  return () => left-- > 0;
};
const print = () => send(book.url, 'GET', `/day/${plan}/sheet.pdf`, undefined, { cookie });
await Promise.all([print(), print()]);
const idle = await paced(times(200));
const busy: number[] = [];
for (let round = 0; round < 4; round++) {
  let printing = true;
  const sheets = Promise.all(Array.from({ length: 10 }, print)).finally(() => (printing = false));
  const from = performance.now();
  busy.push(...(await paced(() => printing)));
  if (round === 0) row('ten sheets as PDF, asked for at once', `${((performance.now() - from) / 1000).toFixed(1)} s`);
  const bad = (await sheets).find((s) => s.status !== 200);
  if (bad) throw new Error(`a sheet was answered ${bad.status}`);
}
row('an entry posted, idle', spread(idle), 'p95 under 10 ms');
row('  while ten PDFs are made', `${spread(busy)}: ${(quantile(busy, 0.95) / quantile(idle, 0.95)).toFixed(1)} × idle`, 'p95 under 3 ×');

// Two processes, 200 viewers each.
const other = await anotherProcess(book.serving);
interface Watcher {
  readonly request: ClientRequest;
  close(): void;
}
const waiting = new Map<string, { from: number; left: number; taken: number[]; done: () => void }>();
const held = (pid: number) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;
const watch = (url: string, after: string) =>
  new Promise<Watcher>((done, fail) => {
    let text = '';
    const asked = request(`${url}/api/live?steaming=${steaming}&after=${after}`, { agent: false, headers: { cookie } }, (answer) => {
      answer.setEncoding('utf8').on('data', (part: string) => {
        text += part;
        for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
          for (const [, id] of text.slice(0, end).matchAll(/"id":"([0-9a-f-]{36})"/g)) {
            const w = waiting.get(id!);
            if (!w) continue;
            w.taken.push(performance.now() - w.from);
            if (--w.left === 0) w.done();
          }
          text = text.slice(end + 2);
        }
      });
      done({ request: asked, close: () => asked.destroy() });
    });
    asked.on('error', (problem: Error & { code?: string }) => (problem.code === 'ECONNRESET' ? undefined : fail(problem))).end();
  });
const place = async () =>
  JSON.parse((await send(book.url, 'GET', `/api/steamings/${quiet}/entries`, undefined, { cookie })).text).place as string;
const now = await place();
const watchers = await Promise.all(Array.from({ length: 400 }, (_, i) => watch(i % 2 ? book.url : other.url, now)));
await later(1500);
const taken: number[] = [];
/** Counts the feeds' own queries by the cluster's log of statements. */
const [where] = await sql<{ folder: string }[]>`select setting as folder from pg_settings where name = 'data_directory'`;
const queries = () =>
  readFileSync(`${where!.folder}/server.log`, 'utf8').match(/execute [^\n]*\n\s+select pg_snapshot_xmin\(pg_current_snapshot/g)?.length ??
  0;
const logged = async (what: string) => {
  await sql.unsafe(`alter system set log_statement = '${what}'`);
  await sql`select pg_reload_conf()`;
  await later(500);
};
const told = 60;
await logged('all');
const before = queries();
for (let i = 0; i < told; i++) {
  const of = entry();
  const all = new Promise<void>((done) => waiting.set(of.id, { from: performance.now(), left: watchers.length, taken, done }));
  await posted(of);
  await Promise.race([all, later(5000)]);
  waiting.delete(of.id);
  await later(100);
}
const asked = queries() - before;
await logged('none');
const lost = told * watchers.length - taken.length;
row('an entry to 400 viewers of two processes', `${spread(taken)}${lost ? `, ${lost} NOT TOLD` : ''}`, 'p99 under 250 ms');
for (const w of watchers) w.close();
row('  queries for it, a process', (asked / told / 2).toFixed(2), '1');

// They come back, each far behind: all that they missed is told, in parts.
{
  const total = Number((await sql`select count(*) as n from entry where steaming_id = ${steaming}`)[0]!.n);
  const from = performance.now();
  const last = JSON.parse((await send(book.url, 'GET', path, undefined, { cookie })).text).entries.at(-1).id as string;
  const back: Watcher[] = [];
  await new Promise<void>((done) => {
    waiting.set(last, { from, left: 50, taken: [], done });
    for (let i = 0; i < 50; i++) void watch(other.url, '').then((w) => back.push(w));
  });
  row(
    `50 viewers who missed all of ${total} entries are told them`,
    `${((performance.now() - from) / 1000).toFixed(1)} s, then ${held(other.pid).toFixed(0)} MB`
  );
  for (const w of back) w.close();
}

// Two thousand opened and closed: what a process holds afterwards.
const many = async (n: number) => {
  for (let i = 0; i < n; i += 50) {
    const some = await Promise.all(Array.from({ length: 50 }, () => watch(other.url, now)));
    await later(20);
    for (const w of some) w.close();
  }
  await later(1500);
  return held(other.pid);
};
const sizes = [await many(500), await many(1000), await many(2000), await many(2000)];
row('memory after 500, 1,500, 3,500, 5,500 feeds opened and closed', sizes.map((s) => `${s.toFixed(0)} MB`).join(', '), 'no growth');

await other.stop();
await sql.end();
await book.drop();
process.exit(0);
