import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import type { Band } from '../forecast';
import type { Procedure } from '../procedure';
import { saturationAtGauge } from '../steam';
import { energyWith, fillingOf, type Given, hotOnHot, isTimed, type Stop, stopOf, type Stopping, usualReserve } from '../sums';
import { type Gauge, mark } from '../units';
import type { DayPlan } from './day';
import type { Sheet } from './sheet';

/**
 * RUNS: an engine that nothing feeds is filled for each. Each time it is wanted is one run: lit in time for it, over when its sum says, then
 * let down, opened, measured, filled hot on hot, oiled and lit again.
 */
export interface PlannedRun {
  readonly what: string;
  /** ms since 1970: when it is lit, up, and has to be over. */
  readonly light: number;
  readonly up: number;
  readonly stop: number;
  /** m³ that stand in it at the match, and kg that are charged. */
  readonly fill: number;
  readonly charge?: number;
}

export interface Runs {
  readonly first: Stopping;
  /** Hot on hot; undefined where there is one run. */
  readonly again?: Stopping;
  /** Between the stop of one and the match of the next, s: until nothing is left of the pressure, and what hands do. */
  readonly between: { readonly cooling: number; readonly hands: number };
  readonly runs: readonly PlannedRun[];
  readonly problems: readonly string[];
}

/** Until a boiler that was up has nothing left to let off, s: it cools by itself, by Newton. @param kg of water in it @param air K */
function downIn(f: FitOut, plant: Plant, kg: number, air: number): number {
  const hot = saturationAtGauge(f.workingPressure as Gauge).T;
  const boil = saturationAtGauge(0 as Gauge).T;
  const perKelvin = (energyWith(plant, kg, hot) - energyWith(plant, kg, boil)) / (hot - boil);
  return (perKelvin / plant.vessel.loss) * Math.log((hot - air) / Math.max(1, boil - air));
}

/** The runs of a day; undefined where the engine can be fed. */
export function runsOf(
  { given, procedure, fill, up }: { given: Given; procedure: Procedure; fill: number; up: Pick<Band, 'middle'> },
  plan: DayPlan,
  { light }: Pick<Sheet, 'light'>
): Runs | undefined {
  const { fitOut, plant } = given;
  if (!isTimed(fitOut)) return undefined;
  const first = stopOf(fillingOf({ fill, water: plan.water, air: plan.air }), given);
  const hands = procedure.steps.filter((s) => s.cycle === 'further').reduce((sum, s) => sum + s.minutes * 60, 0);
  if ('refused' in first) return { first, between: { cooling: 0, hands }, runs: [], problems: [] };
  const more = plan.wants.length > 1;
  const again = more ? stopOf({ fill, charge: null, reserve: usualReserve, water: hotOnHot, air: plan.air }, given) : undefined;
  const cooling = downIn(fitOut, plant, first.left, plan.air);
  // When it is up is the raise’s to say, and one thing on the sheet; a further run is so much sooner up as its sum has it.
  const upIn = (of: Stop) => of.up * (up.middle < Infinity ? up.middle / first.up : 1);
  const run = (of: Stop, what: string, lit: number): PlannedRun => ({
    what,
    light: lit,
    up: lit + upIn(of) * 1000,
    stop: lit + of.worked.value * 1000,
    fill,
    ...(of.charge === undefined ? {} : { charge: of.charge })
  });
  const runs = [run(first, plan.wants[0]!.what, light)];
  const problems: string[] = [];
  const wanted = Date.parse(plan.wants[0]!.at);
  if (runs[0]!.stop < wanted + 60_000 && upIn(first) <= first.worked.value)
    problems.push(
      `“${plan.wants[0]!.what}” comes when its run has to be over already, {at:${Math.round(runs[0]!.stop)}}: what is proven beforehand takes the time. Prove less in steam, or fill and charge more.`
    );
  if (upIn(first) > first.worked.value)
    problems.push(
      `It is up after ${mark(upIn(first), 'time')}, and has to be over after ${mark(first.worked.value, 'time')}: there is no running in it. Fill warmer or more, or charge more.`
    );
  if (again && !('refused' in again))
    for (const want of plan.wants.slice(1)) {
      const wanted = Date.parse(want.at);
      const free = runs.at(-1)!.stop + (cooling + hands) * 1000;
      const lit = Math.max(free, wanted - upIn(again) * 1000);
      const next = run(again, want.what, lit);
      if (next.up > wanted + 30_000)
        problems.push(
          `“${want.what}” cannot be up before {at:${Math.round(next.up)}}: from the end of the run before it takes ${mark(cooling, 'time')} to come down, ${mark(hands, 'time')} of work and ${mark(upIn(again), 'time')} to come up.`
        );
      runs.push(next);
    }
  return {
    first,
    ...(again ? { again } : {}),
    between: { cooling, hands },
    runs,
    problems
  };
}

/** Running in all, s: what lies between up and over of each run. */
export const runningIn = ({ runs }: Runs): number => runs.reduce((sum, r) => sum + Math.max(0, r.stop - r.up), 0) / 1000;

/** A plan of an engine that is timed runs as long as its sum allows, and not as long as somebody says: minutes from the first up to the last stop. */
export const timedPlan = (plan: DayPlan, runs: Runs | undefined): DayPlan =>
  runs?.runs.length ? { ...plan, running: Math.max(0, Math.round((runs.runs.at(-1)!.stop - runs.runs[0]!.up) / 60_000)) } : plan;
