import { airRate, energyAt, type EnergyTable, energyTable, type Plant, spaceAt } from '../boiler';
import { chance, type Chance } from '../chance';
import { cloud, keepsPace, type RaiseFilter } from './cloud';
import type { Heating } from './heating';

export interface RaiseStart {
  readonly plant: Plant;
  readonly heating: Heating;
  /** kg */ readonly water: number;
  /** Temperature of the water when it was lit, K, and how well it is known. */
  readonly T: number;
  readonly TSpread?: number;
  readonly ambient?: number;
  readonly atmosphere?: number;
  /** s since 1970 */ readonly litAt: number;
  /** What stood open at the match, as holes, CdA in m². */
  readonly open?: RaiseFilter['open'];
  /** Share of the air in at the match, where it is known. */
  readonly air?: number;
  readonly seed?: number;
}

/** A forecast at the moment of lighting: nothing but what is known beforehand. */
export function startRaise(s: RaiseStart): RaiseFilter {
  const { plant, heating, water, T, TSpread = 2, ambient = 288.15, atmosphere = s.plant.atmosphere, litAt, open = {}, seed = 1 } = s;
  const luck = chance(seed);
  const table = energyTable(plant.vessel, water);
  const f: RaiseFilter = {
    plant,
    heating,
    ambient,
    atmosphere,
    litAt,
    burnsFrom: litAt,
    table,
    now: litAt,
    luck,
    energy: new Float64Array(cloud),
    lnHeat: new Float64Array(cloud),
    lnLag: new Float64Array(cloud),
    lnBoost: new Float64Array(cloud),
    air: new Float64Array(cloud),
    lnLeak: new Float64Array(cloud),
    lnPace: new Float64Array(cloud),
    weight: new Float64Array(cloud).fill(1 / cloud),
    open,
    readings: 0,
    lastReading: undefined,
    surprises: 0
  };
  const lnLeak = usualLeak(plant, table);
  // Each figure is drawn evenly over its range and in an order of its own: a few hundred guesses leave no gaps.
  const drawn = () => evenly(luck);
  const [T0, heat, lag, boost, leak, air] = [drawn(), drawn(), drawn(), drawn(), drawn(), drawn()];
  const pace = plant.pace < Infinity ? drawn() : undefined;
  for (let i = 0; i < cloud; i++) {
    f.energy[i] = energyAt(table, Math.max(274, T + TSpread * normalAt(T0[i]!)));
    const isOdd = heat[i]! < odd.share;
    f.lnHeat[i] = heating.lnHeat + among(heat[i]!) * (isOdd ? widened(heating.heatSpread, odd.heat) : heating.heatSpread);
    f.lnLag[i] = Math.log(heating.lag) + heating.lagSpread * normalAt(lag[i]!);
    f.lnBoost[i] = heating.lnBoost + normalAt(boost[i]!) * (isOdd ? widened(heating.boostSpread, odd.boost) : heating.boostSpread);
    // A boiler that is shut cold is full of air; how fast its leaks lose it is hardly known.
    f.air[i] = s.air ?? 1 - 0.6 * air[i]! ** 2;
    f.lnLeak[i] = lnLeak + leakSpread * normalAt(leak[i]!);
    if (pace) f.lnPace[i] = keepsPace.near + keepsPace.spread * normalAt(pace[i]!);
  }
  return f;
}

/** Spread of the rate at which leaks lose the air, as a logarithm: from a minute to some hours. */
export const leakSpread = 1.4;
/** ln of that rate, 1/s: half way between the leaks of the class and what boilers of any size have shown. */
export const usualLeak = (plant: Plant, table: EnergyTable): number => (Math.log(airRate(plant.leak, spaceAt(table, 380))) - 5.6) / 2;

/** Even parts of 0 to 1 in a random order. */
function evenly(luck: Chance): Float64Array {
  const list = Float64Array.from({ length: cloud }, (_, i) => (i + luck.next()) / cloud);
  for (let i = cloud - 1; i > 0; i--) {
    const j = Math.floor(luck.next() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}

/** The normal figure below which a share of all lies: rational approximation of Hastings, within 5 parts in 10,000. */
export function normalAt(share: number): number {
  const p = Math.min(1 - 1e-9, Math.max(1e-9, share));
  const t = Math.sqrt(-2 * Math.log(Math.min(p, 1 - p)));
  const z = t - (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3);
  return p < 0.5 ? -z : z;
}

/** One guess in four is of an odd day, whatever the others were: an engine's past must not make its forecast stubborn. Set on days for fitting. */
const odd = { share: 0.25, heat: 0.55, boost: 0.55 } as const;
/** The normal figure of a share among the odd days, or among the rest. */
const among = (share: number): number => normalAt(share < odd.share ? share / odd.share : (share - odd.share) / (1 - odd.share));
/** A spread as it is on an odd day: never less than that of any engine, and nothing where nothing is unknown. */
const widened = (spread: number, least: number): number => (spread > 0 ? Math.max(least, 1.5 * spread) : 0);
