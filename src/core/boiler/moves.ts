import { firesideOf, type FitOut } from '../engine';
import { solid } from './parameter';
import { type Overrides, plantFigures } from './parameters';
import { plantOf } from './plant';
import type { Habits } from './practice';
import { raise, usualFill } from './raising';
import type { Start } from './step';

/** One thing that may be otherwise on a day, and what it does to the time from the match to steam. */
export interface Move {
  readonly key: string;
  /** As people say it: half of the tubes choked. */
  readonly name: string;
  /** s, and over the usual, as a share: 0.4 is two fifths longer. Infinity where it does not get there. */
  readonly time: number;
  readonly longer: number;
}

interface Otherwise {
  readonly key: string;
  readonly name: string;
  readonly when?: (f: FitOut) => boolean;
  /** Parameters by factors. */
  readonly own?: Readonly<Record<string, number>>;
  /** Parameters by values. */
  readonly set?: Readonly<Record<string, number>>;
  readonly start?: (usual: Start) => Partial<Start>;
  readonly habits?: Habits;
}

const tubed = (f: FitOut) => solid(f) && firesideOf(f.boiler).tubes.count > 0;
const drawnBy = (means: 'fan' | 'compressed air') => (f: FitOut) => f.fire.with === 'solid' && f.fire.draught === means;

/** What may be otherwise, with words for it: each alone, all else as usual. */
const otherwise: readonly Otherwise[] = [
  { key: 'choked', name: 'half of the tubes choked', when: tubed, own: { tubes: 0.5 } },
  { key: 'soot', name: 'half a millimetre of soot on the tubes', when: tubed, set: { soot: 0.5e-3 } },
  { key: 'damp', name: 'damp fuel, an eighth of it water', when: solid, set: { damp: 0.125 } },
  {
    key: 'fan',
    name: 'a fan half as strong again',
    when: drawnBy('fan'),
    own: { fan: 1.5 }
  },
  { key: 'air', name: 'compressed air that draws half as much again', when: drawnBy('compressed air'), own: { fan: 1.5 } },
  { key: 'chimney', name: 'a chimney a fifth wider', when: solid, own: { chimney: 1.44 } },
  { key: 'coarse', name: 'fuel in pieces of twice the size', when: solid, habits: { coarse: 2 } },
  { key: 'power', name: 'burner or element a fifth weaker', when: (f) => !solid(f), own: { power: 0.8 } },
  { key: 'water', name: 'a fifth more water', start: (s) => ({ water: s.water * 1.2 }) },
  { key: 'cold', name: 'water ten degrees colder', start: (s) => ({ T: s.T - 10 }) },
  { key: 'metal', name: 'a fifth more metal', own: { metal: 1.2 } },
  { key: 'lagging', name: 'half as much again lost to the air', own: { loss: 1.5 } },
  { key: 'leak', name: 'leaks four times as large', own: { leak: 4 } }
];

/** The time from the match to steam by ordinary practice, s: the mean of three keepers who look at the fire at other moments. */
function timeOf(f: FitOut, own: Overrides, start: Start, habits: Habits): number {
  const plant = plantOf(f, own);
  const times = [17, 20, 23].map((look) => raise(plant, start, { look, ...habits }, { longest: 5 * 3600 }).reached ?? Infinity);
  return times.reduce((a, t) => a + t, 0) / times.length;
}

/**
 * What moves an engine's raise most, the most first: the model brought up by ordinary practice with one thing otherwise.
 * @param T of the water and the air, K
 */
export function movesOf(f: FitOut, T = 288.15): { readonly time: number; readonly moves: readonly Move[] } {
  const figures = Object.fromEntries(plantFigures(f).map(({ key, worked }) => [key, worked.value]));
  const usual: Start = { water: usualFill(f, plantOf(f), T), T, ambient: T };
  const time = timeOf(f, {}, usual, {});
  const moves = otherwise
    .filter((o) => o.when?.(f) ?? true)
    .map(({ key, name, own = {}, set = {}, start, habits = {} }): Move => {
      const factors = Object.fromEntries(Object.entries(own).map(([k, factor]) => [k, figures[k]! * factor]));
      const takes = timeOf(f, { ...factors, ...set }, { ...usual, ...start?.(usual) }, habits);
      return { key, name, time: takes, longer: takes / time - 1 };
    });
  return { time, moves: moves.sort((a, b) => Math.abs(b.longer) - Math.abs(a.longer)) };
}
