import type { FitOut } from './fit-out';
import { thermostatOf } from './thermostat';

/** What stands under working pressure and the first valve's lift: nobody holds a needle on the very mark. */
const under = 0.98;

/** The pressure that an engine is held at, Pa at the gauge: the lower of working pressure and the first valve's lift. Some clubs set valves just under. */
export const heldAt = ({ workingPressure, safetyValves }: Pick<FitOut, 'workingPressure' | 'safetyValves'>): number =>
  Math.min(workingPressure, ...safetyValves.map((v) => v.set));

/** In steam, Pa at the gauge: what everything waits for that waits for “at pressure”. A thermostat that lets go sooner is all the pressure there is. */
export const inSteamAt = (fitOut: Pick<FitOut, 'workingPressure' | 'safetyValves' | 'fire' | 'altitude'>): number => {
  const held = heldAt(fitOut);
  return under * Math.min(held, thermostatOf(fitOut, held)?.letsGo ?? held);
};
