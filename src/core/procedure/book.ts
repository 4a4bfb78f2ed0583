import type { Procedure, Step } from './step';

/** A fix that has not been seen to hold yet. */
export interface Retest {
  /** Of its fault. */
  readonly id: string;
  readonly text: string;
  /** How it is seen to be mended. */
  readonly retest: string;
  readonly fix: string;
}
/** The beginning of a text, and no half of a character. */
const start = (text: string, most: number): string => text.slice(0, most).replace(/[\uD800-\uDBFF]$/, '');
/** How the name of a retest begins. */
export const retestMark = 'Retest ';
/** What its test is called in a log: short, and of no other fault. */
export const retestName = ({ id, text }: Pick<Retest, 'id' | 'text'>): string => `${retestMark}${id.slice(-6)}: ${start(text, 44)}`;

/** A fix is tried where it is in steam and before it is run with others. */
const retestStep = (of: Retest): Step => ({
  key: `retest-${of.id.slice(-12)}`,
  phase: 'Prove',
  what: start(`Try again what was mended: ${of.text}`, 300),
  how: of.retest,
  why: start(`Mended by: ${of.fix}`, 600),
  gates: [],
  needs: [],
  evidence: 'tick',
  proof: { kind: 'retest', test: retestName(of) },
  shown: 'tested',
  opens: [],
  closes: [],
  sets: [],
  chore: false,
  must: false,
  minutes: 2,
  who: 'keeper',
  materials: []
});

/** What the club’s book says of an engine when a steaming of it begins. */
export interface Book {
  /** ISO 8601: when it was asked. */
  readonly at: string;
  /** Papers with their last days, in words. */
  readonly papers: readonly string[];
  /** What stands against steaming it; it may have been overridden. */
  readonly stops: readonly string[];
  /** Open faults, and what the last steaming left undone or open, in words. */
  readonly left: readonly string[];
  /** Oiling points that the last round missed: they head this one. */
  readonly missed?: readonly string[];
  /** Fixes that have not been seen to hold. */
  readonly retests?: readonly Retest[];
  /** For public running: how many proven feeds are asked for, and of which. */
  readonly feeds?: { readonly asked: number; readonly of: readonly string[] };
}

/** Retests stand at the end of what is proven. */
function withRetests(steps: readonly Step[], retests: readonly Retest[]): readonly Step[] {
  const at = steps.findLastIndex((s) => s.phase === 'Prove') + 1 || steps.findIndex((s) => s.phase === 'Run');
  return retests.length ? [...steps.slice(0, at), ...retests.map(retestStep), ...steps.slice(at)] : steps;
}

/** A procedure that asks nothing that the book shows: papers in date are, and what was left is told and not looked for. */
export const withBook = (procedure: Procedure, { at, papers, stops, left, missed = [], retests = [], feeds }: Book): Procedure => ({
  ...procedure,
  steps: withRetests(procedure.steps, retests).map((s): Step => {
    if (s.key === 'papers')
      return {
        ...s,
        known: {
          at,
          says: [...papers, ...stops],
          done: stops.length === 0,
          ...(stops.length ? { against: stops.join('; ').slice(0, 1000) } : {})
        }
      };
    if (s.key === 'carried') return { ...s, known: { at, says: left.length ? left : ['Nothing was left from last time'], done: true } };
    if (s.key === 'oil-round' && missed.length) return { ...s, known: { at, says: missed, done: false } };
    return s.act === 'carry' && feeds ? { ...s, proof: { kind: 'feeds', ...feeds } } : s;
  })
});
