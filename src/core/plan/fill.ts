import { type Plant, waterAtGlass } from '../boiler';
import type { Procedure, Proof, Step } from '../procedure';
import {
  fillOf,
  type Given,
  hotOnHot,
  isTimed,
  type Level,
  needsPair,
  noneShown,
  type Stop,
  stopOf,
  usualReserve,
  warmWater
} from '../sums';
import { boilerShape, type FitOut } from '../engine';
import { sensesAhead } from '../learn';
import { coldWater } from '../steam';
import { mark, printGlass } from '../units';

/** How far a reading of the glass may be off, of the glass. */
const readTo = 1 / 16;

/** What a cold glass is held against: the level asked for, to as near as a glass is read, and what would stand over the ceiling when hot. */
function provenBy({ fill, most, refused }: Level, { vessel }: Plant): Proof | undefined {
  if (fill.kind !== 'glass' || refused) return undefined;
  return {
    kind: 'level',
    fill: fill.value,
    least: fill.value - readTo,
    most: Math.min(2, Math.max(fill.value, most) + readTo),
    eighths: eighthsOf(vessel)
  };
}

const eighthsOf = (vessel: Plant['vessel']) => Array.from({ length: 9 }, (_, i) => waterAtGlass(vessel, i / 8, coldWater));

/** What is measured in is held against what must stand over the hottest metal, and what would swell past its room. */
const measuredBy = ({ fill, least, most }: Level, { boiler }: FitOut): Proof => {
  const shape = boilerShape(boiler);
  const metal = shape.volume(shape.heated);
  return { kind: 'water', fill: fill.value, least: Math.min(fill.value, Math.max(least, 1.15 * metal)), most, metal };
};

/** Fillings at which the largest charge is worked, as shares from the least to the most. */
const shares = [0, 0.15, 0.3, 0.45, 0.6, 0.8, 1] as const;

/** The largest charge that ends before the water by class figures, which its own runs then scale, by how much is in: as a step is judged on any device, without a model. */
function pairBy(level: Level, given: Given): Proof | undefined {
  const { fitOut, plant } = given;
  const { fire } = fitOut;
  if (!needsPair(fitOut) || (fire.with !== 'gas' && fire.with !== 'spirit')) return undefined;
  const shape = boilerShape(fitOut.boiler);
  const [from, to] = [1.05 * shape.volume(shape.heated), 0.95 * shape.total];
  const waters = shares.map((x) => from + x * (to - from));
  const most = (water: number, T: number) => {
    const stop = stopOf({ fill: water, charge: null, reserve: usualReserve, water: T, air: coldWater }, { fitOut, plant }, noneShown);
    return 'refused' in stop ? 0 : (stop.largest?.value ?? 0);
  };
  const own = stopOf({ fill: fillOf(level, plant), charge: null, reserve: usualReserve, water: coldWater, air: coldWater }, given);
  const piece =
    fire.with === 'spirit' && fire.pieces !== null && plant.fire.with === 'spirit'
      ? plant.fire.charge / plant.fire.heat / fire.pieces
      : undefined;
  return {
    kind: 'pair',
    waters,
    cold: waters.map((w) => most(w, coldWater)),
    hot: waters.map((w) => most(w, hotOnHot)),
    ...(piece === undefined ? {} : { piece }),
    own: 'refused' in own ? '' : mark(own.charge!, 'mass'),
    ...(fitOut.glasses.length ? { eighths: eighthsOf(plant.vessel) } : {})
  };
}

/** How water goes in, by how much there is of it: from m³ on, so many m³ a minute: syringe, funnel and bottle, bucket, hose. */
const pours = [
  [0, 0.0001],
  [0.001, 0.0015],
  [0.02, 0.006],
  [0.1, 0.012]
] as const;
/** Beside the pouring: looking, and what is opened and shut for it, min. */
const toPour = 2;

/** Steps that the day's sums fill in: what they are held against, and what they say. */
const filled: ReadonlySet<string> = new Set(['fill', 'water-and-valves', 'again-fill']);

/** A procedure whose steps ask for this level and hold the charge against it: a sheet and its steps must not name two. */
export const withFill = (procedure: Procedure, level: Level, given: Given): Procedure => {
  const { fitOut, plant } = given;
  const measured = !fitOut.glasses.length;
  const pair = pairBy(level, given);
  const water = measured ? measuredBy(level, fitOut) : provenBy(level, plant);
  const cold = fillOf(level, plant);
  const stop = isTimed(fitOut) ? stopAsFilled(cold, given) : undefined;
  const early = stop && !fitOut.gauge ? notBefore(stop, fitOut) : undefined;
  return {
    ...procedure,
    steps: procedure.steps.map((step): Step => {
      const watered = filled.has(step.key);
      const burns = step.act === 'light' || step.key === 'charge' || step.key === 'again-charge';
      const proof = watered ? water : burns ? pair : undefined;
      const s = proof ? { ...step, proof } : step;
      if (s.key === 'run-limit' && stop)
        return { ...s, what: `Over within ${mark(stop.worked.value, 'time')} of the match, by ${whatEnds[stop.by]}` };
      if (s.key !== 'fill') return early ? early(s) : s;
      const minutes = toPour + Math.ceil(cold / pours.findLast(([from]) => cold >= from)![1]);
      const volume = mark(cold, 'volume');
      return level.fill.kind === 'glass'
        ? {
            ...s,
            minutes,
            what: `Fill to ${printGlass(level.fill.value)} of the glass`,
            how: `About ${volume} if it is empty${counted(cold, fitOut)}. ${s.how}`
          }
        : { ...s, minutes, what: `Fill with ${volume}, measured`, how: `${inSyringes(cold, fitOut)}${s.how}` };
    })
  };
};

/** As its owner fills, K: from the tap, or hand-warm. */
const filledAt = ({ habits }: FitOut): number => (habits.fill === 'warm' ? warmWater : coldWater);
const whatEnds = { water: 'its water', 'run limit': 'the longest run', fuel: 'its fuel' } as const;
/** The stop on its own fill and charge, as the sheet and the Footplate have it. */
function stopAsFilled(cold: number, given: Given): Stop | undefined {
  const stop = stopOf({ fill: cold, charge: null, reserve: usualReserve, water: filledAt(given.fitOut), air: coldWater }, given);
  return 'refused' in stop ? undefined : stop;
}

/**
 * What a step sees on an engine without a needle cannot be seen before it can be there: nine runs in ten come later than the early edge, and
 * nothing is told sooner than so much of it. Whoever sees it sooner points at it, and the step is done by that.
 */
const tooEarly = 0.7;
function notBefore(stop: Stop, fitOut: FitOut): (step: Step) => Step {
  const early = new Map(sensesAhead(fitOut, stop, []).map(({ sense, early }) => [sense.seen, early]));
  return (step) =>
    step.gates.some((g) => g.kind === 'comes')
      ? {
          ...step,
          gates: step.gates.map((g) => (g.kind === 'comes' ? { ...g, after: Math.round(tooEarly * (early.get(g.what) ?? 0)) } : g))
        }
      : step;
}

/** The same to a mark of the glass, where a syringe fills it. */
const counted = (volume: number, fitOut: FitOut): string => {
  const said = inSyringes(volume, fitOut).replace(/\. $/, '');
  return said ? `: ${said}` : '';
};

/** What a fill is, counted as it is measured in. */
function inSyringes(volume: number, { measures: { syringe, measure } }: FitOut): string {
  const by = syringe ?? measure;
  if (by === null) return '';
  const whole = Math.floor(volume / by + 1e-6);
  const rest = volume - whole * by;
  const of = `${syringe === null ? 'measure' : 'syringe'}${whole === 1 ? '' : 's'} of ${mark(by, 'volume')}`;
  return `${whole} ${of}${rest > 0.02 * by ? ` and ${mark(rest, 'volume')}` : ''}. `;
}
