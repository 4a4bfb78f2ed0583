import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { psi } from '../units';
import { checkFitOut } from './check';
import { boilerShape, coldFor, firesideOf, type FitOut, fitOutOf, glassHeight, heightOf, hotFor, patterns } from '.';

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

  const bittern = pattern('Little Bittern').boiler as Extract<FitOut['boiler'], { form: 'locomotive' }>;
  const total = (change: Partial<typeof bittern>) => boilerShape({ ...bittern, ...change }).total;

  it('a flat top holds the corners that a round one leaves out, one of its own width stands higher, a dome holds its room', () => {
    const { barrelDiameter: d, wrapperLength: l, wrapperWidth: w } = bittern;
    expect(total({ top: 'flat' }) - total({ top: 'barrel' })).toBeCloseTo(l * ((w * d) / 2 - (Math.PI * d * d) / 8), 9);
    const wide = 1.2 * d;
    const shape = boilerShape({ ...bittern, wrapperWidth: wide, top: 'own' });
    expect(shape.roof).toBeCloseTo(d / 2 + wide / 2, 12);
    expect(shape.total - total({ wrapperWidth: wide, top: 'flat' })).toBeCloseTo(l * ((Math.PI * wide * wide) / 8 - (wide * d) / 2), 9);
    const domed = boilerShape({ ...bittern, dome: 0.2e-3 });
    expect(domed.total - total({})).toBeCloseTo(0.2e-3, 12);
    expect([domed.roof, domed.top]).toEqual([d, 1.5 * d]);
    expect(total({ flues: { count: 2, diameter: 0.019, centre: 0.075 } }) - total({})).toBeCloseTo(
      -2 * bittern.barrelLength * (Math.PI / 4) * 0.019 ** 2,
      9
    );
    expect(boilerShape({ ...bittern, flues: { count: 2, diameter: 0.019, centre: 0.075 } }).heated).toBeCloseTo(0.0845, 12);
  });

  it('a flue that returns and a marine furnace keep out the room that they take', () => {
    const shell = (Math.PI / 4) * 0.2 ** 2 * 0.5;
    const back = boilerShape({
      form: 'return flue',
      diameter: 0.2,
      length: 0.5,
      flueDiameter: 0.08,
      flueCentre: 0.06,
      returnDiameter: 0.05,
      returnCentre: 0.12
    });
    expect(back.total).toBeCloseTo(shell - (Math.PI / 4) * (0.08 ** 2 + 0.05 ** 2) * 0.5, 9);
    expect(back.heated).toBeCloseTo(0.145, 12);
    const tubes = { count: 9, diameter: 0.012, low: 0.11, high: 0.13 };
    const marine = boilerShape({ form: 'marine', diameter: 0.2, length: 0.5, flueDiameter: 0.08, flueCentre: 0.06, chamber: 0.1, tubes });
    const kept = (Math.PI / 4) * (0.08 ** 2 + 9 * 0.012 ** 2) * 0.4 + 0.1 * 0.08 * (0.136 - 0.02);
    expect(marine.total).toBeCloseTo(shell - kept, 9);
    expect(marine.heated).toBeCloseTo(0.136, 12);
  });

  it('what the fire touches: plates of the firebox, tubes with the flues as so many more', () => {
    const { box, tubes } = firesideOf(bittern);
    expect(box).toBeCloseTo(2 * (0.142 + 0.098) * 0.115 + 0.142 * 0.098, 9);
    expect(tubes).toEqual({ count: 18, length: 0.34, outside: 0.0127 });
    // Two flues of twice the bore, half taken up by their elements: four tubes more.
    expect(firesideOf({ ...bittern, flues: { count: 2, diameter: 0.0254, centre: 0.07 } }).tubes.count).toBeCloseTo(22, 9);
    for (const { fitOut } of patterns) expect(firesideOf(fitOut.boiler).box, fitOut.name).toBeGreaterThan(0);
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

  it('takes a wrapper wider than the barrel with a top that can be, and refuses what does not lie in the boiler', () => {
    const wide = (top: 'barrel' | 'own' | 'flat') => problem((f) => Object.assign(f.boiler, { wrapperWidth: 0.14, top }));
    expect(wide('barrel')[0]).toMatchObject({ path: 'boiler.wrapperWidth', sentence: expect.stringContaining('another top') });
    expect([wide('own'), wide('flat')]).toEqual([[], []]);
    const flues = (centre: number, count = 2) => problem((f) => Object.assign(f.boiler, { flues: { count, diameter: 0.02, centre } }));
    expect(flues(0.12)[0]?.path).toBe('boiler.flues.centre');
    expect(flues(0.005)[0]?.path).toBe('boiler.flues.centre');
    expect([flues(0.05), flues(0.12, 0)]).toEqual([[], []]);
    const dome = (volume: number) => problem((f) => Object.assign(f.boiler, { dome: volume }));
    expect(dome(0.08)[0]).toMatchObject({ path: 'boiler.dome', sentence: expect.stringContaining('is not likely') });
    expect(dome(0.2e-3)).toEqual([]);
    const drum = (boiler: object) => problem((f) => Object.assign(f, { boiler }))[0]?.path;
    const back = {
      form: 'return flue',
      diameter: 0.2,
      length: 0.5,
      flueDiameter: 0.08,
      flueCentre: 0.05,
      returnDiameter: 0.05,
      returnCentre: 0.04
    };
    expect(drum({ ...back, flueCentre: 0.03 })).toBe('boiler.flueCentre');
    expect(drum({ ...back, returnCentre: 0.19 })).toBe('boiler.returnCentre');
    expect(drum(back)).not.toMatch(/flue|return/);
    const tubes = { count: 4, diameter: 0.01, low: 0.1, high: 0.11 };
    const marine = { form: 'marine', diameter: 0.2, length: 0.5, flueDiameter: 0.08, flueCentre: 0.05, chamber: 0.1, tubes };
    expect(drum({ ...marine, chamber: 0.5 })).toBe('boiler.chamber');
    expect(drum({ ...marine, tubes: { ...tubes, low: 0.12 } })).toBe('boiler.tubes.low');
    expect(drum({ ...marine, tubes: { ...tubes, high: 0.2 } })).toBe('boiler.tubes.high');
  });

  it('of the first version comes in as what it was taken to be, by every door', () => {
    for (const name of ['Little Bittern', 'Tin Heron', 'Water Rail']) {
      const today = pattern(name);
      const first = JSON.parse(JSON.stringify(today)) as { format: string; boiler: Record<string, unknown>; fire: Record<string, unknown> };
      first.format = 'joram.fit-out/1';
      delete (first as { altitude?: number }).altitude;
      for (const key of ['top', 'flues', 'dome']) delete first.boiler[key];
      for (const key of ['chimney', 'nozzle', 'heat', 'burns', 'pieces', 'weight', 'layout', 'wait', 'purge', 'empty', 'joints'])
        delete first.fire[key];
      // There were so many burners, all lit at one place.
      if (today.fire.with === 'gas') Object.assign(first.fire, { burners: today.fire.burners.length, litAt: today.fire.burners[0]!.litAt });
      for (const key of ['measures', 'control', 'roams', 'circuit']) delete (first as Record<string, unknown>)[key];
      expect(boilerShape(fitOutOf(first).boiler).total).toBe(boilerShape(today.boiler).total);
      expect(checkFitOut(first)).toEqual({ fitOut: fitOutOf(first) });
    }
    expect(checkFitOut({ format: 'joram.fit-out/1' })).toHaveProperty('problems');
    expect(checkFitOut({ format: 'joram.fit-out/7' })).toMatchObject({
      problems: expect.arrayContaining([expect.objectContaining({ path: 'format' })])
    });
  });
});
