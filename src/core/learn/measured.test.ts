import { describe, expect, it } from 'vitest';
import { at, fitOut, lit, type Made, steaming } from '../../../tests/made';
import { dayOf } from '../../../tests/watched';
import { plantFor } from '../boiler';
import { lapsOf, type Measured } from '../log';
import { demandOf, lapsLeft } from '../sums';
import { plantShown } from '../forecast';
import { expectsMeasured, measuredOf, timeMeans } from '.';

const hen = fitOut('Marsh Hen');
const uses = (name: string) => demandOf({ fitOut: fitOut(name), plant: plantFor(fitOut(name)) }).hour.value;
const timed = (m: number, what: string, time: number): Made => [m, 'timed', { what, time }];
const lap = (m: number, begins = false, length = 300): Made => [m, 'lap', { length, ...(begins ? { begins: true } : {}) }];

describe('what hands have measured on a day', () => {
  it('times, by what was timed; what was struck is none', () => {
    const strike: Made = [3, 'strike', {}, 2];
    const log = steaming('Marsh Hen', [lit, timed(1, 'Left injector picks up', 4), timed(2, 'Left injector picks up', 9), strike]);
    expect(measuredOf(log, plantFor(hen), 0.001)?.times).toEqual({ 'Left injector picks up': [4] });
    expect(measuredOf(steaming('Marsh Hen', [lit]), plantFor(hen), 0.001)).toBeUndefined();
  });
  it('laps from where they were begun last, and a lap when there were three', () => {
    const laps = [lap(1, true), lap(2), lap(10, true), lap(12), lap(15)];
    expect(lapsOf(steaming('Marsh Hen', [lit, ...laps]))).toEqual({ length: 300, times: [120, 180], from: at(10), to: at(15) });
    expect(lapsOf(steaming('Marsh Hen', [lit, lap(1)]))).toBeUndefined();
    const of = (more: Made[]) => measuredOf(steaming('Marsh Hen', [lit, ...laps, ...more]), plantFor(hen), 0.001)?.lap;
    expect(of([])).toBeUndefined();
    expect(of([lap(17)])).toEqual({ length: 300, time: 120 });
  });
  // Days of our own model with an ordinary keeper whose feeds give otherwise than their fit-out says: no foreign ground.
  it.each([
    ['Marsh Hen', 0.7],
    ['Marsh Hen', 1.3],
    ['Snipe', 0.7],
    ['Snipe', 1.3],
    ['Old Scoop', 0.7],
    ['Old Scoop', 1.3]
  ])('feeds of %s that give %d of it are learned nearer to that than they were', (name, factor) => {
    const days = [901, 902, 903].flatMap((seed) => {
      const day = dayOf(fitOut(name), seed, 100, {
        after: [0.1, 0.2],
        forces: ({ set }) => (set.feeds = set.feeds.map((on) => on * factor))
      });
      return measuredOf(day.log, plantFor(fitOut(name)), uses(name)) ?? [];
    });
    const off = Object.values(expectsMeasured(days).feeds ?? {}).map((gave) => Math.abs(Math.log(gave / factor)));
    expect(off.length).toBeGreaterThan(0);
    expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(0.85 * Math.abs(Math.log(factor)));
  });
  it('a day that begins with what was learned keeps what is over the fit-out, and not over that', () => {
    const day = dayOf(hen, 904, 100);
    const plain = measuredOf(day.log, plantFor(hen), uses('Marsh Hen'))!.feeds!;
    const { context } = day.log;
    const feeds = { 'Left injector': 1.25, 'Right injector': 1.25 };
    const begun = { public: false, feedsAsked: 2, faults: [], papers: [], ...context.begun, expects: { ...context.begun?.expects, feeds } };
    const again = measuredOf({ ...day.log, context: { ...context, begun } }, plantFor(hen), uses('Marsh Hen'))!.feeds!;
    for (const name of Object.keys(plain)) expect(again[name]!.gave / plain[name]!.gave).toBeGreaterThan(0.85);
    for (const name of Object.keys(plain)) expect(again[name]!.gave / plain[name]!.gave).toBeLessThan(1.25);
  });
});

describe('what is expected by it', () => {
  const day = (gave: number, spread: number): Measured => ({ feeds: { Pump: { gave, spread } } });
  it('a feed goes from what its fit-out says to what days have shown, the surer the further', () => {
    const learned = (days: Measured[]) => expectsMeasured(days).feeds!.Pump!;
    expect(learned([day(1.4, 0.3)])).toBeGreaterThan(1.1);
    expect(learned([day(1.4, 0.3)])).toBeLessThan(learned([day(1.4, 0.1)]));
    expect(learned(Array.from({ length: 8 }, () => day(1.4, 0.1)))).toBeGreaterThan(1.35);
    expect(expectsMeasured([])).toEqual({});
    const plant = plantFor(hen);
    const shown = plantShown(plant, { 'Left injector': 1.2 });
    expect(shown.feeds.map((f, i) => f.rate / plant.feeds[i]!.rate)).toEqual(
      plant.feeds.map((f) => (f.name === 'Left injector' ? 1.2 : 1))
    );
    expect(plantShown(plant, undefined)).toBe(plant);
  });
  it('a time is usual, slow or quick once it was timed three times', () => {
    const expects = expectsMeasured([{ times: { brake: [60, 64] } }, { times: { brake: [58, 61, 66, 59] } }]);
    expect(expects.times!.brake).toMatchObject({ of: 6 });
    expect(expects.times!.brake!.usual).toBeCloseTo(61.3, 1);
    expect([20, 61, 75, 110].map((s) => timeMeans('brake', s, expects))).toEqual(['quick', 'usual', 'usual', 'slow']);
    expect(timeMeans('brake', 61, expectsMeasured([{ times: { brake: [60, 64] } }]))).toBeUndefined();
    expect(timeMeans('whistle', 1, expects)).toBeUndefined();
  });
  it('of laps the newest day counts', () => {
    expect(expectsMeasured([{ times: {} }, { lap: { length: 300, time: 120 } }, { lap: { length: 300, time: 200 } }]).lap).toEqual({
      length: 300,
      time: 120
    });
  });
  it('laps that are left: what may be used, by what a lap takes', () => {
    const said = { length: 300, time: 150, uses: 0.002, boiler: 0.001, tank: 0.008, reserve: 1 / 3 };
    // Six litres may be used, three tenths of a litre a lap.
    expect(lapsLeft.work(said, { fitOut: hen, plant: plantFor(hen) }).value).toBe(20);
  });
});
