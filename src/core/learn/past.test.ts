import { describe, expect, it } from 'vitest';
import { at, fitOut, glass, lit, type Made, pressure, steaming } from '../../../tests/made';
import { plantOf } from '../boiler';
import { inSteamAt } from '../engine';
import { brief } from '../forecast';
import { saturationAtGauge } from '../steam';
import { type Gauge, psi } from '../units';
import { fireOf, pastOf, type Past } from './past';
import { derivedOf, derivedVersion, remember } from '.';

const name = 'Little Bittern';
const wp = inSteamAt(fitOut(name));
const past = (...made: Made[]): Past | undefined => pastOf(steaming(name, made));
const up = [pressure(5, 0), pressure(10, 20), pressure(15, 60), pressure(18, wp / psi(1))];

describe('a raising as it was logged', () => {
  it('is none without a match, or with fewer than two looks at a needle that had moved', () => {
    expect(past(...up)).toBeUndefined();
    expect(past(lit, pressure(5, 0), pressure(10, 0), pressure(12, 20))).toBeUndefined();
    expect(past(lit, pressure(10, 1), pressure(12, 20))).toMatchObject({
      litAt: at(0),
      readings: [{ at: 600 }, { at: 720, value: psi(20) }]
    });
    expect(remember(steaming(name, [pressure(5, 10)]))).toBeUndefined();
  });

  it('has what was read between the match and arriving, in seconds after the match', () => {
    const got = past(pressure(-5, 3), lit, ...up, pressure(19, 85), pressure(40, 70))!;
    expect(got.readings.map((r) => r.at / 60)).toEqual([5, 10, 15, 18]);
    expect(got.reached).toBe(18 * 60);
    expect(got).toMatchObject({ open: [], swept: false, cooling: [], lifts: [] });
    expect(got.blowerAt).toBeUndefined();
    // Never there: everything that was read counts, and no arrival is made up.
    const short = past(lit, pressure(5, 10), pressure(60, 40))!;
    expect([short.readings.length, short.reached]).toEqual([2, undefined]);
  });

  it('arrives between two looks, by temperature; not before the first look that was past it, nor far after the last', () => {
    const T = (p: number) => saturationAtGauge(psi(p) as Gauge).T;
    const between = (before: number, then: number) => (T(wp / psi(1)) - T(before)) / (T(then) - T(before));
    const reached = (...made: Made[]) => past(lit, pressure(5, 10), ...made)!.reached! / 60;
    const w = wp / psi(1);
    expect(reached(pressure(10, w - 30), pressure(20, w + 10))).toBeCloseTo(10 + 10 * between(w - 30, w + 10), 6);
    // 95 % of it, and still rising as before: a little further on; but nobody knows further than six tenths of the gap.
    expect(reached(pressure(10, w - 30), pressure(20, w * 0.975))).toBeCloseTo(10 + 10 * between(w - 30, w * 0.975), 6);
    expect(reached(pressure(10, w * 0.965), pressure(20, w * 0.971))).toBeCloseTo(10 + 10 * 1.6, 6);
  });

  it('ends with the fire: what was read afterwards is its cooling, with what still showed', () => {
    const got = past(lit, ...up, [60, 'fire', { act: 'out' }], pressure(70, 50), pressure(90, 20), pressure(120, 0))!;
    expect(got.cooling).toEqual([
      { at: 600, value: psi(50) },
      { at: 1800, value: psi(20) }
    ]);
    const early = past(lit, pressure(5, 10), pressure(10, 20), [12, 'fire', { act: 'out' }], pressure(15, 15))!;
    expect([early.readings.length, early.cooling.length, early.reached]).toEqual([2, 1, undefined]);
  });

  it('the blower takes over when it is opened and left; opened for a moment it is none', () => {
    const valve = (minute: number, which: 'blower' | 'whistle' | 'vent' | 'drains', open: number): Made => [
      minute,
      'valve',
      { valve: which, open }
    ];
    expect(past(lit, valve(8, 'blower', 0.5), ...up)!.blowerAt).toBe(480);
    expect(past(lit, valve(8, 'blower', 0.05), ...up)!.blowerAt).toBeUndefined();
    expect(past(valve(-1, 'blower', 0.5), lit, ...up)!.blowerAt).toBeUndefined();
    expect(past(lit, valve(6, 'blower', 0), valve(9, 'blower', 0.3), ...up)!.blowerAt).toBe(540);
  });

  it('what stands open is told with its size from when on: what was open at the match, a moment, several at once', () => {
    const valve = (minute: number, which: 'blower' | 'whistle' | 'vent' | 'drains' | 'damper', open: number): Made => [
      minute,
      'valve',
      { valve: which, open }
    ];
    const plant = plantOf(fitOut(name));
    const open = (...made: Made[]) => past(lit, ...made, ...up)!.open;
    for (const which of ['whistle', 'vent', 'drains', 'blower'] as const) {
      expect(open(valve(7, which, 0.5), valve(8, which, 0)), which).toEqual([
        { at: 420, area: plant[which] / 2 },
        { at: 480, area: 0 }
      ]);
      expect(open(valve(-1, which, 1))).toEqual([{ at: 0, area: plant[which] }]);
    }
    expect(open(valve(7, 'whistle', 1), valve(7, 'whistle', 0))).toEqual([
      { at: 420, area: plant.whistle },
      { at: 420 + brief, area: 0 }
    ]);
    expect(open(valve(7, 'drains', 0))).toEqual([{ at: 420, area: 0 }]);
    expect(open(valve(7, 'damper', 1))).toEqual([]);
    expect(open(valve(7, 'drains', 1), valve(8, 'vent', 1)).at(-1)!.area).toBeCloseTo(plant.drains + plant.vent, 15);
  });

  it('begins with what was read of water and warmth, or says what was taken as usual', () => {
    expect(past(lit, ...up)).toMatchObject({ waterFrom: 'usual fill', TFrom: 'taken as usual' });
    const read = past(glass(-10, 0.75), [-9, 'reading', { temperature: 300 }], lit, ...up)!;
    expect(read).toMatchObject({ waterFrom: 'glass', TFrom: 'read', T: 300 });
    expect(read.water).toBeGreaterThan(past(glass(-10, 0.4), lit, ...up)!.water);
  });

  it('keeps lifts, sweeping and the fire it was raised with', () => {
    const got = past(
      lit,
      ...up,
      [25, 'lift', { valve: 1, lifted: psi(91), reseated: psi(86) }],
      [26, 'lift', { valve: 2, reseated: psi(80) }],
      [-60, 'tick', { step: 'tubes-swept', outcome: 'done' }]
    )!;
    expect([got.lifts, got.swept]).toEqual([[{ valve: 1, lifted: psi(91) }], true]);
    expect(past(lit, ...up, [90, 'tick', { step: 'tubes-swept', outcome: 'skipped', reason: 'dark' }])!.swept).toBe(false);
    const f = fitOut(name);
    const { fire } = f;
    if (fire.with !== 'solid') throw new Error('Little Bittern burns coal');
    const grate = { ...fire, fuel: 'anthracite' as const, grateLength: 0.2, grateWidth: 0.1 };
    expect(fireOf({ ...f, fire: grate })).toBe('anthracite, 200 cm²');
    const element = fitOut('Lantern').fire;
    if (element.with !== 'electric') throw new Error('Lantern is heated by an element');
    expect(fireOf({ ...f, fire: { ...element, power: 1000.4 } })).toBe('electric, 1000');
  });

  it('what is kept of a steaming has its summary, its raising and the version of the code', () => {
    const log = steaming(name, [lit, ...up]);
    const kept = derivedOf(log, []);
    expect(kept).toMatchObject({ version: derivedVersion, summary: { readings: 4 }, raised: { past: { reached: 1080 } } });
    expect(kept.raised!.off).toBeGreaterThanOrEqual(0);
    expect(derivedOf(steaming(name, [lit, pressure(5, 10), pressure(60, 40)]), []).raised).not.toHaveProperty('off');
    expect(derivedOf(steaming(name, []), []).raised).toBeNull();
  });
});
