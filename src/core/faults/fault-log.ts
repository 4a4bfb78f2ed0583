import { type Fact, knowledge, type Mended, type Shown, type Symptom } from '../finder';
import { flag, group, type Infer, oneWord, optional, quantity, text } from '../form';
import { psi } from '../units';

/** A FAULT’S OWN LOG: what was asked, seen, changed, mended and tried again. Append-only; what it stands at is folded from it. */

const id = (label: string) => text(label, 36, 36);

export const faultKinds = {
  /** What it does, as the keeper says it, and on which feed. */
  asked: group('What it does', { symptom: text('What it does', 1, 60), feed: optional(text('Which feed', 1, 60)) }),
  /** What a check showed, in the words of its result. */
  shown: group('What was seen', {
    check: text('Which check', 1, 60),
    result: text('What it showed', 1, 120),
    note: optional(text('More of it', 1, 500))
  }),
  /** Something that was seen, or that the record said, does not count. */
  struck: group('Struck', {
    entry: optional(id('Which entry')),
    fact: optional(text('Which fact of the record', 1, 60)),
    why: text('Why it does not count', 1, 300)
  }),
  /** One change; both: an earlier one that was not tried yet is kept beside it. */
  changed: group('A change', {
    what: text('What was changed', 1, 500),
    cause: optional(text('Which cause it would mend', 1, 60)),
    both: flag('Keep both changes')
  }),
  undone: group('Put back', { entry: id('Which change') }),
  tried: group('Tried after a change', {
    result: oneWord('What it does now', ['gone', 'better', 'as before']),
    note: optional(text('More of it', 1, 500))
  }),
  fix: group('A fix', {
    did: text('What was done', 1, 2000),
    cause: optional(text('Which cause it was', 1, 60)),
    sure: oneWord('How sure that is', ['certain', 'likely', 'cannot be told']),
    parts: optional(text('Parts', 1, 300)),
    retest: text('How it is seen to be mended', 1, 500),
    modifies: flag('A pressure part was worked on')
  }),
  retest: group('Tried again', { result: oneWord('What it did', ['holds', 'back again']), note: optional(text('What was seen', 1, 500)) }),
  cleared: group('Cleared by the examiner', { note: text('What was examined, and how', 1, 1000) }),
  placed: group('Where it is', {
    place: text('Where on the engine', 1, 60),
    pressure: optional(quantity('It shows at', 'pressure', 0, psi(1000)))
  }),
  photo: group('A photo', { sum: text('Sum of its bytes, SHA-256', 64, 64), what: text('What it shows', 1, 200) })
} as const;
export type FaultKind = keyof typeof faultKinds;
export type FaultBodies = { [K in FaultKind]: Infer<(typeof faultKinds)[K]> };

interface Common {
  readonly id: string;
  /** ISO 8601. */ readonly at: string;
  readonly by: string;
}
/** What is said in it, before anybody has said when and by whom. */
export type FaultSaid = { [K in FaultKind]: { readonly kind: K; readonly body: FaultBodies[K] } }[FaultKind];
export type FaultEntry = { [K in FaultKind]: Common & { readonly kind: K; readonly body: FaultBodies[K] } }[FaultKind];

/** Something that was seen: by a hand, or by the record itself. */
export interface Evidence {
  /** Of its entry; a fact of the record has none. */ readonly entry?: string;
  readonly check: string;
  /** Which result, by its place; undefined where the book does not know it any more. */ readonly result: number | undefined;
  readonly words: string;
  readonly note?: string;
  readonly at?: string;
  readonly by?: string;
  readonly struck?: { readonly at: string; readonly by: string; readonly why: string };
}
export interface Change extends Common {
  readonly what: string;
  readonly cause?: string;
  readonly undone?: string;
  readonly tried?: FaultBodies['tried']['result'];
}
/** What came of trying after changes: each that was not tried yet, by what it would mend. */
export interface Trial extends Common {
  readonly result: FaultBodies['tried']['result'];
  readonly what: readonly string[];
  readonly causes: readonly string[];
}
type Mending = Common & FaultBodies['fix'];
export interface Fix extends Mending {
  readonly retested?: Common & FaultBodies['retest'];
  readonly cleared?: Common & FaultBodies['cleared'];
}

/** Where a fault stands. */
export type FaultStand = 'open' | 'to be cleared' | 'to be tried again' | 'mended';

export interface FaultState {
  readonly symptom?: Symptom;
  readonly feed?: string;
  readonly seen: readonly Evidence[];
  /** Facts of the record that do not count, by their check. */
  readonly factsStruck: Readonly<Record<string, NonNullable<Evidence['struck']>>>;
  readonly changes: readonly Change[];
  readonly trials: readonly Trial[];
  /** Changes that were made together, so that which of them did it cannot be told. */
  readonly together: readonly (readonly Change[])[];
  /** Oldest first; all but the last did not hold. */
  readonly fixes: readonly Fix[];
  readonly stands: FaultStand;
}

const empty: FaultState = { seen: [], factsStruck: {}, changes: [], trials: [], together: [], fixes: [], stands: 'open' };

/** A change that has neither been tried nor put back. */
export const untried = ({ changes }: Pick<FaultState, 'changes'>): Change[] => changes.filter((c) => !c.tried && !c.undone);

const resultOf = (check: string, words: string): number | undefined => {
  const at = knowledge.checks.get(check)?.results.indexOf(words) ?? -1;
  return at < 0 ? undefined : at;
};
const onLast = <T>(list: readonly T[], change: (last: T) => T): readonly T[] => [...list.slice(0, -1), ...list.slice(-1).map(change)];

const folds: { [K in FaultKind]: (state: FaultState, entry: Extract<FaultEntry, { kind: K }>) => FaultState } = {
  asked: (s, { body }) => {
    const symptom = knowledge.symptoms.get(body.symptom);
    const { feed: _, ...rest } = s;
    return { ...rest, ...(symptom ? { symptom } : {}), ...(body.feed ? { feed: body.feed } : {}) };
  },
  shown: (s, { id, at, by, body: { check, result, note } }) => ({
    ...s,
    seen: [...s.seen, { entry: id, check, result: resultOf(check, result), words: result, at, by, ...(note ? { note } : {}) }]
  }),
  struck: (s, { at, by, body: { entry, fact, why } }) => ({
    ...s,
    seen: s.seen.map((e) => (entry && e.entry === entry && !e.struck ? { ...e, struck: { at, by, why } } : e)),
    factsStruck: fact ? { ...s.factsStruck, [fact]: { at, by, why } } : s.factsStruck
  }),
  changed: (s, { id, at, by, body: { what, cause } }) => {
    const change: Change = { id, at, by, what, ...(cause ? { cause } : {}) };
    const beside = untried(s);
    return { ...s, changes: [...s.changes, change], together: beside.length ? [...s.together, [...beside, change]] : s.together };
  },
  undone: (s, { at, body }) => ({
    ...s,
    changes: s.changes.map((c) => (c.id === body.entry ? { ...c, undone: at } : c)),
    // What is put back before it was tried was never part of what was tried.
    together: s.together.flatMap((of) => {
      const left = of.filter((c) => c.id !== body.entry || s.changes.find((x) => x.id === c.id)?.tried);
      return left.length > 1 ? [left] : [];
    })
  }),
  tried: (s, { id, at, by, body: { result } }) => {
    const of = untried(s);
    const trial = { id, at, by, result, what: of.map((c) => c.what), causes: of.flatMap((c) => (c.cause ? [c.cause] : [])) };
    return { ...s, trials: [...s.trials, trial], changes: s.changes.map((c) => (of.includes(c) ? { ...c, tried: result } : c)) };
  },
  fix: (s, { id, at, by, body }) => ({
    ...s,
    fixes: [...s.fixes, { ...body, id, at, by }],
    stands: body.modifies ? 'to be cleared' : 'to be tried again'
  }),
  retest: (s, { id, at, by, body }) => {
    const fix = s.fixes.at(-1);
    // A fix that did not hold speaks against what it mended, as a change does that changed nothing.
    const trial = { id, at, by, result: 'as before' as const, what: fix ? [fix.did] : [], causes: fix?.cause ? [fix.cause] : [] };
    return {
      ...s,
      fixes: onLast(s.fixes, (f) => ({ ...f, retested: { ...body, id, at, by } })),
      trials: body.result === 'holds' ? s.trials : [...s.trials, trial],
      stands: body.result === 'holds' ? 'mended' : 'open'
    };
  },
  cleared: (s, { id, at, by, body }) => ({
    ...s,
    fixes: onLast(s.fixes, (f) => ({ ...f, cleared: { ...body, id, at, by } })),
    stands: 'to be tried again'
  }),
  // Where it is stands in the book’s own line; a picture stands for itself.
  placed: (s) => s,
  photo: (s) => s
};

/** Where a fault stands after its entries, oldest first. @param before it was mended before faults had a log: nothing opens it again */
export const faultState = (entries: readonly FaultEntry[], before = false): FaultState =>
  entries.reduce(
    (state, entry) => (folds[entry.kind] as (s: FaultState, e: FaultEntry) => FaultState)(state, entry),
    before ? { ...empty, stands: 'mended' } : empty
  );

/** What counts, and where it is from. */
export type Counted = (Shown & { readonly from: Evidence | Fact }) | (Mended & { readonly from: Trial });

/**
 * What counts: what the record says, unless it was struck or somebody has looked since; then what hands found, the last look of each check;
 * then what came of each change that was said to mend something. Struck and superseded evidence stands in the log and moves nothing.
 */
export function counted(
  { seen, factsStruck, trials }: Pick<FaultState, 'seen' | 'factsStruck' | 'trials'>,
  facts: readonly Fact[]
): Counted[] {
  const hands = new Map(seen.filter((e) => !e.struck && e.result !== undefined).map((e) => [e.check, e]));
  return [
    ...facts.filter((f) => !factsStruck[f.check] && !hands.has(f.check)).map((f) => ({ check: f.check, result: f.result, from: f })),
    ...[...hands.values()].map((e) => ({ check: e.check, result: e.result!, from: e })),
    ...trials.filter((t) => t.causes.length).map((t) => ({ mended: t.causes, did: t.result, from: t }))
  ];
}

/** Causes that cannot be told from one another any more, for what would mend them was changed together. */
export const untold = ({ together }: Pick<FaultState, 'together'>): string[][] =>
  together.map((of) => [...new Set(of.flatMap((c) => (c.cause ? [c.cause] : [])))]);
