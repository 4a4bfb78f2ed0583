import { buildBars, type OccasionKey, occasionOf, type StageStands } from '../commission';
import { dayWords } from '../units';

/** What is known of an engine's open faults and its papers: the latest last day of each kind, written 2026-06-13. */
export interface Standing {
  readonly faults: readonly { readonly text: string; readonly forbids: string }[];
  readonly papers: readonly { readonly kind: string; readonly expires: string }[];
  /** How its build stands, while it is being built. */
  readonly build?: readonly StageStands[];
}
/** What it is to be begun for. */
export interface For {
  readonly occasion?: OccasionKey | undefined;
  readonly public?: boolean | undefined;
}

/**
 * WHAT BARS AN ENGINE from being steamed, in words; none when nothing does. Pure, so that the Yard, the start of a steaming and
 * a phone without a network say the same.
 * @param today by the club's calendar, written 2026-06-13
 */
export function barsOf(
  { faults, papers, build }: Standing,
  today: string,
  { occasion = 'running', public: open = false }: For = {}
): string[] {
  const bars = build ? buildBars(build, occasion, open) : [];
  const { by } = occasionOf(occasion);
  // A chassis on air, and cold work, ask nothing of the boiler; what is being built has no papers before it is ticketed.
  if (by === 'air' || by === 'nothing') return bars;
  const found = [...bars, ...faults.filter((f) => f.forbids === 'steaming').map((f) => `Open fault: ${f.text}`)];
  // On another boiler’s steam it is that one’s papers that are asked for.
  if (by === 'borrowed steam') return found;
  return [
    ...found,
    ...papers.filter((p) => p.expires < today).map((p) => `${p.kind} ran out on ${dayWords(p.expires)}`),
    ...(papers.length || build ? [] : ['No papers are recorded for this engine'])
  ];
}

/** Faults with which it may be steamed but carry nobody. */
export const barsPassengers = ({ faults }: Pick<Standing, 'faults'>): string[] =>
  faults.filter((f) => f.forbids === 'passengers').map((f) => f.text);
