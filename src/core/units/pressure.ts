import { Refusal } from './refusal';

/** Pressure above the atmosphere, Pa: what a gauge shows and people say. */
export type Gauge = number & { readonly gauge: unique symbol };
/** Pressure above nothing, Pa: what steam tables want. */
export type Absolute = number & { readonly absolute: unique symbol };

/** One standard atmosphere, Pa: used unless the day's is known. */
export const standardAtmosphere = 101_325 as Absolute;

/** Pa in one pound-force per square inch. */
export const psiPa = 6894.757293;

/** Gauge pressure of so many psi. */
export const psi = (value: number): Gauge => (value * psiPa) as Gauge;

/** Gauge to absolute, with the atmosphere named. @throws Refusal below a perfect vacuum */
export function absolute(gauge: Gauge, atmosphere: Absolute = standardAtmosphere): Absolute {
  const value = gauge + atmosphere;
  if (!(value >= 0)) throw new Refusal('pressure', 'A gauge cannot read lower than a perfect vacuum (about −14.7 psi).');
  return value as Absolute;
}

/** Absolute to gauge, with the atmosphere named. */
export const gauge = (pressure: Absolute, atmosphere: Absolute = standardAtmosphere): Gauge => (pressure - atmosphere) as Gauge;
