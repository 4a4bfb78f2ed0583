import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Absolute, psi, psiPa, Refusal } from '../units';
import { coldWater, liquid, saturationAtGauge, saturationPressure, saturationTemperature, vapour, waterVolume } from '.';

const MPa = (x: number) => (x * 1e6) as Absolute;
/** Published verification tables give nine figures. */
const nine = (got: number, wanted: number) => expect(Math.abs(got / wanted - 1)).toBeLessThan(1e-8);

describe('IAPWS-IF97 verification tables', () => {
  it('region 4, both ways', () => {
    nine(saturationPressure(300), 0.353658941e-2 * 1e6);
    nine(saturationPressure(500), 2.63889776e6);
    nine(saturationPressure(600), 12.3443146e6);
    nine(saturationTemperature(MPa(0.1)), 372.755919);
    nine(saturationTemperature(MPa(1)), 453.035632);
    nine(saturationTemperature(MPa(10)), 584.149488);
  });

  it('region 1', () => {
    const a = liquid(300, MPa(3));
    nine(a.v, 0.100215168e-2);
    nine(a.h, 0.115331273e6);
    nine(a.u, 0.112324818e6);
    nine(a.s, 0.392294792e3);
    nine(a.cp, 4.17301218e3);
    nine(a.w, 1507.73921);
    nine(liquid(300, MPa(80)).v, 0.971180894e-3);
    nine(liquid(300, MPa(80)).h, 0.184142828e6);
    nine(liquid(500, MPa(3)).v, 0.1202418e-2);
    nine(liquid(500, MPa(3)).h, 0.975542239e6);
  });

  it('region 2', () => {
    nine(vapour(300, MPa(0.0035)).v, 39.4913866);
    nine(vapour(300, MPa(0.0035)).h, 2549.91145e3);
    nine(vapour(700, MPa(0.0035)).v, 92.3015898);
    nine(vapour(700, MPa(0.0035)).h, 3335.68375e3);
    nine(vapour(700, MPa(30)).v, 0.542946619e-2);
    nine(vapour(700, MPa(30)).h, 2631.49474e3);
  });
});

describe('saturation at the gauge', () => {
  it.each([
    [0, 99.974, 4.25, 0.525, 418.99, 2675.53, 0.5976],
    [15, 120.955, 6.024, 0.935, 507.84, 2707.32, 1.1541],
    [30, 134.444, 7.313, 1.304, 565.39, 2726.13, 1.6929],
    [60, 152.954, 9.283, 1.971, 645.02, 2749.42, 2.7435],
    [90, 166.197, 10.85, 2.58, 702.57, 2764.04, 3.7745],
    [100, 169.935, 11.318, 2.773, 718.92, 2767.83, 4.1156],
    [150, 185.485, 13.396, 3.689, 787.48, 2781.82, 5.81]
  ])('%i psi', (pressure, celsius, swollen, slope, hf, hg, density) => {
    const s = saturationAtGauge(psi(pressure));
    expect(s.T - 273.15).toBeCloseTo(celsius, 2);
    expect((s.vf / waterVolume(coldWater) - 1) * 100).toBeCloseTo(swollen, 2);
    expect((saturationPressure(s.T + 0.01) - saturationPressure(s.T - 0.01)) / 0.02 / psiPa).toBeCloseTo(slope, 2);
    expect(s.hf / 1e3).toBeCloseTo(hf, 1);
    expect(s.hg / 1e3).toBeCloseTo(hg, 1);
    expect(1 / s.vg).toBeCloseTo(density, 3);
  });

  it('there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 274, max: 640, noNaN: true }), (T) => {
        expect(saturationTemperature(saturationPressure(T))).toBeCloseTo(T, 5);
      })
    );
  });

  it('refuses what the formulation does not cover, naming the input', () => {
    for (const bad of [() => liquid(700, MPa(1)), () => vapour(200, MPa(1)), () => saturationPressure(Number.NaN)])
      expect(bad).toThrowError(expect.objectContaining({ name: 'Refusal', field: 'temperature' }));
    expect(() => saturationTemperature(MPa(-1))).toThrow(Refusal);
  });
});
