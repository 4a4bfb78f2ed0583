import { describe, expect, it } from 'vitest';
import { asPast, raised } from '../../../demo/raised';
import { fitOut } from '../../../tests/made';
import { energyAt, energyTable, needleAt, plantOf, usualFill } from '../boiler';
import { chance } from '../chance';
import { classHeating } from '../forecast';
import { boilingAt } from '../steam';
import { psi, standardAtmosphere } from '../units';
import { before, fitTogether } from './burners';
import { lossFrom } from './cooling';
import { missesOfNeedle, needles } from './needle';
import type { Past } from './past';
import { fitRaising, type Fit, unreadable } from './raising';
import { leastSquares } from './squares';
import { chaptersOf, fitsNow, heatingFrom, learn, offBy, type Told, widthFrom } from '.';

const bittern = fitOut('Little Bittern');
const plant = plantOf(bittern);
const water = usualFill(bittern, plant);
const blank: Past = {
  litAt: 0,
  water,
  waterFrom: 'glass',
  T: 288,
  TFrom: 'read',
  ambient: 288,
  readings: [],
  open: [],
  cooling: [],
  fire: 'coal, 100 cm²',
  swept: true
};

describe('least squares', () => {
  // y = a + b·t through exact points: the answer and its covariance are those of the normal equations.
  const t = [0, 1, 2, 3, 4];
  const line = (y: readonly number[], sigma: number) => (x: readonly number[]) => t.map((ti, i) => (x[0]! + x[1]! * ti - y[i]!) / sigma);
  it('finds the straight line and how well it is known', () => {
    const { x, spread, misses } = leastSquares(line([1, 3, 5, 7, 9], 0.1), [0, 0], [0.01, 0.01], { sure: 5 });
    expect(x[0]).toBeCloseTo(1, 5);
    expect(x[1]).toBeCloseTo(2, 5);
    // σ²·(JᵀJ)⁻¹ of five points: 0.6 and 0.1, and −0.2 between them.
    expect(spread[0]![0]).toBeCloseTo(0.01 * 0.6, 6);
    expect(spread[1]![1]).toBeCloseTo(0.01 * 0.1, 6);
    expect(spread[0]![1]).toBeCloseTo(-0.01 * 0.2, 6);
    expect(Math.max(...misses.map(Math.abs))).toBeLessThan(1e-3);
  });
  it('is hardly moved by one wild point, unless it is sure of it', () => {
    const wild = line([1, 3, 5, 7, 29], 0.1);
    expect(leastSquares(wild, [0, 0], [0.01, 0.01]).x[1]).toBeCloseTo(2, 1);
    expect(leastSquares(wild, [0, 0], [0.01, 0.01], { sure: 5 }).x[1]).toBeCloseTo(6, 3);
  });
  it('finds its way along a bent valley, and stays where it can do no better', () => {
    const valley = ([a, b]: readonly number[]) => [10 * (b! - a! ** 2), 1 - a!];
    const { x } = leastSquares(valley, [-1.2, 1], [1e-4, 1e-4], { sure: 2, rounds: 200 });
    expect(x[0]).toBeCloseTo(1, 2);
    expect(x[1]).toBeCloseTo(1, 2);
    expect(leastSquares(valley, [1, 1], [1e-4, 1e-4], { sure: 2 }).x).toEqual([1, 1]);
  });
});

describe('loss from cooling', () => {
  const usualLoss = { value: Math.log(plant.vessel.loss), spread: before.loss };
  // A boiler that loses by Newton's law: T − air falls by the same share each second, at loss over its heat capacity.
  const table = energyTable(plant.vessel, water);
  const cooled = (loss: number, minutes: readonly number[], from = 420, air = 0): Past => {
    const C = (energyAt(table, from - 5) - energyAt(table, from - 15)) / 10;
    return {
      ...blank,
      open: [{ at: 300, area: 1e-6 }],
      cooling: minutes.map((m) => {
        const T = 288 + (from - 288) * Math.exp((-loss / C) * m * 60);
        return { at: m * 60, value: needleAt(table, air, T, standardAtmosphere) };
      })
    };
  };
  it('of one that never let its air out the needle tells less: its air is sought too, and what is said is wider', () => {
    const minutes = [0, 5, 10, 15, 20, 25, 30, 35, 40];
    const shut = { ...cooled(5, minutes, 410, 0.4), open: [] };
    const got = lossFrom(plant, shut, usualLoss)!;
    expect(Math.abs(got.value - Math.log(5))).toBeLessThan(1.6 * got.spread);
    expect(got.spread).toBeGreaterThan(1.15 * lossFrom(plant, cooled(5, minutes, 410), usualLoss)!.spread);
  });
  it.each([3, 5, 8])('gets back %d W/K', (loss) => {
    const got = lossFrom(plant, cooled(loss, [0, 5, 10, 15, 20]), usualLoss)!;
    expect(Math.exp(got.value) / loss).toBeCloseTo(1, 1);
    expect(Math.abs(Math.exp(got.value) / loss - 1)).toBeLessThan(0.04);
    expect(got.spread).toBeGreaterThan(0.05);
    expect(got.spread).toBeLessThan(0.4);
  });
  it('knows better after longer, and nothing from two looks, ten minutes, a needle near its stop or a boiler that warms', () => {
    const spread = (minutes: number[]) => lossFrom(plant, cooled(5, minutes), usualLoss)!.spread;
    expect(spread([0, 10, 20, 30])).toBeLessThan(spread([0, 4, 8, 12]));
    expect(lossFrom(plant, cooled(5, [0, 20]), usualLoss)).toBeUndefined();
    expect(lossFrom(plant, cooled(5, [0, 4, 9.9]), usualLoss)).toBeUndefined();
    expect(lossFrom(plant, cooled(5, [0, 5, 10]), usualLoss)).toBeDefined();
    expect(lossFrom(plant, { ...blank, cooling: [0, 600, 1200].map((at) => ({ at, value: 10_000 })) }, usualLoss)).toBeUndefined();
    expect(lossFrom(plant, { ...blank, cooling: [0, 600, 1200].map((at, i) => ({ at, value: psi(30 + i) })) }, usualLoss)).toBeUndefined();
  });
});

describe('a needle, supposed and read', () => {
  const table = energyTable(plant.vessel, water);
  const heat = classHeating(bittern, plant, { water, T: 288.15 });
  const supposed = {
    lnHeat: heat.lnHeat,
    lnLag: Math.log(heat.lag),
    lnBoost: Math.log(1.5),
    air: 0.4,
    lnLeak: -5,
    loss: plant.vessel.loss
  };
  const at = [600, 900, 1200];
  const shown = (more: Partial<Past>, s: Partial<typeof supposed> = {}) =>
    needles(plant, table, { ...blank, readings: at.map((t) => ({ at: t, value: psi(20) })), ...more }, { ...supposed, ...s });
  it('rises with heat, falls with loss and lag, and a blower helps from when it is on', () => {
    const usual = shown({});
    const higher = (a: number[], b: number[]) => a.every((x, i) => x >= b[i]!) && a.at(-1)! > b.at(-1)! + psi(0.5);
    expect(higher(usual, [0, 0, 0])).toBe(true);
    expect(higher(shown({}, { lnHeat: heat.lnHeat + 0.2 }), usual)).toBe(true);
    expect(higher(usual, shown({}, { loss: 3 * plant.vessel.loss }))).toBe(true);
    expect(higher(usual, shown({}, { lnLag: Math.log(2 * heat.lag) }))).toBe(true);
    const blown = shown({ blowerAt: 900 });
    expect(blown.slice(0, 2)).toEqual(usual.slice(0, 2));
    expect(blown[2]).toBeGreaterThan(usual[2]!);
    // Kept to a pace, a stronger fire shows no more than a weaker one: nothing is learned from it of the fire.
    const kept = (lnHeat: number) =>
      needles(
        { ...plant, pace: 0.1 },
        table,
        { ...blank, readings: at.map((t) => ({ at: 2 * t, value: psi(20) })) },
        { ...supposed, lnHeat, lnLag: 0, air: 0 }
      );
    kept(heat.lnHeat + 1).forEach((p, i) => expect(p).toBeCloseTo(kept(heat.lnHeat + 2)[i]!, 0));
    expect(kept(heat.lnHeat - 1.2)[2]).toBeLessThan(kept(heat.lnHeat + 1)[2]! - psi(1));
    // Air adds its own pressure, until it is let out or has leaked away.
    const early = (more: Partial<Past>, x: Partial<typeof supposed>) => shown({ readings: [{ at: 420, value: psi(20) }], ...more }, x)[0]!;
    const tight = early({}, { air: 1, lnLeak: -20 });
    expect(tight).toBeGreaterThan(early({}, { air: 1 }) + psi(0.2));
    expect(early({}, { air: 1 })).toBeGreaterThan(early({ open: [{ at: 200, area: 1e-6 }] }, { air: 1 }) + psi(0.2));
    expect(early({ open: [{ at: 200, area: 1e-6 }] }, { air: 1, lnLeak: -20 })).toBeCloseTo(early({}, { air: 0 }), -3);
    expect(early({ open: [{ at: 500, area: 1e-6 }] }, { air: 1, lnLeak: -20 })).toBe(tight);
    expect(
      early(
        {
          open: [
            { at: 30, area: 1e-6 },
            { at: 31, area: 0 }
          ]
        },
        { air: 1, lnLeak: -20 }
      )
    ).toBeGreaterThan(early({}, { air: 0 }) + psi(1));
    expect(shown({}, { air: 1.4 })).toEqual(shown({}, { air: 1 }));
  });
  it('a reading lies so many of its own spreads away; a needle on its stop says only that there was less', () => {
    const read = (value: number, there: number) => missesOfNeedle({ ...blank, readings: [{ at: 1, value }] }, [there])[0]!;
    expect(read(psi(0), psi(2))).toBe(0);
    expect(read(psi(0.5), psi(3.2))).toBeCloseTo(1, 9);
    expect(read(psi(0), psi(-3))).toBe(0);
    expect(read(psi(50), psi(53))).toBeCloseTo(-read(psi(50), psi(47)), 9);
    expect(read(psi(50), psi(53))).toBeGreaterThan(0);
  });
});

describe('raisings read together', () => {
  const lantern = fitOut('Lantern');
  const its = plantOf(lantern);
  const heating = classHeating(lantern, its, { water: usualFill(lantern, its), T: 288.15 });
  it('an element’s heat and a boiler’s loss and metal come out of several days; each day has its own factor', () => {
    const luck = chance(7);
    const own = { power: 1.15, metal: 1.04 };
    const pasts = Array.from({ length: 4 }, (_, i) => asPast(lantern, raised(lantern, luck, { own }), i * 1e8));
    const got = fitTogether(its, heating, pasts);
    expect(Math.abs(got.lnHeat.value - heating.lnHeat - Math.log(1.15))).toBeLessThan(0.06);
    expect(got.days).toHaveLength(4);
    for (const day of got.days) {
      expect(Math.abs(day.value)).toBeLessThan(3 * before.day);
      expect(day.spread).toBeLessThanOrEqual(before.day * 1.001);
      expect(day.spread).toBeGreaterThan(0);
    }
    for (const [key, spread] of [
      ['lnHeat', before.heat],
      ['lnLoss', before.loss],
      ['lnMetal', before.metal],
      ['lnLag', before.lag]
    ] as const)
      expect(got[key].spread).toBeLessThan(spread);
  });
  it('cooling that followed straight on is read with them; after a drive, or of what was never up, it is not', () => {
    const made = raised(lantern, chance(9), { own: { loss: 1.6 } });
    const cooled = { ...asPast(lantern, made, 0) };
    const out = cooled.reached! + 20;
    const loss = (past: Past) => fitTogether(its, heating, [past]).lnLoss;
    const [with_, later] = [loss({ ...cooled, out }), loss({ ...cooled, out: out + 600 })];
    expect(with_.spread).toBeLessThan(0.6 * later.spread);
    expect(later).toEqual(loss({ ...cooled, cooling: [] }));
    expect(Math.abs(with_.value - Math.log(made.cools))).toBeLessThan(0.2);
  });
  it('what its readings do not bear out is wider, and by much is not learned from', () => {
    const usual = classHeating(bittern, plant, { water, T: 288.15 });
    const table = energyTable(plant.vessel, water);
    const at = Array.from({ length: 16 }, (_, i) => ({ at: 240 + 45 * i, value: 0 }));
    const shown = needles(
      plant,
      table,
      { ...blank, readings: at },
      { lnHeat: usual.lnHeat, lnLag: Math.log(usual.lag), lnBoost: 0, air: 0.5, lnLeak: -5, loss: plant.vessel.loss }
    );
    const past = (by: number): Past => ({
      ...blank,
      readings: at.map((r, i) => ({ ...r, value: Math.max(psi(1), shown[i]! + (i % 2 ? by : -by)) }))
    });
    const [good, poor, bad] = [0, psi(4), psi(12)].map((by) => fitRaising(plant, usual, past(by)));
    expect(good!.miss).toBeLessThan(0.5);
    expect(poor!.miss).toBeGreaterThan(2);
    expect(poor!.miss).toBeLessThan(4);
    expect(poor!.lnHeat.spread).toBeGreaterThan(1.8 * good!.lnHeat.spread);
    expect(poor!.lnMean.spread).toBeGreaterThan(1.8 * good!.lnMean.spread);
    expect([good!, { miss: 4 }, { miss: 4.01 }].map((f) => unreadable(f) !== undefined)).toEqual([false, false, true]);
    expect(unreadable(bad!)).toContain(bad!.miss.toFixed(1));
    const told = [
      { id: 'a', past: past(0), fit: good! },
      { id: 'b', past: { ...past(psi(12)), litAt: 1 }, fit: bad! }
    ];
    expect(fitsNow(told, { leftOut: [], chapters: [] })).toEqual([good]);
    const learned = learn(bittern, told, { leftOut: [], chapters: [] });
    expect(learned.from).toEqual(['a']);
    expect(learned.raisings.map((r) => r.unreadable === undefined)).toEqual([true, false]);
  });
  it('a fire takes its time: its mean is less than what it comes to, and the blower gains over the mean', () => {
    const usual = classHeating(bittern, plant, { water, T: 288.15 });
    const past = asPast(bittern, raised(bittern, chance(3), {}), 0);
    const f = fitRaising(plant, usual, past);
    const lag = Math.exp(f.lnLag.value);
    const share = 1 - (lag / past.blowerAt!) * (1 - Math.exp(-past.blowerAt! / lag));
    expect(f.lnMean.value).toBeCloseTo(f.lnHeat.value + Math.log(share), 9);
    expect(f.lnGain!.value).toBeCloseTo(f.lnBoost!.value - Math.log(share), 9);
    expect(f.lnGain!.spread).toBeGreaterThan(0);
  });
  it('one raising tells how the blower helps only when it was read after it was opened', () => {
    const r = raised(bittern, chance(3), {});
    const usual = classHeating(bittern, plant, { water, T: 288.15 });
    const past = asPast(bittern, r, 0);
    expect(past.blowerAt).toBeDefined();
    const fit = fitRaising(plant, usual, past);
    expect(fit.lnBoost!.spread).toBeLessThan(0.7);
    expect(fit.miss).toBeGreaterThan(0.2);
    expect(fitRaising(plant, usual, { ...past, readings: past.readings.filter((x) => x.at <= past.blowerAt!) })).not.toHaveProperty(
      'lnBoost'
    );
    expect(fitRaising(plant, { ...usual, boostSpread: 0 }, past)).not.toHaveProperty('lnBoost');
  });
});

describe('what a past does to a forecast', () => {
  const usual = classHeating(bittern, plant, { water, T: 288.15 });
  const fit = (lnHeat: number, spread = 0.05): Fit => ({
    lnHeat: { value: lnHeat, spread },
    lnMean: { value: lnHeat - 0.1, spread },
    lnLag: { value: Math.log(usual.lag), spread: 0.2 },
    air: { value: 0.3, spread: 0.1 },
    miss: 1
  });
  it('one raising moves the class by its precision against the prior’s', () => {
    const got = heatingFrom(usual, [fit(usual.lnHeat + 0.3)], ' (since the sweep)');
    const [p, q] = [1 / usual.heatSpread ** 2, 1 / (0.05 ** 2 + (0.4 * usual.heatSpread) ** 2)];
    expect(got.lnHeat).toBeCloseTo(usual.lnHeat + (0.3 * q) / (p + q), 9);
    const scatter = (0.3 - (0.3 * q) / (p + q)) ** 2;
    expect(got.heatSpread).toBeCloseTo(Math.sqrt(1 / (p + q) + (4 * (0.4 * usual.heatSpread) ** 2 + scatter) / 5), 9);
    expect([got.from, got.raisings]).toEqual(['its last raising (since the sweep)', 1]);
    expect(got.lag).toBeCloseTo(usual.lag, 9);
    expect(got.lnBoost).toBe(usual.lnBoost);
  });
  it('the newest counts most, an old one half as much after eight, and days that agree narrow it', () => {
    const many = (n: number, f: (i: number) => number) => Array.from({ length: n }, (_, i) => fit(f(i)));
    const rising = heatingFrom(
      usual,
      many(9, (i) => usual.lnHeat + (i === 8 ? 0.3 : 0))
    );
    const falling = heatingFrom(
      usual,
      many(9, (i) => usual.lnHeat + (i === 0 ? 0.3 : 0))
    );
    expect((rising.lnHeat - usual.lnHeat) / (falling.lnHeat - usual.lnHeat)).toBeCloseTo(2, 9);
    expect(rising.from).toBe('its last 9 raisings');
    const agree = heatingFrom(
      usual,
      many(8, () => usual.lnHeat)
    );
    const differ = heatingFrom(
      usual,
      many(8, (i) => usual.lnHeat + (i % 2 ? 0.3 : -0.3))
    );
    expect(agree.heatSpread).toBeLessThan(usual.heatSpread);
    expect(differ.heatSpread).toBeGreaterThan(agree.heatSpread * 1.3);
  });
  it('counts the fits of the last chapter that were not left out', () => {
    const told = [1, 2, 3].map((i): Told => ({ id: `s${i}`, past: { ...blank, litAt: i * 1000 }, fit: fit(i) }));
    const heats = (learning: Parameters<typeof fitsNow>[1]) => fitsNow(told, learning).map((f) => f.lnHeat.value);
    expect(heats({ leftOut: [], chapters: [] })).toEqual([1, 2, 3]);
    expect(heats({ leftOut: ['s2'], chapters: [] })).toEqual([1, 3]);
    expect(heats({ leftOut: [], chapters: [{ at: 2000, why: 'new tubes' }] })).toEqual([2, 3]);
    expect(fitsNow([{ id: 'x', past: blank }], { leftOut: [], chapters: [] })).toEqual([]);
    const unswept = [false, false, true, true].map((swept, i): Told => ({ id: `${i}`, past: { ...blank, litAt: i, swept } }));
    expect(chaptersOf(unswept, { leftOut: [], chapters: [] })).toHaveLength(1);
  });
  it('an arrival is so many halves of its band off; the width follows the score, held back by few', () => {
    const band = { early: 100, middle: 200, late: 400, sure: 1 };
    expect([100, 150, 200, 300, 400, 500].map((r) => offBy(band, r))).toEqual([1, 0.5, 0, 0.5, 1, 1.5]);
    expect(offBy({ ...band, late: Infinity }, 100)).toBeUndefined();
    expect(offBy({ ...band, early: 199.9, late: 200.1 }, 203)).toBe(3);
    expect(widthFrom([])).toBe(1);
    expect(widthFrom([2])).toBeCloseTo(12 / 11, 9);
    // The eighth of ten in order, and what few say is held back: (10 + 10 · 1.6) / 20.
    expect(widthFrom([1.6, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 1.8, 9].reverse())).toBeCloseTo((10 + 10 * 1.8) / 20, 9);
    expect([widthFrom(Array(40).fill(9)), widthFrom(Array(40).fill(0))]).toEqual([1.8, 0.6]);
  });
  it('boils at what its pressure says', () => expect(boilingAt(standardAtmosphere)).toBeCloseTo(373.12, 1));
});
