import { emptyRow, saturationRow, type SaturationRow, tableFrom, tableTo } from '../steam';
import { Refusal } from '../units';
import { roomAt, type Vessel } from './vessel';

/**
 * How a mass of water, a mass of air and an amount of energy stand in a vessel: the temperature at which they, and the
 * metal, agree. Energy is internal energy of water, steam, air and metal, counted from 0 °C, J.
 */

/** Gas constant and heat capacity at constant volume of air, J/(kg K). */
export const airR = 287.05;
export const airCv = 718;

/** What a step carries from one moment to the next, and what follows from it. */
export interface Contents {
  /** Mass of water and steam, kg. */ water: number;
  /** Trapped air, kg. */ air: number;
  /** J */ energy: number;
  /** K */ T: number;
  /** absolute, Pa */ p: number;
  /** kg */ liquid: number;
  /** kg */ steam: number;
  /** Volume of the liquid, m³. */ liquidVolume: number;
  /** Room above the liquid, m³. */ space: number;
}

const row: SaturationRow = emptyRow();

/** Fills in liquid, steam and pressure at the temperature the contents have; gives back energy − the energy they would have. */
function standAt(vessel: Vessel, c: Contents): { miss: number; capacity: number } {
  const { T } = c;
  saturationRow(T, row);
  const room = roomAt(vessel, T);
  const spread = row.vg - row.vf;
  let steam = (room - c.water * row.vf) / spread;
  let dSteam = (vessel.room * vessel.growth - c.water * row.dvf - steam * (row.dvg - row.dvf)) / spread;
  // A vessel filled to the brim has no steam; one boiled dry has nothing else.
  if (steam < 0) [steam, dSteam] = [0, 0];
  if (steam > c.water) [steam, dSteam] = [c.water, 0];
  const liquid = c.water - steam;
  c.liquid = liquid;
  c.steam = steam;
  c.liquidVolume = liquid * row.vf;
  c.space = Math.max(1e-9, room - c.liquidVolume);
  const dry = liquid <= 0;
  c.p = (dry ? (steam * 461.526 * T) / c.space : row.p) + (c.air * airR * T) / c.space;
  out.miss = c.energy - (liquid * row.uf + steam * row.ug + (c.air * airCv + vessel.metal) * (T - 273.15));
  out.capacity = liquid * row.duf + steam * row.dug + (row.ug - row.uf) * dSteam + c.air * airCv + vessel.metal;
  return out;
}
const out = { miss: 0, capacity: 1 };

/**
 * Brings the contents to the temperature at which their energy is what it says: Newton from where they last stood.
 * @throws Refusal when no temperature between 0 and 250 °C does
 */
export function settle(vessel: Vessel, c: Contents): Contents {
  for (let n = 0; n < 60; n++) {
    const { miss, capacity } = standAt(vessel, c);
    const step = miss / capacity;
    if (Math.abs(step) < 1e-10) return c;
    const T = c.T + Math.min(40, Math.max(-40, step));
    if ((T >= tableTo && c.T >= tableTo) || (T <= tableFrom && c.T <= tableFrom) || Number.isNaN(T))
      throw new Refusal('energy', 'No temperature between 0 and 250 °C fits that much energy in this boiler.');
    c.T = Math.min(tableTo, Math.max(tableFrom, T));
  }
  return c;
}

/** The energy of contents at their temperature, J: what `settle` turns round. */
export function energyOf(vessel: Vessel, c: Contents): number {
  c.energy = 0;
  return -standAt(vessel, c).miss;
}

/**
 * Contents at a temperature, with the air that stands over the water at one atmosphere when it was closed up.
 * @param water mass of water, kg
 * @param T K
 * @param share of the air that is still in, 0 to 1
 */
export function fillAt(vessel: Vessel, water: number, T: number, share = 1, atmosphere = 101_325): Contents {
  const c: Contents = { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 };
  standAt(vessel, c);
  if (c.liquid <= 0) throw new Refusal('water', 'There must be water in the boiler.');
  if (water * row.vf > roomAt(vessel, T)) throw new Refusal('water', 'That much water does not fit into this boiler.');
  // Steam already presses with p; air makes up the rest to the atmosphere, when there is a rest.
  c.air = (share * Math.max(0, atmosphere - row.p) * c.space) / (airR * T);
  c.energy = energyOf(vessel, c);
  standAt(vessel, c);
  return c;
}
