import { timeOrderedId } from '../../src/core/log/id';
import postgres from 'postgres';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, url } from './client';
import { anotherProcess, feed } from './process';

const note = (text: string) => ({
  id: timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10))),
  kind: 'note',
  at: new Date().toISOString(),
  body: { text }
});

describe.skipIf(!url)('two processes on one database', () => {
  let second: Awaited<ReturnType<typeof anotherProcess>>;
  let owner: Awaited<ReturnType<typeof as>>;
  let steaming: string;
  beforeAll(async () => {
    second = await anotherProcess(process.env.JORAM_TEST_APP_URL!);
    owner = await as('wenna');
    steaming = /\/footplate\/([0-9a-f-]{36})/.exec((await owner.get('/')).body as string)![1]!;
  });
  afterAll(() => second?.stop());
  const live = (from: string, place = '') =>
    feed(`${from}/api/live?steaming=${steaming}`, { cookie: owner.cookie, ...(place ? { 'last-event-id': place } : {}) });
  const place = async () => (await owner.get(`/api/steamings/${steaming}/entries`)).body.place as string;

  it('one session is good at both, and what one stores the other tells', async () => {
    const there = await live(second.url, await place());
    expect(there.status).toBe(200);
    await owner.post(`/api/steamings/${steaming}/entries`, note('told across'));
    const told = await there.until((data) => data.includes('told across'));
    there.stop();

    // Cut off, it goes on from the last event it had, at either process, and misses nothing.
    await owner.post(`/api/steamings/${steaming}/entries`, { entries: [note('while away, one'), note('while away, two')] });
    const back = await live(url, told.id);
    const resumed = await back.until((data) => data.includes('while away, two'));
    expect(resumed.data).toContain('while away, one');
    back.stop();
  });

  it('what commits late is told to whoever heard what came after it, 200 at once', async () => {
    const sql = postgres(process.env.JORAM_TEST_ADMIN_URL!, { max: 1 });
    const [{ club, member } = { club: '', member: '' }] = await sql<{ club: string; member: string }[]>`
      select club_id as club, keeper_id as member from steaming where steaming_id = ${steaming}`;
    const there = await live(second.url, await place());
    try {
      let passed: Awaited<ReturnType<typeof there.until>>;
      await sql.begin(async (tx) => {
        const late = Array.from({ length: 200 }, (_, i) => ({ ...note(`late ${i}.`), at: new Date() }));
        for (const { id, at, body } of late)
          await tx`insert into entry (club_id, entry_id, steaming_id, kind, at, by_id, by_name, source, body)
            values (${club}, ${id}, ${steaming}, 'note', ${at}, ${member}, 'Wenna Thrale', 'person', ${tx.json(body)})`;
        // Numbered after the 200, and seen before them.
        await owner.post(`/api/steamings/${steaming}/entries`, note('overtakes'));
        passed = await there.until((data) => data.includes('overtakes'));
      });
      await there.until((data) => data.includes('late 199.') && data.includes('late 0.'));
      // Whoever was cut off between the two is told as well.
      const back = await live(url, passed!.id);
      expect((await back.until((data) => data.includes('late 199.'))).data.match(/late \d+\./g)).toHaveLength(200);
      back.stop();
    } finally {
      there.stop();
      await sql.end();
    }
  });

  it('says that it is there every few seconds, and ends with its session', async () => {
    const other = await as('wenna');
    const there = await feed(`${second.url}/api/live`, { cookie: other.cookie });
    const beat = await there.untilEvent('beat', 8000);
    expect(Math.abs(Number(beat.data) - Date.now())).toBeLessThan(8000);
    await fetch(`${url}/sign-out`, { method: 'POST', headers: { origin: url, cookie: other.cookie }, body: new URLSearchParams() });
    await there.untilEvent('over', 3000);
    there.stop();
    expect((await fetch(`${second.url}/api/live`, { headers: { cookie: other.cookie } })).status).toBe(401);
  });

  it('tells another club nothing, whatever it names', async () => {
    const stranger = await as('idony');
    const there = await feed(`${url}/api/live?steaming=${steaming}`, { cookie: stranger.cookie });
    await owner.post(`/api/steamings/${steaming}/entries`, note('a secret of the fen'));
    await expect(there.until((data) => data.includes('secret'), 1500)).rejects.toThrow('nothing that matches');
    there.stop();
  });

  it('a place from another database, or nonsense, is told all', async () => {
    for (const from of ['not a place', '00000000-0000-7000-8000-000000000000.99999999']) {
      const there = await live(url, from);
      await there.until((data) => data.includes('told across'));
      there.stop();
    }
  });
});
