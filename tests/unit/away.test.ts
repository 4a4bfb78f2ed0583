import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { patterns } from '../../src/core/engine';
import type { BegunAway, DeviceBook } from '../../src/core/faults';
import { timeOrderedId } from '../../src/core/log/id';
import type { OpenedSteaming } from '../../src/lib/here/opened';
import { begunAway } from './away';
import { emptyBook, hasServer } from './process';

/** STEAMINGS BEGUN WITHOUT A CONNECTION, as they come in: once each, beside whatever else was begun. */
describe.skipIf(!hasServer)('begun away', () => {
  let book: Awaited<ReturnType<typeof emptyBook>>;
  let cookie = '';
  const { fitOut } = patterns[2]!;
  const send = (method: string, path: string, body?: unknown) =>
    fetch(`${book.url}${path}`, {
      method,
      redirect: 'manual',
      headers: { cookie, accept: 'application/json', origin: book.url, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) })
    });
  const post = (path: string, fields: Record<string, string>) =>
    fetch(`${book.url}${path}`, {
      method: 'POST',
      redirect: 'manual',
      headers: { cookie, origin: book.url, accept: 'application/json', 'content-type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams(fields)
    });
  const insured = { kind: 'Insurance', number: '7', issued: '2026-01-01', expires: '2099-01-01' };
  const engine = async (name: string, papers = true) => {
    const { id } = (await (await send('POST', '/api/engines', { ...fitOut, name })).json()) as { id: string };
    if (papers) await post(`/engines/${id}?/paper`, insured);
    return id;
  };
  const deliver = async (id: string, document: BegunAway) => {
    const answer = await send('PUT', `/api/steamings/${id}`, document);
    return { status: answer.status, said: (await answer.json()) as { sentence?: string; field?: string } };
  };
  const opened = async (id: string) => (await (await send('GET', `/api/steamings/${id}`)).json()) as OpenedSteaming;
  const note = (text: string, ms = Date.now()) => ({
    id: timeOrderedId(ms, crypto.getRandomValues(new Uint8Array(10))),
    kind: 'note',
    at: new Date(ms).toISOString(),
    body: { text }
  });
  const texts = (of: OpenedSteaming) => of.entries.flatMap((e) => (e.kind === 'note' ? [e.body.text] : []));

  beforeAll(async () => {
    book = await emptyBook('joram_away');
    const made = await post('/first-run', {
      club: 'Sedge Lode',
      zone: 'UTC',
      name: 'The owner',
      signIn: 'owner',
      password: 'three dry words'
    });
    cookie = made.headers.get('set-cookie')!.split(';')[0]!;
  });
  afterAll(() => book?.drop());

  it('the book has what it is begun by', async () => {
    const id = await engine('Sedge Hen');
    await post(`/engines/${id}?/fault`, { text: 'clack drips', forbids: 'passengers' });
    const kept = (await (await send('GET', '/api/book')).json()) as DeviceBook;
    expect(kept.people).toEqual(['The owner']);
    expect(kept.engines.find((e) => e.id === id)).toMatchObject({
      version: 1,
      feedsAsked: 2,
      faults: [{ text: 'clack drips', forbids: 'passengers' }],
      papers: [{ kind: 'Insurance', expires: '2099-01-01' }],
      running: null,
      left: [],
      plans: []
    });
  });

  it('comes in once, however often it is sent, and says how old its book was', async () => {
    const [on, id] = [await engine('Reed Hen'), crypto.randomUUID()];
    const document = begunAway(on, fitOut);
    expect([(await deliver(id, document)).status, (await deliver(id, document)).status]).toEqual([201, 201]);
    const { entries, startedAt, keeper } = await opened(id);
    expect({ startedAt, keeper }).toEqual({ startedAt: document.at, keeper: 'The owner' });
    expect(entries.filter((e) => e.kind === 'away')).toMatchObject([{ id: document.entry, body: { book: 3600 }, at: document.at }]);
    // What its device had not heard of is said, and refuses nothing: it happened.
    expect(texts(await opened(id))).toEqual([]);
    expect((await deliver(id, begunAway(await engine('Other Hen'), fitOut))).status).toBe(409);
  });

  it('what stood against it and was not heard of is told; what was heard of needs an override', async () => {
    const [on, id] = [await engine('Bog Hen', false), crypto.randomUUID()];
    await post(`/engines/${on}?/fault`, { text: 'a stay weeps', forbids: 'steaming' });
    const later = { at: new Date().toISOString() };
    expect((await deliver(id, begunAway(on, fitOut, later))).status).toBe(201);
    expect(texts(await opened(id))).toEqual([
      'Its device had not heard of what stood against it: Open fault: a stay weeps; No papers are recorded for this engine'
    ]);
    const heard = begunAway(await engine('Bog Cock'), fitOut, {
      begun: { public: false, feedsAsked: 2, papers: [], faults: [{ text: 'a stay weeps', forbids: 'steaming' }] }
    });
    expect(await deliver(crypto.randomUUID(), heard)).toMatchObject({ status: 409, said: { field: 'reason' } });
    const override = { id: crypto.randomUUID(), reason: 'caulked', of: ['Open fault: a stay weeps'] };
    const over = crypto.randomUUID();
    expect((await deliver(over, { ...heard, override })).status).toBe(201);
    expect((await opened(over)).entries.find((e) => e.id === override.id)).toMatchObject({ kind: 'override', body: { reason: 'caulked' } });
  });

  it('bad documents are refused at their field, and nothing is stored', async () => {
    const on = await engine('Fen Hen');
    for (const [spoilt, field] of [
      [{ at: 'yesterday' }, 'at'],
      [{ version: 7 }, 'version'],
      [{ engine: crypto.randomUUID() }, 'version'],
      [{ procedure: { library: 'x', steps: [{ key: 'a' }] } }, 'procedure.steps.0.phase'],
      [{ more: 1 }, 'more']
    ] as const) {
      const id = crypto.randomUUID();
      const { status, said } = await deliver(id, { ...begunAway(on, fitOut), ...spoilt } as BegunAway);
      expect([status >= 400 && status < 500, said.field, (said.sentence ?? '').length > 10], JSON.stringify(said)).toEqual([
        true,
        field,
        true
      ]);
      expect((await send('GET', `/api/steamings/${id}`)).status).toBe(404);
    }
  });

  it('two at once are both kept; as one fire, every entry is filed once, in its time, and so is what still comes', async () => {
    const on = await engine('Mere Hen');
    const first = ((await (await send('POST', `/api/engines/${on}/steamings`, {})).json()) as { id: string }).id;
    const second = crypto.randomUUID();
    expect((await deliver(second, begunAway(on, fitOut))).status).toBe(201);
    const before = note('before', Date.now() - 40 * 60_000);
    await send('POST', `/api/steamings/${second}/entries`, before);
    await send('POST', `/api/steamings/${first}/entries`, note('beside'));
    // Two fires stand: nobody starts a third.
    expect((await send('POST', `/api/engines/${on}/steamings`, {})).status).toBe(409);
    expect((await post(`/twice/${second}`, { as: 'one', why: '' })).status).toBe(200);
    expect((await opened(second)).id).toBe(second);
    await post(`/twice/${second}`, { as: 'one', why: 'both stood by it' });
    await send('POST', `/api/steamings/${second}/entries`, note('late'));
    await send('POST', `/api/steamings/${second}/entries`, before);
    const one = await opened(second);
    expect(one.id).toBe(first);
    expect(texts(one)).toEqual(['before', 'beside', 'late']);
    expect((await send('GET', `/twice/${second}`)).status).toBe(404);
    expect((await fetch(`${book.url}/footplate/${second}`, { headers: { cookie }, redirect: 'manual' })).headers.get('location')).toBe(
      `/footplate/${first}`
    );
  });

  it('two fires stay two, and one that was none leaves the book; one that was lit is not thrown away', async () => {
    const on = await engine('Lode Hen');
    const first = ((await (await send('POST', `/api/engines/${on}/steamings`, {})).json()) as { id: string }).id;
    const [lit, none] = [crypto.randomUUID(), crypto.randomUUID()];
    await deliver(lit, begunAway(on, fitOut));
    await deliver(none, begunAway(on, fitOut));
    await send('POST', `/api/steamings/${lit}/entries`, { ...note(''), kind: 'fire', body: { act: 'light', already: true } });
    const asked = await (await send('GET', `/twice/${lit}`)).text();
    expect(asked).toContain('Lode Hen');
    const said = (await (await post(`/twice/${lit}`, { as: 'none', why: 'a slip' })).json()) as { type: string };
    expect(said.type).toBe('failure');
    await post(`/twice/${none}`, { as: 'none', why: 'a slip' });
    await post(`/twice/${lit}`, { as: 'two', why: 'the second was on the stand' });
    for (const id of [lit, none]) expect((await send('GET', `/twice/${id}`)).status).toBe(404);
    const stand = await Promise.all([first, lit, none].map(opened));
    expect(stand.map((s) => s.endedAt !== null)).toEqual([false, false, true]);
  });
});
