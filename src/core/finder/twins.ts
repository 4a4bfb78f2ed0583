import type { FitOut } from '../engine';
import { mark } from '../units';
import { feedOf } from './facts';
import type { Symptom } from './knowledge';

/** Another engine that has the same thing: what is equal, and what is not. Words with marks for quantities. */
export interface Twin {
  readonly id: string;
  readonly name: string;
  readonly equal: readonly string[];
  readonly other: readonly string[];
}

/** Alike within a tenth. */
const alike = (a: number, b: number) => Math.abs(a - b) <= 0.1 * Math.max(Math.abs(a), Math.abs(b));

interface Point {
  readonly name: string;
  readonly of: (f: FitOut) => string | number | undefined;
  readonly says?: (v: number) => string;
}

const boiler: readonly Point[] = [
  { name: 'form of boiler', of: (f) => f.boiler.form },
  { name: 'working pressure', of: (f) => f.workingPressure, says: (v) => mark(v, 'pressure') },
  { name: 'fire', of: (f) => f.fire.with }
];
const pointsOf = (symptom: Symptom): readonly Point[] => {
  if (symptom.of) {
    const feed = (f: FitOut) => feedOf({ symptom, fitOut: f, feed: undefined });
    return [
      { name: 'kind of feed', of: (f) => feed(f)?.kind },
      { name: 'rate', of: (f) => feed(f)?.rate, says: (v) => mark(v, 'flow') },
      { name: 'works from', of: (f) => feed(f)?.from, says: (v) => mark(v, 'pressure') },
      { name: 'delivers into', of: (f) => feed(f)?.into },
      ...boiler.slice(0, 2)
    ];
  }
  if (symptom.key.startsWith('valve'))
    return [
      { name: 'valves', of: (f) => f.safetyValves.length, says: (v) => String(v) },
      { name: 'type of valve', of: (f) => f.safetyValves[0]?.type },
      { name: 'set to', of: (f) => f.safetyValves[0]?.set, says: (v) => mark(v, 'pressure') },
      ...boiler
    ];
  return boiler;
};

/**
 * TWINS: the club’s other engines on which the same thing might be seen to work, that are equal in more than half of what matters to it;
 * the most alike first. That it works there is evidence for whoever looks at what is not equal.
 */
export function twinsOf(
  symptom: Symptom,
  fitOut: FitOut,
  others: readonly { readonly id: string; readonly name: string; readonly fitOut: FitOut }[]
): Twin[] {
  const points = pointsOf(symptom);
  return others
    .flatMap((o) => {
      const equal: string[] = [];
      const other: string[] = [];
      for (const { name, of, says } of points) {
        const [mine, theirs] = [of(fitOut), of(o.fitOut)];
        if (mine === undefined || theirs === undefined) continue;
        const print = (v: string | number) => (typeof v === 'number' ? (says?.(v) ?? String(v)) : v);
        const same = typeof mine === 'number' && typeof theirs === 'number' ? alike(mine, theirs) : mine === theirs;
        if (same) equal.push(`${name}: ${print(theirs)}`);
        else other.push(`${name}: ${print(theirs)}, here ${print(mine)}`);
      }
      return equal.length > other.length ? [{ id: o.id, name: o.name, equal, other }] : [];
    })
    .sort((a, b) => a.other.length - b.other.length || b.equal.length - a.equal.length)
    .slice(0, 3);
}
