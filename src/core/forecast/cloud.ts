import { boilingAt } from '../steam';
import { type Plant, airLeft, energyAt, type EnergyTable, energyTable, needleAt, spaceAt, temperatureAt } from '../boiler';
import { chance, type Chance } from '../chance';
import { toSi } from '../units';
import type { Heating } from './heating';

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
  readonly weight: Float64Array;
  blower: boolean;
  /** What it stands on. */
  readings: number;
  lastReading: number | undefined;
  /** Readings that hardly any of the cloud could explain, in a row: the cloud is opened again. */
  surprises: number;
}

/** Guesses in the cloud. */
export const cloud = 256;

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
  /** The air was let out, or the vent stood open until there was steam. */
  readonly ventOpen?: boolean;
  readonly seed?: number;
}

/** A forecast at the moment of lighting: nothing but what is known beforehand. */
export function startRaise(s: RaiseStart): RaiseFilter {
  const { plant, heating, water, T, TSpread = 2, ambient = 288.15, atmosphere = 101_325, litAt, seed = 1 } = s;
  const luck = chance(seed);
  const table = energyTable(plant.vessel, water);
  const f: RaiseFilter = {
    plant,
    heating,
    ambient,
    atmosphere,
    litAt,
    table,
    now: litAt,
    luck,
    energy: new Float64Array(cloud),
    lnHeat: new Float64Array(cloud),
    lnLag: new Float64Array(cloud),
    lnBoost: new Float64Array(cloud),
    air: new Float64Array(cloud),
    lnLeak: new Float64Array(cloud),
    weight: new Float64Array(cloud).fill(1 / cloud),
    blower: false,
    readings: 0,
    lastReading: undefined,
    surprises: 0
  };
  const space = spaceAt(table, 380);
  for (let i = 0; i < cloud; i++) {
    f.energy[i] = energyAt(table, Math.max(274, T + TSpread * luck.normal()));
    f.lnHeat[i] = heating.lnHeat + spread(luck, heating.heatSpread);
    f.lnLag[i] = Math.log(heating.lag) + heating.lagSpread * luck.normal();
    f.lnBoost[i] = heating.lnBoost + heating.boostSpread * luck.normal();
    // Most boilers leak enough to lose their air before it matters; how much is left is not known.
    f.air[i] = s.ventOpen ? 0.05 * luck.next() : Math.sqrt(luck.next());
    f.lnLeak[i] = Math.log((plant.leak * 270) / space) + 1.2 * luck.normal();
  }
  return f;
}

/** A normal with one day in eight that is three times as odd: an engine's past must not make its forecast stubborn. */
const spread = (luck: Chance, s: number) => s * luck.normal() * (luck.odds(0.12) ? 3 : 1);

/** The cloud as it stands at a later moment. Steps of up to 30 s. @param to s since 1970 */
export function runTo(f: RaiseFilter, to: number): void {
  const { table, plant, heating, luck } = f;
  while (f.now < to - 1e-9) {
    const dt = Math.min(30, to - f.now);
    const since = f.now + dt / 2 - f.litAt;
    const sd = heating.walk * Math.sqrt(dt / 60);
    for (let i = 0; i < cloud; i++) {
      const T = temperatureAt(table, f.energy[i]!);
      const up = 1 - Math.exp(-since / Math.exp(f.lnLag[i]!));
      const heat = Math.exp(f.lnHeat[i]! + (f.blower ? f.lnBoost[i]! : 0)) * up;
      f.energy[i]! += (heat - plant.vessel.loss * (T - f.ambient)) * dt;
      f.lnHeat[i]! += sd * luck.normal() * (luck.next() < 0.05 ? 3 : 1);
      if (f.air[i]! > 0.001) f.air[i] = airLeft(f.air[i]!, f.lnLeak[i]!, needleAt(f.table, f.air[i]!, T, f.atmosphere), dt);
    }
    f.now += dt;
  }
}

export type Seen =
  | { readonly kind: 'pressure'; /** Pa at the gauge */ readonly value: number }
  | { readonly kind: 'temperature'; /** K */ readonly value: number }
  /** The glass bobs, steam at the vent: the water boils. */
  | { readonly kind: 'boils' }
  /** The relief feathers, the whistle holds its note: about this pressure, Pa. */
  | { readonly kind: 'about'; readonly value: number };

const psi = toSi(1, 'pressure', 'psi');

/** Spread of one reading of a needle, Pa: √(1.2² + (0.02 p)²) psi. */
export const needleSpread = (p: number): number => Math.sqrt((1.2 * psi) ** 2 + (0.02 * p) ** 2);

/** Weighs the cloud by what was seen at a moment, and draws a new one when it has worn thin. */
export function observe(f: RaiseFilter, at: number, seen: Seen): void {
  runTo(f, at);
  let sum = 0;
  let best = 0;
  for (let i = 0; i < cloud; i++) {
    const T = temperatureAt(f.table, f.energy[i]!);
    const like = likelihood(f, i, T, seen);
    best = Math.max(best, like);
    f.weight[i]! *= like;
    sum += f.weight[i]!;
  }
  f.readings++;
  f.lastReading = at;
  // One reading that nobody can explain is a misread needle; two in a row mean that the cloud is wrong.
  f.surprises = best < 0.11 ? f.surprises + 1 : 0;
  if (!(sum > 0)) f.weight.fill(1 / cloud);
  else for (let i = 0; i < cloud; i++) f.weight[i]! /= sum;
  if (f.surprises >= 2) reopen(f, seen);
  let square = 0;
  for (let i = 0; i < cloud; i++) square += f.weight[i]! ** 2;
  if (1 / square < cloud * 0.55) draw(f);
}

/** Five readings in a hundred are wild: they count for little wherever they fall. */
function likelihood(f: RaiseFilter, i: number, T: number, seen: Seen): number {
  const bell = (x: number) => Math.exp(-0.5 * x * x);
  switch (seen.kind) {
    case 'pressure': {
      const gauge = needleAt(f.table, f.air[i]!, T, f.atmosphere);
      // A needle on its stop says only that there is less than it can show.
      if (seen.value <= 0.5 * psi) return 0.05 + 0.95 * (gauge < 2 * psi ? 1 : bell((gauge - 2 * psi) / (1.2 * psi)));
      return 0.05 + 0.95 * bell((gauge - seen.value) / needleSpread(seen.value));
    }
    case 'temperature':
      return 0.05 + 0.95 * bell((T - seen.value) / 3);
    case 'boils':
      return (
        0.05 +
        0.95 * (T > boilingAt(f.atmosphere) - 1 ? bell((T - boilingAt(f.atmosphere) - 2) / 8) : bell((T - boilingAt(f.atmosphere) + 1) / 3))
      );
    case 'about':
      return 0.1 + 0.9 * bell((needleAt(f.table, f.air[i]!, T, f.atmosphere) - seen.value) / (0.12 * seen.value + psi));
  }
}

/** The cloud was wrong: energies are set about what was read, and heats spread wide. */
function reopen(f: RaiseFilter, seen: Seen): void {
  if (seen.kind !== 'pressure' && seen.kind !== 'temperature') return;
  for (let i = 0; i < cloud; i += 2) {
    const p = seen.kind === 'pressure' ? Math.max(0, seen.value + needleSpread(seen.value) * f.luck.normal()) : 0;
    const T = seen.kind === 'pressure' ? boilingAt(p + f.atmosphere) : seen.value + 2 * f.luck.normal();
    f.energy[i] = energyAt(f.table, T);
    if (seen.kind === 'pressure') f.air[i] = 0;
    f.lnHeat[i]! += 0.5 * f.luck.normal();
  }
  f.weight.fill(1 / cloud);
  f.surprises = 0;
}

/** What each guess is made of. */
const keys = ['energy', 'lnHeat', 'lnLag', 'lnBoost', 'air', 'lnLeak'] as const;

/** The cloud as it stands, to be run ahead or taken up again apart from the first. */
export const copyRaise = (f: RaiseFilter): RaiseFilter => ({
  ...f,
  luck: f.luck.copy(),
  weight: f.weight.slice(),
  ...(Object.fromEntries(keys.map((k) => [k, f[k].slice()])) as Pick<RaiseFilter, (typeof keys)[number]>)
});

const kept = {
  energy: new Float64Array(cloud),
  lnHeat: new Float64Array(cloud),
  lnLag: new Float64Array(cloud),
  lnBoost: new Float64Array(cloud),
  air: new Float64Array(cloud),
  lnLeak: new Float64Array(cloud)
};

/** A new cloud drawn by weight, evenly, each guess shaken a little. */
function draw(f: RaiseFilter): void {
  let at = f.luck.next() / cloud;
  let j = 0;
  let sum = f.weight[0]!;
  for (let i = 0; i < cloud; i++) {
    while (sum < at && j < cloud - 1) sum += f.weight[++j]!;
    for (const k of keys) kept[k][i] = f[k][j]!;
    at += 1 / cloud;
  }
  const s = 0.15 * f.heating.heatSpread;
  for (let i = 0; i < cloud; i++) {
    f.energy[i] = kept.energy[i]!;
    f.lnHeat[i] = kept.lnHeat[i]! + s * f.luck.normal();
    f.lnLag[i] = kept.lnLag[i]! + 0.05 * f.luck.normal();
    f.lnBoost[i] = kept.lnBoost[i]! + 0.15 * f.heating.boostSpread * f.luck.normal();
    f.lnLeak[i] = kept.lnLeak[i]! + 0.1 * f.luck.normal();
    f.air[i] = Math.min(1, Math.max(0, kept.air[i]! + 0.02 * f.luck.normal()));
  }
  f.weight.fill(1 / cloud);
}

/** The air was let out (whistle, vent or blower for a minute): hardly any is left. */
export function airOut(f: RaiseFilter, at: number): void {
  runTo(f, at);
  for (let i = 0; i < cloud; i++) f.air[i]! *= 0.15;
}

/** The blower took over from the fan, or the other way. */
export function blowerOn(f: RaiseFilter, at: number, on: boolean): void {
  runTo(f, at);
  f.blower = on;
}

/** Water fed while raising: it brings its mass and its little energy. @param kg @param h J/kg */
export function fedIn(f: RaiseFilter, at: number, kg: number, h: number): void {
  runTo(f, at);
  f.table = energyTable(f.plant.vessel, f.table.water + kg);
  for (let i = 0; i < cloud; i++) f.energy[i]! += kg * h;
}
