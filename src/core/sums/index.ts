import type { Figure } from '../units';
import { charges } from './charges';
import { coal, lightingFluidFor, startFuelFor } from './coal';
import { slug } from './dip';
import { drawings } from './drawing';
import { gas } from './gas';
import { motionOil, steamOil } from './oil';
import { pair } from './pair';
import { coldFill, start } from './start';
import type { Given, Sum } from './sum';
import { water } from './water';

export { type Dip, dip } from './dip';
export { type Day, dayInputs } from './day';
export { fuelAndWater, needsPair, type Pair, usualPair, usualReserve } from './pair';
export { fillOf, type Level, startingSum } from './start';
export type { Given, Sum, Used } from './sum';

/** Every sum an operator asks for, in the order in which they are read. A new one is a file and a row here. */
export const sums: readonly Sum[] = [
  start,
  coldFill,
  ...drawings,
  water,
  startFuelFor,
  lightingFluidFor,
  coal,
  gas,
  charges,
  steamOil,
  motionOil,
  pair,
  slug
];

/** The sums of one place that mean something for an engine, worked; with what is said, or with what would usually be. */
export const sumsOn = (on: Sum['on'], given: Given, said?: object): Figure[] =>
  sums
    .filter((s) => s.on === on && (s.when?.(given) ?? true))
    .map((s) => ({
      key: s.key,
      name: s.said?.(given) ?? s.name,
      worked: s.work((said ?? s.usual(given)) as never, given)
    }));
