import { energyOf } from './settle';
import type { Vessel } from './vessel';
import { emptyRow, saturationRow, tableFrom, tableTo } from '../steam';

/**
 * The energy of known contents against temperature: one monotone table, so that a reading becomes energy and energy becomes
 * a reading without stepping anything. Air is left out: it holds next to nothing, and only adds to the pressure.
 */
export interface EnergyTable {
  readonly water: number;
  readonly vessel: Vessel;
  /** J, at `from` + i K. */
  readonly energy: Float64Array;
  /** Saturation pressure, Pa, and room above the water, m³, on the same grid. */
  readonly pressure: Float64Array;
  readonly space: Float64Array;
  readonly from: number;
}

/** @param water kg of water and steam @param to K, the hottest that is asked for */
export function energyTable(vessel: Vessel, water: number, from = tableFrom, to = 500): EnergyTable {
  const n = Math.ceil(Math.min(to, tableTo - 1) - from) + 1;
  const table = { water, vessel, energy: new Float64Array(n), pressure: new Float64Array(n), space: new Float64Array(n), from };
  const c = { water, air: 0, energy: 0, T: from, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 };
  const row = emptyRow();
  for (let i = 0; i < n; i++) {
    c.T = from + i;
    table.energy[i] = energyOf(vessel, c);
    table.pressure[i] = saturationRow(c.T, row).p;
    table.space[i] = c.space;
  }
  return table;
}

/** Energy of water, its steam and the metal at one temperature, J: a row of the table where no more than that is asked. @param water kg @param T K */
export const energyHeld = (vessel: Vessel, water: number, T: number): number =>
  energyOf(vessel, { water, air: 0, energy: 0, T, p: 0, liquid: 0, steam: 0, liquidVolume: 0, space: 0 });

/** Energy at a temperature, J. */
export function energyAt(t: EnergyTable, T: number): number {
  const x = Math.min(t.energy.length - 1.000001, Math.max(0, T - t.from));
  const i = Math.floor(x);
  return t.energy[i]! + (x - i) * (t.energy[i + 1]! - t.energy[i]!);
}

/** Temperature at an energy, K: the heat capacity hardly changes, so a guess by the mean and a step or two find the row. */
export function temperatureAt(t: EnergyTable, energy: number): number {
  const e = t.energy;
  const last = e.length - 2;
  let i = Math.min(last, Math.max(0, Math.floor(((energy - e[0]!) / (e[last + 1]! - e[0]!)) * (last + 1))));
  while (i > 0 && e[i]! > energy) i--;
  while (i < last && e[i + 1]! < energy) i++;
  return t.from + i + (energy - e[i]!) / (e[i + 1]! - e[i]!);
}

/** Pressure of the steam at a temperature, absolute, Pa: straight between kelvins, within 2 parts in 10,000. */
export function pressureAt(t: EnergyTable, T: number): number {
  const x = Math.min(t.energy.length - 1.000001, Math.max(0, T - t.from));
  const i = Math.floor(x);
  return t.pressure[i]! + (x - i) * (t.pressure[i + 1]! - t.pressure[i]!);
}

/** Room above the water at a temperature, m³. */
export const spaceAt = (t: EnergyTable, T: number): number => t.space[Math.min(t.space.length - 1, Math.max(0, Math.round(T - t.from)))]!;

/** Of an atmosphere over cold water, what is air, Pa: the rest is the vapour of water of 16 °C (IAPWS-IF97). */
const dry = (atmosphere: number) => atmosphere - 1825;

/**
 * What a gauge shows, Pa: steam, and the air that stood over the cold water and made up one atmosphere there.
 * @param share of that air that is still in, 0 to 1
 */
export function needleAt(t: EnergyTable, share: number, T: number, atmosphere: number): number {
  const air = share > 0.001 ? (share * dry(atmosphere) * (t.space[15]! / spaceAt(t, T)) * T) / 288.15 : 0;
  return Math.max(0, pressureAt(t, T) + air - atmosphere);
}

/** Share of the air that stays in with a hole open and no pressure behind it: what is left when the needle has come to rest at nothing. */
export const airAtRest = (t: EnergyTable, T: number, atmosphere: number): number =>
  Math.max(0, ((atmosphere - pressureAt(t, T)) * spaceAt(t, T) * 288.15) / (dry(atmosphere) * t.space[15]! * T));

/** Rate at which a hole empties the room over the water under 0.8 bar and more, 1/s: choked flow, about 270 m/s. @param hole CdA, m² */
export const airRate = (hole: number, space: number): number => (hole * 270) / space;

/**
 * Share of the air left after a while: it goes with what leaves by leaks and by what stands open, the less the lower the pressure.
 * @param rate at 0.8 bar and more, 1/s
 * @param least that stays in whatever is open, where the pressure is what has driven it out
 */
export const airLeft = (share: number, rate: number, gauge: number, dt: number, least = 0): number =>
  share > 0.001 && gauge > 0 ? Math.max(Math.min(share, least), share * Math.exp(-rate * Math.sqrt(Math.min(1, gauge / 8e4)) * dt)) : share;
