import { type Plant, energyAt, energyTable } from '../boiler';
import { boilingAt } from '../steam';
import { standardAtmosphere } from '../units';
import type { Past } from './past';
import type { Learnt } from './raising';

/**
 * Loss from a boiler left to cool with its fire out: energy of the contents against time, over how far it stood above the
 * air. Readings under a tenth of a bar say too little; three are needed, over at least ten minutes.
 * @returns ln of the loss, W/K; undefined when the readings cannot tell
 */
export function lossFrom(plant: Plant, past: Past): Learnt | undefined {
  const reads = past.cooling.filter((r) => r.value > 10_000);
  if (reads.length < 3 || reads.at(-1)!.at - reads[0]!.at < 600) return undefined;
  const table = energyTable(plant.vessel, past.water);
  // Each reading as ln of (T − air), and how well a needle tells it; then a straight line.
  const points = reads.map(({ at, value }) => {
    const T = boilingAt(value + standardAtmosphere);
    const near = boilingAt(value + 8000 + standardAtmosphere);
    return { at, T, y: Math.log(T - past.ambient), w: ((T - past.ambient) / (near - T)) ** 2 };
  });
  const sum = (f: (p: (typeof points)[number]) => number) => points.reduce((a, p) => a + p.w * f(p), 0);
  const w = sum(() => 1);
  const [mt, my] = [sum((p) => p.at) / w, sum((p) => p.y) / w];
  const stt = sum((p) => (p.at - mt) ** 2);
  const slope = sum((p) => (p.at - mt) * (p.y - my)) / stt;
  if (!(slope < 0)) return undefined;
  const middle = sum((p) => p.T) / w;
  const capacity = (energyAt(table, middle + 5) - energyAt(table, middle - 5)) / 10;
  // The first minutes still have a warm grate under them: a tenth is added to what the needle's spread says.
  const spread = Math.hypot(1 / Math.sqrt(stt) / -slope, 0.08);
  return spread < 1 ? { value: Math.log(-slope * capacity), spread } : undefined;
}
