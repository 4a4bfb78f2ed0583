import { type Plant, usualFill, waterAtGlass } from '../boiler';
import { litAt, type Log } from '../log';
import { waterVolume } from '../steam';
import { isLevel } from '../units';

/** The usual temperature of a cold boiler where nothing was read, K. */
const usualStart = 286;
/** How long after the match a temperature still says how warm it was lit, ms. */
export const stillCold = 15 * 60_000;

/** kg of water and its temperature at the match, K; whether the temperature and the level were read or are the usual ones. */
export interface Start {
  readonly water: number;
  readonly T: number;
  readonly ambient: number;
  readonly read: boolean;
  readonly level: boolean;
}

/** What is known at the match: water by the last glass before it or the usual fill, temperature as read or as usual. */
export function startOf(log: Pick<Log, 'events' | 'context'>, plant: Plant, day?: { readonly water: number; readonly air: number }): Start {
  const lit = litAt(log);
  const until = lit ? Date.parse(lit) + stillCold : Infinity;
  let [warm, level]: [number | undefined, number | undefined] = [undefined, undefined];
  for (const e of log.events) {
    if (Date.parse(e.at) >= until) break;
    if (e.is !== 'reading') continue;
    if (warm === undefined && e.temperature !== undefined && e.temperature < 373) warm = e.temperature;
    if (e.glass !== undefined && isLevel(e.glass) && (!lit || e.at <= lit)) level = e.glass;
  }
  const T = warm ?? day?.water ?? usualStart;
  const water =
    level !== undefined && plant.vessel.glass
      ? waterAtGlass(plant.vessel, level, T) / waterVolume(T)
      : usualFill(log.context.fitOut, plant, T);
  return { water, T, ambient: day?.air ?? Math.min(T, 303), read: warm !== undefined, level: level !== undefined };
}
