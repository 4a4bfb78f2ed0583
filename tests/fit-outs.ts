import type { Chance } from '../src/core/chance';
import { type FitOut, patterns } from '../src/core/engine';
import { checkFitOut } from '../src/core/engine/check';

/** Numbers that are not sizes: they are left as they stand. */
const kept = new Set(['count', 'burners', 'chimneyBores', 'gratePieces', 'manholes', 'mudholes']);

/** Every size of a document by a random factor of its own; what is a share or a level moves less. */
function shaken(value: unknown, key: string, luck: Chance, by: number): unknown {
  if (typeof value === 'number') return kept.has(key) || !Number.isFinite(value) ? value : value * Math.exp(by * (2 * luck.next() - 1));
  if (Array.isArray(value)) return value.map((v) => shaken(v, key, luck, by));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, k === 'levels' ? v : shaken(v, k, luck, by)]));
  return value;
}

/** How a club sets its valves: just under working pressure, at it, just above. */
export const schools = { under: 0.95, at: 1, above: 1.02 } as const;

/** A fit-out that the door takes, far from any pattern: sizes by up to a third either way, each by itself. */
export function anyFitOut(luck: Chance, school: keyof typeof schools): FitOut {
  for (let tries = 0; tries < 400; tries++) {
    const { fitOut } = luck.pick(patterns);
    const made = shaken(fitOut, '', luck, 0.3) as FitOut;
    const document = {
      ...made,
      safetyValves: made.safetyValves.map((v, i) => ({ ...v, set: made.workingPressure * (schools[school] + 0.01 * i) }))
    };
    const checked = checkFitOut(document);
    if ('fitOut' in checked) return checked.fitOut;
  }
  throw new Error('no fit-out was taken in 400 tries');
}
