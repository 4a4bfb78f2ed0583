/**
 * Draught as a network of resistances: Δp = k·ṁ². The fire's air comes through grate, ash and bed, or past it through the
 * door; both leave through the tubes and the chimney.
 */

/** Air's heat capacity, J/(kg K), and density, kg/m³, at the grate. */
export const airCp = 1010;
export const gasCp = 1120;
const airDensity = 1.2;

/** Heat that each kilogram of air makes when all of its oxygen is used, J/kg: nearly the same for all solid fuels. */
export const heatOfAir = 2.9e6;

/** Heat of the fire at its rated draught and the draught it needs, with the resistances that follow. Pa/(kg/s)². */
export interface Draught {
  readonly grate: number;
  /** At `depth` metres of lumps of the usual size. */
  readonly bed: number;
  readonly depth: number;
  readonly door: number;
  readonly tubes: number;
  readonly chimney: number;
  /** Height of hot gas, m. */
  readonly height: number;
  /** Draught of the blower fully on at working pressure, Pa. */
  readonly blower: number;
  /** Draught of the exhaust at rated steam, Pa. */
  readonly exhaust: number;
  /** Fan: head when nothing flows, Pa; 0 when there is none. */
  readonly fan: number;
  /** Rated air, kg/s. */
  readonly air: number;
}

/**
 * Resistances such that the rated draught draws the rated air through a bed of the usual depth.
 * @param air kg/s
 * @param draught Pa
 * @param depth of the bed, m
 */
export function draughtFor(air: number, draught: number, depth: number, height: number, fan: boolean): Draught {
  const k = draught / (air * air);
  return {
    grate: 0.2 * k,
    bed: 0.4 * k,
    depth,
    // The door wide open passes about the air of the whole fire with far less resistance.
    door: 0.02 * k,
    tubes: 0.25 * k,
    chimney: 0.15 * k,
    height,
    blower: draught,
    exhaust: 3.5 * draught,
    fan: fan ? 1.4 * draught : 0,
    air
  };
}

/** Natural draught, Pa: g·H·(ρ_air − ρ_gas). @param gas temperature in the chimney, K */
export const naturalDraught = (height: number, gas: number, ambient: number): number =>
  9.81 * height * airDensity * Math.max(0, 1 - ambient / gas);

/** Air through the fire and past it, kg/s. */
export interface Air {
  fire: number;
  door: number;
}

/**
 * Air drawn now, kg/s.
 * @param drive natural draught and jets, Pa
 * @param fan share of the fan, 0 or 1
 * @param damper 0 shut (it leaks a little) to 1
 * @param door 0 shut (it leaks a little) to 1
 * @param depth of the bed, m, and @param choke what ash adds to the grate's resistance, 0 clean
 */
export function airThrough(
  d: Draught,
  drive: number,
  fan: number,
  damper: number,
  door: number,
  depth: number,
  choke: number,
  coarse: number,
  out: Air
): Air {
  const open = 0.04 + 0.96 * damper;
  const grate = (d.grate * (1 + choke)) / (open * open);
  const bed = (d.bed * Math.max(0.05, depth / d.depth)) / coarse;
  const fire = 1 / Math.sqrt(grate + bed);
  const past = (0.015 + door) / Math.sqrt(d.door);
  const all = fire + past;
  const k = 1 / (all * all) + d.tubes + d.chimney;
  // A fan's head falls as the square of its flow: to nothing at two and a half times the rated air.
  const head = fan * d.fan;
  const air = Math.sqrt(Math.max(0, drive + head) / (k + head / (6.25 * d.air * d.air)));
  out.fire = (air * fire) / all;
  out.door = (air * past) / all;
  return out;
}
