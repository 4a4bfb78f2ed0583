/** TAPS of a finger with the exhaust or the crank: how fast it turns, and how sure that is. */
export interface Taps {
  /** Beats a second, and its spread. */
  readonly rate: number;
  readonly spread: number;
  /** Beats from the first tap to the last: those that were missed among them. */
  readonly beats: number;
}

/** Fewer tell nothing that an ear does not. */
export const leastTaps = 4;
/** Taps closer than this are one finger trembling, s. */
const trembles = 0.06;
/** An interval is one beat, or as many as it is long: nearer to two than to one, one was missed. */
const middle = (list: readonly number[]) => [...list].sort((a, b) => a - b)[list.length >> 1]!;

/**
 * The rate of taps by least squares through all of them, each at the beat that it is nearest to: a tap that comes early or late moves it little,
 * and one that was missed is counted.
 * @param times of the taps, s, rising
 * @returns undefined for fewer than four taps
 */
export function rateOfTaps(times: readonly number[]): Taps | undefined {
  const taps = times.filter((t, i) => i === 0 || t - times[i - 1]! > trembles);
  if (taps.length < leastTaps) return undefined;
  const gaps = taps.slice(1).map((t, i) => t - taps[i]!);
  const one = middle(gaps);
  let at = 0;
  const beats = [0, ...gaps.map((g) => (at += Math.max(1, Math.round(g / one))))];
  const n = taps.length;
  const mean = (of: readonly number[]) => of.reduce((sum, x) => sum + x, 0) / n;
  const [beat, time] = [mean(beats), mean(taps)];
  const across = beats.reduce((sum, b) => sum + (b - beat) ** 2, 0);
  const between = beats.reduce((sum, b, i) => sum + (b - beat) * (taps[i]! - time), 0) / across;
  const off = taps.reduce((sum, t, i) => sum + (t - time - between * (beats[i]! - beat)) ** 2, 0);
  const error = Math.sqrt(off / Math.max(1, n - 2) / across);
  return { rate: 1 / between, spread: error / between ** 2, beats: beats.at(-1)! };
}
