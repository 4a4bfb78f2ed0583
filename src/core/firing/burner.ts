import { gasHeat } from './fuels';

/** Fires that are set, not built: gas, spirit and tablets, an element. Each has its state, its step and its fuel used. */

export interface GasBurner {
  readonly with: 'gas';
  /** Heat of the gas at full, W. */ readonly power: number;
  /** Share of it that reaches the water. */ readonly efficiency: number;
  /** Setting to light up with, as a share of full. */ readonly lightUp: number;
  /** Time for burner and flue to come to their heat, s. */ readonly lag: number;
  /** kg */ readonly canister: number;
}
export interface Tablets {
  readonly with: 'spirit';
  /** Heat of one charge, J. */ readonly charge: number;
  /** s */ readonly burns: number;
  readonly efficiency: number;
  /** Of a kilogram of it, J. */ readonly heat: number;
  /** Tablets rise over the first fifth of their time and fade over the last; spirit burns level sooner. */
  readonly fades: boolean;
}
export interface Element {
  readonly with: 'electric';
  readonly power: number;
  /** Temperature at which the thermostat lets go, K. */ readonly set: number;
  /** Its band, K, and the lag of its sensor, s. */ readonly band: number;
  readonly lag: number;
}

export interface Flame {
  readonly with: 'gas' | 'spirit' | 'electric';
  /** Share of full at which it is set; 0 is off. */ setting: number;
  /** How far it has come to that, 0 to 1 of full. */ warmth: number;
  /** Seconds since it was lit. */ since: number;
  /** Charges lit. */ charges: number;
  /** Thermostat: on, and what its sensor feels, K. */ on: boolean;
  felt: number;
  /** J, kg */ made: number;
  burnt: number;
}

export const unlit = (kind: Flame['with'], ambient: number): Flame => ({
  with: kind,
  setting: 0,
  warmth: 0,
  since: 0,
  charges: 0,
  on: false,
  felt: ambient,
  made: 0,
  burnt: 0
});

/** Heat of tablets at a share of their time: up over the first fifth, down over the last, level between; its mean is 1. */
export const tabletCurve = (x: number): number => (x <= 0 || x >= 1 ? 0 : Math.min(1, x / 0.2, (1 - x) / 0.2) / 0.8);

/** One step of a gas burner. @returns W to the water */
export function gasStep(b: GasBurner, f: Flame, dt: number): number {
  f.warmth += (f.setting - f.warmth) * Math.min(1, dt / b.lag);
  f.since = f.setting > 0 ? f.since + dt : 0;
  const fuel = b.power * f.setting;
  f.made += fuel * dt;
  f.burnt += (fuel * dt) / gasHeat;
  return b.power * f.warmth * b.efficiency;
}

/** One step of a charge of tablets or spirit. @returns W to the water */
export function spiritStep(b: Tablets, f: Flame, dt: number): number {
  if (f.setting <= 0) return 0;
  const x = f.since / b.burns;
  f.since += dt;
  const share = b.fades ? tabletCurve((x + f.since / b.burns) / 2) : x < 1 ? 1 : 0;
  const fuel = (b.charge * f.charges * share) / b.burns;
  if (x >= 1) f.setting = 0;
  f.made += fuel * dt;
  f.burnt += (fuel * dt) / b.heat;
  return fuel * b.efficiency;
}

/** One step of an element with its thermostat. @param T of the water, K @returns W to the water */
export function elementStep(b: Element, f: Flame, T: number, dt: number): number {
  f.felt += (T - f.felt) * Math.min(1, dt / b.lag);
  if (f.felt >= b.set) f.on = false;
  else if (f.felt <= b.set - b.band) f.on = true;
  const fuel = f.on ? b.power * f.setting : 0;
  f.since += f.setting > 0 ? dt : 0;
  f.made += fuel * dt;
  return fuel;
}
