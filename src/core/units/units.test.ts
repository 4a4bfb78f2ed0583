import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  absolute,
  atmosphereAt,
  fromSi,
  gauge,
  type Gauge,
  type Glass,
  isLevel,
  mark,
  parseGlass,
  parseNumber,
  parseQuantity,
  print,
  printGlass,
  printIn,
  printMarks,
  printText,
  psi,
  quantities,
  type Quantity,
  Refusal,
  standardAtmosphere,
  toSi,
  usualUnits
} from '.';

describe('numbers as people write them', () => {
  it.each([
    ['65', 65],
    ['4.5', 4.5],
    ['4,5', 4.5],
    ['.5', 0.5],
    ['1/2', 0.5],
    ['½', 0.5],
    ['2½', 2.5],
    ['2 1/2', 2.5],
    ['1⁄3', 1 / 3],
    ['11/2', 5.5],
    ['-3', -3],
    ['−3', -3]
  ])('%s', (text, value) => expect(parseNumber(text)).toBeCloseTo(value, 12));

  it.each(['', 'half', '1/0', '1.2.3', '5 psi', '1e3'])('“%s” is not one', (text) => expect(parseNumber(text)).toBeUndefined());
});

describe('quantities', () => {
  // Conversion factors as published: the international pound and inch, the imperial gallon of 1985, the US liquid quart.
  it.each<[number, Quantity, string, number, string]>([
    [1, 'pressure', 'bar', 14.503773773, 'psi'],
    [100, 'pressure', 'kPa', 14.503773773, 'psi'],
    [212, 'temperature', '°F', 100, '°C'],
    [-40, 'temperature', '°F', -40, '°C'],
    [1, 'volume', 'gal', 4.54609, 'l'],
    [1, 'volume', 'qt', 0.946352946, 'l'],
    [1, 'volume', 'floz', 28.4130625, 'ml'],
    [1, 'mass', 'kg', 2.2046226218, 'lb'],
    [1, 'length', 'in', 25.4, 'mm'],
    [1, 'power', 'hp', 745.699872, 'W']
  ])('%d %s in %s is %d %s', (value, quantity, from, wanted, to) => {
    expect(fromSi(toSi(value, quantity, from), quantity, to)).toBeCloseTo(wanted, 6);
  });

  it('what is printed is read back as the same, in every unit', () => {
    const units = Object.entries(quantities).flatMap(([q, row]) => Object.keys(row.units).map((u) => [q as Quantity, u] as const));
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: 0.01, max: 5000, noNaN: true }), ([quantity, unit], value) => {
        const { figure, unit: word } = printIn(toSi(value, quantity, unit), quantity, unit, 6);
        const read = parseQuantity(`${figure} ${word}`, quantity, unit);
        expect('value' in read && fromSi(read.value, quantity, unit)).toBeCloseTo(value, 4);
      })
    );
  });

  it.each<[string, Quantity, string, number]>([
    ['65', 'pressure', 'psi', 65 * 6894.757293],
    ['65psi', 'pressure', 'bar', 65 * 6894.757293],
    ['4.5bar', 'pressure', 'psi', 450_000],
    ['450 kPa', 'pressure', 'psi', 450_000],
    ['12c', 'temperature', '°F', 285.15],
    ['½ litre', 'volume', 'gal', 0.0005],
    ['2 1/2 lb', 'mass', 'kg', 2.5 * 0.45359237],
    ['3 15/16 in', 'length', 'mm', 3.9375 * 0.0254]
  ])('“%s” as a %s', (text, quantity, usual, si) =>
    expect(parseQuantity(text, quantity, usual)).toMatchObject({ value: expect.closeTo(si, 6) })
  );

  it.each<[string, Quantity]>([
    ['', 'pressure'],
    ['lots', 'pressure'],
    ['65 furlongs', 'pressure'],
    ['3 kg', 'pressure'],
    ['12 psi', 'volume']
  ])('“%s” as a %s is refused in a sentence', (text, quantity) => {
    const read = parseQuantity(text, quantity, Object.keys(quantities[quantity].units)[0]!);
    expect(read).toMatchObject({ problem: expect.stringMatching(/^[“G].*\.$/) });
  });

  it('small amounts are shown in what they are measured out in, none in more figures than are honest', () => {
    expect(printText(0.00019, 'volume', usualUnits)).toBe('190\u2009ml');
    expect(printText(0.003473, 'volume', usualUnits)).toBe('3.47\u2009l');
    expect(printText(0.25, 'mass', { ...usualUnits, mass: 'lb' })).toBe('8.8\u2009oz');
    expect(print(psi(65), 'pressure', { ...usualUnits, pressure: 'bar' })).toEqual({ figure: '4.5', unit: 'bar' });
    expect(printText(43, 'power', usualUnits)).toBe('43\u2009W');
    expect(printText(1300, 'power', usualUnits)).toBe('1.3\u2009kW');
    expect(printText(0.14e6, 'energy', usualUnits)).toBe('140\u2009kJ');
    expect(printText(-psi(3), 'pressure', usualUnits)).toBe('−3\u2009psi');
    expect(printText(psi(-0.2), 'pressure', usualUnits)).not.toContain('−0\u2009');
  });

  it('a quantity kept inside a sentence is printed for each reader', () => {
    const sentence = `opens at ${mark(psi(30), 'pressure')}, within ${mark(1320, 'time')}`;
    expect(printMarks(sentence, usualUnits)).toBe('opens at 30\u2009psi, within 22\u2009min');
    expect(printMarks(sentence, { ...usualUnits, pressure: 'bar' })).toBe('opens at 2.1\u2009bar, within 22\u2009min');
    expect(printMarks('{nonsense:3} and {pressure:x}', usualUnits)).toBe('{nonsense:3} and {pressure:x}');
  });
});

describe('gauge and absolute', () => {
  it('differ by the atmosphere that is named, and know a vacuum', () => {
    expect(absolute(psi(0))).toBe(101_325);
    expect(gauge(absolute(psi(90)))).toBeCloseTo(psi(90), 6);
    expect(absolute(psi(10), 84_556 as typeof standardAtmosphere)).toBeCloseTo(10 * 6894.757293 + 84_556, 6);
    expect(() => absolute(-110_000 as Gauge)).toThrow(Refusal);
  });
  it('the atmosphere of an altitude, and an altitude in metres or feet', () => {
    // The published standard atmosphere: 1,000 m 89,874.6 Pa, 1,500 m 84,556 Pa, 3,000 m 70,108.5 Pa.
    expect(atmosphereAt(0)).toBe(101_325);
    expect(Math.abs(atmosphereAt(1000) - 89_874.6)).toBeLessThan(3);
    expect(Math.abs(atmosphereAt(1500) - 84_556)).toBeLessThan(5);
    expect(Math.abs(atmosphereAt(3000) - 70_108.5)).toBeLessThan(8);
    expect(printText(1500, 'altitude', usualUnits)).toBe('1500\u2009m');
    expect(printText(1500, 'altitude', { ...usualUnits, length: 'in' })).toBe('4921\u2009ft');
    expect(parseQuantity('1000 ft', 'altitude', 'm')).toEqual({ value: 304.8, unit: 'ft' });
  });
});

describe('the glass, as it is said', () => {
  it.each<[string, Glass]>([
    ['½', 1 / 2],
    ['half', 1 / 2],
    ['half a glass', 1 / 2],
    ['three quarters', 3 / 4],
    ['a third', 1 / 3],
    ['two thirds of the glass', 2 / 3],
    ['40%', 0.4],
    ['just over half', 0.56],
    ['a bit under a quarter', 0.19],
    ['just above bottom nut', 0.05],
    ['just below the top nut', 0.95],
    ['in the bottom nut', 'bottom nut'],
    ['just below the nut', 'bottom nut'],
    ['full', 'top nut'],
    ['no water', 'not seen'],
    ["can't see it", 'not seen']
  ])('%s', (text, glass) => (isLevel(glass) ? expect(parseGlass(text)).toBeCloseTo(glass, 9) : expect(parseGlass(text)).toBe(glass)));

  it.each(['', '3/2', '140%', 'wet', 'over the moon'])('“%s” is none', (text) => expect(parseGlass(text)).toBeUndefined());

  it('printed and read back it is the same to within a reading’s own error', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (level) => {
        const read = parseGlass(printGlass(level).replace(/^at the /, 'just above '));
        // The nearest mark of the trade is never more than a sixteenth away; "over" and "under" say which side.
        const value = read === undefined ? undefined : isLevel(read) ? read : read === 'top nut' ? 1 : 0;
        expect(Math.abs(value! - level)).toBeLessThan(0.09);
      })
    );
  });
});
