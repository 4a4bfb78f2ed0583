import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { psi } from '../units';
import { checkFitOut } from './check';
import { boilerShape, coldFor, type FitOut, glassHeight, heightOf, hotFor, patterns } from '.';

const pattern = (name: string): FitOut => structuredClone(patterns.find((p) => p.fitOut.name === name)!.fitOut);

/** Three shapes with published check figures: litres at glass 0, ½ and 1; cold glass for a hot half; hot glass for a cold third. */
const shapes: [string, FitOut, number[], number, number][] = [
  ['locomotive', pattern('Little Bittern'), [5.053, 2.525, 3.816, 4.819], 0.36, 0.469],
  [
    'drum',
    {
      ...pattern('Little Bittern'),
      boiler: { form: 'horizontal', diameter: 0.11, length: 0.26, tubes: { count: 5, diameter: 0.016, low: 0.04, high: 0.04 } },
      glasses: [{ bottomNut: 0.062, topNut: 0.098, blowThrough: true, sharesSteam: false }]
    },
    [2.21, 1.174, 1.664, 2.063],
    0.342,
    0.49
  ],
  ['vertical', { ...pattern('Old Scoop'), workingPressure: psi(90) }, [19.587, 9.309, 12.437, 15.565], 0.32, 0.515]
];

describe('boiler geometry', () => {
  it.each(shapes)('%s: volumes, and the level that swells to a half', (_, fitOut, [total, ...glass], cold, hot) => {
    const shape = boilerShape(fitOut.boiler);
    /** The figures are given to three places. */
    const near = (got: number, wanted: number) => expect(Math.abs(got - wanted)).toBeLessThan(0.001);
    near(shape.total * 1e3, total!);
    [0, 0.5, 1].forEach((level, i) => near(shape.volume(glassHeight(fitOut, level)) * 1e3, glass[i]!));
    near(coldFor(fitOut, 0.5).glass, cold);
    near(hotFor(fitOut, 1 / 3), hot);
  });

  it('level to volume to level, and volume never falls as the level rises', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...patterns.map((p) => p.fitOut)),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        (fitOut, share) => {
          const shape = boilerShape(fitOut.boiler);
          const z = shape.bottom + share * (shape.top - shape.bottom);
          const volume = shape.volume(z);
          expect(volume).toBeLessThanOrEqual(shape.total + 1e-12);
          expect(shape.volume(heightOf(shape, volume))).toBeCloseTo(volume, 9);
          if (z > shape.heated) expect(heightOf(shape, volume)).toBeCloseTo(z, 6);
        }
      )
    );
  });

  it('more used before the first feed asks for more water, more bubbles for less', () => {
    const fitOut = pattern('Marsh Hen');
    const plain = coldFor(fitOut, 0.5).volume;
    expect(coldFor(fitOut, 0.5, { used: 1 }).volume - plain).toBeCloseTo(0.0010009, 6);
    expect(coldFor(fitOut, 0.5, { bubbles: 0.05 }).volume).toBeLessThan(plain);
  });

  it('by expansion alone, half a glass hot is a third of it cold', () => {
    const cold = coldFor(pattern('Little Bittern'), 0.5);
    expect(cold.glass).toBeCloseTo(0.36, 3);
    expect(cold.volume * 1e3).toBeCloseTo(3.473, 3);
  });
});

describe('fit-out document', () => {
  it.each(patterns.map((p) => [p.fitOut.name, p.fitOut] as const))('%s is a good starting pattern', (_, fitOut) => {
    expect(checkFitOut(fitOut)).toEqual({ fitOut });
  });

  const problem = (change: (f: Record<string, never> & FitOut) => void, name = 'Little Bittern') => {
    const fitOut = pattern(name);
    change(fitOut as never);
    const result = checkFitOut(JSON.parse(JSON.stringify(fitOut)));
    return 'problems' in result ? result.problems : [];
  };

  it('names the field and says what it takes', () => {
    expect(problem((f) => (f.workingPressure = psi(900)))).toEqual([
      { path: 'workingPressure', sentence: 'Working pressure: give a pressure between 5 psi and 300 psi.' }
    ]);
    expect(problem((f) => delete (f as Partial<FitOut>).name)[0]).toMatchObject({
      path: 'name',
      sentence: expect.stringContaining('Name: write 1 to 80')
    });
    expect(problem((f) => Object.assign(f.boiler, { form: 'teapot' }))[0]?.path).toBe('boiler');
    expect(problem((f) => Object.assign(f.feeds[1]!, { rate: 'fast' }))[0]?.path).toBe('feeds.1.rate');
    expect(problem((f) => Object.assign(f, { colour: 'green' }))[0]?.sentence).toContain('colour');
  });

  it('refuses a glass that could show water over a dry crown, and a valve that could not protect the boiler', () => {
    expect(problem((f) => (f.glasses[0]!.bottomNut = 0.065))[0]).toMatchObject({
      path: 'glasses.0.bottomNut',
      sentence: expect.stringContaining('metal is dry')
    });
    expect(problem((f) => (f.safetyValves[0]!.set = psi(110)))[0]?.path).toBe('safetyValves.0.set');
    expect(problem((f) => (f.runLimit = null), 'Water Rail')[0]?.path).toBe('runLimit');
  });
});
