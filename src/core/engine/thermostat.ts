import { saturationPressure, saturationAtGauge } from '../steam';
import { atmosphereAt, type Gauge } from '../units';
import type { FitOut } from './fit-out';

/** The knob of an electric boiler. */
export interface Thermostat {
  /** K */ readonly set: number;
  /** Pa at the gauge where it lets go, and where it takes hold again: half of the band over what is set, half under it. */
  readonly letsGo: number;
  readonly takesHold: number;
}

/**
 * What a thermostat does, by its knob, its band and the height over the sea; undefined where there is none.
 * @param held Pa at the gauge: a knob that nobody has told of is set a little under it, or the valve blows all day
 */
export function thermostatOf({ fire, altitude }: Pick<FitOut, 'fire' | 'altitude'>, held: number): Thermostat | undefined {
  if (fire.with !== 'electric' || fire.thermostat === 'none') return undefined;
  const air = atmosphereAt(altitude);
  const gauge = (fire.thermostat === 'pressure' ? fire.setPressure : null) ?? 0.985 * held;
  const set = (fire.thermostat === 'temperature' ? fire.setTemperature : null) ?? saturationAtGauge(gauge as Gauge, air).T;
  const at = (T: number) => Math.max(0, saturationPressure(T) - air);
  return { set, letsGo: at(set + fire.band / 2), takesHold: at(set - fire.band / 2) };
}
