import { timeOrderedId } from '../../src/core/log/id';
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
  const live = (from: string, after: number, last?: string) =>
    feed(`${from}/api/steamings/${steaming}/live?after=${after}`, { cookie: owner.cookie, ...(last ? { 'last-event-id': last } : {}) });

  it('one session is good at both, and what one stores the other tells', async () => {
    const start = (await owner.post(`/api/steamings/${steaming}/entries`, note('before'))).body.last as number;
    const there = await live(second.url, start);
    expect(there.status).toBe(200);
    await owner.post(`/api/steamings/${steaming}/entries`, note('told across'));
    const told = await there.until((data) => data.includes('told across'));
    expect(Number(told.id)).toBeGreaterThan(start);
    there.stop();

    // Cut off, it goes on from the last event it had, at either process, and misses nothing.
    await owner.post(`/api/steamings/${steaming}/entries`, { entries: [note('while away, one'), note('while away, two')] });
    const back = await live(url, 0, told.id);
    const resumed = await back.until((data) => data.includes('while away, two'));
    expect(resumed.data).toContain('while away, one');
    back.stop();
  });
});
