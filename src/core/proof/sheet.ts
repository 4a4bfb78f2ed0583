import type { FitOut } from '../engine';
import type { Group, Infer } from '../form';
import type { WorkedStep } from '../units';
import type { Rules } from './rules';

/** What the arithmetic comes to. None of them says that anything is safe. */
export type Verdict = 'within' | 'too close' | 'not within' | 'shows nothing';
export const verdicts: Readonly<Record<Verdict, string>> = {
  within: 'Within the rules, by the arithmetic',
  'too close': 'Too close to call',
  'not within': 'Not within the rules',
  'shows nothing': 'Shows nothing'
};
/** The worst of several: what fails fails, whatever else was not as it should be. */
export const worst = (of: readonly Verdict[]): Verdict =>
  (['not within', 'shows nothing', 'too close'] as const).find((v) => of.includes(v)) ?? 'within';

/** One thing that was judged: its sum, what it came to, and why, in a sentence with marks for quantities. */
export interface Finding {
  readonly verdict: Verdict;
  readonly says: string;
  readonly steps: readonly WorkedStep[];
}

/** A worksheet as it stands in its file: a form, what it is judged by, and the sums. */
export interface Sheet<G extends Group = Group> {
  readonly key: string;
  readonly name: string;
  /** How it is made, for whoever stands beside the boiler with a pencil. */
  readonly how: readonly string[];
  readonly when?: (fitOut: FitOut) => boolean;
  fields(fitOut: FitOut): G;
  /** What it starts from: the questions, and nothing that is read from an instrument. A reading that stands there already is nobody’s reading. */
  starts(fitOut: FitOut): Record<string, unknown>;
  /** @throws Refusal where what was written cannot be */
  judge(body: Infer<G>, fitOut: FitOut, rules: Rules): readonly Finding[];
}
export const sheet = <const G extends Group>(s: Sheet<G>): Sheet<G> => s;

/**
 * Whether something is on its side of a limit, by as much as it can be read: nearer than that is no verdict.
 * @param left how far it is on the right side, in the unit of `error`
 */
export const judged = (left: number, error: number): Verdict => (left < -error ? 'not within' : left < error ? 'too close' : 'within');
