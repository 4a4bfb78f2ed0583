import { readdirSync, readFileSync } from 'node:fs';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { begunAway } from './away';
import { emptyBook, hasServer } from './process';

/**
 * WHO MAY DO WHAT: every page, action and endpoint × every role, nobody, and a member of another club. The list is read from the routes:
 * one that has no rule here fails.
 */
const roles = ['owner', 'steward', 'operator', 'examiner', 'trainee'] as const;
type Role = (typeof roles)[number];
const all = roles;
const keepers: readonly Role[] = ['owner', 'steward', 'operator', 'examiner'];
const shed: readonly Role[] = ['owner', 'steward', 'operator'];
const office: readonly Role[] = ['owner', 'steward'];
const papers: readonly Role[] = ['owner', 'steward', 'examiner'];
const owner: readonly Role[] = ['owner'];
/** Open to whoever comes: for coming in, and for asking whether it lives. */
const anybody = 'anybody';

const rules: Record<string, readonly Role[] | typeof anybody> = {
  'load /': all,
  'load /audit': owner,
  'GET /audit/audit.csv': owner,
  'GET /club.zip': owner,
  'load /bench': all,
  'load /bench/[sum]': all,
  'action /bench/[sum]?/keep': shed,
  'load /day': all,
  'action /day?/bays': office,
  'load /day/[id]': all,
  'GET /day/[id]/sheet.csv': all,
  'GET /day/[id]/sheet.ics': all,
  'GET /day/[id]/sheet.pdf': all,
  'load /engines/new': shed,
  'load /engines/[id]': all,
  'load /engines/[id]/edit': shed,
  'GET /engines/[id]/fit-out.json': all,
  'action /engines/[id]?/start': keepers,
  'action /engines/[id]?/plan': keepers,
  'action /engines/[id]?/retire': shed,
  'action /engines/[id]?/paper': papers,
  'action /engines/[id]?/withdrawPaper': papers,
  'action /engines/[id]?/fault': all,
  'action /engines/[id]?/letGo': shed,
  'load /engines/[id]/proven': all,
  'action /engines/[id]/proven?/work': shed,
  'action /engines/[id]/proven?/back': papers,
  'load /build/[id]': all,
  'action /build/[id]?/begun': shed,
  'action /build/[id]?/skipped': shed,
  'action /build/[id]?/stopped': office,
  'action /build/[id]?/released': ['examiner'],
  'GET /api/photos/[sum]': all,
  'PUT /api/photos/[sum]': all,
  'load /faults': all,
  'action /faults?/raise': all,
  'load /faults/find': all,
  'action /faults/find?/found': all,
  'load /faults/[id]': all,
  'action /faults/[id]?/asked': all,
  'action /faults/[id]?/shown': all,
  'action /faults/[id]?/struck': all,
  'action /faults/[id]?/changed': all,
  'action /faults/[id]?/undone': all,
  'action /faults/[id]?/tried': all,
  'action /faults/[id]?/fix': keepers,
  'action /faults/[id]?/retest': all,
  'action /faults/[id]?/cleared': ['examiner'],
  'action /faults/[id]?/placed': all,
  'action /faults/[id]?/photo': all,
  'load /first-run': anybody,
  'action /first-run?/default': anybody,
  'load /proof': all,
  'GET /proof/due.ics': all,
  'load /proof/[id]': all,
  'action /proof/[id]?/sign': ['examiner'],
  'load /proof/new/[sheet]': all,
  'action /proof/new/[sheet]?/work': keepers,
  'action /proof/new/[sheet]?/keep': keepers,
  'load /proof/rules': all,
  'action /proof/rules?/save': papers,
  'load /release/[id]': all,
  'GET /health': anybody,
  'load /join/[token]': anybody,
  'action /join/[token]?/default': anybody,
  'load /logbook': all,
  'action /logbook?/import': office,
  'load /members': owner,
  'action /members?/invite': owner,
  'action /members?/recall': owner,
  'action /members?/roles': owner,
  'action /members?/out': owner,
  'action /members?/again': owner,
  'action /members?/reset': owner,
  'load /records/[id]/replay': all,
  'GET /records/[id]/log.csv': all,
  'GET /records/[id]/record.json': all,
  'load /reset/[token]': anybody,
  'action /reset/[token]?/default': anybody,
  'load /settings': all,
  'action /settings?/units': all,
  'action /settings?/cards': all,
  'action /settings?/feeds': office,
  'action /settings?/zone': office,
  'action /settings?/theme': all,
  'action /settings?/password': all,
  'action /settings?/session': all,
  'load /sign-in': anybody,
  'action /sign-in?/default': anybody,
  'load /sign-out': all,
  'action /sign-out?/default': all,
  'load /twice/[id]': all,
  'action /twice/[id]?/default': office,
  'load /waiting': all,
  'GET /api/book': all,
  'GET /api/clock': all,
  'POST /api/engines': shed,
  'GET /api/engines/[id]': all,
  'PUT /api/engines/[id]': shed,
  'PUT /api/engines/[id]/learning': shed,
  'POST /api/engines/[id]/plans': keepers,
  'POST /api/engines/[id]/steamings': keepers,
  'GET /api/live': all,
  'PUT /api/plans/[id]': keepers,
  'DELETE /api/plans/[id]': keepers,
  'POST /api/records': office,
  'GET /api/steamings/[id]': all,
  'PUT /api/steamings/[id]': keepers,
  'POST /api/steamings/[id]/entries': all,
  'GET /api/steamings/[id]/entries': all,
  'POST /api/steamings/[id]/thrown-away': keepers
};
/** What only shows the reader's own club, whose name is in no address: nothing of another's can be asked for. */
const ofNobody = (of: string) => !of.includes('[id]');

/** Every page, action and endpoint there is. */
function routes(): string[] {
  const found: string[] = [];
  for (const name of readdirSync('src/routes', { recursive: true, encoding: 'utf8' })) {
    if (!/\+(page\.)?server\.ts$/.test(name)) continue;
    const file = `src/routes/${name}`;
    const text = readFileSync(file, 'utf8');
    const place = file.replace(/^src\/routes/, '').replace(/\/\+(page\.)?server\.ts$/, '') || '/';
    for (const [, method] of text.matchAll(/^export const (GET|POST|PUT|DELETE|PATCH|HEAD|OPTIONS|fallback)\b/gm))
      found.push(`${method} ${place}`);
    if (/^export const load\b/m.test(text)) found.push(`load ${place}`);
    const actions = text.slice(text.indexOf('export const actions'));
    if (actions.startsWith('export')) for (const [, name] of actions.matchAll(/^ {2}(\w+): /gm)) found.push(`action ${place}?/${name}`);
  }
  return [...new Set(found)].sort();
}

describe.skipIf(!hasServer)('who may do what', () => {
  let book: Awaited<ReturnType<typeof emptyBook>>;
  const cookies = new Map<string, string>();
  const ids = { engine: '', steaming: '', plan: '', twice: '', fault: '', proof: '' };
  const send = (cookie: string, method: string, path: string, body?: string, type = 'application/json') =>
    fetch(`${book.url}${path}`, {
      method,
      redirect: 'manual',
      headers: { cookie, accept: 'application/json', origin: book.url, 'content-type': type, 'if-match': '"99"' },
      ...(body === undefined ? {} : { body })
    });
  const form = (cookie: string, path: string, fields: Record<string, string>) =>
    send(cookie, 'POST', path, new URLSearchParams(fields).toString(), 'application/x-www-form-urlencoded');
  const cookieOf = (answer: Response) => answer.headers.get('set-cookie')!.split(';')[0]!;

  beforeAll(async () => {
    book = await emptyBook('joram_roles');
    const password = 'three dry words';
    cookies.set(
      'owner',
      cookieOf(await form('', '/first-run', { club: 'Sedge Lode', zone: 'UTC', name: 'The owner', signIn: 'owner', password }))
    );
    const sql = postgres(book.admin, { max: 1, onnotice: () => {} });
    // The others come in by the owner's invitation, as people do.
    for (const role of roles.filter((r) => r !== 'owner')) {
      const made = await (await form(cookies.get('owner')!, '/members?/invite', { role })).text();
      const token = /\/join\/([\w-]+)/.exec(made)![1]!;
      cookies.set(role, cookieOf(await form('', `/join/${token}`, { name: `The ${role}`, signIn: role, password })));
    }
    const post = async (path: string, body: unknown) =>
      ((await (await send(cookies.get('owner')!, 'POST', path, JSON.stringify(body))).json()) as { id: string }).id;
    ids.engine = await post('/api/engines', patterns[2]!.fitOut);
    ids.steaming = await post(`/api/engines/${ids.engine}/steamings`, { reason: 'who may', plan: null });
    const plan = { wants: [{ what: 'train', at: '2098-06-13T10:00:00.000Z' }], people: [{ name: 'The owner', as: 'keeper' }] };
    ids.plan = await post(`/api/engines/${ids.engine}/plans`, { plan });
    const found = await form(cookies.get('owner')!, '/faults/find?/found', { engine: ids.engine, symptom: 'knocks' });
    ids.fault = /\/faults\/([\w-]{36})/.exec(await found.text())![1]!;
    const hydraulic = { which: 'first', reached: 2e6, held: 3600, after: 2e6, error: 1e4, gauge: 'The club’s', weeps: '' };
    const kept = await form(cookies.get('owner')!, `/proof/new/hydraulic?/keep&engine=${ids.engine}`, {
      written: JSON.stringify(hydraulic)
    });
    ids.proof = /\/proof\/([\w-]{36})/.exec(await kept.text())![1]!;
    // The same engine, begun on a device that did not know of the first.
    ids.twice = crypto.randomUUID();
    const away = begunAway(ids.engine, patterns[2]!.fitOut);
    expect((await send(cookies.get('owner')!, 'PUT', `/api/steamings/${ids.twice}`, JSON.stringify(away))).status).toBe(201);
    // Another club on the same server, and its owner.
    const [club] = await sql<
      { id: string }[]
    >`insert into club (club_id, name) values (gen_random_uuid(), 'Mere End') returning club_id as id`;
    const [stranger] = await sql<{ id: string }[]>`insert into member (club_id, member_id, name, sign_in, secret, roles)
      select ${club!.id}, gen_random_uuid(), 'A stranger', 'stranger', secret, array['owner'] from member where sign_in = 'owner' returning member_id as id`;
    await sql.end();
    expect(stranger).toBeDefined();
    cookies.set('stranger', cookieOf(await form('', '/sign-in', { name: 'stranger', password })));
  });
  afterAll(() => book?.drop());

  it('every route has a rule, and every rule a route', () => {
    expect(routes()).toEqual(Object.keys(rules).sort());
  });

  /** Asks with nothing in it: what is refused for its role or its club is refused before it is read. */
  async function ask(of: string, cookie: string): Promise<number> {
    const [how, place] = of.split(' ') as [string, string];
    const id =
      place.includes('/plans/[id]') || place.startsWith('/day/')
        ? ids.plan
        : /steamings\/\[id|records|footplate|release/.test(place)
          ? ids.steaming
          : place.startsWith('/twice')
            ? ids.twice
            : place.startsWith('/proof/')
              ? ids.proof
              : place.startsWith('/faults/')
                ? ids.fault
                : ids.engine;
    const path = place
      .replace('[id]', id)
      .replace('[sum]', 'hydraulic')
      .replace('[token]', 'none')
      .replace('[sheet]', `hydraulic?engine=${ids.engine}`)
      .replace(/\?engine=([\w-]+)\?(.*)$/, '?$2&engine=$1');
    const stop = new AbortController();
    try {
      if (how === 'action') return await statusOf(cookie, form(cookie, path.replace('?/default', ''), { member: crypto.randomUUID() }));
      if (place === '/api/live')
        return (await fetch(`${book.url}${path}`, { headers: { cookie }, signal: stop.signal, redirect: 'manual' })).status;
      return await statusOf(cookie, send(cookie, how === 'load' ? 'GET' : how, path, ['POST', 'PUT'].includes(how) ? '{}' : undefined));
    } finally {
      stop.abort();
    }
  }
  /** An action's refusal comes as an answer to its form. */
  async function statusOf(cookie: string, asked: Promise<Response>): Promise<number> {
    // Who is in and is sent to the sign-in page without a word has signed out, or has nothing to found.
    const shut = (to: string) => to.startsWith(cookie ? '/sign-in?then' : '/sign-in');
    const answer = await asked;
    const text = await answer.text();
    const inside = text.startsWith('{"type":') ? (JSON.parse(text) as { type: string; status?: number; location?: string }) : undefined;
    if (inside?.type === 'redirect') return shut(inside.location!) ? 401 : 303;
    if (answer.status === 303 && shut(answer.headers.get('location')!)) return 401;
    return inside?.status ?? answer.status;
  }

  it.each(Object.entries(rules).filter(([of]) => !/sign-out|withdrawPaper$|DELETE/.test(of)))('%s', async (of, may) => {
    for (const role of roles) {
      const status = await ask(of, cookies.get(role)!);
      // What an address names is there; what a form names here is nobody and nothing.
      expect(status, role).toBeLessThan(500);
      if (may === anybody || may.includes(role)) expect(of.includes('[id]') ? [401, 403, 404] : [401, 403], role).not.toContain(status);
      else expect(status, role).toBe(403);
    }
    const nobody = await ask(of, '');
    // Once a club is founded, /first-run leads to the sign-in page.
    if (may === anybody) expect(of === 'load /first-run' ? [403] : [401, 403], 'nobody').not.toContain(nobody);
    else expect(nobody, 'nobody').toBe(401);
    // The stranger is an owner: what no owner may do is refused them before it is looked for.
    const strangers = may === anybody || may.includes('owner') ? [400, 404] : [403];
    if (!ofNobody(of)) expect(strangers, 'a stranger').toContain(await ask(of, cookies.get('stranger')!));
  });

  it('what is asked for once: a plan called off, a paper withdrawn, signed out', async () => {
    for (const of of ['DELETE /api/plans/[id]', 'action /engines/[id]?/withdrawPaper']) {
      expect(await ask(of, cookies.get('trainee')!)).toBe(403);
      expect(await ask(of, '')).toBe(401);
      expect([400, 404]).toContain(await ask(of, cookies.get('stranger')!));
    }
    expect(await ask('DELETE /api/plans/[id]', cookies.get('operator')!)).toBe(200);
    expect(await ask('action /sign-out?/default', cookies.get('trainee')!)).toBe(303);
    expect(await ask('load /waiting', cookies.get('trainee')!)).toBe(401);
  });

  it('a stranger changed nothing: engine, plan and log are as they were', async () => {
    const engine = (await (await send(cookies.get('owner')!, 'GET', `/api/engines/${ids.engine}`)).json()) as {
      version: number;
      name: string;
    };
    expect(engine).toMatchObject({ version: 1, name: patterns[2]!.fitOut.name });
    const note = { id: timeOrderedId(Date.now(), new Uint8Array(10)), kind: 'note', at: new Date().toISOString(), body: { text: 'x' } };
    expect((await send(cookies.get('stranger')!, 'POST', `/api/steamings/${ids.steaming}/entries`, JSON.stringify(note))).status).toBe(404);
  });
});
