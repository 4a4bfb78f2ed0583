import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plantOf } from '../boiler';
import { patterns } from '../engine';
import { psi, Refusal } from '../units';
import { benchIndex, benchSum, type Given, type Sum } from '.';

const engines: readonly Given[] = patterns.map(({ fitOut }) => ({ fitOut, plant: plantOf(fitOut) }));
const able = (s: Sum) => engines.find((e) => s.when?.(e) ?? true)!;
const work = (key: string, said: object) => {
  const s = benchSum(key)!;
  const engine = able(s);
  return s.work({ ...s.usual(engine), ...said } as never, engine);
};
const C = (celsius: number) => celsius + 273.15;
const kgh = 1 / 3600;
const mm = 1e-3;

/** Figures worked elsewhere, by hand and from general literature: [sum, said, what it comes to, in which unit, within]. */
const checks: readonly (readonly [key: string, said: object, value: number, unit: number, within: number, line?: string])[] = [
  ['valve-discharge', { set: psi(90), seat: 6 * mm, lift: 0.4 * mm, cd: 0.65 }, 20.1, kgh, 0.05],
  ['valve-discharge', { set: psi(90) / 1.1, seat: 6 * mm }, 1051.6, 1, 0.5, 'flow through an area'],
  ['valve-bore', { duty: 13 * kgh, set: psi(90), share: 0.05, cd: 0.65 }, 5.57, mm, 0.01],
  ['accumulation', { pressure: psi(100), peak: psi(112), over: 10 }, 110, psi(1), 1e-6, 'limit'],
  ['accumulation', { pressure: psi(120), peak: psi(128), over: 10 }, 4, psi(1), 1e-6],
  ['hydraulic', { pressure: psi(110), times: 2 }, 220, psi(1), 1e-9],
  ['engine-pump', { bore: 8 * mm, stroke: 12 * mm, turns: 5, efficiency: 0.85, uses: 6 * kgh }, 9.21, kgh, 0.02, 'delivers'],
  ['engine-pump', { bore: 8 * mm, stroke: 12 * mm, turns: 5, efficiency: 0.85, uses: 6 * kgh }, 0.349, 1, 0.001],
  ['hand-strokes', { bore: 11 * mm, stroke: 25 * mm, efficiency: 0.85, volume: 0.0005 }, 248, 1, 0.5],
  ['injector-delivery', { gauge: psi(80), feed: C(15), ratio: 10 }, C(73.6), 1, 0.1],
  ['injector-limit', { gauge: psi(80), ratio: 8 }, C(24.5), 1, 0.1],
  ['injector-limit', { gauge: psi(80), ratio: 10 }, C(38.6), 1, 0.1],
  ['injector-limit', { gauge: psi(80), ratio: 12 }, C(48.0), 1, 0.1],
  ['feed-heat', { gauge: psi(80), feed: C(15) }, 621.9, 1e3, 0.2, 'to become boiling water'],
  ['feed-heat', { gauge: psi(80), feed: C(15) }, 2696.7, 1e3, 0.2],
  ['evaporation', { heat: 7000, gauge: psi(80), feed: C(15) }, 9.34, kgh, 0.01],
  ['fuel-for-steam', { steam: 9.345 * kgh, gauge: psi(80), feed: C(15), fuel: 32e6, share: 0.48 }, 1.64, kgh, 0.005],
  ['gas-time', { gas: 0.16, power: 1300 }, 94, 60, 0.5],
  ['dissolved', { volume: 4e-3, start: 0.15, feed: 0.15, evaporated: 30e-3 }, 1275, 1e-3, 0.5],
  ['blow-down-steady', { evaporated: 10e-3 / 3600, feed: 0.15, limit: 2.5 }, 0.638, 1e-3 / 3600, 0.001],
  ['blow-down-once', { from: 2.5, to: 1.5, feed: 0.15 }, 0.426, 1, 0.001],
  ['mean-pressure', { chest: psi(80), cutOff: 0.5, clearance: 0.08, back: 1e4 }, 337.9, 1e3, 0.1],
  ['power', { chest: psi(80), count: 2, bore: 38 * mm, stroke: 57 * mm, sides: 2, turns: 5 }, 436.9, 1, 0.2],
  ['power', { chest: psi(80), count: 2, bore: 38 * mm, stroke: 57 * mm, sides: 2, turns: 5 }, 0.586, 745.7, 0.001],
  ['steam-used', { chest: psi(80), count: 2, bore: 38 * mm, stroke: 57 * mm, sides: 2, turns: 5, missing: 1.6 }, 14.4, kgh, 0.1],
  ['tractive-effort', { count: 2, bore: 38 * mm, stroke: 57 * mm, wheel: 127 * mm, pressure: psi(90) }, 342, 1, 0.5],
  ['adhesion', { mass: 50, grip: 0.2 }, 98, 1, 0.1],
  ['load', { effort: 342, driven: 50, mass: 60, grip: 0.2, grade: 0, radius: 0, engineRolls: 0.02, trainRolls: 0.012 }, 733, 1, 1],
  ['load', { effort: 342, driven: 50, mass: 60, grip: 0.2, grade: 80, radius: 12, gauge: 0.127, wheelbase: 0.15 }, 288, 1, 1],
  ['load', { effort: 342, driven: 50, mass: 60, grade: 80, radius: 12, gauge: 0.127, wheelbase: 0.15 }, 0.0029, 1, 5e-5, 'curve'],
  ['condensate', { iron: 0.8, copper: 0.15, cold: C(15), gauge: psi(42) }, 26.5, 1e-3, 0.1],
  ['thermostat', { knob: C(142.8), altitude: 0 }, 42, psi(1), 0.1],
  ['thermostat', { knob: C(142.8), band: 5 }, 7.9, psi(1), 0.1, 'its band is worth'],
  ['thermostat', { knob: C(143), altitude: 0 }, 42.3, psi(1), 0.1],
  ['thermostat', { knob: C(143), altitude: 1500 }, 44.8, psi(1), 0.1],
  ['thermostat-for', { pressure: psi(42), altitude: 0 }, C(142.8), 1, 0.1],
  ['gauge-thermometer', { gauge: psi(70), thermometer: C(125) }, C(157.8), 1, 0.1, 'needs'],
  ['gauge-thermometer', { gauge: psi(70), thermometer: C(125) }, 51, psi(1), 0.5],
  ['fuel-equivalent', { mass: 10, heat: 32e6, other: 15e6 }, 21.33, 1, 0.01],
  ['treatment', { water: 0.02, each: 0.01, dose: 1e-5 }, 20, 1e-6, 1e-6],
  ['drawbar', { pull: 120, way: 100, time: 50 }, 240, 1, 1e-6],
  ['scale-speed', { way: 100, time: 60, scale: 12 }, 72, 1 / 3.6, 1e-6],
  ['turns', { taps: 160, time: 20, each: 4 }, 120, 1 / 60, 1e-6],
  ['endurance', { tank: 0.012, boiler: 0.001, uses: 4e-3 / 3600, reserve: 0.33 }, 131, 60, 0.5]
];

describe('a glass on the bench', () => {
  it('a cold third stands hot at 0.469 of the glass of a boiler whose figures are published, and needs a glass', () => {
    const bittern = engines.find((e) => e.fitOut.name === 'Little Bittern')!;
    const level = benchSum('hot-level')!;
    expect(level.work({ glass: 1 / 3, used: 0, water: C(15) } as never, bittern).value).toBeCloseTo(0.469, 3);
    expect(level.work({ glass: 1 / 3, used: 0.1, water: C(15) } as never, bittern).value).toBeLessThan(0.44);
    expect(() => level.work({ glass: 0.98, used: 0, water: C(15) } as never, bittern)).toThrow('above the top nut');
    expect(level.when!(engines.find((e) => e.fitOut.name === 'Water Rail')!)).toBe(false);
  });
});

describe('the last fire on the bench', () => {
  it('a bed burns down from five lumps to one at what was weighed', () => {
    const bittern = engines.find((e) => e.fitOut.name === 'Little Bittern')!;
    const last = benchSum('last-fire')!;
    // Four lumps of 7.06 mm over 129.7 cm² of 780 kg/m³ are 0.286 kg: at 1.2 kg an hour 14.3 min.
    const weighed = { ...bittern, used: [{ fuel: 1.2, inSteam: 3600 }] };
    const minutes = (said: object, engine: Given = weighed) => last.work({ ...last.usual(engine), ...said } as never, engine).value / 60;
    expect(minutes({})).toBeCloseTo(14.29, 1);
    expect(minutes({ left: 3 })).toBeCloseTo(14.29 / 2, 1);
    expect(minutes({ left: 9 })).toBe(0);
    // By the sum of its steam, harder work is a shorter time.
    expect(minutes({ duty: 'hard' }, bittern)).toBeLessThan(0.6 * minutes({ duty: 'light' }, bittern));
    expect(last.when!(engines.find((e) => e.fitOut.name === 'Water Rail')!)).toBe(false);
  });
});

describe('the sums of the bench', () => {
  it.each(checks.map((c) => [c[0], c[1], c[2], c] as const))('%s of %j is %d', (key, said, value, [, , , unit, within, name]) => {
    const worked = work(key, said);
    const got = name ? worked.steps.find((s) => s.result.name === name)!.result.value : worked.value;
    expect(Math.abs(got / unit - value), `${got / unit}`).toBeLessThanOrEqual(within);
  });

  it('each has a question, stands once in the index, and knows what would usually be said', () => {
    const all = Object.values(benchIndex).flat();
    expect(new Set(all.map((s) => s.key)).size).toBe(all.length);
    expect(new Set(all.map((s) => s.asks)).size).toBe(all.length);
    for (const s of all) {
      expect(s.asks, s.key).toMatch(/\?$/);
      for (const engine of engines.filter((e) => s.when?.(e) ?? true)) {
        const said = s.usual(engine) as Record<string, number>;
        for (const [key, field] of Object.entries(s.inputs.fields)) {
          if (!('min' in field) || said[key] === null) continue;
          expect(said[key], `${s.key}, ${key}, ${engine.fitOut.name}`).toBeGreaterThanOrEqual(field.min);
          expect(said[key], `${s.key}, ${key}, ${engine.fitOut.name}`).toBeLessThanOrEqual(field.max);
        }
        try {
          expect(Number.isFinite(s.work(said as never, engine).value), `${s.key}, ${engine.fitOut.name}`).toBe(true);
        } catch (error) {
          if (!(error instanceof Refusal)) throw error;
          expect(Object.keys(s.inputs.fields), error.field).toContain(error.field);
        }
      }
    }
  });

  it('a verdict follows the number: over is over, and within the error of a reading it is too close to call', () => {
    const caution = (peak: number, error: number) =>
      work('accumulation', { pressure: psi(100), peak: psi(peak), error: psi(error), over: 10 }).caution!;
    expect(caution(112, 0)).toContain('failed');
    expect(caution(112, 3)).toContain('Too close to call');
    expect(caution(110, 0)).toContain('stayed under');
    expect(caution(110.01, 0)).toContain('failed');
    expect(caution(106.9, 3)).toContain('stayed under');
    expect(caution(113.1, 3)).toContain('failed');
    const agree = (gauge: number, celsius: number) =>
      work('gauge-thermometer', { gauge: psi(gauge), gaugeError: psi(2), thermometer: C(celsius), thermometerError: 2 }).caution!;
    expect([agree(70, 154.9), agree(70, 160.6)].every((c) => c.startsWith('They agree'))).toBe(true);
    expect(agree(70, 154.6)).toContain('rest is air');
    expect(agree(70, 160.9)).toContain('gauge shows too little');
  });

  it.each([
    ['injector-limit', { ratio: 4, gauge: psi(300) }, 'ratio'],
    ['blow-down-steady', { limit: 0.1, feed: 0.2 }, 'limit'],
    ['blow-down-once', { from: 1, to: 1 }, 'to'],
    ['blow-down-once', { from: 2, to: 0.1, feed: 0.15 }, 'to'],
    ['feed-heat', { gauge: 0, feed: 373.4 }, 'feed'],
    ['load', { effort: 10, driven: 50, mass: 60, grade: 10 }, 'grade'],
    ['thermostat', { knob: 373.5, altitude: 0 }, undefined],
    ['thermostat', { knob: 373.0, altitude: 0 }, 'knob']
  ] as const)('%s refuses %j at its field, and only that', (key, said, field) => {
    if (field === undefined) return void expect(work(key, said).value).toBeGreaterThan(0);
    let refused: unknown;
    try {
      work(key, said);
    } catch (error) {
      refused = error;
    }
    expect(refused).toBeInstanceOf(Refusal);
    expect((refused as Refusal).field).toBe(field);
  });

  /** [sum, what grows, which way the answer goes] */
  it.each([
    ['valve-discharge', 'seat', 1],
    ['valve-discharge', 'lift', 1],
    ['valve-bore', 'duty', 1],
    ['valve-bore', 'set', -1],
    ['engine-pump', 'uses', -1],
    ['hand-strokes', 'volume', 1],
    ['injector-delivery', 'ratio', -1],
    ['injector-delivery', 'feed', 1],
    ['injector-limit', 'ratio', 1],
    ['feed-heat', 'feed', -1],
    ['evaporation', 'heat', 1],
    ['fuel-for-steam', 'share', -1],
    ['gas-time', 'power', -1],
    ['dissolved', 'evaporated', 1],
    ['blow-down-steady', 'limit', -1],
    ['blow-down-once', 'to', -1],
    ['mean-pressure', 'cutOff', 1],
    ['mean-pressure', 'back', -1],
    ['power', 'turns', 1],
    ['steam-used', 'cutOff', 1],
    ['tractive-effort', 'wheel', -1],
    ['load', 'trainRolls', -1],
    ['load', 'radius', 1],
    ['condensate', 'cold', -1],
    ['thermostat', 'knob', 1],
    ['thermostat', 'altitude', 1],
    ['thermostat-for', 'pressure', 1],
    ['endurance', 'reserve', -1],
    ['scale-speed', 'time', -1]
  ] as const)('%s by %s goes one way', (key, field, way) => {
    const s = benchSum(key)!;
    const engine = able(s);
    const { min, max } = s.inputs.fields[field] as { min: number; max: number };
    // A pump that has something to spare.
    const usual: Record<string, number> = {
      ...(s.usual(engine) as Record<string, number>),
      ...(key === 'engine-pump' ? { uses: 4 * kgh } : {})
    };
    // Within a factor of what is usual: far from it a rail or a law gives out.
    const near = (x: number) => Math.min(max, Math.max(min, min > 200 ? usual[field]! + 10 * (x - 1) : (usual[field]! || 100) * x));
    fc.assert(
      fc.property(fc.double({ min: 0.7, max: 1.3, noNaN: true }), fc.double({ min: 1.01, max: 1.1 }), (x, more) => {
        const value = (at: number) => {
          try {
            return s.work({ ...usual, [field]: at } as never, engine).value;
          } catch (error) {
            if (error instanceof Refusal) return NaN;
            throw error;
          }
        };
        const [a, b] = [value(near(x)), value(near(x * more))];
        // A pump with too little to spare says what it delivers, and not what goes back.
        fc.pre(
          Number.isFinite(a) &&
            Number.isFinite(b) &&
            near(x) < near(x * more) &&
            (key !== 'engine-pump' || (a < 1 && b < 1 && a > 0 && b > 0 && a > 0.01))
        );
        expect(way * (b - a)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 }
    );
  });

  it('there and back: a pressure from a knob’s temperature, a bore from what a valve passes', () => {
    fc.assert(
      fc.property(fc.double({ min: 380, max: 480, noNaN: true }), fc.double({ min: 0, max: 3000, noNaN: true }), (knob, altitude) => {
        const { value: pressure } = work('thermostat', { knob, altitude });
        expect(work('thermostat-for', { pressure, altitude }).value).toBeCloseTo(knob, 6);
      }),
      { numRuns: 50 }
    );
    fc.assert(
      fc.property(fc.double({ min: 0.003, max: 0.05, noNaN: true }), fc.double({ min: 5e4, max: 1e6, noNaN: true }), (seat, set) => {
        const { value: duty } = work('valve-discharge', { set, seat, lift: 0.05 * seat, cd: 0.65 });
        expect(work('valve-bore', { duty, set, share: 0.05, cd: 0.65 }).value).toBeCloseTo(seat, 9);
      }),
      { numRuns: 50 }
    );
  });
});
