import { chosenUnit, fromSi, quantities, type Quantity, type UnitChoice, unitRow } from './quantities';

/** A quantity ready to print: the figure, and the unit that is set smaller beside it. */
export interface Printed {
  readonly figure: string;
  readonly unit: string;
}

/** The space between a figure and its unit. */
export const thin = '\u2009';

/** Enough decimals to tell apart what matters: small values get more than large ones. */
function decimals(value: number, digits: number) {
  const size = Math.abs(value);
  if (digits === 0) return size > 0 && size < 1 ? 1 : 0;
  return size >= 100 ? 0 : size >= 10 ? Math.min(1, digits) : digits;
}

/**
 * An SI value in one named unit.
 * @param digits decimals; the unit's own habit when left out
 */
export function printIn(value: number, quantity: Quantity, unitName: string, digits?: number): Printed {
  const row = unitRow(quantity, unitName);
  const shown = fromSi(value, quantity, unitName);
  const text = shown.toFixed(digits ?? decimals(shown, row.digits));
  return { figure: (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text).replace('-', '−'), unit: row.words[0]! };
}

/**
 * An SI value in the member's unit. Volumes under a litre and weights under a kilogram are shown in the smaller unit
 * of the same system, because that is what they are measured out in; so are a time under a minute, a power under
 * a kilowatt and an energy under a megajoule.
 */
export function print(value: number, quantity: Quantity, choice: UnitChoice, digits?: number): Printed {
  let name = chosenUnit(quantity, choice);
  const size = Math.abs(value);
  if (quantity === 'volume' && size > 0 && size < 0.9995e-3) name = name === 'l' ? 'ml' : 'floz';
  if (quantity === 'mass' && size > 0 && size < 0.9995) name = name === 'kg' ? 'g' : size < 0.45 ? 'oz' : 'lb';
  if (quantity === 'length' && name === 'mm' && size >= 2) name = 'm';
  if (quantity === 'time' && size > 0 && size < 59.5) name = 's';
  if (quantity === 'power' && size < 995) name = 'W';
  if (quantity === 'energy' && size < 0.995e6) name = 'kJ';
  return printIn(value, quantity, name, digits);
}

/** The same as one text: `65 psi` with a thin space. */
export function printText(value: number, quantity: Quantity, choice: UnitChoice, digits?: number): string {
  const { figure, unit } = print(value, quantity, choice, digits);
  return unit === '°' ? figure + unit : figure + thin + unit;
}

/**
 * A quantity inside a stored sentence, to be printed later in each reader's own units: `{pressure:206843}`.
 * @param value SI
 */
export const mark = (value: number, quantity: Quantity): string => `{${quantity}:${Number(value.toPrecision(7))}}`;

/** A stored sentence with its marked quantities printed in the member's units. */
export const printMarks = (text: string, choice: UnitChoice): string =>
  text.replace(/\{([a-z][a-z ]*):(-?[\d.e+-]+)\}/g, (whole, quantity: string, value: string) =>
    quantity in quantities ? printText(Number(value), quantity as Quantity, choice) : whole
  );
