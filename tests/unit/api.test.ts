import { patterns } from '../../src/core/engine';
import { timeOrderedId } from '../../src/core/log/id';
import { beforeAll, describe, expect, it } from 'vitest';
import { as, url } from './client';

const id = () => timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
const note = (text: string, more = {}) => ({ id: id(), kind: 'note', at: new Date().toISOString(), body: { text }, ...more });

describe.skipIf(!url)('the API', () => {
  let owner: Awaited<ReturnType<typeof as>>;
  let trainee: typeof owner;
  let examiner: typeof owner;
  let stranger: typeof owner;
  let steaming: string;
  let engine: string;

  beforeAll(async () => {
    [owner, trainee, examiner, stranger] = await Promise.all([as('wenna'), as('pim'), as('hesper'), as('idony')]);
    const made = await owner.post('/api/engines', { ...patterns[2]!.fitOut, name: 'Bittersweet' });
    expect(made.status).toBe(201);
    engine = made.body.id;
    // No papers are recorded yet, so it takes an override; Wenna is an owner.
    expect((await owner.post(`/api/engines/${engine}/steamings`, { purpose: 'test' })).body.stops).toEqual([
      'No papers are recorded for this engine'
    ]);
    const started = await owner.post(`/api/engines/${engine}/steamings`, { purpose: 'test', reason: 'API test, cold' });
    expect(started.status).toBe(201);
    steaming = started.body.id;
  });
  const entries = () => `/api/steamings/${steaming}/entries`;

  it('stores an entry once, however often it is sent', async () => {
    const entry = note('once');
    expect((await owner.post(entries(), entry)).body).toMatchObject({ stored: 1, refused: [] });
    expect((await owner.post(entries(), entry)).body).toMatchObject({ stored: 0, refused: [] });
    const batch = { entries: Array.from({ length: 500 }, (_, i) => note(`batch ${i}`)) };
    expect((await owner.post(entries(), batch)).body.stored).toBe(500);
    expect((await owner.post(entries(), batch)).body.stored).toBe(0);
  });

  it('a day that no calendar has is refused with a sentence, not asked of the database', async () => {
    const { status, body } = await owner.get('/logbook?from=2026-02-31');
    expect(status).toBe(200);
    expect(body).toContain('Give the day as 2026-06-13.');
    expect((await owner.get('/logbook?from=2026-02-28')).body).not.toContain('Give the day as');
  });

  it('a batch with one bad entry stores the good ones and names the bad one', async () => {
    const bad = { ...note('x'), body: { words: 'x' } };
    const answer = await owner.post(entries(), { entries: [note('good'), bad, note('also good')] });
    expect(answer.status).toBe(200);
    expect(answer.body).toMatchObject({
      stored: 2,
      refused: [{ index: 1, id: bad.id, field: 'entries.1.body.text', sentence: expect.stringContaining('What is noted') }]
    });
  });

  it.each([
    ['not JSON', '{"id": ', 400, 'body', /line 1/],
    ['nothing', {}, 400, 'id', /missing/],
    ['an unknown kind', { kind: 'explosion' }, 400, 'kind', /not one of/],
    ['a pressure in words', { kind: 'reading', body: { pressure: 'lots' } }, 400, 'body.pressure', /Pressure: give a pressure between/],
    [
      'a skip without a reason',
      { kind: 'tick', body: { step: 'match', outcome: 'skipped' } },
      400,
      'body.reason',
      /Why it was skipped: write 1 to 300/
    ],
    ['an override', { kind: 'override', body: { reason: 'x', of: ['y'] } }, 400, 'kind', /started/],
    ['too many', { entries: Array.from({ length: 501 }, () => 0) }, 413, 'entries', /500/],
    ['too long', JSON.stringify({ text: 'x'.repeat(2.2 * 1024 * 1024) }), 413, 'body', /2 MB/]
  ])('refuses %s', async (_, body, status, field, sentence) => {
    const sent = typeof body === 'string' || 'entries' in body || Object.keys(body).length === 0 ? body : { ...note('x'), ...body };
    const answer = await owner.post(entries(), sent);
    expect(answer.status).toBe(status);
    expect(answer.body.field).toBe(field);
    expect(answer.body.sentence).toMatch(sentence);
  });

  it('a tick of now meets the rule that the button meets; one that comes late is taken, and marked', async () => {
    const tick = (step: string, ago = 0) => ({
      ...note('x', { at: new Date(Date.now() - ago).toISOString() }),
      kind: 'tick',
      body: { step, outcome: 'done' }
    });
    const refused = await owner.post(entries(), tick('fill'));
    expect(refused.status).toBe(400);
    expect(refused.body).toMatchObject({ field: 'body.step', stored: 0, sentence: expect.stringContaining('Log the glass first') });
    expect(
      (await owner.post(entries(), { ...tick('match'), body: { step: 'match', outcome: 'skipped', reason: 'no' } })).body.sentence
    ).toContain('not one to skip');
    const late = await owner.post(entries(), tick('fill', 3 * 60_000));
    expect(late.body).toMatchObject({ stored: 1, refused: [] });
    // With what it asks for in the same delivery it is taken, whatever else is refused beside it.
    const glass = { ...note('x'), kind: 'reading', body: { glass: 0.4, glassAt: null } };
    const mixed = await owner.post(entries(), { entries: [glass, tick('water-and-valves'), tick('fastenings'), tick('nonsense')] });
    expect(mixed.body).toMatchObject({
      stored: 2,
      refused: [
        { index: 1, sentence: expect.stringContaining('First:') },
        { index: 3, sentence: expect.stringContaining('no step') }
      ]
    });
  });

  it('what is not there, or another club’s, is not there', async () => {
    const unknown = '00000000-0000-7000-8000-000000000000';
    for (const [who, path] of [
      [owner, unknown],
      [owner, 'nonsense'],
      [stranger, steaming]
    ] as const) {
      expect((await who.post(`/api/steamings/${path}/entries`, note('x'))).status, path).toBe(404);
      expect((await who.get(`/records/${path}`)).status, path).toBe(404);
    }
    expect((await stranger.put(`/api/engines/${engine}`, patterns[0]!.fitOut, 1)).status).toBe(404);
    expect((await stranger.post(`/api/engines/${engine}/steamings`, {})).status).toBe(404);
  });

  it('roles: a trainee neither starts nor overrides nor signs; only an examiner signs as examiner', async () => {
    const pond = (await owner.get(`/api/engines/${engine}`)).body.id as string;
    expect((await trainee.post(`/api/engines/${pond}/steamings`, { reason: 'please' })).status).toBe(403);
    const sign = (as: string) => ({ ...note('x'), kind: 'sign', body: { as, name: 'N' } });
    expect((await trainee.post(entries(), sign('keeper'))).body.sentence).toContain('does not allow');
    expect((await owner.post(entries(), sign('examiner'))).body.sentence).toContain('does not allow');
    expect((await trainee.post(entries(), note('a trainee may log'))).body.stored).toBe(1);
    expect((await examiner.post(entries(), sign('examiner'))).body.sentence).toContain('you are signed in as Hesper Vane-Oddie');
    const own = { ...note('x'), kind: 'sign', body: { as: 'examiner', name: 'Hesper Vane-Oddie' } };
    expect((await examiner.post(entries(), own)).body.stored).toBe(1);
  });

  it('a bad fit-out names every field and changes nothing', async () => {
    const before = await owner.get(`/api/engines/${engine}`);
    const wrong = { ...patterns[2]!.fitOut, name: 'Bittersweet', workingPressure: -1, colour: 'green' };
    const answer = await owner.put(`/api/engines/${engine}`, wrong, before.body.version);
    expect(answer.status).toBe(400);
    expect(answer.body.problems.map((p: { path: string }) => p.path).sort()).toEqual(['colour', 'workingPressure']);
    expect((await owner.get(`/api/engines/${engine}`)).body).toEqual(before.body);
  });

  it('another burner takes away what was shown with the one before: what must be proven again heads its next list; a run longer than its water is not saved', async () => {
    const rail = { ...patterns.find((p) => p.fitOut.name === 'Water Rail')!.fitOut, name: 'Dabchick' };
    const { id } = (await owner.post('/api/engines', rail)).body as { id: string };
    const long = await owner.put(`/api/engines/${id}`, { ...rail, runLimit: 3600 }, 1);
    expect([long.status, long.body]).toMatchObject([
      400,
      { field: 'runLimit', sentence: expect.stringContaining('longer than its water') }
    ]);
    expect((await owner.put(`/api/engines/${id}`, { ...rail, scale: '45 mm, narrow' }, 1)).status).toBe(200);
    expect((await owner.get(`/engines/${id}/proven`)).body).not.toContain('To be proven again:');
    const jets = rail.fire.with === 'gas' ? rail.fire.burners.map((b) => ({ ...b, jet: 0.0003 })) : [];
    expect((await owner.put(`/api/engines/${id}`, { ...rail, fire: { ...rail.fire, burners: jets } }, 2)).status).toBe(200);
    expect((await owner.get(`/engines/${id}/proven`)).body).toContain(
      'To be proven again: gas train, accumulation test, pair of fuel and water'
    );
  });

  it('sends the headers that keep a page to itself, and refuses a request from another site', async () => {
    const page = await fetch(`${url}/sign-in`);
    expect(page.headers.get('content-security-policy')).toMatch(/default-src 'self'.*script-src 'self'/);
    expect(page.headers.get('content-security-policy')).not.toMatch(/script-src[^;]*unsafe/);
    expect(page.headers.get('x-frame-options')).toBe('DENY');
    const crossed = await fetch(`${url}${entries()}`, {
      method: 'POST',
      headers: { origin: 'http://elsewhere.example', 'content-type': 'application/json' },
      body: '{}'
    });
    expect(crossed.status).toBe(403);
    expect((await fetch(`${url}${entries()}`)).status).toBe(401);
  });

  it('limits how often a password is tried', async () => {
    const attempt = () =>
      fetch(`${url}/sign-in`, {
        method: 'POST',
        redirect: 'manual',
        headers: { origin: url, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded' },
        body: new URLSearchParams({ name: 'nobody', password: 'guess' })
      }).then((r) => r.text());
    const answers: string[] = [];
    for (let i = 0; i < 12; i++) answers.push(await attempt());
    expect(answers[0]).toContain('do not belong together');
    expect(answers[11]).toContain('Too many tries');
  });

  describe('day sheets', () => {
    const at = (hours: number) => new Date(Date.now() + hours * 3.6e6).toISOString();
    const plan = (more: object = {}) => ({
      wants: [{ what: 'first train', at: at(30) }],
      people: [{ name: 'Wenna Thrale', as: 'keeper' }],
      ...more
    });
    const plans = () => `/api/engines/${engine}/plans`;

    it('are made, changed and called off; what is kept is what was asked', async () => {
      const made = await owner.post(plans(), { purpose: 'Members’ day', plan: plan() });
      expect(made.status).toBe(201);
      const path = `/api/plans/${made.body.id}`;
      expect((await owner.put(path, { plan: plan({ packed: ['water'], minutes: { papers: 12 } }) }, 1)).status).toBe(200);
      const page = (await owner.get(`/day/${made.body.id}`)).body as string;
      expect(page).toContain('Papers in date');
      const file = (await owner.get(`/day/${made.body.id}/sheet.csv`)).body as string;
      expect(file.split('\n')[1]).toContain('Papers in date');
      // Another club's member sees nothing of it, and a trainee makes none.
      expect((await stranger.get(`/day/${made.body.id}`)).status).toBe(404);
      expect((await stranger.put(path, { plan: plan() }, 2)).status).toBe(404);
      expect((await trainee.post(plans(), { plan: plan() })).status).toBe(403);
      expect((await owner.del(path)).status).toBe(200);
      expect((await owner.put(path, { plan: plan() }, 2)).status).toBe(404);
    });

    it.each([
      ['no wants', plan({ wants: [] }), 'wants', /when steam is wanted/],
      ['a time in words', plan({ wants: [{ what: 'x', at: 'soon' }] }), 'wants.0.at', /2026-06-13T11:00/],
      [
        'two keepers',
        plan({
          people: [
            { name: 'A', as: 'keeper' },
            { name: 'B', as: 'keeper' }
          ]
        }),
        'people',
        /exactly one/
      ],
      ['over before it begins', plan({ end: at(20) }), 'end', /cannot be over before/],
      [
        'somebody named twice',
        plan({
          people: [
            { name: 'A', as: 'keeper' },
            { name: 'a ', as: 'helper' }
          ]
        }),
        'people.1.name',
        /named twice/
      ],
      ['gone before coming', plan({ people: [{ name: 'A', as: 'keeper', from: at(9), until: at(8) }] }), 'people.0.until', /leave before/],
      ['boiling feed', plan({ water: 400 }), 'water', /between 1 and 99 °C/],
      ['a step of a week', plan({ minutes: { papers: 10_080 } }), 'minutes.papers', /0 to 480/],
      ['nothing at all', undefined, 'plan', /./]
    ])('%s is refused with its field and a sentence', async (_, wrong, field, sentence) => {
      const answer = await owner.post(plans(), { plan: wrong });
      expect(answer.status).toBe(400);
      expect(answer.body.field).toBe(field);
      expect(answer.body.sentence).toMatch(sentence);
    });

    it('what an owner says of an engine’s past is kept, and nonsense is not', async () => {
      const path = `/api/engines/${engine}/learning`;
      expect((await owner.put(path, { leftOut: [steaming], chapters: [{ at: Date.now(), why: 'new burner' }] }, 1)).status).toBe(200);
      const bad = await owner.put(path, { leftOut: [], chapters: [{ at: Date.now(), why: '' }] }, 2);
      expect(bad.body).toMatchObject({ field: 'chapters.0.why', sentence: expect.stringContaining('what changed') });
      expect((await trainee.put(path, { leftOut: [], chapters: [] }, 2)).status).toBe(403);
    });
  });

  it('a change that was made from another version than stands is refused with both, and neither is lost', async () => {
    const { body: before } = await owner.get(`/api/engines/${engine}`);
    const plan = { wants: [{ what: 'train', at: '2098-06-13T10:00:00.000Z' }], people: [{ name: 'Wenna Thrale', as: 'keeper' }] };
    const made = (await owner.post(`/api/engines/${engine}/plans`, { plan })).body.id as string;
    const learnt = { leftOut: [], chapters: [{ at: 1, why: 'retubed' }] };
    const learning = Number(/learningVersion:(\d+)/.exec((await owner.get(`/engines/${engine}`)).body)?.[1]);
    const puts: [string, unknown, unknown, number, string][] = [
      [
        `/api/engines/${engine}`,
        { ...before.fitOut, scale: '5 in' },
        { ...before.fitOut, scale: '7¼ in' },
        before.version,
        'scale: 5 in → 7¼ in'
      ],
      [`/api/plans/${made}`, { plan: { ...plan, running: 60 } }, { plan: { ...plan, running: 90 } }, 1, 'running: 60 → 90'],
      [`/api/engines/${engine}/learning`, learnt, { leftOut: [], chapters: [] }, learning, 'chapters.0: {"at":1,"why":"retubed"} → nothing']
    ];
    for (const [path, first, second, version, difference] of puts) {
      expect((await owner.put(path, first)).body, path).toMatchObject({ field: 'version', sentence: expect.stringContaining('If-Match') });
      expect((await owner.put(path, first, version)).body, path).toMatchObject({ version: version + 1 });
      const late = await owner.put(path, second, version);
      const theirs = (first as { plan?: object }).plan ?? first;
      expect([late.status, late.body], path).toMatchObject([
        409,
        {
          field: 'version',
          by: 'Wenna Thrale',
          version: version + 1,
          sentence: expect.stringContaining('Wenna Thrale changed this meanwhile'),
          differences: [difference],
          theirs
        }
      ]);
      expect((await owner.put(path, second, version + 1)).status, path).toBe(200);
    }
    // Two at the same moment: one of them is told.
    const at = (await owner.get(`/api/engines/${engine}`)).body.version as number;
    const both = await Promise.all(['A', 'B'].map((scale) => owner.put(`/api/engines/${engine}`, { ...before.fitOut, scale }, at)));
    expect(both.map((r) => r.status).sort()).toEqual([200, 409]);
  });
});
