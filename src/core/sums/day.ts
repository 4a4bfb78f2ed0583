import { count, group, type Infer, quantity } from '../form';
import { given, line, plus, times, type Worked, workedFrom, type WorkedInput } from '../units';
import { dutyField } from './demand';
import { usualDuty } from './duties';
import { fillOf, startingSum } from './start';
import { stopOf } from './stop';
import type { Filling } from './stop-terms';
import { canBeFed, hotOnHot, usualReserve } from './stop-terms';
import { conditions, type Given, usualConditions } from './sum';

/** What a day says that its water, fuel and oil follow from. */
export const dayInputs = group('A day', {
  running: quantity('Running', 'time', 0, 24 * 3600),
  fill: quantity('First fill', 'volume', 1e-6, 5),
  runs: count('Runs, for an engine that is filled for each', 1, 50),
  duty: dutyField,
  ...conditions
});
export type Day = Infer<typeof dayInputs>;

/** Two hours of running on the engine's own fill. */
export const usualDay = (engine: Given): Day => ({
  running: 7200,
  fill: fillOf(startingSum(engine), engine.plant),
  runs: 1,
  duty: usualDuty,
  ...usualConditions
});

export const spare = (share: number, words: string): WorkedInput => given(`with ${words} over`, 1 + share, 'ratio', 'class default');
export const runningOf = (day: Day): WorkedInput => given('running', day.running, 'time', 'given');
export const fillIn = (day: Day): WorkedInput => given('first fill', day.fill, 'volume', 'given');
export const coldWeight = given('weight of cold water', 1000, 'density', 'steam tables');

/** Steam that a set fire makes, whether the engine uses it or its valves blow it off. */
export const steamMade = ({ plant }: Given) => given('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default');

/** How many times it is filled: once where it can be fed, and again for each run where it cannot. */
export const fillings = (day: Day, { fitOut }: Given): WorkedInput =>
  given(
    canBeFed(fitOut) ? 'fillings' : 'runs, a filling each',
    canBeFed(fitOut) ? 1 : day.runs,
    'count',
    canBeFed(fitOut) ? 'fit-out' : 'given'
  );

/** The first run of a day, on its own fill and its own charge. */
export const fillingOf = ({ fill, water, air }: Pick<Day, 'fill' | 'water' | 'air'>): Filling => ({
  fill,
  charge: null,
  reserve: usualReserve,
  water,
  air
});

/** Fuel of an engine that is timed: what each run is charged with, as its day sheet, its procedure and its Footplate have it. */
export function chargesFor(day: Day, engine: Given): Worked {
  const run = stopOf(fillingOf(day), engine);
  const charge = 'refused' in run ? 0 : (run.charge ?? 0);
  // A further run begins hot on hot: less of it ends before the water.
  const hot = day.runs > 1 ? stopOf({ ...fillingOf(day), water: hotOnHot }, engine) : run;
  const further = 'refused' in hot ? 0 : (hot.charge ?? 0);
  return workedFrom(
    [
      ...('refused' in run || !run.largest ? [] : run.largest.steps),
      line(
        'for the day',
        'mass',
        plus(
          given('charge of the first run', charge, 'mass', 'fit-out'),
          times(given('further runs', day.runs - 1, 'count', 'given'), given('charge of a further run', further, 'mass', 'fit-out'))
        )
      )
    ],
    'estimate',
    'refused' in run ? run.refused : undefined
  );
}
