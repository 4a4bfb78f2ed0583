import { describe, expect, it } from 'vitest';
import { fitOut, glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { plantOf, usualFill, waterAtGlass } from '../boiler';
import { patterns } from '../engine';
import { waterVolume } from '../steam';
import { startOf } from './start';

const name = 'Little Bittern';
const plant = plantOf(fitOut(name));
const of = (made: Made[], day?: { water: number; air: number }) => startOf(steaming(name, made), plant, day);
const warm = (minute: number, temperature: number): Made => [minute, 'reading', { temperature }];
const filled = (level: number, T: number) => waterAtGlass(plant.vessel, level, T) / waterVolume(T);

describe('what is known at the match', () => {
  it('nothing read: the usual fill, as cold as usual, or as the day is', () => {
    expect(of([lit])).toEqual({ water: usualFill(fitOut(name), plant, 286), T: 286, ambient: 286, read: false, level: false });
    expect(of([lit], { water: 281, air: 299 })).toMatchObject({
      T: 281,
      ambient: 299,
      read: false,
      water: usualFill(fitOut(name), plant, 281)
    });
  });
  it('the last glass before the match, and none after it', () => {
    const got = of([glass(-20, 0.6), glass(-10, 0.4), lit, glass(1, 0.9)]);
    expect([got.level, got.water]).toEqual([true, filled(0.4, 286)]);
    expect(of([lit, glass(1, 0.9)])).toMatchObject({ level: false, water: usualFill(fitOut(name), plant, 286) });
    expect(of([glass(-5, 'bottom nut'), lit]).level).toBe(false);
    expect(of([glass(0, 0.7), lit]).water).toBe(filled(0.7, 286));
  });
  it('the first temperature until a quarter of an hour after the match, and none of steam', () => {
    expect(of([warm(-30, 300), warm(-10, 310), lit])).toMatchObject({ T: 300, ambient: 300, read: true });
    expect(of([lit, warm(14.9, 320)])).toMatchObject({ T: 320, ambient: 303, read: true });
    expect(of([lit, warm(15, 320)])).toMatchObject({ T: 286, read: false });
    expect(of([warm(-5, 373), warm(-4, 372), lit]).T).toBe(372);
    expect(of([glass(-5, 0.5), warm(-4, 320), lit, pressure(3, 4)]).water).toBe(filled(0.5, 320));
  });
  it('an engine without a glass goes by its usual fill, whatever was logged', () => {
    const blind = patterns.find((p) => p.fitOut.glasses.length === 0)!.fitOut;
    const its = plantOf(blind);
    expect(startOf(steaming(blind.name, [glass(-5, 0.5), lit]), its).water).toBe(usualFill(blind, its, 286));
  });
});
