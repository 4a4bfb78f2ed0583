import { type BoilerShape, boilerShape, type FitOut, shellGrowth } from '../engine';
import { Refusal } from '../units';

/**
 * What holds the water: the room inside, its metal, and the height at which a volume of water stands. Plain numbers and
 * tables, so that a million steps cost no geometry.
 */
export interface Vessel {
  /** All the room for water and steam, cold, m³. */
  readonly room: number;
  /** Growth of the room, 1/K. */
  readonly growth: number;
  /** Heat capacity of the metal, J/K. */
  readonly metal: number;
  /** Heat lost per kelvin over the surroundings, W/K. */
  readonly loss: number;
  /** Heights against equal steps of volume, m: `heights[i]` is where i ⁄ (n−1) of the room stands. */
  readonly heights: Float64Array;
  /** Bottom nut and length of the first glass, m; undefined when there is none. */
  readonly glass?: { readonly nut: number; readonly length: number };
  /** Highest metal that the fire heats, m. */
  readonly heated: number;
}

/** Specific heat of the shell, J/(kg K): usual engineering values. */
export const specificHeat = { copper: 390, brass: 380, steel: 490 } as const;

const rows = 400;

/**
 * The height under which a volume lies, m: by false position, as a boiler’s volume is nearly straight over a row and has corners.
 * @param from where it cannot lie under, m
 */
function heightOf({ volume, top }: BoilerShape, wanted: number, from: number): number {
  let [a, step] = [from, (top - from) / rows];
  let b = Math.min(top, a + step);
  let [fa, fb] = [volume(a) - wanted, volume(b) - wanted];
  while (fb < 0 && b < top) {
    [a, fa, step] = [b, fb, 2 * step];
    b = Math.min(top, a + step);
    fb = volume(b) - wanted;
  }
  // An end that stays put weighs half from its second time on (Illinois), so that both close in.
  let stays: 'a' | 'b' | undefined;
  while (fb > fa && b - a > 1e-10) {
    const x = (a * fb - b * fa) / (fb - fa);
    const f = volume(x) - wanted;
    if (Math.abs(f) < 1e-12 * wanted || x <= a || x >= b) return x;
    if (f < 0) {
      [a, fa, fb] = [x, f, stays === 'b' ? fb / 2 : fb];
      stays = 'b';
    } else {
      [b, fb, fa] = [x, f, stays === 'a' ? fa / 2 : fa];
      stays = 'a';
    }
  }
  return b;
}

/**
 * The vessel of an engine.
 * @param metal J/K and @param loss W/K: from `plant`, where they have their working
 */
export function vesselOf(fitOut: FitOut, metal: number, loss: number): Vessel {
  const shape = boilerShape(fitOut.boiler);
  const heights = new Float64Array(rows + 1);
  // One sweep upward: the volume is monotone, so each row begins where the last one ended.
  let low = shape.bottom;
  for (let i = 1; i <= rows; i++) heights[i] = low = heightOf(shape, (shape.total * i) / rows, low);
  heights[0] = shape.bottom;
  if (!(shape.total > 0)) throw new Refusal('boiler', 'This boiler has no room for water: look at its dimensions.');
  const [glass] = fitOut.glasses;
  return {
    room: shape.total,
    growth: shellGrowth(fitOut.shell.material, 294.15) - 1,
    metal,
    loss,
    heights,
    heated: shape.heated,
    ...(glass ? { glass: { nut: glass.bottomNut, length: glass.topNut - glass.bottomNut } } : {})
  };
}

/** The room inside at a temperature, m³: 1 + 3α(T − 20 °C). @param T K */
export const roomAt = (vessel: Vessel, T: number): number => vessel.room * (1 + vessel.growth * (T - 293.15));

/** The height at which a volume of water stands in the grown shell, m. */
export function heightAt(vessel: Vessel, water: number, T: number): number {
  const x = Math.min(rows, Math.max(0, (water / roomAt(vessel, T)) * rows));
  const i = Math.min(rows - 1, Math.floor(x));
  return vessel.heights[i]! + (x - i) * (vessel.heights[i + 1]! - vessel.heights[i]!);
}

/** The glass for a volume of water, below 0 or above 1 when it stands in or beyond a nut; NaN without a glass. */
export const glassAt = (vessel: Vessel, water: number, T: number): number =>
  vessel.glass ? (heightAt(vessel, water, T) - vessel.glass.nut) / vessel.glass.length : NaN;

/** The volume of water under a height, m³, in the grown shell: `heightAt` the other way. */
export function waterUnder(vessel: Vessel, height: number, T: number): number {
  let [low, high] = [0, rows];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (vessel.heights[middle]! <= height) low = middle;
    else high = middle;
  }
  const step = vessel.heights[high]! - vessel.heights[low]!;
  const share = step > 0 ? Math.min(1, Math.max(0, (height - vessel.heights[low]!) / step)) : 0;
  return (roomAt(vessel, T) * (low + share)) / rows;
}

/** The volume of water that stands at a glass, m³. @throws Refusal when the engine has no glass */
export function waterAtGlass(vessel: Vessel, level: number, T: number): number {
  if (!vessel.glass) throw new Refusal('glass', 'This engine has no gauge glass.');
  return waterUnder(vessel, vessel.glass.nut + level * vessel.glass.length, T);
}
