import { energyAt, needleAt, temperatureAt } from '../boiler';
import { boilingAt } from '../steam';
import { psi as inPsi } from '../units';
import { cloud, keys, type RaiseFilter, runTo } from './cloud';

export type Seen =
  | { readonly kind: 'pressure'; /** Pa at the gauge */ readonly value: number }
  | { readonly kind: 'temperature'; /** K */ readonly value: number }
  /** The glass bobs, steam at the vent: the water boils. */
  | { readonly kind: 'boils' }
  /** The relief feathers, the whistle holds its note: about this pressure, Pa. */
  | { readonly kind: 'about'; readonly value: number };

const psi = inPsi(1);

/** How long an error of a reading stays what it is, s. */
const alike = 30;

/** Spread of one reading of a needle, Pa: √(1.2² + (0.02 p)²) psi. */
export const needleSpread = (p: number): number => Math.sqrt((1.2 * psi) ** 2 + (0.02 * p) ** 2);

/** Weighs the cloud by what was seen at a moment, and draws a new one when it has worn thin. */
export function observe(f: RaiseFilter, at: number, seen: Seen): void {
  runTo(f, at);
  let sum = 0;
  let best = 0;
  // What is wrong with a needle now is wrong with it in a second's time: readings one after the other tell little more than one.
  const tells = f.lastReading === undefined || seen.kind === 'boils' ? 1 : Math.min(1, Math.max(0.01, (at - f.lastReading) / alike));
  for (let i = 0; i < cloud; i++) {
    const T = temperatureAt(f.table, f.energy[i]!);
    const like = likelihood(f, i, T, seen);
    best = Math.max(best, like);
    f.weight[i]! *= tells < 1 ? like ** tells : like;
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

/** The cloud was wrong: in every other guess the energy is set by what was read, with the air that it has, and its heat is opened again. */
function reopen(f: RaiseFilter, seen: Seen): void {
  if (seen.kind !== 'pressure' && seen.kind !== 'temperature') return;
  for (let i = 0; i < cloud; i += 2) {
    const T =
      seen.kind === 'pressure'
        ? shownAt(f, f.air[i]!, Math.max(0, seen.value + needleSpread(seen.value) * f.luck.normal()))
        : seen.value + 2 * f.luck.normal();
    f.energy[i] = energyAt(f.table, T);
    f.lnHeat[i]! += 0.5 * f.luck.normal();
  }
  f.weight.fill(1 / cloud);
  f.surprises = 0;
}

/** The temperature at which a needle shows a pressure with so much air in, K. */
function shownAt(f: RaiseFilter, air: number, p: number): number {
  let [low, high] = [f.ambient, boilingAt(p + f.atmosphere)];
  for (let n = 0; n < 24; n++) {
    const T = (low + high) / 2;
    if (needleAt(f.table, air, T, f.atmosphere) < p) low = T;
    else high = T;
  }
  return high;
}

const kept = {
  energy: new Float64Array(cloud),
  lnHeat: new Float64Array(cloud),
  lnLag: new Float64Array(cloud),
  lnBoost: new Float64Array(cloud),
  air: new Float64Array(cloud),
  lnLeak: new Float64Array(cloud),
  lnPace: new Float64Array(cloud)
};

/** How far a guess that is drawn anew is shaken, of the spread of the cloud. */
const shake = 0.2;
const drawnTo = Math.sqrt(1 - shake * shake);

/**
 * A new cloud drawn by weight, evenly: each figure is drawn in towards the middle of all and shaken by as much as that took away, so
 * that the cloud grows neither wider nor narrower by being drawn (Liu and West). A few have their heat opened again: a fire may change.
 */
function draw(f: RaiseFilter): void {
  let at = f.luck.next() / cloud;
  let j = 0;
  let sum = f.weight[0]!;
  for (let i = 0; i < cloud; i++) {
    while (sum < at && j < cloud - 1) sum += f.weight[++j]!;
    for (const k of keys) kept[k][i] = f[k][j]!;
    at += 1 / cloud;
  }
  for (const k of keys) {
    const from = kept[k];
    let mean = 0;
    for (let i = 0; i < cloud; i++) mean += from[i]! / cloud;
    let square = 0;
    for (let i = 0; i < cloud; i++) square += (from[i]! - mean) ** 2 / cloud;
    if (square === 0) continue;
    const s = shake * Math.sqrt(square);
    for (let i = 0; i < cloud; i++) f[k][i] = mean + drawnTo * (from[i]! - mean) + s * f.luck.normal();
  }
  for (let i = 0; i < cloud; i++) {
    f.air[i] = Math.min(1, Math.max(0, f.air[i]!));
    if (f.heating.heatSpread > 0 && f.luck.odds(0.03)) f.lnHeat[i]! += 0.4 * f.luck.normal();
  }
  f.weight.fill(1 / cloud);
}
