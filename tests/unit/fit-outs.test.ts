import { describe, expect, it } from 'vitest';
import { plantOf, raise, usualFill } from '../../src/core/boiler';
import { chance } from '../../src/core/chance';
import { type FitOut, inSteamAt, thermostatOf, patterns } from '../../src/core/engine';
import { classHeating } from '../../src/core/forecast';
import { planRaise } from '../../src/core/plan';
import { compose } from '../../src/core/procedure';
import { dayNeeds, engineFigures, fillOf, type Given, startingSum } from '../../src/core/sums';
import { Refusal } from '../../src/core/units';
import { anyFitOut, schools } from '../fit-outs';

/** Each figure is a number, or a refusal that names a field; the whole day is worked. */
function answers(fitOut: FitOut): void {
  const given: Given = { fitOut, plant: plantOf(fitOut) };
  const level = startingSum(given);
  const day = { running: 5400, fill: fillOf(level, given.plant), runs: 1, duty: 'passengers', water: 283, air: 286 } as const;
  const worked = [...engineFigures(given), ...dayNeeds(day, given)];
  for (const { name, worked: w } of worked)
    for (const x of [w.value, ...w.steps.map((s) => s.result.value)]) expect(Number.isNaN(x), `${fitOut.name}: ${name}`).toBe(false);
  if (level.fill.kind === 'glass') {
    expect(level.fill.value, 'a level that can be filled to').toBeGreaterThanOrEqual(0);
    expect(level.fill.value).toBeLessThanOrEqual(1);
  }
}

describe('any fit-out that the door takes', () => {
  const luck = chance(60_600);
  // `bench` has hundreds; so many here that each school and most patterns come.
  it.each(Array.from({ length: 24 }, (_, i) => [i, (['under', 'at', 'above'] as const)[i % 3]!] as const))(
    '%d, valves %s: arrives or says why, and no figure is nothing',
    (_, school) => {
      const fitOut = anyFitOut(luck, school);
      try {
        answers(fitOut);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        expect(error.sentence.length).toBeGreaterThan(20);
        return;
      }
      const plant = plantOf(fitOut);
      const heating = classHeating(fitOut, plant, { water: usualFill(fitOut, plant), T: 288.15 });
      const { up } = planRaise(fitOut, compose(fitOut), plant, heating, { water: 288.15, air: 288.15 });
      // What is not expected to arrive has a share that says so; a band is never upside down.
      if (up.sure > 0.5) {
        expect(up.early).toBeLessThanOrEqual(up.middle);
        expect(up.middle).toBeLessThanOrEqual(up.late);
        expect(up.middle).toBeGreaterThan(0);
      } else expect(up.sure).toBeGreaterThanOrEqual(0);
    }
  );

  it.each(patterns.flatMap((p) => Object.entries(schools).map(([school, share]) => [p.fitOut.name, school, p.fitOut, share] as const)))(
    '%s with valves %s working pressure comes into steam, and its valves do not keep it from it',
    (_, __, fitOut, share) => {
      const own = { ...fitOut, safetyValves: fitOut.safetyValves.map((v) => ({ ...v, set: fitOut.workingPressure * share })) };
      const plant = plantOf(own);
      const { reached } = raise(plant, { water: usualFill(own, plant), T: fitOut.fire.with === 'spirit' ? 333 : 288.15 }, {}, { dt: 2 });
      expect(reached, own.name).toBeDefined();
      // A thermostat that lets go sooner is all the pressure there is.
      const held = fitOut.workingPressure * Math.min(1, share);
      expect(inSteamAt(own)).toBeCloseTo(0.98 * Math.min(held, thermostatOf(own, held)?.letsGo ?? held), 6);
    }
  );
});
