import type { FitOut } from '../engine';
import { mark } from '../units';
import { feedOf, feedsLike } from './facts';
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

type Feed = FitOut['feeds'][number];
interface Point {
  readonly name: string;
  /** @param feed the one that it is of, where it is of one */
  readonly of: (f: FitOut, feed: Feed) => string | number | undefined;
  readonly says?: (v: number) => string;
}

const boiler: readonly Point[] = [
  { name: 'form of boiler', of: (f) => f.boiler.form },
  { name: 'working pressure', of: (f) => f.workingPressure, says: (v) => mark(v, 'pressure') },
  { name: 'fire', of: (f) => f.fire.with }
];
const feeds: readonly Point[] = [
  { name: 'kind of feed', of: (_, feed) => feed.kind },
  { name: 'rate', of: (_, feed) => feed.rate, says: (v) => mark(v, 'flow') },
  { name: 'works from', of: (_, feed) => feed.from, says: (v) => mark(v, 'pressure') },
  { name: 'delivers into', of: (_, feed) => feed.into },
  ...boiler.slice(0, 2)
];
const valves: readonly Point[] = [
  { name: 'valves', of: (f) => f.safetyValves.length, says: (v) => String(v) },
  { name: 'type of valve', of: (f) => f.safetyValves[0]?.type },
  { name: 'set to', of: (f) => f.safetyValves[0]?.set, says: (v) => mark(v, 'pressure') },
  ...boiler
];
const pointsOf = ({ of, key }: Symptom): readonly Point[] => (of ? feeds : key.startsWith('valve') ? valves : boiler);

/**
 * TWINS: the club’s other engines on which the same thing might be seen to work, that are equal in more than half of what matters to it;
 * the most alike first. @param feed which of its feeds it is of, where it has two. That it works there is evidence for whoever looks at what is not equal.
 */
export function twinsOf(
  symptom: Symptom,
  fitOut: FitOut,
  others: readonly { readonly id: string; readonly name: string; readonly fitOut: FitOut }[],
  feed?: string
): Twin[] {
  const points = pointsOf(symptom);
  const own = feedOf({ symptom, fitOut, feed });
  // Of two feeds nobody has said which: none of them is anything’s twin yet.
  if (symptom.of && !own) return [];
  return others
    .flatMap((o) => {
      // The nearest to it of theirs; what has none of that kind is no twin.
      const [theirFeed] = feedsLike({ symptom, fitOut: o.fitOut }).toSorted(
        (a, b) => Math.abs(a.rate - own!.rate) - Math.abs(b.rate - own!.rate)
      );
      if (symptom.of && !theirFeed) return [];
      const equal: string[] = [];
      const other: string[] = [];
      for (const { name, of, says } of points) {
        const [mine, theirs] = [of(fitOut, own!), of(o.fitOut, theirFeed!)];
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
