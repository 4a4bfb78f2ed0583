import { plantFor, waterAtGlass } from '../boiler';
import { boilerShape, burnerKey, type FitOut } from '../engine';
import { gasHeat } from '../firing';
import { coldWater, saturationAtGauge } from '../steam';
import {
  doubts,
  type Ends,
  fillOf,
  isTimed,
  noneShown,
  type Shown,
  startingSum,
  type Stop,
  stopOf,
  type Stopping,
  usualReserve
} from '../sums';
import {
  above,
  asked,
  type Gauge,
  given,
  greater,
  isLevel,
  lesser,
  line,
  minus,
  over,
  plus,
  times,
  workedFrom,
  type WorkedInput
} from '../units';
import { expectedAt, sensesOf } from '../procedure';
import type { Log } from './fold';
import type { Run, RunFact, State } from './state';

/** THE STOP OF A RUN, by what was really put in: the same sum as on its day sheet. */

/** m³ in it at the match: measured, or by the glass before it, or taken to be its usual fill. */
function waterOf(fitOut: FitOut, run: Run, { glass }: Pick<State, 'glass'>): { readonly volume: number; readonly taken?: true } {
  if (run.water !== undefined) return { volume: run.water };
  const plant = plantFor(fitOut);
  if (glass && isLevel(glass.value) && glass.at <= run.litAt) return { volume: waterAtGlass(plant.vessel, glass.value, coldWater) };
  return { volume: fillOf(startingSum({ fitOut, plant }), plant), taken: true };
}

/** Between which a fire may be, times what is expected of it, and how near it is worked. */
const [weakest, fiercest, nearly] = [0.4, 2.5, 1e-3] as const;
const factors = new WeakMap<Run, number | undefined>();

/**
 * How hot a fire was by what boiled away: the heat, times what is expected, at which the sum comes to the water that went. Not water over water:
 * what is lost to the air is lost first. Undefined where it was not measured, or was hardly up.
 */
function factorOf(fitOut: FitOut, run: Run): number | undefined {
  if (factors.has(run)) return factors.get(run);
  const found = heatThatBoiled(fitOut, run);
  factors.set(run, found);
  return found;
}
function heatThatBoiled(fitOut: FitOut, run: Run): number | undefined {
  const { water, left } = run;
  if (water === undefined || left === undefined || !run.outAt || left >= water) return undefined;
  const took = tookOf(run)!;
  const usual = stopBy(fitOut, run, water);
  if ('refused' in usual || took < usual.up + 60) return undefined;
  const went = usual.water * (1 - left / water);
  const goes = (factor: number): number => {
    const stop = stopBy(fitOut, run, water, { factor, spread: 0, runs: 1 });
    return 'refused' in stop ? 0 : stop.steams * (took - usual.up);
  };
  let [low, high] = [weakest, fiercest] as [number, number];
  while (high - low > nearly) {
    const middle = (low + high) / 2;
    if (goes(middle) < went) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Water no warmer than the hand, and a little, K. */
const stillCold = 330;

/** Heat while raising by when its senses came, times what is expected; undefined with fewer than two of them from the boil on. */
function raiseOf(fitOut: FitOut, run: Run, sensed: RunFact['sensed']): number | undefined {
  // Of a further run it tells little: how hot it still was is not known, and the fire itself takes its time.
  if (run.water === undefined || (run.T ?? 0) > stillCold) return undefined;
  const stop = stopBy(fitOut, run, run.water);
  if ('refused' in stop) return undefined;
  const off = sensesOf(fitOut).flatMap((sense) => {
    const t = sensed[sense.seen];
    return sense.way >= 1 && t !== undefined && t > 0 ? [Math.log(expectedAt(sense, stop) / t)] : [];
  });
  return off.length < 2 ? undefined : Math.min(fiercest, Math.max(weakest, Math.exp(mean(off))));
}
const tookOf = ({ litAt, outAt }: Run): number | undefined => (outAt ? (Date.parse(outAt) - Date.parse(litAt)) / 1000 : undefined);

/** Fuel that went in a run by its weight, times what the power of its burners asks; undefined where it was not weighed, or too short. */
function burnsOf(fitOut: FitOut, { burnt, ...run }: Run): number | undefined {
  const { fire } = plantFor(fitOut);
  const took = tookOf(run) ?? 0;
  return burnt !== undefined && burnt > 0 && took > 120 && fire.with === 'gas'
    ? Math.min(2, Math.max(0.5, (burnt * gasHeat) / took / fire.power))
    : undefined;
}

/** What a run has shown, to be kept for later days. @param sensed s from its match to each sense */
export const factOf = (fitOut: FitOut, run: Run, sensed: RunFact['sensed']): RunFact => {
  const [factor, burns, raise] = [factorOf(fitOut, run), burnsOf(fitOut, run), raiseOf(fitOut, run, sensed)];
  return {
    burner: burnerKey(fitOut),
    ...(run.charge === undefined ? {} : { charge: run.charge }),
    ...(run.T === undefined ? {} : { T: run.T }),
    ...(factor === undefined ? {} : { factor }),
    ...(burns === undefined ? {} : { burns }),
    ...(raise === undefined ? {} : { raise }),
    sensed
  };
};

const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length;
/** So many runs count: what is older says less of the burner as it is. */
const counted = 8;

/** What its runs have shown of its fire, those of earlier days with them: measured in and left, weighed before and after. */
export function shownBy(fitOut: FitOut, runs: readonly Run[], earlier: readonly RunFact[] = []): Shown {
  const of = (now: (number | undefined)[], before: (number | undefined)[]) =>
    [...now.reverse(), ...before].filter((x) => x !== undefined).slice(0, counted);
  const factors = of(
    runs.map((run) => factorOf(fitOut, run)),
    earlier.map((e) => e.factor)
  );
  const burns = of(
    runs.map((run) => burnsOf(fitOut, run)),
    earlier.map((e) => e.burns)
  );
  // Of this day it is not read: what was sensed is no part of a run as it stands in the log.
  const raise = earlier.flatMap((e) => e.raise ?? []).slice(0, counted);
  const fuel = {
    ...(burns.length ? { burns: mean(burns), weighed: burns.length } : {}),
    ...(raise.length ? { raise: mean(raise), raised: raise.length } : {})
  };
  if (!factors.length) return { ...noneShown, ...fuel };
  const factor = mean(factors);
  // One run says little of how far the next may be off: never less than a twentieth, and more while there are few.
  const spread = Math.max(0.05, 0.15 / Math.sqrt(factors.length), ...factors.map((f) => Math.abs(f - factor) / factor));
  return { factor, spread, runs: factors.length, ...fuel };
}

const stopBy = (fitOut: FitOut, run: Run, fill: number, shown?: Shown): Stopping =>
  stopOf(
    { fill, charge: run.charge ?? null, reserve: usualReserve, water: Math.min(372, run.T ?? coldWater), air: coldWater },
    { fitOut, plant: plantFor(fitOut) },
    shown,
    true
  );

/** What a run that burns was lit with comes to: its stop, or why its fuel and its water do not go together. */
export function stopOfRun(
  { fitOut, state }: { readonly fitOut: FitOut; readonly state: State },
  run: Run
): Stopping & { readonly taken?: true } {
  const { volume, taken } = waterOf(fitOut, run, state);
  const earlier = state.runs.filter((r) => r.litAt < run.litAt);
  const stop = stopBy(fitOut, run, volume, shownBy(fitOut, earlier, state.earlier));
  return { ...('refused' in stop ? stop : byGlass(stop, fitOut, run, state)), ...(taken ? { taken } : {}) };
}

/** The sum begun anew from a look at the glass since the match: what is in it is seen, and no longer worked. */
function byGlass(stop: Stop, fitOut: FitOut, run: Run, { glass, pressure }: Pick<State, 'glass' | 'pressure'>): Stop {
  // A glass that it has not got may have been logged all the same.
  if (!fitOut.glasses.length || !glass || glass.at <= run.litAt || !isLevel(glass.value)) return stop;
  const hot = saturationAtGauge(Math.max(0, glass.pressure ?? pressure?.value ?? 0) as Gauge);
  const { vessel } = plantFor(fitOut);
  const seen = given('look at the glass', (Date.parse(glass.at) - Date.parse(run.litAt)) / 1000, 'time', 'measured');
  const is = asked('water in it then', 'mass', 'water up to that level, hot', waterAtGlass(vessel, glass.value, hot.T) / hot.vf, [
    given('glass', glass.value, 'glass', 'measured'),
    seen
  ]);
  const may = line(
    'may boil away from there',
    'mass',
    greater(
      given('nothing', 0, 'mass', 'rule of the club'),
      minus(
        times(above(is), given('what of it is sure', 1 - doubts.water, 'share', 'class default')),
        given('floor', floorSeen(fitOut, hot.vf), 'mass', 'geometry')
      )
    )
  );
  const lasts = line(
    'water lasts',
    'time',
    plus(seen, over(above(may), given('boils away at the most', stop.fastest, 'mass flow', 'class default')))
  );
  const ends: readonly (readonly [Ends, WorkedInput])[] = [
    ...(fitOut.runLimit === null ? [] : [['run limit', given('longest run', fitOut.runLimit, 'time', 'fit-out')] as const]),
    ...(stop.fuelOut === undefined ? [] : [['fuel', given('fuel out', stop.fuelOut, 'time', 'above')] as const]),
    ['water', above(lasts)]
  ];
  const end = line('stop', 'time', ends.length > 1 ? lesser(...ends.map(([, x]) => x)) : ends[0]![1]);
  return {
    ...stop,
    worked: workedFrom(
      [is, may, lasts, end],
      'estimate',
      'From the last look at the glass, with the fire at its fiercest. Look again, and it begins anew.'
    ),
    by: ends.find(([, x]) => x.value <= end.result.value * (1 + 1e-9))![0],
    lasts: lasts.result.value
  };
}

/** kg up to the bottom nut, hot: the share kept back was for what is not seen. */
function floorSeen(fitOut: FitOut, roomOfOne: number): number {
  const shape = boilerShape(fitOut.boiler);
  return shape.volume(Math.max(shape.heated, ...fitOut.glasses.map((g) => g.bottomNut))) / roomOfOne;
}

/** A run of the day as its record has it: when it had to be over, and by how much it was late. */
export interface RunTold {
  readonly run: Run;
  readonly stop?: Stop;
  /** ms since 1970 */ readonly over?: number;
  /** ms after it; 0 when it was kept. */
  readonly late: number;
  readonly refused?: string;
}

/** As the glass was seen last while that run burned. */
function asSeen({ state, events }: Pick<Log, 'state' | 'events'>, { outAt }: Run): State {
  if (!outAt || !state.glass || state.glass.at <= outAt) return state;
  const read = events.findLast((e) => e.is === 'reading' && e.glass !== undefined && e.at <= outAt);
  const { glass: _, ...rest } = state;
  return read?.is === 'reading' ? { ...rest, glass: { value: read.glass!, at: read.at, pressure: read.glassAt ?? null } } : rest;
}

/** Every run of an engine that is timed, oldest first. */
export const runsTold = (log: Pick<Log, 'context' | 'state' | 'events'>): RunTold[] =>
  isTimed(log.context.fitOut)
    ? log.state.runs.map((run): RunTold => {
        const stop = stopOfRun({ fitOut: log.context.fitOut, state: asSeen(log, run) }, run);
        if ('refused' in stop) return { run, late: 0, refused: stop.refused };
        const over = Date.parse(run.litAt) + stop.worked.value * 1000;
        // Said out within a minute is kept: hands come before the log.
        const late = run.outAt ? Date.parse(run.outAt) - over : 0;
        return { run, stop, over, late: late > 60_000 ? late : 0 };
      })
    : [];
