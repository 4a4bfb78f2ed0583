import type { FitOut } from '../engine';
import { joiOf, problemsOf } from '../form/joi';
import { Refusal } from '../units';
import { type Rules, rulesField, unsaid } from './rules';
import { type Before, type Finding, type Sheet, type Verdict, worst } from './sheet';

/** What was written on a worksheet, and what it comes to. */
export interface Judged {
  readonly body: Record<string, unknown>;
  readonly findings: readonly Finding[];
  readonly verdict: Verdict;
}

/**
 * Reads and judges what was written on a worksheet.
 * @param before the same worksheet as it was made the last time, where there is one
 * @throws Refusal at the first field that cannot be
 */
export function judge(of: Sheet, written: unknown, fitOut: FitOut, rules: Rules, before?: Before): Judged {
  const fields = of.fields(fitOut);
  const { error, value } = joiOf(fields).validate(written, { abortEarly: false });
  if (error) {
    const [first] = problemsOf(fields, error, written);
    throw new Refusal(first!.path || 'sheet', first!.sentence);
  }
  const findings = of.judge(value as never, fitOut, rules, before);
  return { body: value as Record<string, unknown>, findings, verdict: worst(findings.map((f) => f.verdict)) };
}

const isGroup = (x: unknown): x is object => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Rules as they are to be saved: a figure that is not said is none. @throws Refusal at the first field that cannot be */
export function readRules(written: unknown): Rules {
  const { error, value } = joiOf(rulesField).validate(isGroup(written) ? { ...unsaid, ...written } : written, { abortEarly: false });
  if (!error) return value as Rules;
  const [first] = problemsOf(rulesField, error, written);
  throw new Refusal(
    first!.path || 'rules',
    first!.path === 'source'
      ? 'Say where the figures come from: the edition and page, or who gave them and when. Rules without a source are none.'
      : first!.sentence
  );
}
