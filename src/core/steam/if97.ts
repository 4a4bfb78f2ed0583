import { type Absolute, Refusal } from '../units';
import { region1, region2, region2Ideal, region4 } from './coefficients';

/** Specific gas constant of water, J/(kg K), as IF97 fixes it. */
const R = 461.526;

/** Properties of one kilogram: m³/kg, J/kg, J/(kg K), m/s. */
export interface Properties {
  /** specific volume, m³/kg */ readonly v: number;
  /** enthalpy, J/kg */ readonly h: number;
  /** internal energy, J/kg */ readonly u: number;
  /** entropy, J/(kg K) */ readonly s: number;
  /** heat capacity at constant pressure, J/(kg K) */ readonly cp: number;
  /** speed of sound, m/s */ readonly w: number;
}

const range = (input: string, value: number, from: number, to: number, words: string) => {
  if (!(value >= from && value <= to)) throw new Refusal(input, `The ${input} must lie between ${words}.`);
};

/** Both regions end in the same algebra once the dimensionless Gibbs energy's derivatives are known. */
function fromGibbs(
  T: number,
  p: number,
  pi: number,
  tau: number,
  g: number,
  gp: number,
  gpp: number,
  gt: number,
  gtt: number,
  gpt: number
): Properties {
  const v = (R * T * pi * gp) / p;
  const h = R * T * tau * gt;
  return {
    v,
    h,
    u: R * T * (tau * gt - pi * gp),
    s: R * (tau * gt - g),
    cp: -R * tau * tau * gtt,
    w: Math.sqrt((R * T * gp * gp) / ((gp - tau * gpt) ** 2 / (tau * tau * gtt) - gpp))
  };
}

/**
 * Liquid water: IF97 region 1.
 * @param T temperature, K, 273.15 to 623.15
 * @param p absolute pressure, Pa, up to 100 MPa
 * @throws Refusal outside that range
 */
export function liquid(T: number, p: Absolute): Properties {
  range('temperature', T, 273.15, 623.15, '0 °C and 350 °C');
  range('pressure', p, 0, 100e6, 'nothing and 100 MPa absolute');
  const pi = p / 16.53e6;
  const tau = 1386 / T;
  const [a, b] = [7.1 - pi, tau - 1.222];
  let [g, gp, gpp, gt, gtt, gpt] = [0, 0, 0, 0, 0, 0];
  for (const [i, j, n] of region1) {
    const ai = a ** i;
    const bj = b ** j;
    g += n * ai * bj;
    gp -= n * i * a ** (i - 1) * bj;
    gpp += n * i * (i - 1) * a ** (i - 2) * bj;
    gt += n * ai * j * b ** (j - 1);
    gtt += n * ai * j * (j - 1) * b ** (j - 2);
    gpt -= n * i * a ** (i - 1) * j * b ** (j - 1);
  }
  return fromGibbs(T, p, pi, tau, g, gp, gpp, gt, gtt, gpt);
}

/**
 * Steam: IF97 region 2.
 * @param T temperature, K, 273.15 to 1073.15
 * @param p absolute pressure, Pa, above nothing and up to 100 MPa
 * @throws Refusal outside that range
 */
export function vapour(T: number, p: Absolute): Properties {
  range('temperature', T, 273.15, 1073.15, '0 °C and 800 °C');
  range('pressure', p, Number.MIN_VALUE, 100e6, 'above nothing and 100 MPa absolute');
  const pi = p / 1e6;
  const tau = 540 / T;
  const b = tau - 0.5;
  let [g, gp, gpp, gt, gtt, gpt] = [Math.log(pi), 1 / pi, -1 / (pi * pi), 0, 0, 0];
  for (const [j, n] of region2Ideal) {
    g += n * tau ** j;
    gt += n * j * tau ** (j - 1);
    gtt += n * j * (j - 1) * tau ** (j - 2);
  }
  for (const [i, j, n] of region2) {
    const pii = pi ** i;
    const bj = b ** j;
    g += n * pii * bj;
    gp += n * i * pi ** (i - 1) * bj;
    gpp += n * i * (i - 1) * pi ** (i - 2) * bj;
    gt += n * pii * j * b ** (j - 1);
    gtt += n * pii * j * (j - 1) * b ** (j - 2);
    gpt += n * i * pi ** (i - 1) * j * b ** (j - 1);
  }
  return fromGibbs(T, p, pi, tau, g, gp, gpp, gt, gtt, gpt);
}

const [n1, n2, n3, n4, n5, n6, n7, n8, n9, n10] = region4 as [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number
];

/**
 * Pressure at which water of this temperature boils: IF97 region 4, equation 30.
 * @param T temperature, K, 273.15 to 647.096
 * @returns absolute pressure, Pa
 * @throws Refusal outside that range
 */
export function saturationPressure(T: number): Absolute {
  range('temperature', T, 273.15, 647.096, '0 °C and 373.9 °C');
  const t = T + n9 / (T - n10);
  const a = t * t + n1 * t + n2;
  const b = n3 * t * t + n4 * t + n5;
  const c = n6 * t * t + n7 * t + n8;
  return (1e6 * ((2 * c) / (-b + Math.sqrt(b * b - 4 * a * c))) ** 4) as Absolute;
}

/**
 * Temperature at which water boils under this pressure: IF97 region 4, equation 31.
 * @param p absolute pressure, Pa, 611.213 to 22.064e6
 * @returns temperature, K
 * @throws Refusal outside that range
 */
export function saturationTemperature(p: Absolute): number {
  range('pressure', p, 611.2126, 22.064e6, '0.0061 bar and 220.6 bar absolute');
  const beta = (p / 1e6) ** 0.25;
  const e = beta * beta + n3 * beta + n6;
  const f = n1 * beta * beta + n4 * beta + n7;
  const g = n2 * beta * beta + n5 * beta + n8;
  const d = (2 * g) / (-f - Math.sqrt(f * f - 4 * e * g));
  return (n10 + d - Math.sqrt((n10 + d) ** 2 - 4 * (n9 + n10 * d))) / 2;
}
