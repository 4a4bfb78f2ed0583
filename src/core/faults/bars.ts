import { dayWords } from '../units';

/** What is known of an engine's open faults and its papers: the latest last day of each kind, written 2026-06-13. */
export interface Standing {
  readonly faults: readonly { readonly text: string; readonly forbids: string }[];
  readonly papers: readonly { readonly kind: string; readonly expires: string }[];
}

/**
 * WHAT BARS AN ENGINE from being steamed, in words; none when nothing does. Pure, so that the Yard, the start of a steaming and
 * a phone without a network say the same.
 * @param today by the club's calendar, written 2026-06-13
 */
export const barsOf = ({ faults, papers }: Standing, today: string): string[] => [
  ...faults.filter((f) => f.forbids === 'steaming').map((f) => `Open fault: ${f.text}`),
  ...papers.filter((p) => p.expires < today).map((p) => `${p.kind} ran out on ${dayWords(p.expires)}`),
  ...(papers.length ? [] : ['No papers are recorded for this engine'])
];

/** Faults with which it may be steamed but carry nobody. */
export const barsPassengers = ({ faults }: Pick<Standing, 'faults'>): string[] =>
  faults.filter((f) => f.forbids === 'passengers').map((f) => f.text);
