import type { Group, Infer } from '../form';
import type { Figure } from '../units';
import { endurance, equivalent } from './burning';
import { charges } from './charges';
import { coal, lightingFluidFor, startFuelFor } from './coal';
import { meanPressureSum, power, steamUsed } from './cylinders';
import type { Day, dayInputs } from './day';
import { slug } from './dip';
import { drawings } from './drawing';
import { gas } from './gas';
import { condensate, evaporation, feedHeat, fuelForSteam, gasTime } from './heat';
import { hotLevel } from './hot-level';
import { lapsLeft } from './laps';
import { lastFire } from './last-fire';
import { gaugeAgainstThermometer, thermostat, thermostatFor } from './instruments';
import { motionOil, steamOil } from './oil';
import { pair, stop } from './pair';
import { accumulation, hydraulic } from './pressure-tests';
import { sag } from './sag';
import { enginePump, handStrokes, injectorDelivery, injectorLimit } from './pumps';
import { dissolved, onceBlownDown, steadyBlowDown, treatment } from './solids';
import { coldFill, start } from './start';
import type { Given, Sum } from './sum';
import { adhesion, drawbar, load, scaleSpeed, tractiveEffort, turnsFromTaps } from './traction';
import { valveBore, valveDischarge } from './valve';
import { water } from './water';

export { type Dip, dip } from './dip';
export { usualFilling } from './pair';
export { treatment } from './solids';
export { valveDischarge } from './valve';
export { stopOf } from './stop';
export {
  canBeFed,
  doubts,
  type Filling,
  hotOnHot,
  isTimed,
  needsPair,
  noneShown,
  warmWater,
  type Ends,
  type Shown,
  type Stop,
  type Stopping,
  usualReserve
} from './stop-terms';
export { fillOf, type Level, startingSum } from './start';
export { type Day, fillingOf } from './day';
export { demandOf, mostMade } from './demand';
export { energyWith } from './heat-up';
export { lastFire } from './last-fire';
export { leastTaps, rateOfTaps, type Taps } from './taps';
export { steamUsed } from './cylinders';
export { lapsLeft } from './laps';
export { accumulation, judgeAccumulation } from './pressure-tests';
export { sag } from './sag';
export { duties, type Duty, usualDuty } from './duties';
export type { Given, Sum, Used } from './sum';

/** Shown with an engine's figures, in the order in which they are read. A new sum is a file and a row in one of these. */
const engineSums: readonly Sum[] = [start, coldFill, ...drawings];
/** Shown on its day sheets. */
const daySums: readonly Sum<typeof dayInputs>[] = [water, startFuelFor, lightingFluidFor, coal, gas, charges, steamOil, motionOil];
/** Worked only where somebody asks. */
const askedSums: readonly Sum[] = [pair, stop, slug];
/** The bench: on their own, by what people ask. */
const bench: Readonly<Record<string, readonly Sum[]>> = {
  Feeding: [hotLevel, enginePump, handStrokes, injectorDelivery, injectorLimit, slug, endurance],
  'Valves and tests': [valveDischarge, valveBore, accumulation, hydraulic, gaugeAgainstThermometer],
  'Fire and fuel': [lastFire, evaporation, fuelForSteam, feedHeat, gasTime, equivalent, pair, stop, thermostat, thermostatFor, sag],
  'The engine at work': [power, meanPressureSum, steamUsed, condensate, turnsFromTaps],
  'On the track': [tractiveEffort, adhesion, load, drawbar, scaleSpeed, lapsLeft],
  Water: [dissolved, steadyBlowDown, onceBlownDown, treatment]
};

/** Every sum an operator asks for, by where it is shown. */
export const sums: Readonly<Record<'engine' | 'day' | 'asked' | 'bench', readonly Sum[]>> = {
  engine: engineSums,
  day: daySums,
  asked: askedSums,
  bench: Object.values(bench)
    .flat()
    .filter((s) => !askedSums.includes(s))
};
/** The bench's index. */
export const benchIndex = bench;
/** A sum of the bench by its key. */
export const benchSum = (key: string): Sum | undefined =>
  Object.values(bench)
    .flat()
    .find((s) => s.key === key);

const figure = <G extends Group>(s: Sum<G>, said: Infer<G>, given: Given): Figure => ({
  key: s.key,
  name: s.said?.(given) ?? s.name,
  worked: s.work(said, given)
});
const meant = (given: Given) => (s: Pick<Sum, 'when'>) => s.when?.(given) ?? true;

/** The figures of an engine, with what would usually be said where something is asked. */
export const engineFigures = (given: Given): Figure[] => engineSums.filter(meant(given)).map((s) => figure(s, s.usual(given), given));

/** What a day needs of an engine. */
export const dayNeeds = (day: Day, given: Given): Figure[] => daySums.filter(meant(given)).map((s) => figure(s, day, given));
