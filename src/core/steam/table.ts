import { Refusal } from '../units';
import { liquid, saturationPressure, vapour } from './if97';

/**
 * Saturated water and steam as a table over temperature, for stepping: IF97 on a 1 K grid with its slopes, and a cubic
 * between. Pressure and the steam's volume go by their logarithms, because they run over four decades. Its error against
 * IF97 is tested: under 1e-6 of the value from 0 to 250 °C.
 */

/** What the table holds of one temperature. Filled in place: a step asks for it a million times. */
export interface SaturationRow {
  /** Pa */ p: number;
  /** m³/kg */ vf: number;
  /** m³/kg */ vg: number;
  /** J/kg, internal energy */ uf: number;
  /** J/kg, internal energy */ ug: number;
  /** Slopes of the four above p, per K. */
  dvf: number;
  dvg: number;
  duf: number;
  dug: number;
}

export const tableFrom = 273.16;
export const tableTo = 523.16;
const cells = Math.round(tableTo - tableFrom);
/** ln p, vf, ln vg, uf, ug: in each cell the four coefficients of a cubic in the share of the cell. */
const kinds = 5;
const width = kinds * 4;
/** Each cell is made when it is first asked for, not a number until then: a page that reads one needle does not pay for 250. */
const coefficients = new Float64Array(cells * width).fill(NaN);

interface Node {
  readonly value: readonly number[];
  readonly slope: readonly number[];
}
const nodes: (Node | undefined)[] = [];

function at(T: number): number[] {
  const p = saturationPressure(T);
  const [f, g] = [liquid(T, p), vapour(T, p)];
  return [Math.log(p), f.v, Math.log(g.v), f.u, g.u];
}

function nodeAt(i: number): Node {
  const T = tableFrom + i;
  const h = 2e-3;
  // At the cold end the slope is taken to one side: IF97 begins there.
  const [low, high] = [i === 0 ? T : T - h, T + h];
  const [a, b] = [at(low), at(high)];
  return { value: at(T), slope: a.map((_, k) => (b[k]! - a[k]!) / (high - low)) };
}

function make(i: number): void {
  const [{ value: y0, slope: s0 }, { value: y1, slope: s1 }] = [(nodes[i] ??= nodeAt(i)), (nodes[i + 1] ??= nodeAt(i + 1))];
  for (let k = 0; k < kinds; k++) {
    const rise = y1[k]! - y0[k]!;
    coefficients.set([y0[k]!, s0[k]!, 3 * rise - 2 * s0[k]! - s1[k]!, s0[k]! + s1[k]! - 2 * rise], i * width + k * 4);
  }
}

/** The cell of a temperature, made if it has to be. */
function cellOf(T: number): number {
  const i = Math.min(cells - 1, Math.floor(T - tableFrom));
  if (Number.isNaN(coefficients[i * width]!)) make(i);
  return i;
}

export const emptyRow = (): SaturationRow => ({ p: 0, vf: 0, vg: 0, uf: 0, ug: 0, dvf: 0, dvg: 0, duf: 0, dug: 0 });

/**
 * Fills a row for a temperature.
 * @param T K, 273.16 to 523.16
 * @throws Refusal outside that range
 */
export function saturationRow(T: number, row: SaturationRow): SaturationRow {
  if (!(T >= tableFrom && T <= tableTo)) throw new Refusal('temperature', 'Water in a boiler lies between 0 and 250 °C.');
  const i = cellOf(T);
  const x = T - tableFrom - i;
  const c = coefficients;
  let at = i * width;
  row.p = Math.exp(c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!)));
  at += 4;
  row.vf = c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!));
  row.dvf = c[at + 1]! + x * (2 * c[at + 2]! + x * 3 * c[at + 3]!);
  at += 4;
  row.vg = Math.exp(c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!)));
  row.dvg = row.vg * (c[at + 1]! + x * (2 * c[at + 2]! + x * 3 * c[at + 3]!));
  at += 4;
  row.uf = c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!));
  row.duf = c[at + 1]! + x * (2 * c[at + 2]! + x * 3 * c[at + 3]!);
  at += 4;
  row.ug = c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!));
  row.dug = c[at + 1]! + x * (2 * c[at + 2]! + x * 3 * c[at + 3]!);
  return row;
}

/** The temperature at which water boils under a pressure, by the table: Newton on ln p. @param p absolute, Pa */
export function boilingAt(p: number): number {
  const wanted = Math.log(p);
  const c = coefficients;
  // Antoine's form is a good first guess; three corrections bring it to the table's own accuracy.
  let T = 2147 / (10.7588 - Math.log10(p));
  T = Math.min(tableTo, Math.max(tableFrom, T));
  for (let n = 0; n < 6; n++) {
    const i = cellOf(T);
    const x = T - tableFrom - i;
    const at = i * width;
    const miss = wanted - (c[at]! + x * (c[at + 1]! + x * (c[at + 2]! + x * c[at + 3]!)));
    const slope = c[at + 1]! + x * (2 * c[at + 2]! + x * 3 * c[at + 3]!);
    T = Math.min(tableTo, Math.max(tableFrom, T + miss / slope));
    if (Math.abs(miss) < 1e-12) break;
  }
  return T;
}
