import { describe, expect, it } from 'vitest';
import { chance } from '../chance';
import { rateOfTaps } from './taps';

/** A finger that follows a beat: four parts in a hundred of it early or late, and never surer than twelve thousandths of a second. */
function tapper(perMinute: number, taps: number, seed: number, missed: readonly number[] = []): number[] {
  const luck = chance(seed);
  const one = 60 / perMinute;
  return Array.from({ length: taps }, (_, i) => 100 + i * one + Math.max(0.012, 0.04 * one) * luck.normal()).filter(
    (_, i) => !missed.includes(i)
  );
}

describe('taps', () => {
  it('twenty tappers at 60 to 400 a minute: within two in a hundred by twelve taps, and the spread holds', () => {
    let held = 0;
    for (let n = 0; n < 20; n++) {
      const perMinute = 60 + (340 * n) / 19;
      const found = rateOfTaps(tapper(perMinute, 12, n + 1))!;
      expect(Math.abs((found.rate * 60) / perMinute - 1), `${perMinute}`).toBeLessThan(0.02);
      if (Math.abs(found.rate * 60 - perMinute) < 2 * 60 * found.spread) held++;
    }
    expect(held).toBeGreaterThanOrEqual(17);
  });
  it('an even beat is its rate, whenever it began', () => {
    expect(rateOfTaps([5, 5.5, 6, 6.5, 7])!).toMatchObject({ beats: 4 });
    expect(rateOfTaps([5, 5.5, 6, 6.5, 7])!.rate).toBeCloseTo(2, 9);
    expect(rateOfTaps([5, 5.5, 6, 6.5, 7])!.spread).toBeCloseTo(0, 9);
  });
  it('a beat that was missed is counted, a finger that trembles is not', () => {
    const found = rateOfTaps(tapper(120, 14, 3, [5, 9]))!;
    expect(found.beats).toBe(13);
    expect(found.rate * 60).toBeCloseTo(120, -0.5);
    expect(rateOfTaps([0, 0.5, 0.53, 1, 1.5])!.rate).toBeCloseTo(2, 9);
    expect(rateOfTaps([0, 0.5, 0.57, 1, 1.5])!.rate).not.toBeCloseTo(2, 2);
  });
  it('three tell nothing', () => {
    expect(rateOfTaps([0, 1, 2])).toBeUndefined();
    expect(rateOfTaps([0, 1, 2, 3])).toBeDefined();
  });
});
