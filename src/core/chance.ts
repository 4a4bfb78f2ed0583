/**
 * A repeatable source of chance: the same seed gives the same numbers (mulberry32). The core makes none of its own; whoever
 * asks gives the seed.
 */
export function chance(seed: number, half?: number): Chance {
  let spare = half;
  let a = seed >>> 0;
  const next = () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    between: (low: number, high: number) => low + (high - low) * next(),
    /** Normal, mean 0 and spread 1 (polar method). */
    normal: (): number => {
      if (spare !== undefined) {
        const kept = spare;
        spare = undefined;
        return kept;
      }
      for (;;) {
        const [u, v] = [2 * next() - 1, 2 * next() - 1];
        const s = u * u + v * v;
        if (s === 0 || s >= 1) continue;
        const f = Math.sqrt((-2 * Math.log(s)) / s);
        spare = v * f;
        return u * f;
      }
    },
    odds: (p: number) => next() < p,
    pick: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!,
    /** The same source as it stands, to be drawn from apart. */
    copy: (): Chance => chance(a, spare),
    bytes: (n: number) => Uint8Array.from({ length: n }, () => Math.floor(next() * 256))
  };
}
export interface Chance {
  readonly next: () => number;
  readonly between: (low: number, high: number) => number;
  readonly normal: () => number;
  readonly odds: (p: number) => boolean;
  readonly pick: <T>(list: readonly T[]) => T;
  readonly copy: () => Chance;
  readonly bytes: (n: number) => Uint8Array<ArrayBuffer>;
}
