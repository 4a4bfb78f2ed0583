import type { Leak, Swept } from './sweep';

/** PICTURES OF PLACES: of each place the one that it is held against, which is the first since it was last taken apart. */

export interface Pictured {
  readonly place: string;
  /** Of its bytes, SHA-256. */
  readonly sum: string;
  readonly what: string;
  readonly at: string;
  readonly by: string;
  /** What the last walk before it found there, and at which pressure, Pa at the gauge; nothing where none had looked. */
  readonly found?: { readonly is: Leak; readonly at: number };
}

/**
 * The picture that each place is held against, by the place’s name. A place that was taken apart has none until it is pictured anew: what
 * it looked like before is another joint. Nor is a picture of a fault one: it shows what became of the place.
 * @param pictures of places, in any order, each with the fault that it is of @param said of the walks, the oldest first
 */
export function baselinesOf(pictures: readonly (Pictured & { readonly fault?: string })[], said: readonly Swept[]): Map<string, Pictured> {
  const apart = new Map(said.flatMap((s) => (s.is === 'disturbed' ? [[s.place, s.when] as const] : [])));
  const by = new Map<string, Pictured>();
  for (const p of [...pictures].sort((a, b) => (a.at < b.at ? -1 : 1))) {
    if (p.fault !== undefined || by.has(p.place) || p.at <= (apart.get(p.place) ?? '')) continue;
    const last = said.findLast((s) => s.place === p.place && s.when <= p.at);
    const found = last && last.is !== 'disturbed' ? { is: last.is, at: last.at } : undefined;
    by.set(p.place, p.found || !found ? p : { ...p, found });
  }
  return by;
}
