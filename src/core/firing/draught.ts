import { gasDensity, tubeResistance, type Tubes } from './tubes';

/**
 * Draught as a network of resistances by the dimensions of the engine: the fire's air comes through grate, ash and bed, or past it
 * through the door; both leave by the tubes and the chimney, where steam may blow. Δp = k·ṁ², k in Pa/(kg/s)².
 */

/** Air's heat capacity, J/(kg K), and density, kg/m³, at the grate. */
export const airCp = 1010;
export const airDensity = 1.2;

/** Heat that each kilogram of air makes when all of its oxygen is used, J/kg: nearly the same for all solid fuels. */
export const heatOfAir = 2.9e6;

/** What the gas of an engine goes through. Openings as CdA, m². */
export interface Passage {
  /** Between the bars. */ readonly grate: number;
  /** Into the ashpan, with the damper wide. */ readonly damper: number;
  /** Grate, m². */ readonly area: number;
  /** Door, wide open. */ readonly door: number;
  readonly tubes: Tubes;
  /** Chimney at its narrowest, m², and the height of hot gas, m. */
  readonly chimney: number;
  readonly height: number;
  /** Fan: head when nothing flows, Pa, 0 when there is none; flow when nothing is in its way, kg/s. */
  readonly fan: number;
  readonly fanFlow: number;
  /** Opening of the blast nozzle, m²; 0 when the exhaust does not go up the chimney. */
  readonly nozzle: number;
}

/**
 * Resistance of a bed, for each lump of its depth: Ergun's second term, 1.75 (1−ε)/ε³ ÷ ρ, at ε = 0.3 and 1200 K, over the grate's
 * area in its square. Small coal with its dust lies closer than round stones.
 */
const bedOfALump = (1.75 * 0.7) / (0.3 ** 3 * gasDensity(1200));

/** Natural draught, Pa: g·H·(ρ_air − ρ_gas). @param gas temperature in the chimney, K */
export const naturalDraught = (height: number, gas: number, ambient: number): number =>
  9.81 * height * airDensity * Math.max(0, 1 - ambient / gas);

/** Of a jet's thrust over the chimney's area, what becomes draught: the rest is lost in mixing. */
export const jetDraws = 0.6;

/** What stands in the way, and what draws, at this moment. */
export interface Drawing {
  /** Natural draught and jets, Pa. */ drive: number;
  /** Share of the fan, 0 or 1. */ fan: number;
  /** 0 shut (it leaks a little) to 1 */ damper: number;
  /** 0 shut (it leaks a little) to 1 */ door: number;
  /** Depth of the bed, in lumps. */ lumps: number;
  /** Share of the grate that ash closes. */ choke: number;
  /** Mean temperature of the gas in the tubes and at the chimney, K. */ gas: number;
  smoke: number;
  /** Soot on the tubes, m. */ soot: number;
  /** Steam that goes up the chimney besides, kg/s. */ steam: number;
}

/** Air through the fire and past it, kg/s. Read and written: the last flow is where the next is looked for. */
export interface Air {
  fire: number;
  door: number;
}

/**
 * Air drawn now, kg/s, from what was drawn a moment ago: friction in tubes goes with the flow and not with its square, and two looks at it
 * are enough from one step to the next.
 */
export function airThrough(p: Passage, d: Drawing, air: Air): Air {
  const bars = p.grate * (1 - d.choke);
  const damper = p.damper * (0.03 + 0.97 * d.damper);
  const fire =
    1 /
    Math.sqrt((1 / (bars * bars) + 1 / (damper * damper)) / (2 * airDensity) + (bedOfALump * Math.max(0.2, d.lumps)) / (p.area * p.area));
  const past = (0.03 + d.door) * p.door * Math.sqrt(2 * airDensity);
  const all = fire + past;
  // In at the mouth and out at the top, with something rubbed away between.
  const chimney = 1.5 / (2 * gasDensity(d.smoke) * p.chimney * p.chimney);
  const head = d.fan * p.fan;
  const falls = head > 0 ? head / (p.fanFlow * p.fanFlow) : 0;
  let flow = Math.max(1e-3 * all, air.fire + air.door);
  for (let i = 0; i < 2; i++) {
    const withSteam = 1 + d.steam / flow;
    const k = 1 / (all * all) + tubeResistance(p.tubes, flow, d.gas, d.soot) + chimney * withSteam * withSteam + falls;
    // Half-way to what this would draw: friction falls as the flow grows, and the other way about.
    flow = Math.max(1e-9, 0.5 * (flow + Math.sqrt(Math.max(0, d.drive + head) / k)));
  }
  air.fire = (flow * fire) / all;
  air.door = (flow * past) / all;
  return air;
}

/**
 * Air that a fire draws when it is drawn well, kg/s: five lumps deep, door shut, ash out, gas as hot as it is then.
 * @param drive draught, Pa, and @param fan 0 or 1
 */
export function ratedAir(p: Passage, drive: number, fan: number, soot: number): number {
  const d: Drawing = { drive, fan, damper: 1, door: 0, lumps: 5, choke: 0, gas: 850, smoke: 500, soot, steam: 0 };
  const air: Air = { fire: 0, door: 0 };
  for (let i = 0; i < 40; i++) airThrough(p, d, air);
  return air.fire;
}
