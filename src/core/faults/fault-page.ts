import type { FitOut } from '../engine';
import { type Change, counted, type Counted, type FaultState, type Fix, untold, untried } from './fault-log';
import {
  type Ahead,
  type Belief,
  boardOf,
  entropy,
  type Fact,
  type Fixed,
  knowledge,
  nextChecks,
  partsOf,
  type Standing,
  symptomsFor,
  unlisted
} from '../finder';
import { forbids } from '../log';

/** A fault as it is read: in its keeper’s words, with where its log stands and what the record answers. */
export interface FaultRead {
  readonly text: string;
  readonly fitOut: FitOut;
  readonly state: FaultState;
  readonly facts: readonly Fact[];
}

/** How many checks are offered; the first is the one to make. */
const offered = 3;

export const causeName = (key: string): string =>
  key === unlisted ? 'Something that is not listed' : (knowledge.causes.get(key)?.is ?? key);

/** A check as it is offered. */
export interface Offered {
  key: string;
  how: string;
  results: readonly string[];
  minutes: number;
  when: string;
  tools?: string;
  care?: string;
  danger?: string;
  changes: boolean;
  why: string;
}
export interface BoardLine {
  key: string;
  name: string;
  why: string;
  odds: number;
  /** "4 of 11 here". */
  here?: string;
  fix?: { does: string; minutes: number; parts?: string; by?: string; modifies: boolean; retest: string };
  /** What was seen, of what, and when, that excludes it. */
  excluded?: { check: string; words: string; at?: string };
  floor?: string;
}

const doing = { any: 'whether cold or in steam', cold: 'cold', 'in steam': 'in steam', running: 'running' } as const;

/** Why this check and no other, in a line. */
function whyThis({ check, gain, minutes }: Ahead, belief: Belief): string {
  const parts = partsOf(check, belief);
  const share = Math.round((gain / entropy(belief)) * 100);
  const hour = minutes - check.minutes;
  return `Parts “${causeName(parts[0])}” from “${causeName(parts[1])}”, and settles about ${Math.max(1, share)} % of what is not known${
    hour >= 60 ? `, with ${hour} min until the engine is so` : ''
  }.`;
}

const offer = (ahead: Ahead, belief: Belief): Offered => {
  const { key, how, results, minutes, when, tools, care, danger, changes } = ahead.check;
  return {
    key,
    how,
    results,
    minutes,
    when: doing[when],
    ...(tools ? { tools } : {}),
    ...(care ? { care } : {}),
    ...(danger ? { danger } : {}),
    changes: changes ?? false,
    why: whyThis(ahead, belief)
  };
};

/** What speaks against a cause, in its words. */
const spokenBy = (by: Counted['from']): NonNullable<BoardLine['excluded']> =>
  'causes' in by
    ? { check: `${by.what.join('; ')}.`, words: by.result, at: by.at }
    : {
        check: knowledge.checks.get(by.check)!.how,
        words: 'words' in by ? by.words : knowledge.checks.get(by.check)!.results[by.result]!,
        ...(by.at ? { at: by.at } : {})
      };

function line({ key, cause, odds, excludedBy }: Standing, shown: readonly Counted[], fixed: Fixed, all: number): BoardLine {
  const by = excludedBy === undefined ? undefined : shown[excludedBy]!.from;
  return {
    key,
    name: causeName(key),
    why: cause?.why ?? 'No book names everything: it is never out of the question.',
    odds,
    ...(fixed[key] ? { here: `${fixed[key]} of ${all} here` } : {}),
    ...(cause
      ? {
          fix: {
            does: cause.fix.does,
            minutes: cause.fix.minutes,
            ...(cause.fix.parts ? { parts: cause.fix.parts } : {}),
            ...(cause.fix.by ? { by: cause.fix.by } : {}),
            modifies: cause.fix.modifies ?? false,
            retest: cause.retest
          }
        }
      : {}),
    ...(cause?.floor ? { floor: forbids[cause.floor] } : {}),
    ...(by ? { excluded: spokenBy(by) } : {})
  };
}

export interface SeenLine {
  entry?: string;
  fact?: string;
  check: string;
  words: string;
  says?: string;
  note?: string;
  at?: string;
  by?: string;
  struck?: { at: string; by: string; why: string };
  /** Looked at again since, so that it counts no more. */
  superseded: boolean;
}

const how = (check: string) => knowledge.checks.get(check)?.how ?? check;

function seenLines({ state, facts }: FaultRead, counts: readonly Counted[]): SeenLine[] {
  const used = new Set<unknown>(counts.map((c) => c.from));
  return [
    ...facts.map((f): SeenLine => {
      const struck = state.factsStruck[f.check];
      return {
        fact: f.check,
        check: how(f.check),
        words: knowledge.checks.get(f.check)!.results[f.result]!,
        says: f.says,
        ...(f.at ? { at: f.at } : {}),
        ...(struck ? { struck } : {}),
        superseded: !struck && !used.has(f)
      };
    }),
    ...state.seen.map((e): SeenLine => ({
      ...(e.entry ? { entry: e.entry } : {}),
      check: how(e.check),
      words: e.words,
      ...(e.note ? { note: e.note } : {}),
      ...(e.at ? { at: e.at } : {}),
      ...(e.by ? { by: e.by } : {}),
      ...(e.struck ? { struck: e.struck } : {}),
      superseded: !e.struck && !used.has(e)
    }))
  ];
}

/** All that the page of a fault shows, from its log, the record and the club’s own fixes. */
export function faultPage(file: FaultRead, fixed: Fixed, now: 'cold' | 'in steam') {
  const { state, facts, fitOut } = file;
  const { symptom } = state;
  const counts = counted(state, facts);
  const board = symptom ? boardOf(symptom, fitOut, counts, fixed) : undefined;
  const all = board ? [...board.standing, ...board.excluded].reduce((sum, { key }) => sum + (fixed[key] ?? 0), 0) : 0;
  const ahead =
    board && state.stands === 'open'
      ? nextChecks(symptom!, fitOut, board.belief, new Set(counts.flatMap((c) => ('check' in c ? [c.check] : []))), now)
      : [];
  const name = (c: Change) => ({ ...c, ...(c.cause ? { causeName: causeName(c.cause) } : {}) });
  const named = (f: Fix) => ({ ...f, ...(f.cause ? { causeName: causeName(f.cause) } : {}) });
  return {
    symptom: symptom ? { key: symptom.key, says: symptom.says[0], of: symptom.of } : undefined,
    feed: state.feed,
    // Of a fault in its keeper’s own words: what it may be called, what fits best first.
    symptoms: (symptom ? [] : symptomsFor(fitOut, file.text)).slice(0, 8).map(({ key, says }) => ({ key, says: says[0] })),
    every: (symptom ? [] : symptomsFor(fitOut, '')).map(({ key, says }) => ({ key, says: says[0] })),
    standing: (board?.standing ?? []).map((s) => line(s, counts, fixed, all)),
    excluded: (board?.excluded ?? []).map((s) => line(s, counts, fixed, all)),
    ahead: ahead.slice(0, offered).map((a) => offer(a, board!.belief)),
    seen: seenLines(file, counts),
    changes: state.changes.map(name),
    untried: untried(state).length,
    untold: untold(state).map((causes, i) => (causes.length > 1 ? causes.map(causeName) : state.together[i]!.map((c) => c.what))),
    fixes: state.fixes.map(named),
    stands: state.stands
  };
}
export type FaultPage = ReturnType<typeof faultPage>;
