import type { Bodies, Log } from '../log';
import { isLevel, mark, printGlass } from '../units';
import { exactTest, type Fourfold } from './exact';

/** A try of a feed, and when it was, ISO 8601. */
export type Try = Bodies['attempt'] & { readonly at: string };

/** The tries of a log, oldest first; what was struck is none. */
export const triesOf = ({ entries, struck }: Pick<Log, 'entries' | 'struck'>): Try[] =>
  entries.flatMap((e) => (e.kind === 'attempt' && !struck.has(e.id) ? [{ ...e.body, at: e.at }] : []));

/** A condition by which the tries that worked part from those that did not. */
export interface Pattern extends Fourfold {
  readonly key: string;
  /** What is so of the first lot, and of the other. */
  readonly when: string;
  readonly else: string;
  /** How likely chance alone parts them so by some condition, 0 to 1. */
  readonly chance: number;
}

/** By chance alone no more often than this. */
const sure = 0.05;

interface Cut {
  readonly key: string;
  readonly when: string;
  readonly else: string;
  /** Whether a try is of the first lot; undefined where nobody recorded it. */
  readonly is: (t: Try) => boolean | undefined;
}

/** What is a number: its value, and how it is said to lie under or over one. */
const numbers: readonly { key: string; value: (t: Try) => number | undefined; says: (cut: number) => readonly [string, string] }[] = [
  {
    key: 'tank',
    value: (t) => t.tank,
    says: (cut) => [`with the tank under ${mark(cut, 'temperature')}`, `over it`]
  },
  {
    key: 'pressure',
    value: (t) => t.pressure,
    says: (cut) => [`under ${mark(cut, 'pressure')}`, `over it`]
  },
  {
    key: 'glass',
    value: (t) => (t.glass !== undefined && isLevel(t.glass) ? t.glass : undefined),
    says: (cut) => [`with the glass under ${printGlass(cut)}`, `over it`]
  }
];
/** What is a word. */
const words: readonly { key: string; value: (t: Try) => string | undefined; says: (word: string) => string }[] = [
  { key: 'order', value: (t) => t.order, says: (word) => `with ${word}` },
  { key: 'overflow', value: (t) => t.overflow, says: (word) => `with its overflow ${word === 'steam' ? 'blowing steam' : word}` }
];

/** Every way in which the recorded conditions part the tries: between any two numbers, and each word from the rest. */
function cutsOf(tries: readonly Try[]): Cut[] {
  const distinct = <T>(list: readonly (T | undefined)[]) => [...new Set(list.filter((x) => x !== undefined))];
  return [
    ...numbers.flatMap(({ key, value, says }) => {
      const sorted = distinct(tries.map(value)).sort((a, b) => a - b);
      return sorted.slice(1).map((high, i): Cut => {
        const cut = (sorted[i]! + high) / 2;
        const [when, other] = says(cut);
        const is = (t: Try) => {
          const v = value(t);
          return v === undefined ? undefined : v < cut;
        };
        return { key, when, else: other, is };
      });
    }),
    ...words.flatMap(({ key, value, says }) => {
      const found = distinct(tries.map(value));
      // Of two words each parts the tries as the other does.
      return (found.length === 2 ? found.slice(0, 1) : found.length > 2 ? found : []).map((word): Cut => {
        const is = (t: Try) => {
          const v = value(t);
          return v === undefined ? undefined : v === word;
        };
        return { key, when: says(word), else: found.length === 2 ? says(found[1]!) : 'otherwise', is };
      });
    })
  ];
}

/**
 * What parts the tries of one feed that worked from those that did not: of each condition the cut that parts them best, where chance is
 * not likely to have found one as good among all that were tried (Fisher’s exact test, times the number of cuts: Bonferroni).
 * @returns the surest first
 */
export function patternsOf(tries: readonly Try[]): Pattern[] {
  const cuts = cutsOf(tries);
  const best = new Map<string, Pattern>();
  for (const { key, when, else: other, is } of cuts) {
    const lot = (which: boolean) => tries.filter((t) => is(t) === which);
    const [a, b] = [lot(true), lot(false)];
    const worked = (of: readonly Try[]) => of.filter((t) => t.result === 'picked up').length;
    const fourfold = { ok: worked(a), of: a.length, otherOk: worked(b), otherOf: b.length };
    const chance = Math.min(1, exactTest(fourfold) * cuts.length);
    if (chance <= sure && chance < (best.get(key)?.chance ?? Infinity)) best.set(key, { key, when, else: other, ...fourfold, chance });
  }
  return [...best.values()].sort((a, b) => a.chance - b.chance);
}

/** "5 of 5 with the tank under 20 °C, 0 of 7 over it." That they go together does not say which makes which. */
export const patternWords = (p: Pattern): string => `${p.ok} of ${p.of} ${p.when}, ${p.otherOk} of ${p.otherOf} ${p.else}.`;
