import { type Quantity, quantities, toSi, unitRow, type Unit } from './quantities';

/** What a text was understood as, or a sentence that says why it was not. */
export type Parsed = { readonly value: number; readonly unit: string } | { readonly problem: string };

const vulgar: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8
};

/**
 * A number as people write it: `65`, `4.5`, `4,5`, `1/2`, `½`, `2 1/2`, `2½`.
 * @returns undefined when the text is anything else
 */
export function parseNumber(text: string): number | undefined {
  const t = text
    .trim()
    .replace('−', '-')
    .replace('⁄', '/')
    .replace(/^(-?\d+),(\d{1,3})$/, '$1.$2');
  if (/^-?(\d+\.?\d*|\.\d+)$/.test(t)) return Number(t);
  const mixed = /^(-?)(?:(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)|(\d*)\s*([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]))$/.exec(t);
  if (!mixed) return undefined;
  const [, sign, before, above, below, beside, single] = mixed;
  if (below !== undefined && Number(below) === 0) return undefined;
  const part = single ? vulgar[single]! : Number(above) / Number(below);
  // "11/2" is eleven halves; a whole number is only split off when a space or a single-character fraction says so.
  return (sign ? -1 : 1) * (Number(before || beside || 0) + part);
}

const wordsOf = (quantity: Quantity): [string, Unit][] => Object.entries(quantities[quantity].units as Record<string, Unit>);

/**
 * A quantity as people type it: `65`, `65 psi`, `4.5bar`, `½ litre`. A bare number is taken in `usual`.
 * @param usual the unit for a bare number, one of the quantity's unit names
 * @returns the value in SI and the name of the unit that was used, or a sentence for the field
 */
export function parseQuantity(text: string, quantity: Quantity, usual: string): Parsed {
  const t = text.trim();
  const name = quantities[quantity].name;
  if (!t) return { problem: `Give a ${name}, such as ${example(quantity, usual)}.` };
  const split = /^([-−]?[\d.,/\s½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]+)(.*)$/.exec(t);
  const number = split ? parseNumber(split[1]!) : undefined;
  if (!split || number === undefined)
    return { problem: `“${t}” is not a ${name}: write a number and a unit, such as ${example(quantity, usual)}.` };
  const word = split[2]!.trim().toLowerCase().replace(/[.\s]/g, '');
  if (!word) return { value: toSi(number, quantity, usual), unit: usual };
  // A word may belong to two units ("lb" is a pressure and a weight); within one quantity it belongs to one.
  const found = wordsOf(quantity).find(
    ([key, u]) => key.toLowerCase() === word || u.words.some((w) => w.toLowerCase().replace(/\s/g, '') === word)
  );
  if (!found)
    return {
      problem: `“${split[2]!.trim()}” is not a unit of ${name} here: use ${wordsOf(quantity)
        .map(([key]) => key)
        .join(', ')}.`
    };
  return { value: toSi(number, quantity, found[0]), unit: found[0] };
}

const example = (quantity: Quantity, usual: string) =>
  `65 ${unitRow(quantity, usual).words[0]}`.replace('65', quantity === 'volume' || quantity === 'mass' ? '2.5' : '65');
