import { glassAt, type Plant, waterAtGlass } from '../boiler';
import { boilingAt, emptyRow, saturationRow } from '../steam';
import { standardAtmosphere } from '../units';
import type { Band } from './ahead';

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
}

const row = emptyRow();
/** Water under a glass at a pressure, kg: what the glass shows is volume, what is boiled away is weight. */
export function waterIn(plant: Plant, { glass, gauge }: Pick<Look, 'glass' | 'gauge'>): number {
  const T = boilingAt(Math.max(0, gauge) + standardAtmosphere);
  saturationRow(T, row);
  return waterAtGlass(plant.vessel, glass, T) / row.vf;
}

/** Error of one look, and what is wrong with all looks of an hour alike (slope, bubbles), as shares of the glass. */
const look = { error: 0.03, bias: 0.02 } as const;
/** How well the use of water is known before anything was seen, as a logarithm. */
const usualSpread = 0.6;
/** Looks older than this say nothing about how water is used now, s. */
const stale = 45 * 60;

const fedBetween = (fed: readonly Fed[], a: number, b: number) =>
  fed.reduce((sum, f) => sum + f.rate * Math.max(0, Math.min(b, f.to ?? b) - Math.max(a, f.from)), 0);

/**
 * When the glass will be at its lowest running level if nothing more is fed: rates from a fifth to five times the usual are
 * each held against the looks, with the feeds known. Works from the first look on; it opens as the last look ages.
 * @param usual use of water, kg/s, until looks say otherwise
 * @returns s since 1970; undefined without a glass or a look. No forecast replaces looking at the glass.
 */
export function waterOut(
  plant: Plant,
  looks: readonly Look[],
  fed: readonly Fed[],
  { now, lowest, usual }: { now: number; lowest: number; usual: number }
): (Band & { readonly rate: number }) | undefined {
  const recent = looks.filter((l) => l.at > now - stale && l.at <= now);
  const last = recent.at(-1);
  if (!plant.vessel.glass || !last || !(usual > 0)) return undefined;
  // At a rate of use r each look says what there was at the last one: kg + fed − r × time between. The weight that agrees best with
  // all of them, and how badly it then agrees, are a straight line and a parabola in r: five sums over the looks hold both.
  let [w, wa, wd] = [0, 0, 0];
  const told = recent.map((l) => {
    const per = waterIn(plant, { ...l, glass: l.glass + 0.05 }) - waterIn(plant, { ...l, glass: l.glass - 0.05 });
    const since = fedBetween(fed, l.at, last.at);
    const error2 = (look.error * per * 10) ** 2;
    const told = { had: waterIn(plant, l) + since, ago: last.at - l.at, per, sure: 1 / error2 };
    const weight = 1 / (error2 + (0.1 * since) ** 2);
    w += weight;
    wa += weight * told.had;
    wd += weight * told.ago;
    return told;
  });
  const [had, ago] = [wa / w, wd / w];
  let [aa, ad, dd] = [0, 0, 0];
  for (const l of told) {
    aa += l.sure * (l.had - had) ** 2;
    ad += l.sure * (l.had - had) * (l.ago - ago);
    dd += l.sure * (l.ago - ago) ** 2;
  }
  const since = fedBetween(fed, last.at, now);
  const n = 61;
  const times = new Float64Array(n);
  const weights = new Float64Array(n);
  const rates = new Float64Array(n);
  const floor = waterIn(plant, { glass: lowest, gauge: last.gauge });
  let best = -Infinity;
  const logs = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const x = -1.6 + (3.2 * i) / (n - 1);
    const rate = (rates[i] = usual * Math.exp(x));
    const kg = had - rate * ago;
    logs[i] = -0.5 * ((x / usualSpread) ** 2 + aa - 2 * rate * ad + rate * rate * dd);
    best = Math.max(best, logs[i]!);
    times[i] = last.at + (kg + since - floor) / rate;
  }
  for (let i = 0; i < n; i++) weights[i] = Math.exp(logs[i]! - best);
  const all = weights.reduce((a, w) => a + w, 0);
  // Faster use comes first: quantiles run from the highest rate down.
  const at = (q: number) => {
    let sum = 0;
    for (let i = n - 1; i >= 0; i--) if ((sum += weights[i]! / all) >= q) return i;
    return 0;
  };
  // What all looks have wrong alike moves every time the same way.
  const slip = (i: number) => (look.bias * told.at(-1)!.per * 10) / rates[i]!;
  const [early, middle, late] = [at(0.1), at(0.5), at(0.9)];
  return { early: times[early]! - slip(early), middle: times[middle]!, late: times[late]! + slip(late), sure: 1, rate: rates[middle]! };
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
  const T = boilingAt(Math.max(0, gauge) + standardAtmosphere);
  saturationRow(T, row);
  return glassAt(plant.vessel, kg * row.vf, T);
}
