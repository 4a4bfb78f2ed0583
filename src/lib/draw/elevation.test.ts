import fc from 'fast-check';
import { expect, it } from 'vitest';
import { mixedFitOut } from '../../../tests/mixed';
import { patterns } from '$core/engine';
import { elevationOf } from './elevation';

const of = (name: string) => elevationOf(patterns.find((p) => p.fitOut.name === name)!.fitOut);
const point = (name: string, said: string) => of(name).points.find((p) => p.name.startsWith(said))!;

it('draws the wheels of the class, and each point where it is on the engine', () => {
  expect([of('Marsh Hen').wheels.length, of('Little Bittern').wheels.length, of('Snipe').wheels.length]).toEqual([3, 5, 3]);
  const bittern = of('Little Bittern');
  const tender = point('Little Bittern', 'Tender');
  expect(tender.x).toBeGreaterThan(70);
  expect(bittern.wheels.some((w) => Math.abs(w.x - point('Little Bittern', 'Axleboxes').x) < 0.1)).toBe(true);
  expect(point('Peat Presser', 'Steering').x).toBeLessThan(point('Peat Presser', 'Gears').x);
});
it('every point of any engine is on the drawing, and no two at one place', () => {
  fc.assert(
    fc.property(mixedFitOut, (f) => {
      const { points, wide, high } = elevationOf(f);
      expect(points.map((p) => p.name)).toEqual(f.lubrication.map((p) => p.point));
      for (const p of points) expect(p.x >= 0 && p.x <= wide && p.y >= 0 && p.y <= high).toBe(true);
      expect(new Set(points.map((p) => `${p.x} ${p.y}`)).size).toBe(points.length);
    }),
    { numRuns: 100 }
  );
});
