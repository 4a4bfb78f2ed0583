import { absolute, type Absolute, type Gauge, standardAtmosphere } from '../units';
import { liquid, saturationPressure, saturationTemperature, vapour } from './if97';

/** Water and steam in balance at one temperature. */
export interface Saturation {
  /** K */ readonly T: number;
  /** absolute, Pa */ readonly p: Absolute;
  /** liquid's specific volume, m³/kg */ readonly vf: number;
  /** steam's specific volume, m³/kg */ readonly vg: number;
  /** liquid's enthalpy, J/kg */ readonly hf: number;
  /** steam's enthalpy, J/kg */ readonly hg: number;
}

/**
 * Saturated water and steam at a temperature, from IF97 regions 1, 2 and 4.
 * @param T K, 273.15 to 623.15
 * @throws Refusal outside that range
 */
export function saturationAt(T: number): Saturation {
  const p = saturationPressure(T);
  const [f, g] = [liquid(T, p), vapour(T, p)];
  return { T, p, vf: f.v, vg: g.v, hf: f.h, hg: g.h };
}

/** The same for a gauge pressure, with the atmosphere named. */
export const saturationAtGauge = (pressure: Gauge, atmosphere: Absolute = standardAtmosphere): Saturation =>
  saturationAt(saturationTemperature(absolute(pressure, atmosphere)));

/** The temperature at which people measure cold water, K. */
export const coldWater = 288.15;

/** Specific volume of water at a temperature under one atmosphere (or its own pressure when that is higher), m³/kg. */
export const waterVolume = (T: number): number =>
  liquid(T, Math.max(standardAtmosphere, T > 373 ? saturationPressure(T) : 0) as Absolute).v;
