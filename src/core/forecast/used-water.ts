import type { Plant } from '../boiler';
import type { Log } from '../log';
import { upAt } from '../log';
import { psi } from '../units';
import { fedOf, follow, following } from './follow';
import { noHeating } from './replay';
import { waterIn } from './water';

/** Water that a day took, counted: from the glass at its ends and what was fed between. */
export interface UsedWater {
  readonly kg: number;
  /** s */ readonly time: number;
  /** How well it is known, as a logarithm. */
  readonly spread: number;
}

/** Error of a look, of the glass, with what bubbles and slope add; and of what the feeds gave together. */
const [look, feeds] = [0.05, 0.12];

/**
 * The water that an engine used in steam on a day, between the first and the last look at its glass. Undefined without two looks twenty
 * minutes apart, without water used, or where errors of looks and feeds are more than half of it.
 */
export function waterUsed(log: Log, plant: Plant): UsedWater | undefined {
  const up = upAt(log);
  if (!up || !plant.vessel.glass) return undefined;
  const f = following(log, plant, noHeating);
  follow(f, log);
  const { outAt } = log.state.fire;
  const [from, to] = [Date.parse(up) / 1000, outAt ? Date.parse(outAt) / 1000 : Infinity];
  const looks = f.looks.filter((l) => l.at >= from && l.at <= to && l.gauge > psi(5));
  const [first, last] = [looks[0], looks.at(-1)];
  if (!first || !last || last.at - first.at < 1200) return undefined;
  const fed = fedOf(f).reduce((sum, x) => sum + x.rate * Math.max(0, Math.min(last.at, x.to ?? last.at) - Math.max(first.at, x.from)), 0);
  const kg = waterIn(plant, first) - waterIn(plant, last) + fed;
  if (!(kg > 0)) return undefined;
  const glass = waterIn(plant, { ...first, glass: 1 }) - waterIn(plant, { ...first, glass: 0 });
  const spread = Math.hypot(look * glass * Math.SQRT2, feeds * fed) / kg;
  return spread < 0.5 ? { kg, time: last.at - first.at, spread } : undefined;
}
