import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import { emptyBook, hasServer } from './process';

const wanted = 10_000;
/** However slow the machine is, s. */
const box = 100;
const seed = 20_261_126;

describe.skipIf(!hasServer)('bad bytes', () => {
  let app: Awaited<ReturnType<typeof emptyBook>>;
  let cookie = '';
  const ids = { engine: '', steaming: '', plan: '' };
  const json = (method: string, path: string, body: unknown) =>
    fetch(`${app.url}${path}`, {
      method,
      redirect: 'manual',
      headers: {
        cookie,
        accept: 'application/json',
        'content-type': 'application/json',
        ...(method === 'PUT' ? { 'if-match': '"1"' } : {})
      },
      ...(method === 'GET' ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) })
    });
  const form = (path: string, fields: [string, string][]) =>
    fetch(`${app.url}${path}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: app.url, cookie, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams(fields)
    });

  beforeAll(async () => {
    app = await emptyBook('joram_fuzz');
    const fields = { club: 'Sedge Lode', zone: 'UTC', name: 'Ansel Rushby', signIn: 'ansel', password: 'three dry words' };
    cookie = (await form('/first-run', Object.entries(fields))).headers.get('set-cookie')!.split(';')[0]!;
    ids.engine = (await (await json('POST', '/api/engines', patterns[2]!.fitOut)).json()).id;
    ids.steaming = (await (await json('POST', `/api/engines/${ids.engine}/steamings`, { reason: 'fuzz' })).json()).id;
    ids.plan = (await (await json('POST', `/api/engines/${ids.engine}/plans`, { purpose: '', plan: plan() })).json()).id;
  });
  afterAll(() => app?.drop());

  const plan = () => ({ wants: [{ what: 'train', at: '2027-06-13T10:00:00.000Z' }], people: [{ name: 'Ansel Rushby', as: 'keeper' }] });
  const entry = (kind: string, body: object) => ({ id: crypto.randomUUID(), kind, at: new Date().toISOString(), ahead: 3, body });
  const entries = [
    entry('note', { text: 'x' }),
    entry('reading', { pressure: 4e5, glass: 0.5, glassAt: null, temperature: 300, tank: 0.5 }),
    entry('fire', { act: 'fuel on', fuel: 'coal', amount: 0.5 }),
    entry('feed', { feed: 'Injector', on: true, to: 'boiler', volume: 0.001 }),
    entry('valve', { valve: 'blower', open: 0.5 }),
    entry('tick', { step: 'papers', outcome: 'done', initials: 'AR' }),
    entry('fault', { text: 'weep', forbids: 'nothing' }),
    entry('lift', { valve: 1, lifted: 6e5 }),
    entry('cell', { item: 'Regulator', in: 'cold', result: 'good', text: 'free' }),
    entry('sweep', { place: 'Gauge union', at: 0, is: 'dry' }),
    entry('rig', { part: 'lever', which: 'on the whistle', on: true, for: 3600 }),
    entry('photo', { sum: 'a'.repeat(64), what: 'a weep' }),
    entry('handover', { to: 'X', next: 'y' }),
    { ...entry('strike', {}), strikes: crypto.randomUUID() }
  ];
  const spoil = fc.constantFrom<unknown>(
    'a\u0000b',
    '\ud800',
    'x\udc00y',
    '__proto__',
    'constructor',
    '',
    ' ',
    'NaN',
    '1e309',
    '2026-02-31',
    '2026-13-01T25:61:61Z',
    '0001-01-01T00:00:00Z',
    '+275760-09-13T00:00:00.000Z',
    '../../etc',
    "' or 1=1 --",
    '𝔘🔥',
    'x'.repeat(5000),
    null,
    true,
    [],
    {},
    [[[[[]]]]],
    -1,
    0,
    1e308,
    -1e-308,
    2 ** 53,
    1.5,
    { toString: 1 },
    JSON.parse('{"__proto__": {"admin": true}}'),
    { '\u0000': 1 },
    Array.from({ length: 600 }, () => 1)
  );
  /** A document with one to three of its leaves, keys or branches spoilt. */
  const spoilt = (of: unknown) =>
    fc
      .array(fc.tuple(fc.array(fc.nat(30), { minLength: 1, maxLength: 6 }), spoil, fc.constantFrom('set', 'drop', 'add')), {
        minLength: 1,
        maxLength: 3
      })
      .map((changes) => {
        const document = structuredClone(of) as Record<string, unknown>;
        for (const [path, shared, how] of changes) {
          const value = structuredClone(shared);
          let at = document;
          for (const [depth, step] of path.entries()) {
            const keys = Object.keys(at);
            const key = keys[step % Math.max(1, keys.length)];
            const inside = key === undefined ? undefined : at[key];
            if (depth < path.length - 1 && typeof inside === 'object' && inside !== null) {
              at = inside as Record<string, unknown>;
              continue;
            }
            if (how === 'add') {
              const name = typeof value === 'string' ? value.slice(0, 40) : 'more';
              Object.defineProperty(at, name, { value, enumerable: true, configurable: true, writable: true });
            } else if (key !== undefined && how === 'drop') delete at[key];
            else if (key !== undefined) at[key] = value;
            break;
          }
        }
        return document;
      });
  const word = spoil.map((v) => (typeof v === 'string' ? v : JSON.stringify(v)));
  const id = fc.oneof(
    { weight: 3, arbitrary: fc.constantFrom('engine' as const, 'steaming' as const, 'plan' as const).map((k) => ids[k]) },
    word.map((w) => encodeURIComponent(w.toWellFormed().slice(0, 60)) || 'x')
  );
  const query = fc
    .array(fc.tuple(fc.constantFrom('page', 'from', 'to', 'on', 'engine', 'show', 'after', 'steaming', 'then', 'at', 'say'), word), {
      maxLength: 3
    })
    .map((q) => (q.length ? `?${new URLSearchParams(q)}` : ''));
  const post = (path: (i: string) => string, of: unknown, method = 'POST') =>
    fc.tuple(id, query, spoilt(of)).map(
      ([i, q, body]) =>
        () =>
          json(method, `${path(i)}${q}`, body)
    );

  it(
    `${wanted} requests of every shape: none is answered 5xx (seed ${seed})`,
    async () => {
      const pages = [
        '/',
        '/logbook',
        '/faults',
        '/day',
        '/settings',
        '/members',
        '/audit',
        '/health',
        '/api/clock',
        '/engines/new',
        '/waiting'
      ];
      const request: fc.Arbitrary<() => Promise<Response>> = fc.oneof(
        { weight: 9, arbitrary: fc.constantFrom(...entries).chain((e) => post((i) => `/api/steamings/${i}/entries`, e)) },
        { weight: 4, arbitrary: post((i) => `/api/steamings/${i}/entries`, { entries: entries.slice(0, 4) }) },
        { weight: 2, arbitrary: post(() => '/api/engines', { ...patterns[0]!.fitOut, name: 'Fuzz' }) },
        { weight: 2, arbitrary: post((i) => `/api/engines/${i}`, patterns[2]!.fitOut, 'PUT') },
        { weight: 1, arbitrary: post((i) => `/api/engines/${i}/plans`, { purpose: 'x', plan: plan() }) },
        { weight: 1, arbitrary: post((i) => `/api/plans/${i}`, { plan: plan() }, 'PUT') },
        {
          weight: 2,
          arbitrary: post((i) => `/api/engines/${i}/learning`, { leftOut: [ids.steaming], chapters: [{ at: 1, why: 'x' }] }, 'PUT')
        },
        { weight: 1, arbitrary: post((i) => `/api/engines/${i}/steamings`, { purpose: 'x', reason: 'y', plan: null }) },
        {
          weight: 2,
          arbitrary: post(() => '/api/records', {
            format: 'joram.record/2',
            club: 'x',
            steaming: {},
            fitOut: {},
            procedure: {},
            entries: []
          })
        },
        {
          weight: 3,
          arbitrary: fc.tuple(id, query).map(
            ([i, q]) =>
              () =>
                json('GET', `/api/steamings/${i}/entries${q}`, undefined)
          )
        },
        {
          weight: 1,
          arbitrary: fc.tuple(fc.constantFrom(...pages), query).map(
            ([p, q]) =>
              () =>
                json('GET', `${p}${q}`, undefined)
          )
        },
        {
          weight: 2,
          arbitrary: fc
            .tuple(
              fc.constantFrom(
                '/settings?/units',
                '/settings?/zone',
                '/settings?/theme',
                '/faults?/raise',
                '/faults/find?/found',
                '/proof/rules?/save',
                '/proof/01890000-0000-7000-8000-000000000000?/sign',
                '/proof/new/hydraulic?/keep',
                '/faults/01890000-0000-7000-8000-000000000000?/shown',
                '/faults/01890000-0000-7000-8000-000000000000?/fix',
                '/day?/bays',
                '/members?/invite',
                '/members?/recall',
                '/members?/roles',
                '/settings?/session',
                '/join/x',
                '/sign-in'
              ),
              fc.array(
                fc.tuple(
                  fc.constantFrom(
                    'zone',
                    'text',
                    'forbids',
                    'engine',
                    'fault',
                    'fix',
                    'symptom',
                    'written',
                    'note',
                    'version',
                    'check',
                    'result',
                    'bays',
                    'role',
                    'member',
                    'session',
                    'demo',
                    'name',
                    'theme',
                    'pressure'
                  ),
                  word
                ),
                { maxLength: 4 }
              )
            )
            .map(
              ([p, fields]) =>
                () =>
                  form(
                    p,
                    fields.map(([k, v]) => [k, v.toWellFormed()])
                  )
            )
        },
        { weight: 1, arbitrary: word.map((w) => () => json('POST', `/api/steamings/${ids.steaming}/entries`, `{"id": "${w}`)) }
      );
      const requests = fc.sample(request, { numRuns: wanted, seed });
      const until = Date.now() + box * 1000;
      const bad: string[] = [];
      const counts: Record<string, number> = {};
      let next = 0;
      await Promise.all(
        Array.from({ length: 8 }, async () => {
          while (next < requests.length && Date.now() < until) {
            const n = next++;
            const response = await requests[n]!();
            const text = await response.text();
            const status = text.startsWith('{"type":"error"')
              ? ((JSON.parse(text) as { status?: number }).status ?? response.status)
              : response.status;
            counts[status] = (counts[status] ?? 0) + 1;
            if (status >= 500) bad.push(`request ${n}: ${status} ${response.url} ${text.slice(0, 200)}`);
          }
        })
      );
      console.log(`fuzz: ${next} of ${wanted} requests, seed ${seed}: ${JSON.stringify(counts)}`);
      expect(bad).toEqual([]);
      expect(next).toBeGreaterThan(1000);
    },
    (box + 30) * 1000
  );

  it('one bad text in a batch is named with its field, and the rest is stored', async () => {
    const [good, bad] = [entry('note', { text: 'good' }), entry('note', { text: 'a\u0000b' })];
    const answer = await json('POST', `/api/steamings/${ids.steaming}/entries`, { entries: [good, bad] });
    expect([answer.status, await answer.json()]).toMatchObject([200, { stored: 1, refused: [{ index: 1, field: 'entries.1.body.text' }] }]);
    const half = await json('POST', '/api/engines', { ...patterns[0]!.fitOut, description: '\ud800' });
    expect([half.status, await half.json()]).toMatchObject([400, { field: 'description' }]);
    expect((await json('GET', '/logbook?from=%00', undefined)).status).toBe(400);
  });
});
