import type { FitOut } from '../engine';
import { group, type Infer, quantity } from '../form';
import { given, greater, line, over, roundedUp, times, above, type WorkedInput, type WorkedStep } from '../units';
import { besides, demandOf, dutyField } from './demand';
import { usualDuty } from './duties';
import { fillOf, startingSum } from './start';
import { conditions, type Given, usualConditions } from './sum';

/** What a day says that its water, fuel and oil follow from. */
export const dayInputs = group('A day', {
  running: quantity('Running', 'time', 0, 24 * 3600),
  fill: quantity('First fill', 'volume', 1e-6, 5),
  duty: dutyField,
  ...conditions
});
export type Day = Infer<typeof dayInputs>;

/** Two hours of running on the engine's own fill. */
export const usualDay = (engine: Given): Day => ({
  running: 7200,
  fill: fillOf(startingSum(engine), engine.plant),
  duty: usualDuty,
  ...usualConditions
});

export const spare = (share: number, words: string): WorkedInput => given(`with ${words} over`, 1 + share, 'ratio', 'class default');
export const runningOf = (day: Day): WorkedInput => given('running', day.running, 'time', 'given');
export const fillIn = (day: Day): WorkedInput => given('first fill', day.fill, 'volume', 'given');
export const coldWeight = given('weight of cold water', 1000, 'density', 'steam tables');

/** Steam that a set fire makes, whether the engine uses it or its valves blow it off. */
export const steamMade = ({ plant }: Given) => given('steam the fire makes', plant.ratedSteam, 'mass flow', 'class default');

/** Whether anything can be fed while there is pressure. */
export const canBeFed = (f: FitOut): boolean => f.feeds.some((x) => x.plumbed && x.kind !== 'bottle');

/** How many times it is filled: once where it can be fed, and again for each run where it cannot. */
export function fillings(day: Day, engine: Given): { readonly lines: readonly WorkedStep[]; readonly count: WorkedInput } {
  const { fitOut } = engine;
  const held = fitOut.fire.with === 'electric' && fitOut.fire.thermostat !== 'none';
  if (canBeFed(fitOut)) return { lines: [], count: given('fillings', 1, 'count', 'fit-out') };
  // A thermostat makes what the engine asks for; any other set fire makes what it makes, and the valves blow off the rest.
  const demand = held ? demandOf(engine, day.duty) : undefined;
  const goes = demand ? times(demand.hour, besides()) : steamMade(engine);
  const lasts =
    fitOut.runLimit === null
      ? line(
          'running on one fill',
          'time',
          greater(
            given('five minutes', 300, 'time', 'class default'),
            over(times(fillIn(day), given('part that may go', 0.45, 'share', 'class default'), coldWeight), goes)
          )
        )
      : undefined;
  const oneRun = lasts ? above(lasts) : given('running on one fill', fitOut.runLimit!, 'time', 'fit-out');
  const count = line(
    'fillings',
    'count',
    greater(given('one at the least', 1, 'count', 'rule of the club'), roundedUp(over(runningOf(day), oneRun)))
  );
  return { lines: [...(lasts ? [...(demand?.lines ?? []), lasts] : []), count], count: above(count) };
}
