import { describe, expect, it } from 'vitest';
import { fitOut } from '../../../tests/made';
import { energyAt, energyTable, needleAt, type Plant, plantOf, temperatureAt, usualFill } from '../boiler';
import { patterns } from '../engine';
import { boilingAt } from '../steam';
import { psi } from '../units';
import { ahead, aheadOf, bandOf } from './ahead';
import { leakSpread, normalAt, startRaise, usualLeak } from './begin';
import { brief, charged, cloud, copyRaise, fedIn, opened, puffed, type RaiseFilter, runTo } from './cloud';
import { classHeating, comingUp, type Heating, heatingOf, meanComingUp } from './heating';
import { waterIn } from './water';
import { needleSpread, observe, type Seen } from './weigh';

const bittern = fitOut('Little Bittern');
const plant = plantOf(bittern);
const water = usualFill(bittern, plant);
/** A fire that is known and stays as it is, in a boiler that loses nothing: what happens can be worked out by hand. */
const still: Heating = {
  lnHeat: Math.log(5000),
  heatSpread: 0,
  lag: 1e-3,
  lagSpread: 0,
  lnBoost: Math.log(2),
  boostSpread: 0,
  walk: 0,
  width: 1,
  from: '',
  raisings: 0
};
const lossless: Plant = { ...plant, vessel: { ...plant.vessel, loss: 0 }, sustains: 0, pace: 100 };
const from = (more: Partial<Parameters<typeof startRaise>[0]> = {}) =>
  startRaise({ plant: lossless, heating: still, water, T: 300, TSpread: 0, litAt: 1000, air: 0, ...more });
const mean = (x: Float64Array) => x.reduce((a, b) => a + b, 0) / x.length;
const sd = (x: Float64Array) => Math.sqrt(x.reduce((a, b) => a + (b - mean(x)) ** 2, 0) / x.length);

describe('the cloud run on', () => {
  it('gains what the fire gives, less what is lost; the blower gives more from when it is on', () => {
    const f = from();
    const before = f.energy[0]!;
    runTo(f, 1090);
    expect(f.energy[0]! - before).toBeCloseTo(5000 * 90, -2);
    opened(f, 1100, 'blower', plant.blower);
    runTo(f, 1130);
    expect(f.energy[7]! - before).toBeCloseTo(5000 * 100 + 10_000 * 30, -2);
    const losing = from({ plant: { ...lossless, vessel: { ...plant.vessel, loss: 50 } }, T: 320, ambient: 290 });
    const had = losing.energy[0]!;
    runTo(losing, 1030);
    expect(losing.energy[0]! - had).toBeCloseTo((5000 - 50 * 30) * 30, -3);
  });
  it('begins with the lag of its fire, and wanders with the root of the time', () => {
    const slow = from({ heating: { ...still, lag: 100 } });
    const before = slow.energy[0]!;
    runTo(slow, 1300);
    // 300 s at full heat less the lag's own share: 100 · (1 − e⁻³).
    expect((slow.energy[0]! - before) / 5000).toBeCloseTo(300 - 100 * (1 - Math.exp(-3)), -1);
    const [short, long] = [60, 960].map((s) => {
      const f = from({ heating: { ...still, walk: 0.05 } });
      runTo(f, 1000 + s);
      return sd(f.lnHeat);
    });
    expect(long! / short!).toBeGreaterThan(3);
    expect(long! / short!).toBeLessThan(5.2);
  });
  it('is of the place: on a mountain a needle shows what there is over a thinner atmosphere', () => {
    const high = plantOf({ ...bittern, altitude: 1500 });
    const f = startRaise({ plant: high, heating: still, water, T: 372, litAt: 0 });
    expect(f.atmosphere).toBeCloseTo(84_556, -1);
    // Steam of 99 °C is 97.8 kPa: 13 kPa over that, with no air in.
    expect(needleAt(f.table, 0, 372.15, f.atmosphere)).toBeCloseTo(97_800 - 84_556, -3);
    expect(waterIn(high, { glass: 0.5, gauge: psi(80) })).toBeGreaterThan(waterIn(plant, { glass: 0.5, gauge: psi(80) }));
  });
  it('what is fed brings its mass and its energy', () => {
    const f = from({ T: 380 });
    const energy = f.energy[3]!;
    fedIn(f, 1000, 0.2, 60_000);
    expect([f.table.water, f.energy[3]! - energy]).toEqual([water + 0.2, 12_000]);
  });
  it('a copy goes its own way', () => {
    const f = from({ heating: { ...still, walk: 0.05 } });
    const copy = copyRaise(f);
    runTo(copy, 1300);
    expect(f.now).toBe(1000);
    runTo(f, 1300);
    expect([...f.energy]).toEqual([...copy.energy]);
  });
});

describe('the air', () => {
  const closed = (more: Partial<Parameters<typeof startRaise>[0]> = {}) =>
    startRaise({
      plant: { ...lossless, leak: 0 },
      heating: { ...still, lnHeat: -50 },
      water,
      T: 372,
      TSpread: 0,
      litAt: 1000,
      air: 0.8,
      ...more
    });
  /** Nothing leaks, so that what stands open can be seen alone. */
  const tight = (more: Parameters<typeof closed>[0] = {}) => {
    const f = closed(more);
    f.lnLeak.fill(-50);
    return f;
  };
  it('is mostly in at the match, more or less', () => {
    const f = from({ air: undefined as never });
    expect(mean(f.air)).toBeCloseTo(0.8, 2);
    expect(Math.min(...f.air)).toBeGreaterThan(0.39);
    expect(Math.max(...f.air)).toBeLessThanOrEqual(1);
  });
  it('its leaks are those of the class half way to those of any boiler, and hardly known', () => {
    const f = from();
    const class_ = Math.log((plant.leak * 270) / f.table.space[Math.round(380 - f.table.from)]!);
    expect(usualLeak(plant, f.table)).toBeCloseTo((class_ - 5.6) / 2, 9);
    expect(mean(f.lnLeak)).toBeCloseTo(usualLeak(plant, f.table), 2);
    expect(sd(f.lnLeak)).toBeCloseTo(leakSpread, 1);
  });
  it('stays in a boiler that is shut, and leaves by what is open: a hole as large as the blower takes seconds', () => {
    const shut = tight();
    runTo(shut, 1060);
    expect(shut.air[0]).toBe(0.8);
    for (const hole of ['blower', 'whistle', 'vent', 'drains'] as const) {
      const f = tight();
      opened(f, 1000, hole, 2e-8);
      runTo(f, 1010);
      const gauge = needleAt(f.table, 0.8, 372, f.atmosphere);
      const rate = (2e-8 * 270) / f.table.space[Math.round(380 - f.table.from)]!;
      expect(f.air[0], hole).toBeCloseTo(0.8 * Math.exp(-10 * rate * Math.sqrt(Math.min(1, gauge / 8e4))), 6);
    }
    const f = tight();
    opened(f, 1000, 'vent', 1e-6);
    runTo(f, 1060);
    expect(f.air[0]).toBeLessThan(0.1);
    opened(f, 1060, 'vent', 0);
    const left = f.air[0];
    runTo(f, 1120);
    expect(f.air[0]).toBe(left);
  });
  it('does not leave below the atmosphere: of what is open cold, what the warmth has not driven out is in', () => {
    const f = tight({ T: 340, air: 1 });
    opened(f, 1000, 'vent', 1e-5);
    runTo(f, 1300);
    expect(needleAt(f.table, f.air[0]!, 340, f.atmosphere)).toBeLessThan(500);
    expect(f.air[0]).toBeGreaterThan(0.5);
  });
  it('opened and shut in one breath, it stood open for a moment; two holes together are one', () => {
    const [f, g] = [tight(), tight()];
    puffed(f, 1000, 3e-8);
    opened(g, 1000, 'drains', 1e-8);
    opened(g, 1000, 'whistle', 2e-8);
    for (let t = 1; t <= brief; t++) runTo(g, 1000 + t);
    expect(f.air[0]).toBeLessThan(0.8);
    expect(f.air[0]).toBeCloseTo(g.air[0]!, 1);
  });
  it('run ahead, it leaves at the changeover, and the gate waits for steam', () => {
    const run = (open: object) => {
      const f = tight({ heating: { ...still, lnBoost: 0 }, plant: { ...lossless, sustains: psi(10), blower: 0, ...open } });
      return ahead(f, [psi(30)])[0]!.middle;
    };
    const energy = (T: number) => energyAt(from().table, T);
    const due = 1000 + (energy(boilingAt(psi(30) + 101_325)) - energy(372)) / 5000;
    expect(run({})).toBeLessThan(due - 15);
    expect(Math.abs(run({ blower: 1e-6 }) - due)).toBeLessThan(3);
  });
});

it('a normal figure for a share of all', () => {
  for (const [share, z] of [
    [0.5, 0],
    [0.841345, 1],
    [0.1, -1.281552],
    [0.9, 1.281552],
    [0.97725, 2],
    [0.01, -2.326348],
    [0, -5.998],
    [1, 5.998]
  ] as const)
    expect(Math.abs(normalAt(share) - z), `${share}`).toBeLessThan(6e-4);
});

describe('weighing by what was seen', () => {
  const bell = (x: number) => Math.exp(-0.5 * x * x);
  it('a needle is read to 1.2 psi and two parts in a hundred', () => {
    expect(needleSpread(0)).toBeCloseTo(psi(1.2), -1);
    expect(needleSpread(psi(100))).toBeCloseTo(psi(Math.hypot(1.2, 2)), -1);
  });
  const gauge = (f: RaiseFilter, i: number, T: number) => needleAt(f.table, f.air[i]!, T, f.atmosphere);
  const boil = boilingAt(101_325);
  it.each<[string, number, Seen, (f: RaiseFilter, i: number, T: number) => number]>([
    [
      'pressure',
      415,
      { kind: 'pressure', value: psi(38) },
      (f, i, T) => 0.05 + 0.95 * bell((gauge(f, i, T) - psi(38)) / needleSpread(psi(38)))
    ],
    [
      'a needle on its stop',
      377.5,
      { kind: 'pressure', value: psi(0.5) },
      (f, i, T) => 0.05 + 0.95 * (gauge(f, i, T) < psi(2) ? 1 : bell((gauge(f, i, T) - psi(2)) / psi(1.2)))
    ],
    ['temperature', 350, { kind: 'temperature', value: 352 }, (_, __, T) => 0.05 + 0.95 * bell((T - 352) / 3)],
    ['boils', 373, { kind: 'boils' }, (_, __, T) => 0.05 + 0.95 * (T > boil - 1 ? bell((T - boil - 2) / 8) : bell((T - boil + 1) / 3))],
    ['about', 415, { kind: 'about', value: psi(36) }, (f, i, T) => 0.1 + 0.9 * bell((gauge(f, i, T) - psi(36)) / (0.12 * psi(36) + psi(1)))]
  ])('by %s', (_, T, seen, like) => {
    const f = from({ T, TSpread: 0.5 });
    const likes = Array.from(f.energy, (e, i) => like(f, i, temperatureAt(f.table, e)));
    const all = likes.reduce((a, b) => a + b, 0);
    expect(Math.max(...likes) / Math.min(...likes)).toBeGreaterThan(1.05);
    observe(f, 1000, seen);
    for (const i of [0, 1, 40, 200]) expect(f.weight[i]).toBeCloseTo(likes[i]! / all, 7);
    expect([f.readings, f.lastReading]).toEqual([1, 1000]);
  });

  it('readings one after the other tell hardly more than one: what is wrong with a needle now is wrong with it in a second', () => {
    const told = (times: readonly number[]) => {
      const f = from({ heating: { ...still, lnHeat: -50 }, T: 412, TSpread: 4 });
      for (const t of times) observe(f, 1000 + t, { kind: 'pressure', value: psi(38) });
      return sd(f.energy);
    };
    // Worn thin and drawn anew, or not: the spread is that of what was believed.
    const [one, ten, spaced] = [[1], [1, 2, 3, 4, 5, 6, 7, 8, 9, 10], [1, 31, 61, 91, 121, 151, 181, 211, 241, 271]].map(told);
    expect(ten!).toBeGreaterThan(0.7 * one!);
    expect(spaced!).toBeLessThan(0.6 * one!);
    const weights = (second: number) => {
      const f = from({ heating: { ...still, lnHeat: -50 }, T: 414, TSpread: 0.5 });
      observe(f, 1001, { kind: 'pressure', value: psi(38) });
      const before = f.weight.slice();
      observe(f, 1001 + second, { kind: 'pressure', value: psi(38) });
      return Math.log(f.weight[0]! / f.weight[1]!) - Math.log(before[0]! / before[1]!);
    };
    expect(weights(15) / weights(30)).toBeCloseTo(0.5, 1);
    expect(weights(60) / weights(30)).toBeCloseTo(1, 1);
  });

  it('what is seen besides the needle counts whole, whenever the needle was last read', () => {
    const seen = (first: Seen) => {
      const f = from({ T: 372, TSpread: 6 });
      observe(f, 1000, first);
      const before = f.weight.slice();
      observe(f, 1001, { kind: 'boils' });
      return sd(Float64Array.from(f.weight, (w, i) => Math.log(w / before[i]!)));
    };
    const f = from({ T: 372, TSpread: 6 });
    observe(f, 1001, { kind: 'boils' });
    // A second after a reading it changes the weights as it would have alone.
    expect(seen({ kind: 'temperature', value: 372 })).toBeGreaterThan(0.5 * sd(Float64Array.from(f.weight, (w) => Math.log(w * cloud))));
  });

  it('one guess in four is of an odd day: its heat and its blower are as unknown as those of any engine', () => {
    const narrow: Heating = { ...still, heatSpread: 0.01, boostSpread: 0.01 };
    const f = from({ heating: narrow });
    const far = [...f.lnHeat].filter((x) => Math.abs(x - narrow.lnHeat) > 0.06).length / cloud;
    expect(far).toBeGreaterThan(0.2);
    expect(far).toBeLessThan(0.25);
    const odds = [...f.lnHeat].flatMap((x, i) => (Math.abs(x - narrow.lnHeat) > 0.06 ? [i] : []));
    const spread = (of: Float64Array) =>
      Math.sqrt(odds.reduce((a, i) => a + (of[i]! - of.reduce((p, q) => p + q) / cloud) ** 2, 0) / odds.length);
    expect(spread(f.lnHeat)).toBeCloseTo(0.58, 1);
    expect(spread(f.lnBoost)).toBeGreaterThan(0.35);
    // Wider still where the engine itself is.
    const wide = from({ heating: { ...still, heatSpread: 0.6 } });
    expect(Math.max(...wide.lnHeat) - wide.heating.lnHeat).toBeGreaterThan(1.8);
    expect(sd(from().lnHeat)).toBeCloseTo(0, 9);
  });

  it('a worn cloud is drawn anew about what was read, shaken by a little of what was not known', () => {
    const wide: Heating = { ...still, heatSpread: 0.3, lagSpread: 0.2, boostSpread: 0.2 };
    const f = from({ heating: wide, T: 410, TSpread: 12 });
    const before = [sd(f.lnHeat), sd(f.lnLag), sd(f.lnBoost), sd(f.energy)];
    observe(f, 1000, { kind: 'pressure', value: psi(30) });
    expect(f.weight.every((w) => w === 1 / cloud)).toBe(true);
    expect(mean(f.energy)).toBeCloseTo(energyAt(f.table, boilingAt(psi(30) + 101_325)), -4.8);
    const after = [sd(f.lnHeat), sd(f.lnLag), sd(f.lnBoost), sd(f.energy)];
    for (const i of [0, 1, 2]) {
      expect(after[i]! / before[i]!).toBeGreaterThan(0.7);
      expect(after[i]! / before[i]!).toBeLessThan(1.3);
    }
    expect(after[3]!).toBeLessThan(0.75 * before[3]!);
    // No two guesses of one are the same afterwards.
    expect(new Set(f.lnHeat).size).toBe(cloud);
    expect([Math.min(...f.air) >= 0, Math.max(...f.air) <= 1]).toEqual([true, true]);
  });

  it('two readings in a row that nobody explains open it again; what is only seen does not', () => {
    const f = from({ T: 420 });
    const [energy] = [...f.energy];
    observe(f, 1000, { kind: 'pressure', value: psi(5) });
    expect([f.surprises, f.energy[0]]).toEqual([1, energy]);
    observe(f, 1000, { kind: 'pressure', value: psi(5) });
    expect(f.surprises).toBe(0);
    expect(Math.abs(temperatureAt(f.table, f.energy[0]!) - boilingAt(psi(5) + 101_325))).toBeLessThan(4);
    expect([f.energy[1], f.air[0]]).toEqual([energy, 0]);
    expect(sd(f.lnHeat)).toBeGreaterThan(0.2);
    // What surprises opens the heat again and keeps the air: the needle is what both make of it.
    const full = from({ T: 420, air: 0.5 });
    for (let i = 0; i < 2; i++) observe(full, 1000, { kind: 'pressure', value: psi(12) });
    expect(full.air.every((a) => a === 0.5)).toBe(true);
    const shown = Array.from({ length: cloud / 2 }, (_, i) =>
      needleAt(full.table, 0.5, temperatureAt(full.table, full.energy[2 * i]!), 101_325)
    );
    expect(Math.abs(shown.reduce((a, b) => a + b, 0) / shown.length - psi(12))).toBeLessThan(psi(0.3));
    const seen = from({ T: 300 });
    for (let i = 0; i < 3; i++) observe(seen, 1000, { kind: 'boils' });
    expect([...seen.energy].every((e) => e === seen.energy[0])).toBe(true);
    const warm = from({ T: 300 });
    for (let i = 0; i < 2; i++) observe(warm, 1000, { kind: 'temperature', value: 350 });
    expect(Math.abs(temperatureAt(warm.table, warm.energy[0]!) - 350)).toBeLessThan(8);
  });
});

describe('the cloud run ahead', () => {
  // Saturated, with its air out: a gate is a temperature, and the time to it is energy over heat.
  const energyFor = (f: RaiseFilter, p: number) => energyAt(f.table, boilingAt(psi(p) + f.atmosphere));
  it('each gate comes when the energy that it needs has been given, between the steps too', () => {
    const f = from({ T: 372 });
    f.air.fill(0);
    const gates = [10, 22, 35, 61];
    const bands = ahead(f, gates.map(psi));
    gates.forEach((p, i) => {
      const due = 1000 + (energyFor(f, p) - f.energy[0]!) / 5000;
      for (const t of [bands[i]!.early, bands[i]!.middle, bands[i]!.late]) expect(Math.abs(t - due)).toBeLessThan(1.5);
      expect(bands[i]!.sure).toBe(1);
    });
    expect(ahead(from({ T: 420 }), [psi(1), psi(90)])[0]).toMatchObject({ early: 1000, late: 1000 });
  });
  it('the water boils when it has the heat for it, whatever the gauge shows of the air', () => {
    for (const air of [0, 1]) {
      const f = from({ T: 300 });
      f.air.fill(air);
      f.lnLeak.fill(-20);
      const { gates, boils } = aheadOf(f, [psi(60)], 5 * 3600);
      const due = 1000 + (energyAt(f.table, boilingAt(f.atmosphere)) - f.energy[0]!) / 5000;
      expect(Math.abs(boils.middle - due)).toBeLessThan(2);
      expect(boils.sure).toBe(1);
      expect(gates[0]!.middle).toBeGreaterThan(boils.middle);
    }
    // One that boils already has boiled by now.
    expect(aheadOf(from({ T: 390 }), [psi(60)], 5 * 3600).boils).toMatchObject({ early: 1000, late: 1000 });
  });
  it('the blower helps from the pressure that sustains it, or at once when it is on', () => {
    const plain = from({ T: 372, plant: { ...lossless, sustains: psi(20) } });
    plain.air.fill(0);
    const due = 1000 + (energyFor(plain, 20) - plain.energy[0]!) / 5000 + (energyFor(plain, 60) - energyFor(plain, 20)) / 10_000;
    expect(Math.abs(ahead(plain, [psi(60)])[0]!.middle - due)).toBeLessThan(8);
    const on = from({ T: 372 });
    on.air.fill(0);
    opened(on, 1000, 'blower', plant.blower);
    expect(Math.abs(ahead(on, [psi(60)])[0]!.middle - (1000 + (energyFor(on, 60) - on.energy[0]!) / 10_000))).toBeLessThan(1.5);
  });
  it('a keeper’s pace is kept to, and nobody looks further than is asked', () => {
    const paced = from({ T: 372, plant: { ...lossless, pace: 0.005 } });
    paced.air.fill(0);
    const kelvins = boilingAt(psi(60) + 101_325) - 372;
    const [kept] = ahead(paced, [psi(60)], { far: 1e5 });
    // Now over it and now under, a little over in the middle: the fire is ahead of the damper.
    expect((kept!.middle - 1000) / (kelvins / 0.005)).toBeGreaterThan(0.85);
    expect((kept!.middle - 1000) / (kelvins / 0.005)).toBeLessThan(1);
    expect((kept!.late - kept!.early) / (kelvins / 0.005)).toBeGreaterThan(0.13);
    expect((kept!.late - kept!.early) / (kelvins / 0.005)).toBeLessThan(0.4);
    // What the fire could give beyond the pace does not show.
    const [weak, strong] = [1, 3].map((times) => {
      const f = from({ T: 300, plant: { ...lossless, pace: 0.005 }, heating: { ...still, lnHeat: Math.log(5000 * times) } });
      runTo(f, 2200);
      return temperatureAt(f.table, mean(f.energy));
    });
    expect(strong).toBeCloseTo(weak!, 9);
    expect((strong! - 300) / (0.005 * 1200)).toBeGreaterThan(0.9);
    expect((strong! - 300) / (0.005 * 1200)).toBeLessThan(1.2);
    // One that is too weak for it is not held back by it: 500 W are 500 W.
    const poor = from({ T: 300, plant: { ...lossless, pace: 0.05 }, heating: { ...still, lnHeat: Math.log(500) } });
    const had = poor.energy[0]!;
    runTo(poor, 2200);
    expect((poor.energy[0]! - had) / (500 * 1200)).toBeCloseTo(1, 3);
    const slow = from({ T: 300, heating: { ...still, lnHeat: Math.log(100) } });
    const due = (energyFor(slow, 60) - slow.energy[0]!) / 100;
    expect(due).toBeGreaterThan(5 * 3600);
    expect(ahead(slow, [psi(60)])[0]).toMatchObject({ middle: Infinity, sure: 0 });
    const far = ahead(slow, [psi(60)], { far: 2 * due })[0]!;
    expect(Math.abs(far.middle - 1000 - due) / due).toBeLessThan(0.03);
  });
  it('a band is of quantiles, widened about its middle, and an edge that never comes is made up by nothing', () => {
    const times = Float64Array.from({ length: 10 }, (_, i) => 10 * (10 - i));
    expect(bandOf(times)).toEqual({ early: 20, middle: 60, late: 100, sure: 1 });
    expect(bandOf(times, 0.5)).toEqual({ early: 40, middle: 60, late: 80, sure: 1 });
    expect(bandOf(Float64Array.of(1, 2, 3, 4, 5, 6, 7, 8, Infinity, Infinity), 2)).toEqual({
      early: -2,
      middle: 6,
      late: Infinity,
      sure: 0.8
    });
  });
});

describe('what a class is expected to give', () => {
  // Wide, and set on days of another model (bench/foreign); nothing is narrowed that its own score has not earned. The table is the decision.
  it.each([
    ['Marsh Hen', 0.27, 0.45, 0.33, 0.042],
    ['Little Bittern', 0.27, 0.45, 0.33, 0.06],
    ['Water Rail', 0.24, 0.5, 0, 0.045],
    ['Peat Presser', 0.27, 0.45, 0.33, 0.06],
    ['Eelcatcher', 0.27, 0.45, 0.33, 0.06],
    ['Lantern', 0.08, 0.5, 0, 0.015],
    ['Tin Heron', 0.3, 0.2, 0, 0.06]
  ] as const)('%s', (name, heatSpread, lagSpread, boostSpread, walk) => {
    const f = fitOut(name);
    const p = plantOf(f);
    const got = classHeating(f, p, { water: usualFill(f, p), T: 288.15 });
    expect({ ...got, walk: +got.walk.toFixed(4) }).toMatchObject({
      width: 1,
      heatSpread,
      lagSpread,
      boostSpread,
      lnBoost: boostSpread && 0.2,
      walk,
      raisings: 0
    });
    expect(got.lag).toBeGreaterThanOrEqual({ solid: 100, gas: 65, spirit: 0.2 * 540, electric: 70 }[f.fire.with]);
  });
  it('a charge comes up, burns level, dies down and is out; what it gave by any time is the sum of that', () => {
    const heron = fitOut('Tin Heron');
    const { fire } = plantOf(heron);
    const of = classHeating(heron, plantOf(heron), { water: 0.1, T: 333 });
    // Tablets of 540 s: up over 108 s, down over the last 108.
    expect([0, 54, 108, 300, 432, 486, 540, 700].map((t) => +comingUp(of, t, of.lag).toFixed(6))).toEqual([0, 0.5, 1, 1, 1, 0.5, 0, 0]);
    // All of it reaches what the model of the burner gives: charge × efficiency.
    if (fire.with !== 'spirit') throw new Error('tablets');
    expect(Math.exp(of.lnHeat) * meanComingUp(of, 540, of.lag) * 540).toBeCloseTo(fire.charge * fire.efficiency, 6);
    for (const charge of [undefined, of.charge, { up: 0.05, down: 0.02 }])
      for (const time of [20, 90, 250, 470, 535, 800]) {
        let sum = 0;
        for (let i = 0; i < 4000; i++) sum += comingUp({ ...(charge ? { charge } : {}) }, ((i + 0.5) * time) / 4000, 25) / 4000;
        expect(meanComingUp({ ...(charge ? { charge } : {}) }, time, 25), `${charge?.up} ${time}`).toBeCloseTo(sum, 4);
      }
  });
  it('a charge too small is forecast to burn out on the way; another one lit brings it there', () => {
    const burning = { ...still, lnHeat: Math.log(1500), lag: 60, charge: { up: 0.2, down: 0.2 } };
    // 1.5 kW, of which 80 % over 300 s: 360 kJ. To 60 psi it takes three times that.
    const once = from({ heating: burning, T: 370 });
    const far = ahead(once, [psi(60)])[0]!;
    expect(far).toMatchObject({ sure: 0, middle: Infinity });
    runTo(once, 1295);
    const before = once.energy[0]!;
    runTo(once, 1400);
    expect(once.energy[0]! - before).toBeLessThan(1500 * 5);
    charged(once, 1400);
    const had = once.energy[0]!;
    runTo(once, 1700);
    expect((once.energy[0]! - had) / (1500 * 240)).toBeCloseTo(1, 1);
    const solid = from();
    charged(solid, 1500);
    expect(solid.burnsFrom).toBe(1000);
  });
  it('is read off a raising: what the contents gained in each span, with what was lost given back, on the fan and on the blower', () => {
    const kilos = 3;
    const table = energyTable(plant.vessel, kilos);
    // 60 K/min-ish by hand: spans of a minute with a heat that is told, from which the temperatures follow.
    const made = (heats: readonly number[], blowers: readonly number[], loss: number) => {
      let [T, energy] = [290, energyAt(table, 290)];
      const unasked = { gauge: 0, liquidVolume: 0, water: kilos, air: 0, heat: 0, draw: 0 };
      const moments = [{ ...unasked, time: 0, T, set: { fan: 1, blower: blowers[0]! } }];
      heats.forEach((heat, i) => {
        // Loss by the mean of both ends: two rounds settle it.
        let then = T;
        for (let n = 0; n < 30; n++) then = temperatureAt(table, energy + (heat - loss * ((T + then) / 2 - 290)) * 60);
        [T, energy] = [then, energyAt(table, then)];
        moments.push({ ...unasked, time: 60 * (i + 1), T, set: { fan: 0, blower: blowers[i + 1] ?? blowers.at(-1)! } });
      });
      return { moments };
    };
    const lossy = { ...plant, vessel: { ...plant.vessel, loss: 6 } };
    const steady = heatingOf(lossy, made(Array(10).fill(3000), Array(11).fill(0), 6))!;
    expect(Math.exp(steady.lnHeat)).toBeCloseTo(3000, -1.5);
    expect(steady.lnBoost).toBe(0);
    // The first span is not counted to the fire; then the fan's later half is what it has come to, and the blower half as much again.
    const blown = heatingOf(lossy, made([...Array(8).fill(2000), ...Array(6).fill(3000)], [...Array(9).fill(0), ...Array(6).fill(1)], 6))!;
    expect(Math.exp(blown.lnHeat)).toBeCloseTo(2000, -1.5);
    expect(Math.exp(blown.lnBoost)).toBeCloseTo(1.5, 1);
    // Slow to come: four minutes of nothing are a lag of about that.
    const late = heatingOf(lossy, made([0, 0, 0, ...Array(9).fill(2500)], Array(13).fill(0), 6))!;
    expect(late.lag).toBeGreaterThan(90);
    expect(late.lag).toBeLessThan(260);
    expect(steady.lag).toBeLessThan(30);
    expect(heatingOf(lossy, made([2000, 2000], [0, 0, 0], 6))).toBeUndefined();
    expect(heatingOf(lossy, made(Array(8).fill(-500), Array(9).fill(0), 6))).toBeUndefined();
  });
  it('of one that shows no raising, what its rated steam would take', () => {
    const got = classHeating(bittern, plant, { water, T: 445 });
    expect(got).toMatchObject({ lnHeat: Math.log(plant.ratedSteam * 2.1e6), lag: 100 });
  });
  it('every pattern has a heat that its boiler can take', () => {
    for (const { fitOut: f } of patterns) {
      const p = plantOf(f);
      const { lnHeat, lag } = classHeating(f, p, { water: usualFill(f, p), T: 288.15 });
      expect(Math.exp(lnHeat) / (p.ratedSteam * 2.1e6), f.name).toBeGreaterThan(0.1);
      expect(Math.exp(lnHeat) / (p.ratedSteam * 2.1e6), f.name).toBeLessThan(4);
      expect(lag).toBeGreaterThan(0);
    }
  });
});
