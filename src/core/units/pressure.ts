import { Refusal } from './refusal';

/** Pressure above the atmosphere, Pa: what a gauge shows and people say. */
export type Gauge = number & { readonly gauge: unique symbol };
/** Pressure above nothing, Pa: what steam tables want. */
export type Absolute = number & { readonly absolute: unique symbol };

/** One standard atmosphere, Pa: used unless the day's is known. */
export const standardAtmosphere = 101_325 as Absolute;

/** The atmosphere at an altitude, Pa, by the standard one: 101,325 × (1 − 2.25577e-5 h)^5.25588. @param altitude m, 0 to 5,000 */
export const atmosphereAt = (altitude: number): Absolute => (standardAtmosphere * (1 - 2.25577e-5 * altitude) ** 5.25588) as Absolute;

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
