/** A repeatable source of chance: the same seed gives the same numbers (mulberry32). */
export function chance(seed: number) {
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
    odds: (p: number) => next() < p,
    pick: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!,
    bytes: (n: number) => Uint8Array.from({ length: n }, () => Math.floor(next() * 256))
  };
}
export type Chance = ReturnType<typeof chance>;
