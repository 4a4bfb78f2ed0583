/** A TREND of a few looks: how fast it goes, and how sure that is. */
export interface Trend {
  /** Per s, and the spread of it. */
  readonly rate: number;
  readonly spread: number;
  /** Between the first and the last look, s, and by how much it went in that time. */
  readonly span: number;
  readonly change: number;
}

/**
 * A straight line through a few looks by least squares; each is read with the same error.
 * @param points s, and what was read
 * @param error of one look, one standard deviation
 * @returns undefined for fewer than two looks, or looks of one moment
 */
export function trendOf(points: readonly { readonly at: number; readonly value: number }[], error: number): Trend | undefined {
  const n = points.length;
  if (n < 2) return undefined;
  const at = points.reduce((sum, p) => sum + p.at, 0) / n;
  const value = points.reduce((sum, p) => sum + p.value, 0) / n;
  const across = points.reduce((sum, p) => sum + (p.at - at) ** 2, 0);
  if (!(across > 0)) return undefined;
  const rate = points.reduce((sum, p) => sum + (p.at - at) * (p.value - value), 0) / across;
  const span = points.at(-1)!.at - points[0]!.at;
  return { rate, spread: error / Math.sqrt(across), span, change: rate * span };
}

/** One in twenty flickers of nothing go as far. */
const sure = 1.645;
/** It falls, or rises, and it is not the eye alone. */
export const falls = (t: Trend | undefined): boolean => t !== undefined && t.rate < -sure * t.spread;
export const rises = (t: Trend | undefined): boolean => t !== undefined && t.rate > sure * t.spread;
/** A look at a glass is read to about a fortieth of it. */
export const lookError = 0.025;
