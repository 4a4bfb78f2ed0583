/** ln n! as far as it was asked for: a hundred tries ask for it a hundred thousand times. */
const lnFactorials = [0];
function lnFactorial(n: number): number {
  for (let k = lnFactorials.length; k <= n; k++) lnFactorials.push(lnFactorials[k - 1]! + Math.log(k));
  return lnFactorials[n]!;
}
const lnChoose = (n: number, k: number) => lnFactorial(n) - lnFactorial(k) - lnFactorial(n - k);

/** Of two lots of tries, how many worked. */
export interface Fourfold {
  readonly ok: number;
  readonly of: number;
  readonly otherOk: number;
  readonly otherOf: number;
}

/**
 * Fisher’s exact test, two-sided: how likely a table at least as lopsided is if whatever parts the lots has nothing to do with it.
 * @returns 0 to 1
 */
export function exactTest({ ok, of, otherOk, otherOf }: Fourfold): number {
  const worked = ok + otherOk;
  const ln = (k: number) => lnChoose(of, k) + lnChoose(otherOf, worked - k) - lnChoose(of + otherOf, worked);
  const seen = ln(ok);
  let p = 0;
  for (let k = Math.max(0, worked - otherOf); k <= Math.min(of, worked); k++) if (ln(k) <= seen + 1e-9) p += Math.exp(ln(k));
  return Math.min(1, p);
}
