import {
  airAtRest,
  airLeft,
  airRate,
  energyAt,
  type EnergyTable,
  energyTable,
  needleAt,
  type Plant,
  spaceAt,
  temperatureAt
} from '../boiler';
import type { Chance } from '../chance';
import { comingUp, type Heating } from './heating';

/**
 * The forecast of a raising: a cloud of guesses over stored energy, heat of the fire, air still in, lag of the fire and what
 * the blower changes. Every reading weighs the cloud; a needle misread once does not move it far; the cloud run ahead
 * gives the time to any gate with its band.
 */
export interface RaiseFilter {
  readonly plant: Plant;
  readonly heating: Heating;
  readonly ambient: number;
  readonly atmosphere: number;
  /** s since 1970 */ readonly litAt: number;
  /** From when its fire comes up: the match, or the last charge. */
  burnsFrom: number;
  table: EnergyTable;
  now: number;
  readonly luck: Chance;
  readonly energy: Float64Array;
  readonly lnHeat: Float64Array;
  readonly lnLag: Float64Array;
  readonly lnBoost: Float64Array;
  /** Share of the air still in, and ln of the rate at which leaks lose it, 1/s. */
  readonly air: Float64Array;
  readonly lnLeak: Float64Array;
  /** ln of how fast its keeper lets it warm, over the pace of its boiler. */
  readonly lnPace: Float64Array;
  readonly weight: Float64Array;
  /** What stands open, as holes, CdA in m²: air leaves by it. */
  open: Readonly<Partial<Record<Hole, number>>>;
  /** What it stands on. */
  readings: number;
  lastReading: number | undefined;
  /** Readings that hardly any of the cloud could explain, in a row: the cloud is opened again. */
  surprises: number;
}

/** A fire that wanders is brought back by its keeper in about this long, s. */
export const comesBack = 900;
/**
 * How a keeper keeps a boiler to its pace, of that pace, as logarithms: now over it and now under, as the fire is always ahead of the damper;
 * by day, and in a minute. Set on days of our own model, as no others have a pace.
 */
export const keepsPace = { near: 0.05, spread: 0.2, walk: 0.07 } as const;
/** Guesses in the cloud. */
export const cloud = 320;

/** Valves that let out what stands over the water. */
export const holes = ['blower', 'whistle', 'vent', 'drains'] as const;
export type Hole = (typeof holes)[number];
export const isHole = (valve: string): valve is Hole => (holes as readonly string[]).includes(valve);
/** Whether the blower draws the fire, and whether anything lets the air out. */
export const blows = ({ open }: Pick<RaiseFilter, 'open'>): boolean => (open.blower ?? 0) > 0;
export const openHole = ({ open }: Pick<RaiseFilter, 'open'>): number => Object.values(open).reduce((a, x) => a + x, 0);

/**
 * A boiler with a pace is kept to it: what its fire could give beyond that does not show, and is not learned from it either.
 * @param energy what it would come to, J @param T before, K @param most K that it may warm
 */
export const paced = (table: EnergyTable, energy: number, T: number, most: number): number =>
  most < Infinity ? Math.min(energy, energyAt(table, T + most)) : energy;

/** The cloud as it stands at a later moment. Steps of up to 30 s. @param to s since 1970 */
export function runTo(f: RaiseFilter, to: number): void {
  const { table, plant, heating, luck } = f;
  const blower = blows(f);
  const hole = airRate(openHole(f), spaceAt(table, 380));
  while (f.now < to - 1e-9) {
    const dt = Math.min(30, to - f.now);
    const since = f.now + dt / 2 - f.burnsFrom;
    const sd = heating.walk * Math.sqrt(dt / 60);
    for (let i = 0; i < cloud; i++) {
      const T = temperatureAt(table, f.energy[i]!);
      const up = comingUp(heating, since, Math.exp(f.lnLag[i]!));
      const heat = Math.exp(f.lnHeat[i]! + (blower ? f.lnBoost[i]! : 0)) * up;
      f.energy[i] = paced(
        table,
        f.energy[i]! + (heat - plant.vessel.loss * (T - f.ambient)) * dt,
        T,
        plant.pace * Math.exp(f.lnPace[i]!) * dt
      );
      if (plant.pace < Infinity)
        f.lnPace[i]! += keepsPace.walk * Math.sqrt(dt / 60) * luck.normal() - ((f.lnPace[i]! - keepsPace.near) * dt) / comesBack;
      f.lnHeat[i]! += sd * luck.normal() * (luck.next() < 0.05 ? 3 : 1);
      if (f.air[i]! > 0.001)
        f.air[i] = airLeft(
          f.air[i]!,
          Math.exp(f.lnLeak[i]!) + hole,
          needleAt(table, f.air[i]!, T, f.atmosphere),
          dt,
          airAtRest(table, T, f.atmosphere)
        );
    }
    f.now += dt;
  }
}

/** What each guess is made of. */
export const keys = ['energy', 'lnHeat', 'lnLag', 'lnBoost', 'air', 'lnLeak', 'lnPace'] as const;

/** The cloud as it stands, to be run ahead or taken up again apart from the first. */
export const copyRaise = (f: RaiseFilter): RaiseFilter => ({
  ...f,
  luck: f.luck.copy(),
  weight: f.weight.slice(),
  ...(Object.fromEntries(keys.map((k) => [k, f[k].slice()])) as Pick<RaiseFilter, (typeof keys)[number]>)
});

/** What is told as opened and shut in one breath (a whistle, a vent) stood open about this long, s. */
export const brief = 45;
/** A hole stood open for a moment before this one: some of the air went by it. @param area CdA, m² */
export function puffed(f: RaiseFilter, at: number, area: number): void {
  runTo(f, at);
  const rate = airRate(area, spaceAt(f.table, 380));
  for (let i = 0; i < cloud; i++) {
    const T = temperatureAt(f.table, f.energy[i]!);
    f.air[i] = airLeft(f.air[i]!, rate, needleAt(f.table, f.air[i]!, T, f.atmosphere), brief, airAtRest(f.table, T, f.atmosphere));
  }
}

/** A valve was set: what is open lets the air out, and the blower draws the fire. @param area CdA of what is open, m²; 0 when it is shut */
export function opened(f: RaiseFilter, at: number, hole: Hole, area: number): void {
  runTo(f, at);
  f.open = { ...f.open, [hole]: area };
}

/** Another charge was lit: it comes up and burns down anew. */
export function charged(f: RaiseFilter, at: number): void {
  runTo(f, at);
  if (f.heating.charge) f.burnsFrom = at;
}

/** Water fed while raising: it brings its mass and its little energy. @param kg @param h J/kg */
export function fedIn(f: RaiseFilter, at: number, kg: number, h: number): void {
  runTo(f, at);
  f.table = energyTable(f.plant.vessel, f.table.water + kg);
  for (let i = 0; i < cloud; i++) f.energy[i]! += kg * h;
}
