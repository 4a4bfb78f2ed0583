import { glassAt, type Plant, waterAtGlass } from '../boiler';
import { boilingAt, emptyRow, saturationRow } from '../steam';
import { chance } from '../chance';
import { type Band, bandOf } from './ahead';
import { normalAt } from './begin';

/** A look at the glass: s since 1970, the glass, and the gauge when it was looked at, Pa. */
export interface Look {
  readonly at: number;
  readonly glass: number;
  readonly gauge: number;
}
/** Water that went in: s since 1970, kg/s. `to` is undefined while the feed is on. */
export interface Fed {
  readonly from: number;
  readonly to?: number;
  readonly rate: number;
  /** How far it may lie from that, as a share of it, where that is more than of a feed on its own. */
  readonly unsure?: number;
  /** Which feed. */
  readonly feed?: string;
}

const row = emptyRow();
/** Water under a glass at a pressure, kg: what the glass shows is volume, what is boiled away is weight. */
export function waterIn(plant: Plant, { glass, gauge }: Pick<Look, 'glass' | 'gauge'>): number {
  const T = boilingAt(Math.max(0, gauge) + plant.atmosphere);
  saturationRow(T, row);
  return waterAtGlass(plant.vessel, glass, T) / row.vf;
}

/**
 * What is not known of water in use. A look is read to three parts in a hundred of the glass, and bubbles, slope and eye have all looks of
 * some minutes wrong alike; the rate of use walks, fastest when the work changes; a feed gives more or less than it should, and each time
 * a little otherwise.
 */
const doubt = {
  look: 0.04,
  alike: 0.03,
  /** How long what is wrong with all looks alike stays so, s. */
  alikeFor: 300,
  /** Of the use, as a logarithm: of the day before anything was seen, and its walk in five minutes. */
  usual: 0.8,
  walk: 0.12,
  /** Of the work of the moment, uphill or standing, over that of the day: a third in five minutes, and it comes back. */
  work: 0.4,
  workFor: 300,
  /** Of what feeds give: always alike, and each time. */
  feeds: 0.12,
  feed: 0.12
} as const;
/** Looks older than this say nothing about how water is used now, s. */
const stale = 45 * 60;
/** Looks that come faster than this are hardly looks of their own, s. */
const own = 20;

/** What one feed gave between two moments, kg. */
const gave = (f: Fed, a: number, b: number) => f.rate * Math.max(0, Math.min(b, f.to ?? b) - Math.max(a, f.from));
const fedBetween = (fed: readonly Fed[], a: number, b: number) => fed.reduce((sum, f) => sum + gave(f, a, b), 0);

/** How far it may lie from that, kg. */
const unsureBetween = (fed: readonly Fed[], a: number, b: number) =>
  Math.sqrt(fed.reduce((sum, f) => sum + ((f.unsure ?? doubt.feed) * gave(f, a, b)) ** 2, 0));

/** What is tracked: water, kg; ln of its use, kg/s, of the day and what the work of the moment adds; gain of the feeds; what all looks have wrong alike, of the glass. */
const [kg, use, work, gain, alike] = [0, 1, 2, 3, 4];
const all = [kg, use, work, gain, alike];
interface Track {
  readonly x: number[];
  readonly P: number[][];
  at: number;
}

/** Carries the track on: water goes as it is used and comes as it is fed, and what is known of it wears off. Steps of up to a minute. */
function carry(t: Track, to: number, fed: readonly Fed[]): void {
  const { x, P } = t;
  while (t.at < to - 1e-9) {
    const dt = Math.min(60, to - t.at);
    const came = fedBetween(fed, t.at, t.at + dt);
    const went = Math.exp(x[use]! + x[work]!) * dt;
    const fades = { [work]: Math.exp(-dt / doubt.workFor), [alike]: Math.exp(-dt / doubt.alikeFor) };
    x[kg]! += x[gain]! * came - went;
    // F·P·Fᵀ: the water hangs on the use by −went and on the feeds by what came; work and what is alike fade.
    for (const i of all) P[kg]![i]! += -went * (P[use]![i]! + P[work]![i]!) + came * P[gain]![i]!;
    for (const i of all) P[i]![kg]! += -went * (P[i]![use]! + P[i]![work]!) + came * P[i]![gain]!;
    for (const k of [work, alike]) {
      x[k]! *= fades[k]!;
      for (const i of all) P[k]![i]! *= fades[k]!;
      for (const i of all) P[i]![k]! *= fades[k]!;
    }
    P[use]![use]! += (doubt.walk ** 2 / 300) * dt;
    P[kg]![kg]! += unsureBetween(fed, t.at, t.at + dt) ** 2 * (60 / dt);
    P[work]![work]! += doubt.work ** 2 * (1 - fades[work]! ** 2);
    P[alike]![alike]! += doubt.alike ** 2 * (1 - fades[alike]! ** 2);
    t.at += dt;
  }
}

/** Takes a look: the water that it shows, against the water that there should be. @param per kg to a whole glass */
function take(t: Track, shows: number, per: number, since: number): void {
  const { x, P } = t;
  const h = [1, 0, 0, 0, per];
  const Ph = P.map((row) => row.reduce((sum, p, i) => sum + p * h[i]!, 0));
  const off = shows - (x[kg]! + per * x[alike]!);
  const expected = h.reduce((sum, of, i) => sum + of * Ph[i]!, 0);
  const read = (doubt.look * per) ** 2 * Math.max(1, own / Math.max(0.1, since));
  // A look that nothing explains is not believed at once: its error is taken to be as large as it would have to be.
  const wild = off ** 2 / (expected + read);
  const S = expected + read * Math.max(1, wild / 4);
  const K = Ph.map((p) => p / S);
  for (const i of all) x[i]! += K[i]! * off;
  for (const i of all) for (const j of all) P[i]![j]! -= K[i]! * Ph[j]!;
}

/** Edges of the band: of eight in ten, and set towards the early side, which is the one that is warned on. */
const edges = [0.05, 0.87] as const;

/** Ways in which it may go on, drawn once: a water, a use, and twelve steps of its walk. */
const ways = 200;
const steps = 12;
const normals = ((luck) => Float64Array.from({ length: ways * (steps + 1) }, luck.normal))(chance(1931));

/** Kilograms to a whole glass, about where it stands. */
const perGlass = (plant: Plant, l: Look) =>
  10 * (waterIn(plant, { ...l, glass: l.glass + 0.05 }) - waterIn(plant, { ...l, glass: l.glass - 0.05 }));

/** What the looks up to a moment tell of the water and its use, carried on to it; undefined without a glass or a look. */
function tracked(
  plant: Plant,
  looks: readonly Look[],
  fed: readonly Fed[],
  now: number,
  usual: number
): { t: Track; last: Look } | undefined {
  const recent = looks.filter((l) => l.at > now - stale && l.at <= now);
  const [first] = recent;
  const last = recent.at(-1);
  if (!plant.vessel.glass || !first || !last || !(usual > 0)) return undefined;
  const lately = fed.filter((f) => (f.to ?? now) > first.at);
  const known = perGlass(plant, first);
  // Where the use is far from usual the filter would creep to it: it begins from what the whole window used, as far as that can be told.
  const span = last.at - first.at;
  const used = waterIn(plant, first) - waterIn(plant, last) + fedBetween(lately, first.at, last.at);
  const told = span > 0 ? used / span : 0;
  const error = (1.5 * Math.hypot(doubt.look, doubt.alike) * known) / Math.max(1, span);
  const trust = told > 0 ? doubt.usual ** 2 / (doubt.usual ** 2 + (error / told) ** 2 + doubt.feeds ** 2) : 0;
  const begins = (1 - trust) * Math.log(usual) + trust * Math.log(Math.max(1e-9, told));
  const t: Track = {
    x: [waterIn(plant, first), begins, 0, 1, 0],
    P: [
      [(doubt.look ** 2 + doubt.alike ** 2) * known ** 2, 0, 0, 0, -known * doubt.alike ** 2],
      [0, doubt.usual ** 2, 0, 0, 0],
      [0, 0, doubt.work ** 2, 0, 0],
      [0, 0, 0, doubt.feeds ** 2, 0],
      [-known * doubt.alike ** 2, 0, 0, 0, doubt.alike ** 2]
    ],
    at: first.at
  };
  for (const l of recent.slice(1)) {
    const since = l.at - t.at;
    carry(t, l.at, lately);
    take(t, waterIn(plant, l), perGlass(plant, l), since);
  }
  carry(t, now, lately);
  return { t, last };
}

/** Half of a band that holds eight times in ten, in spreads. */
const eightInTen = 1.2816;

/**
 * Where a look at a moment would find the water, kg, eight times in ten: what was told before it. To be held against the look itself.
 * @returns undefined without a glass or a look before it
 */
export function waterAt(
  plant: Plant,
  looks: readonly Look[],
  fed: readonly Fed[],
  { at, usual }: { at: number; usual: number }
): { readonly low: number; readonly middle: number; readonly high: number } | undefined {
  const found = tracked(plant, looks, fed, at, usual);
  if (!found) return undefined;
  const { x, P } = found.t;
  const per = perGlass(plant, found.last);
  const middle = x[kg]! + per * x[alike]!;
  const spread2 = P[kg]![kg]! + 2 * per * P[kg]![alike]! + per * per * P[alike]![alike]! + (doubt.look * per) ** 2;
  const half = eightInTen * Math.sqrt(Math.max(0, spread2));
  return { low: middle - half, middle, high: middle + half };
}

/**
 * When the glass will be at its lowest running level if nothing more is fed. Water and its use are tracked together from look to look, with
 * the feeds known (an extended Kalman filter); then run ahead with the use walking on. From one look alone it is wide, and it opens as
 * the last look ages.
 * @param usual use of water, kg/s, until looks say otherwise
 * @returns s since 1970; undefined without a glass or a look. No forecast replaces looking at the glass.
 */
export function waterOut(
  plant: Plant,
  looks: readonly Look[],
  fed: readonly Fed[],
  { now, lowest, usual }: { now: number; lowest: number; usual: number }
): (Band & { readonly rate: number }) | undefined {
  const found = tracked(plant, looks, fed, now, usual);
  if (!found) return undefined;
  const floor = waterIn(plant, { glass: lowest, gauge: found.last.gauge });
  const { x, P } = found.t;
  // Drawn together: the use by its own spread, the water by what hangs on the use and what is left of its own.
  const sure = Math.sqrt(Math.max(1e-12, P[use]![use]! + 2 * P[use]![work]! + P[work]![work]!));
  const hangs = (P[kg]![use]! + P[kg]![work]!) / sure;
  const rest = Math.sqrt(Math.max(0, P[kg]![kg]! - hangs * hangs));
  const times = new Float64Array(ways);
  for (let n = 0; n < ways; n++) {
    const u = normalAt((n + 0.5) / ways);
    let ln = x[use]! + x[work]! + sure * u;
    let left = x[kg]! + hangs * u + rest * normals[n]! - floor;
    // Stepped by a sixth of what it would take at this use; what is left after the last goes as it then is used.
    const dt = Math.max(0, left) / Math.exp(ln) / (steps / 2);
    const fades = Math.exp(-dt / doubt.workFor);
    const stirs = Math.hypot(doubt.walk * Math.sqrt(dt / 300), doubt.work * Math.sqrt(1 - fades * fades));
    let time = 0;
    for (let k = 1; k <= steps && left > 0; k++) {
      const goes = Math.exp(ln) * dt;
      if (goes >= left) break;
      left -= goes;
      time += dt;
      ln = x[use]! + (ln - x[use]!) * fades + stirs * normals[k * ways + n]!;
    }
    times[n] = now + time + left / Math.exp(ln);
  }
  return { ...bandOf(times, 1, edges), rate: Math.exp(x[use]! + x[work]!) };
}

/**
 * The use of water that looks and feeds tell of, kg/s, without running it ahead: what is asked with every entry.
 * @param usual use of water, kg/s, until looks say otherwise
 * @returns undefined without a glass or a look
 */
export function waterRate(
  plant: Plant,
  looks: readonly Look[],
  fed: readonly Fed[],
  { now, usual }: { now: number; usual: number }
): number | undefined {
  const found = tracked(plant, looks, fed, now, usual);
  return found && Math.exp(found.t.x[use]! + found.t.x[work]!);
}

/** When a tank will be empty at the rate at which water is used. @param now s since 1970 @param left m³ @param water its use, kg/s, and its band, s since 1970 */
export function tankOut(
  now: number,
  left: number,
  water: { readonly rate: number; readonly early: number; readonly middle: number; readonly late: number }
): Band {
  const middle = (left * 1000) / water.rate;
  const share = (edge: number) => Math.min(3, Math.max(0.3, (edge - now) / Math.max(60, water.middle - now)));
  return {
    early: now + middle * Math.min(1, share(water.early)),
    middle: now + middle,
    late: now + middle * Math.max(1, share(water.late)),
    sure: 1
  };
}

/** What the glass will stand at when the gauge has come to another pressure, nothing fed and nothing drawn. */
export function glassWhen(plant: Plant, seen: Pick<Look, 'glass' | 'gauge'>, gauge: number): number {
  const kg = waterIn(plant, seen);
  const T = boilingAt(Math.max(0, gauge) + plant.atmosphere);
  saturationRow(T, row);
  return glassAt(plant.vessel, kg * row.vf, T);
}
