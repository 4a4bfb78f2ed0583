import type { FitOut } from '../engine';
import { choice, type Group, type Infer } from '../form';
import type { WorkedStep } from '../units';
import type { Rules } from './rules';

/** What the arithmetic comes to. None of them says that anything is safe. */
export type Verdict = 'within' | 'seen' | 'measured' | 'too close' | 'not within' | 'shows nothing';
export const verdicts: Readonly<Record<Verdict, string>> = {
  within: 'Within the rules, by the arithmetic',
  seen: 'Seen to be as it should be',
  measured: 'Measured, and judged by no rule',
  'too close': 'Too close to call',
  'not within': 'Not within the rules',
  'shows nothing': 'Shows nothing'
};
/** The worst of several: what fails fails, whatever else was not as it should be; what was seen, or what no rule judges, takes nothing from what one does. */
export const worst = (of: readonly Verdict[]): Verdict =>
  (['not within', 'shows nothing', 'too close', 'within', 'seen', 'measured'] as const).find((v) => of.includes(v)) ?? 'within';

/** Whether what it comes to is as it should be, or nobody’s rule says otherwise. */
export const isGood = (v: Verdict): boolean => v === 'within' || v === 'seen' || v === 'measured';

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
  /** The figure of the rules that says how long it stands. */
  readonly every?: keyof Rules & `${string}Every`;
  fields(fitOut: FitOut): G;
  /** What it starts from: the questions, and nothing that is read from an instrument. A reading that stands there already is nobody’s reading. */
  starts(fitOut: FitOut): Record<string, unknown>;
  /** @throws Refusal where what was written cannot be */
  judge(body: Infer<G>, fitOut: FitOut, rules: Rules, before?: Before): readonly Finding[];
}
/** The same worksheet of this engine as it was made the last time. */
export interface Before {
  /** By the club’s clock, ISO. */
  readonly day: string;
  readonly body: Record<string, unknown>;
}
export const sheet = <const G extends Group>(s: Sheet<G>): Sheet<G> => s;

/**
 * Whether something is on its side of a limit, by as much as it can be read: nearer than that is no verdict.
 * @param left how far it is on the right side, in the unit of `error`
 */
export const judged = (left: number, error: number): Verdict => (left < -error ? 'not within' : left < error ? 'too close' : 'within');

/** Whether a reading is on or over a mark that a sum gave: both come from the same figures, by ways that differ in the last place. */
export const reaches = (reading: number, mark: number): boolean => reading >= mark * (1 - 1e-9);

/** By a figure that the rules may have none for. @param left how far it is on the right side of the figure */
export const judgedBy = (figure: number | null, left: (figure: number) => number, error: number): Verdict =>
  figure === null ? 'measured' : judged(left(figure), error);

/** What is seen and not measured: one word of several, with what it is worth. */
export const seen = <K extends string>(worth: Readonly<Record<K, Verdict>>, is: K, says: string): Finding => ({
  verdict: worth[is],
  says,
  steps: []
});

/** What was not tried of all there is: it shows nothing of them. */
export const untried = (all: readonly string[], done: readonly string[]): Finding[] => {
  const left = all.filter((a) => !done.includes(a));
  return left.length ? [{ verdict: 'shows nothing', says: `Not tried: ${left.join(', ')}.`, steps: [] }] : [];
};

/** A share, as it is said. */
export const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

/** A choice of names that the fit-out has. */
export const named = (label: string, names: readonly string[]) => choice(label, Object.fromEntries(names.map((n) => [n, n])));
