import { inverse, Matrix, solve } from 'ml-matrix';

/** Figures that agree best, with what their spread and shape is. */
export interface Fitted {
  readonly x: number[];
  /** Covariance, rows and columns as `x`. */
  readonly spread: number[][];
  /** Weighted residuals at the end. */
  readonly misses: readonly number[];
}

/**
 * Damped least squares (Levenberg and Marquardt) with slopes by difference. Wild residuals are given less weight, as of a
 * Student’s t with four degrees of freedom; the first `sure` of them are priors and keep theirs.
 * @param missesOf residuals over their spreads, priors first
 * @param steps of each figure for its slope
 */
export function leastSquares(
  missesOf: (x: readonly number[]) => number[],
  start: readonly number[],
  steps: readonly number[],
  { sure = 0, rounds = 14 }: { sure?: number; rounds?: number } = {}
): Fitted {
  const weigh = (misses: readonly number[]) => misses.map((m, i) => (i < sure ? 1 : Math.sqrt(5 / (4 + m * m))));
  const cost = (misses: readonly number[]) => misses.reduce((sum, m, i) => sum + (i < sure ? m * m : 5 * Math.log(1 + (m * m) / 4)), 0);
  let x = [...start];
  let misses = missesOf(x);
  let damping = 1e-2;
  let normal = Matrix.eye(x.length);
  for (let round = 0; round < rounds; round++) {
    const weights = weigh(misses);
    const slopes = x.map((value, j) => {
      const moved = [...x];
      moved[j] = value + steps[j]!;
      const there = missesOf(moved);
      return there.map((m, i) => ((m - misses[i]!) / steps[j]!) * weights[i]!);
    });
    const J = new Matrix(slopes).transpose();
    const r = Matrix.columnVector(misses.map((m, i) => m * weights[i]!));
    normal = J.transpose().mmul(J);
    const pull = J.transpose().mmul(r);
    const before = cost(misses);
    let better = false;
    for (let tries = 0; tries < 6 && !better; tries++) {
      const damped = normal.clone();
      for (let j = 0; j < x.length; j++) damped.set(j, j, normal.get(j, j) * (1 + damping) + 1e-12);
      const step = solve(damped, pull);
      const next = x.map((value, j) => value - step.get(j, 0));
      const there = missesOf(next);
      if (cost(there) < before) {
        better = true;
        damping = Math.max(1e-6, damping / 5);
        x = next;
        misses = there;
        if (before - cost(there) < 1e-4) round = rounds;
      } else damping *= 6;
    }
    if (!better) break;
  }
  for (let j = 0; j < x.length; j++) normal.set(j, j, normal.get(j, j) + 1e-12);
  return { x, spread: inverse(normal).to2DArray(), misses };
}
