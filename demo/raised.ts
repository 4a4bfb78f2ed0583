import {
  copyOf,
  gaugeOf,
  type Habits,
  type Overrides,
  type Plant,
  plantFigures,
  plantOf,
  raise,
  type Raising,
  shut,
  step,
  usualFill
} from '../src/core/boiler';
import { type Chance } from '../src/core/chance';
import type { FitOut } from '../src/core/engine';
import { needleSpread } from '../src/core/forecast';
import { drop } from '../src/core/firing';
import { fireOf, type Past } from '../src/core/learn';

/**
 * A raising as it truly went, by the model, and what a keeper read off it: an engine that is not quite its class, a day that
 * is not quite the last one, a needle read in a hurry. Demo data, bench and tests draw their past from here.
 */
export interface Raised {
  /** The engine as it is: what nobody is told. */
  readonly truth: Plant;
  readonly raising: Raising;
  readonly water: number;
  readonly T: number;
  readonly ambient: number;
  /** s after the match, Pa at the gauge. */
  readonly readings: readonly { readonly at: number; readonly value: number }[];
  /** After the fire is out: s since it was, Pa at the gauge. */
  readonly cooling: readonly { readonly at: number; readonly value: number }[];
  /** What it truly lost while it cooled, W/K: to the air, by small leaks, and by the draught through its tubes. */
  readonly cools: number;
  /** When the blower took over from the fan, s after the match. */
  readonly blowerAt?: number;
}

/** How one engine differs from what its drawing says, as factors on the table of parameters. */
export const oddities = (luck: Chance, f: FitOut): Record<string, number> => ({
  power: Math.exp((f.fire.with === 'electric' ? 0.03 : 0.13) * luck.normal()),
  loss: Math.exp(0.2 * luck.normal()),
  metal: Math.exp(0.06 * luck.normal()),
  leak: Math.exp(0.5 * luck.normal())
});

/** The table of parameters with factors on it. */
export function oddly(f: FitOut, factors: Readonly<Record<string, number>>): Overrides {
  const own: Record<string, number> = {};
  for (const { key, worked } of plantFigures(f)) if (factors[key]) own[key] = worked.value * factors[key];
  return own;
}

/** s between looks at the needle while raising. */
const looks: Record<FitOut['size'], number> = { tabletop: 25, small: 60, medium: 200, full: 420 };

/** The fire dropped and the boiler left: a look now and then until the needle is down. */
function cooled(truth: Plant, raising: Raising, f: FitOut, luck: Chance): Pick<Raised, 'cooling' | 'cools'> {
  const w = copyOf(raising.end);
  const set = shut(truth);
  if (w.fire.with === 'solid') drop(w.fire);
  else Object.assign(w.fire, { setting: 0, warmth: 0, on: false });
  const from = w.time;
  const cooling: { at: number; value: number }[] = [];
  const energy = w.contents.energy;
  let warmth = 0;
  let next = looks[f.size];
  while (cooling.length < 12 && w.time - from < 5 * 3600 && gaugeOf(w) > 0) {
    step(truth, w, set, 2);
    warmth += 2 * (w.contents.T - w.ambient);
    if (w.time - from < next) continue;
    cooling.push({ at: w.time - from, value: Math.max(0, gaugeOf(w) + needleSpread(gaugeOf(w)) * luck.normal()) });
    next += 3 * looks[f.size] * luck.between(0.7, 1.4);
  }
  return { cooling, cools: (energy - w.contents.energy) / Math.max(1, warmth) };
}

/** The same as a past: what learning gets to see. @param litAt ms since 1970 */
export const asPast = (f: FitOut, r: Raised, litAt: number): Past => ({
  litAt,
  water: usualFill(f, r.truth, r.T),
  waterFrom: 'glass',
  T: r.T,
  TFrom: 'read',
  ambient: r.ambient,
  readings: r.readings.filter((x) => x.at <= (r.raising.reached ?? Infinity)),
  ...(r.blowerAt === undefined ? {} : { blowerAt: r.blowerAt }),
  open: r.blowerAt === undefined ? [] : [{ at: r.blowerAt, area: r.truth.blower }],
  ...(r.raising.reached === undefined ? {} : { reached: r.raising.reached }),
  cooling: r.cooling,
  fire: fireOf(f),
  swept: true
});

/**
 * @param own how the engine differs, the same from day to day @param day how much the day's fire gives, 1 as usual
 */
export function raised(
  f: FitOut,
  luck: Chance,
  {
    own = {},
    day = Math.exp(0.08 * luck.normal()),
    habits = {}
  }: { own?: Readonly<Record<string, number>>; day?: number; habits?: Habits } = {}
): Raised {
  const truth = plantOf(f, oddly(f, { ...own, power: (own.power ?? 1) * (f.fire.with === 'electric' ? 1 + (day - 1) / 4 : day) }));
  const ambient = 283 + luck.between(0, 12);
  // Where the charge is measured for the water, that is put in warm.
  const T = f.fire.with === 'spirit' ? 333 + luck.between(-4, 4) : ambient - 2 + luck.between(0, 4);
  const water = usualFill(f, truth, T) * Math.exp(0.03 * luck.normal());
  const raising = raise(
    truth,
    { water, T, ambient, air: luck.next() },
    { look: luck.between(14, 30), door: luck.between(4, 10), coarse: luck.between(0.85, 1.2), ...habits },
    { every: Math.min(20, looks[f.size] / 4), longest: 7 * 3600 }
  );
  const readings: { at: number; value: number }[] = [];
  let next = looks[f.size] * luck.between(0.5, 1);
  for (const m of raising.moments)
    if (m.time >= next) {
      const wild = luck.odds(0.03) ? luck.between(-0.3, 0.3) * f.workingPressure : 0;
      readings.push({ at: m.time, value: Math.max(0, m.gauge <= 0 ? 0 : m.gauge + needleSpread(m.gauge) * luck.normal() + wild) });
      next = m.time + looks[f.size] * luck.between(0.6, 1.5);
    }
  const blowerAt = raising.moments.find((m) => m.set.blower > 0)?.time;
  return {
    truth,
    raising,
    water,
    T,
    ambient,
    readings,
    ...cooled(truth, raising, f, luck),
    ...(blowerAt === undefined ? {} : { blowerAt })
  };
}
