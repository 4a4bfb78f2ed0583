import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Feed } from './feed.svelte';

/** A server whose answers are given by hand, one a request. */
let asked: { url: string; answer: (response: Response) => void; aborted: boolean }[];
let close: () => void;
beforeEach(() => {
  vi.useFakeTimers();
  asked = [];
  vi.stubGlobal('addEventListener', () => {});
  vi.stubGlobal('removeEventListener', () => {});
  vi.stubGlobal('document', { addEventListener() {}, removeEventListener() {}, visibilityState: 'visible' });
  vi.stubGlobal('fetch', (url: string, { signal }: { signal: AbortSignal }) => {
    return new Promise<Response>((answer, fail) => {
      const request = { url, answer, aborted: false };
      signal.addEventListener('abort', () => {
        request.aborted = true;
        fail(new Error('aborted'));
      });
      asked.push(request);
    });
  });
});
afterEach(() => {
  close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const stream = () => {
  let controller!: ReadableStreamDefaultController<Uint8Array>;
  const body = new ReadableStream<Uint8Array>({ start: (c) => void (controller = c) });
  const say = (text: string) => controller.enqueue(new TextEncoder().encode(text));
  return { response: new Response(body), say, end: () => controller.close() };
};
const settle = async () => {
  for (let i = 0; i < 30; i++) await vi.advanceTimersByTimeAsync(1);
};
/** @param seconds of the page's time */
const pass = (seconds: number) => vi.advanceTimersByTimeAsync(seconds * 1000);

function opened() {
  const heard: string[] = [];
  const feed = new Feed(['s1'], 'd.1', { entries: (told) => heard.push(...(told.s1 ?? []).map((e) => e.id)) });
  close = feed.open();
  return { feed, heard };
}

describe('the live feed, as a page hears it', () => {
  it('goes on from the last place it heard, whoever closed the connection', async () => {
    const { heard } = opened();
    const first = stream();
    asked[0]!.answer(first.response);
    await vi.dynamicImportSettled();
    await settle();
    first.say('id: d.7\nevent: entries\ndata: {"s1":[{"id":"a"}]}\n\n');
    await settle();
    expect(heard).toEqual(['a']);
    first.end();
    await pass(2);
    expect(asked).toHaveLength(2);
    expect([asked[0]!.url, asked[1]!.url]).toEqual([expect.stringContaining('after=d.1'), expect.stringContaining('after=d.7')]);
  });

  it('asks again after a 502, later each time, says that it is deaf within 20 s, and hears again', async () => {
    const { feed } = opened();
    let answered = 0;
    const bad = () => {
      for (; answered < asked.length; answered++) asked[answered]!.answer(new Response('bad gateway', { status: 502 }));
    };
    for (let i = 0; i < 20; i++, await pass(1)) bad();
    expect(feed.deaf).toBe(true);
    // Half a second, a second, two, four, …: not once a second.
    expect(asked.length).toBeGreaterThan(3);
    expect(asked.length).toBeLessThan(9);
    while (answered === asked.length) await pass(1);
    const good = stream();
    asked[answered]!.answer(good.response);
    await settle();
    good.say('event: beat\ndata: 1\n\n');
    await settle();
    expect(feed.deaf).toBe(false);
  });

  it('a server that is slow to answer is waited for, deaf or not', async () => {
    const { feed } = opened();
    await pass(17);
    expect(feed.deaf).toBe(true);
    const last = asked.at(-1)!;
    // As long as it takes a slow line: not let go the second after.
    await pass(8);
    expect([asked.at(-1) === last, last.aborted]).toEqual([true, false]);
    const good = stream();
    last.answer(good.response);
    await settle();
    good.say('event: beat\ndata: 1\n\n');
    await settle();
    expect(feed.deaf).toBe(false);
  });

  it('does not ask again when its session is over', async () => {
    const { feed } = opened();
    asked[0]!.answer(new Response('', { status: 401 }));
    await pass(60);
    expect([asked.length, feed.over]).toEqual([1, true]);
  });
});
