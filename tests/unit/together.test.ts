import { describe, expect, it } from 'vitest';
import { together } from '../../src/server/together';

describe('what comes meanwhile is asked at once', () => {
  const later = () => new Promise((done) => setTimeout(done, 5));
  it('one question under way at a time: the next one has all that came until then, each its own answer', async () => {
    const asked: number[][] = [];
    const of = together<number, number>(
      async (keys) => {
        asked.push([...keys]);
        await later();
        return keys.map((k) => k * 10);
      },
      { atOnce: 1 }
    );
    const first = of(1);
    await Promise.resolve();
    await Promise.resolve();
    const all = await Promise.all([first, ...[2, 3, 4].map(of)]);
    expect(all).toEqual([10, 20, 30, 40]);
    expect(asked.flat()).toEqual([1, 2, 3, 4]);
    expect(asked.length).toBeLessThanOrEqual(2);
    // Nothing is remembered.
    expect(await of(1)).toBe(10);
    expect(asked.at(-1)).toEqual([1]);
  });
  it('one that fails fails alone, and a question that failed does not keep the next one waiting', async () => {
    let down = true;
    const of = together<number, number>(
      async (keys) => {
        await later();
        if (down) throw new Error('away');
        return keys.map((k) => (k === 2 ? new Error('bad') : k));
      },
      { atOnce: 1 }
    );
    await expect(of(1)).rejects.toThrow('away');
    down = false;
    expect((await Promise.allSettled([1, 2, 3].map(of))).map((r) => r.status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
  });
});
