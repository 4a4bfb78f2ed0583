import { patterns } from '../../src/core/engine';
import type { Entry } from '../../src/core/log';
import { timeOrderedId } from '../../src/core/log/id';
import { beforeAll, describe, expect, it } from 'vitest';
import { as, url } from './client';

const id = () => timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
const entry = (kind: string, body: object, more: object = {}) => ({ id: id(), kind, at: new Date().toISOString(), body, ...more });
const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();

describe.skipIf(!url)('what stands in a log, and what closes it', () => {
  let owner: Awaited<ReturnType<typeof as>>;
  let steward: typeof owner;
  let trainee: typeof owner;
  let examiner: typeof owner;
  beforeAll(async () => {
    [owner, steward, trainee, examiner] = await Promise.all([as('wenna'), as('corrin'), as('pim'), as('hesper')]);
  });
  let engines = 0;
  async function begun() {
    const { id: engine } = (
      await owner.post('/api/engines', { ...patterns[2]!.fitOut, name: `Closing Hen ${Date.now() % 1e6} ${++engines}` })
    ).body;
    const { id: steaming } = (await owner.post(`/api/engines/${engine}/steamings`, { purpose: 'test', reason: 'API test, cold' })).body;
    const path = `/api/steamings/${steaming}/entries`;
    return {
      engine,
      steaming,
      put: (who: typeof owner, e: object) => who.post(path, e),
      log: async () => (await owner.get(path)).body.entries as Entry[],
      one: async (e: { id: string }) => ((await owner.get(path)).body.entries as Entry[]).find((x) => x.id === e.id)!
    };
  }
  const sign = (name = 'Wenna Thrale') => entry('sign', { as: 'keeper', name });

  it('two phones five minutes apart and one at 2099: the worse reading, made last, is what is shown', async () => {
    const { put, steaming, one } = await begun();
    await put(owner, entry('fire', { act: 'light' }, { at: ago(20) }));
    const fast = entry('reading', { pressure: 413_685 }, { at: ago(-5 + 2), ahead: 5 * 60_000 });
    const future = entry('reading', { glass: 0.5, glassAt: null }, { at: '2099-06-13T10:00:00.000Z' });
    await put(owner, future);
    await put(owner, fast);
    const worse = entry('reading', { pressure: 68_948, glass: 'not seen', glassAt: 68_948 });
    await put(trainee, worse);
    const page = (await owner.get(`/footplate/${steaming}`)).body as string;
    expect(page).toContain('No water seen in the glass');
    expect((await one(fast)).clock).toEqual({ said: fast.at, ahead: 300_000 });
    expect(Date.parse((await one(fast)).at)).toBe(Date.parse(fast.at) - 300_000);
    const placed = await one(future);
    expect([placed.at, placed.clock]).toEqual([placed.receivedAt, { said: '2099-06-13T10:00:00.000Z' }]);
    expect((await one(worse)).clock).toBeUndefined();
  });

  it('a struck entry stays struck by a phone whose clock is slow, and the source is the server’s to say', async () => {
    const { put, steaming, one } = await begun();
    const wrong = entry('reading', { pressure: 4_550_000 }, { source: 'practice' });
    await put(owner, wrong);
    expect((await put(trainee, entry('strike', {}, { strikes: wrong.id, at: ago(30) }))).body.stored).toBe(1);
    expect((await one(wrong)).source).toBe('person');
    expect((await owner.get(`/api/steamings/${steaming}/entries`)).body.entries).toHaveLength(3);
    expect((await put(trainee, entry('strike', {}, { strikes: id() }))).body).toMatchObject({
      field: 'strikes',
      sentence: expect.stringContaining('no such entry')
    });
  });

  it('a signature is of who is signed in, closes the log, and ends it once', async () => {
    const { put, steaming } = await begun();
    const before = entry('note', { text: 'made before the end' }, { at: ago(1) });
    expect((await put(owner, sign('Corrin Sallow'))).body).toMatchObject({
      field: 'body.name',
      sentence: expect.stringContaining('signed in as Wenna Thrale')
    });
    expect((await put(owner, sign())).body.stored).toBe(1);
    expect((await put(steward, sign('Corrin Sallow'))).body.sentence).toContain('signed by Wenna Thrale already');
    // What was made before it arrives late, and belongs in.
    expect((await put(trainee, before)).body).toEqual({ stored: 1, refused: [] });
    // What is made after it does not, but for a late note by those who may; and an examiner signs after the keeper.
    const later = () => ({ at: new Date(Date.now() + 1000).toISOString() });
    expect((await put(steward, entry('reading', { pressure: 1e5 }, later()))).body.sentence).toContain('late note');
    expect((await put(trainee, entry('note', { text: 'later' }, later()))).body.sentence).toContain(
      'only an owner, a steward or an examiner'
    );
    expect((await put(steward, entry('note', { text: 'The plug was found weeping.' }, later()))).body.stored).toBe(1);
    expect((await put(examiner, entry('sign', { as: 'examiner', name: 'Hesper Vane-Oddie' }, later()))).body.stored).toBe(1);
    const record = (await owner.get(`/records/${steaming}`)).body as string;
    expect(record).toContain('after the signing');
  });

  it('a signature is struck by an owner or a steward, and the steaming is under way again', async () => {
    const { put, steaming, engine } = await begun();
    const signed = sign();
    await put(owner, signed);
    expect((await put(trainee, entry('strike', {}, { strikes: signed.id }))).body.sentence).toContain('Only an owner or a steward');
    expect((await put(steward, entry('strike', { reason: 'too soon' }, { strikes: signed.id }))).body.stored).toBe(1);
    expect((await put(trainee, entry('note', { text: 'going on' }))).body.stored).toBe(1);
    expect((await owner.get(`/footplate/${steaming}`)).status).toBe(200);
    // Not while the engine is in steam a second time.
    const again = sign();
    await put(owner, again);
    await owner.post(`/api/engines/${engine}/steamings`, { purpose: 'second', reason: 'API test' });
    expect((await put(steward, entry('strike', {}, { strikes: again.id }))).status).toBe(409);
  });

  it('a strike takes back a note of one’s own and never a bar; another’s fault only those who may', async () => {
    const { put, engine } = await begun();
    const [bar, weep] = [
      entry('fault', { text: 'Plug weeps', forbids: 'steaming' }),
      entry('fault', { text: 'Paint chipped', forbids: 'nothing' })
    ];
    await put(owner, bar);
    await put(owner, weep);
    expect((await put(trainee, entry('strike', {}, { strikes: weep.id }))).body.sentence).toContain('Only Wenna Thrale');
    expect((await put(owner, entry('strike', {}, { strikes: weep.id }))).body.stored).toBe(1);
    expect((await put(owner, entry('strike', {}, { strikes: bar.id }))).body.stored).toBe(1);
    const page = (await owner.get(`/faults?engine=${engine}`)).body as string;
    expect(page).toContain('Plug weeps');
    expect(page).not.toContain('Paint chipped');
  });
});
