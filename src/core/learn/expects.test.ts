import { describe, expect, it } from 'vitest';
import { fitOut } from '../../../tests/made';
import { plantFor } from '../boiler';
import { demandOf } from '../sums';
import { expectsOf } from './expects';
import type { Fit } from './raising';

const shown = (watts: number) => ({ lnMean: { value: Math.log(watts), spread: 0.1 } }) as Fit;

describe('what an engine is expected to do', () => {
  const bittern = fitOut('Little Bittern');
  it('its heat is the middle of its raisings, as a ratio; one day is a day', () => {
    expect(expectsOf(bittern, [shown(2000)], [])).toEqual({});
    expect(expectsOf(bittern, [shown(2000), shown(4500)], []).heat).toBeCloseTo(3000, 6);
  });
  it('its use of water is held against the days that were counted, and is left to its class without any', () => {
    const sum = demandOf({ fitOut: bittern, plant: plantFor(bittern) }).hour.value;
    expect(expectsOf(bittern, [], [{ fuel: 1, inSteam: 3600 }])).toEqual({});
    // With a fifth besides: twice what the sum and that come to.
    const water = { kg: 2 * 1.2 * sum * 7200, time: 7200, duty: 'passengers' as const };
    expect(expectsOf(bittern, [], [{ fuel: 0, inSteam: 0, water }]).uses).toBeCloseTo(2 * sum, 9);
  });
});
