import { cellsFrom } from '../commission';
import { type Entry, inOrder } from './entry';
import { type Event, happens } from './events';
import { type Bodies, kindOf } from './kinds';
import { knownSteps, showing } from './shown';
import type { Context, State } from './state';
import { shownBy } from './stop';

/** THE FOLD: the entries of a steaming, in any order of arrival, become its state. */

const start = (context: Context): State => ({
  phase: context.procedure.steps[0]?.phase ?? 'Look over',
  keeper: context.keeper,
  fire: { rounds: 0, fuel: 0 },
  needle: [],
  feeds: {},
  fed: 0,
  runs: [],
  earlier: context.begun?.runs ?? [],
  ...(context.begun?.runs?.length ? { shown: shownBy(context.fitOut, [], context.begun.runs) } : {}),
  flames: {},
  valves: {},
  seen: {},
  open: {},
  steps: knownSteps(context.procedure),
  lifts: [],
  faults: [],
  before: context.begun?.faults ?? [],
  tests: {},
  disturbed: {},
  measured: {},
  cells: cellsFrom(context.begun?.before?.cells ?? []),
  swept: context.begun?.before?.swept ?? [],
  rigs: context.begun?.before?.rigs ?? {},
  photos: [],
  keepers: [{ name: context.keeper }],
  signatures: []
});

/** One entry more: what it does to the steaming, then what it tells of the engine. */
function step(state: State, entry: Entry, context: Context): { state: State; told: readonly Event[] } {
  const kind = kindOf(entry.kind);
  const { id, at, by } = entry;
  const body = entry.body as never;
  const told = (kind.tells?.(body, state, entry, context) ?? []).map((happening): Event => ({ ...happening, at, by, entry: id }));
  const done = told.reduce(happens, kind.does?.(state, body, entry, context) ?? state);
  const next = told.length > 0 || done !== state ? showing(done, told, context, at, by) : done;
  return { told, state: next.began ? next : { ...next, began: at, phaseSince: next.phaseSince ?? at } };
}

/** A folded log. Immutable: adding gives a new one that shares most of the old. */
export interface Log {
  readonly context: Context;
  /** In the order of the log. */
  readonly entries: readonly Entry[];
  /** Ids of entries that have been struck. */
  readonly struck: ReadonlySet<string>;
  readonly state: State;
  /** THE timeline: what happened to the engine, in order, with nothing that was struck. */
  readonly events: readonly Event[];
  /** The state and how many events there were before entry 0, 64, 128, …: a late or struck entry refolds its neighbourhood, not the day. */
  readonly marks: readonly Mark[];
}
interface Mark {
  readonly state: State;
  readonly events: number;
}

const stride = 64;

/** Works something that is given in pieces to its end at once. */
export function whole<T>(pieces: Generator<undefined, T>): T {
  for (;;) {
    const piece = pieces.next();
    if (piece.done) return piece.value;
  }
}

/** Folds entries from scratch, an entry at a time: a page that opens on a long log can be touched between them. */
export function* folding(context: Context, entries: readonly Entry[]): Generator<undefined, Log> {
  const seen = new Set<string>();
  const sorted = entries.filter((e) => !seen.has(e.id) && seen.add(e.id)).sort(inOrder);
  return yield* refolding({ context, entries: [], struck: new Set(), state: start(context), events: [], marks: [] }, sorted, 0);
}

/** Folds entries from scratch. Of entries with one id the first stands. */
export const fold = (context: Context, entries: readonly Entry[]): Log => whole(folding(context, entries));

/**
 * Adds one entry that may have arrived late. Adding it again changes nothing; but what a device made stands by its own clock
 * only until the server has placed it.
 */
export function add(log: Log, entry: Entry): Log {
  const known = log.entries.findIndex((e) => e.id === entry.id);
  const old = log.entries[known];
  // The same id with another time would be two entries under one name: the first stands.
  if (old && (old.receivedAt || !entry.receivedAt)) return log;
  if (old?.at === entry.at) return { ...log, entries: log.entries.map((e) => (e === old ? entry : e)) };
  const others = old ? log.entries.filter((e) => e !== old) : log.entries;
  let place = others.length;
  while (place > 0 && inOrder(entry, others[place - 1]!) < 0) place--;
  const entries = [...others.slice(0, place), entry, ...others.slice(place)];
  const target = entry.strikes ? entries.findIndex((e) => e.id === entry.strikes) : -1;
  // A strike may undo another strike, and a late entry may already be struck: both are settled by the struck set below.
  return whole(refolding(log, entries, Math.min(place, ...[target, known].filter((i) => i >= 0))));
}

/**
 * Which entries are struck. A strike works by its target, whatever either clock said: an entry is struck by any striker that
 * is not struck itself. Those that strike each other in a circle, which no hand can make, strike nothing.
 */
function strikes(entries: readonly Entry[]): Set<string> {
  const here = new Set(entries.map((e) => e.id));
  const strikers = new Map(entries.flatMap((e) => (e.strikes && here.has(e.strikes) ? [[e.id, e.strikes] as const] : [])));
  const unsettled = new Map<string, number>();
  for (const target of strikers.values()) unsettled.set(target, (unsettled.get(target) ?? 0) + 1);
  const struck = new Set<string>();
  // From the strikers that nobody aims at to what they strike; each is settled once.
  const settled = [...strikers.keys()].filter((id) => !unsettled.has(id));
  for (const id of settled) {
    const target = strikers.get(id)!;
    if (!struck.has(id)) {
      if (!struck.has(target) && strikers.has(target)) settled.push(target);
      struck.add(target);
    } else {
      const left = unsettled.get(target)! - 1;
      unsettled.set(target, left);
      if (left === 0 && !struck.has(target) && strikers.has(target)) settled.push(target);
    }
  }
  return struck;
}

/** Folds `entries` again from place `from` on, reusing the marks before it. */
function* refolding(log: Log, entries: readonly Entry[], from: number): Generator<undefined, Log> {
  const anyStrikes = entries.length > 0 && (log.struck.size > 0 || entries.some((e) => e.strikes));
  const struck: ReadonlySet<string> = anyStrikes ? strikes(entries) : log.struck;
  // Striking a strike brings its target back: begin no later than the first entry whose standing changed.
  let begin = from;
  if (struck.size !== log.struck.size || [...struck].some((id) => !log.struck.has(id)))
    begin = Math.min(
      begin,
      entries.findIndex((e) => struck.has(e.id) !== log.struck.has(e.id))
    );
  const { context } = log;
  if (begin === entries.length - 1 && log.entries.length === begin && !struck.has(entries[begin]!.id)) {
    // The common case: one entry at the end, nothing else changed.
    const marks = begin % stride === 0 ? [...log.marks, { state: log.state, events: log.events.length }] : log.marks;
    const { state, told } = step(log.state, entries[begin]!, context);
    return { context, entries, struck, marks, state, events: told.length ? [...log.events, ...told] : log.events };
  }
  const marksKept = Math.min(log.marks.length, Math.floor(begin / stride) + 1);
  const marks = log.marks.slice(0, marksKept);
  const at = Math.max(0, marksKept - 1) * stride;
  let state = marks[marksKept - 1]?.state ?? start(context);
  const events = log.events.slice(0, marks[marksKept - 1]?.events ?? 0);
  for (let i = at; i < entries.length; i++) {
    if (i % stride === 0 && i / stride >= marks.length) marks.push({ state, events: events.length });
    const entry = entries[i]!;
    if (struck.has(entry.id)) continue;
    const next = step(state, entry, context);
    state = next.state;
    events.push(...next.told);
    yield;
  }
  return { context, entries, struck, marks, state, events };
}

/** A log as it stood after one of its entries: what was struck left nothing. */
export interface Stood {
  readonly place: number;
  readonly entry: Entry;
  readonly state: State;
  /** How many events of the log there were by then. */
  readonly events: number;
}

/** How a log stood after each entry that counts, from a place on: for whatever is folded beside it. */
export function* through(log: Log, from = 0): Generator<Stood> {
  const { context, entries, marks, struck } = log;
  const last = entries.length - 1;
  // The common case: one entry at the end, as the log itself stands.
  if (from === last && !struck.has(entries[last]!.id)) {
    yield { place: last, entry: entries[last]!, state: log.state, events: log.events.length };
    return;
  }
  const mark = Math.min(marks.length - 1, Math.floor(from / stride));
  let [state, events] = mark >= 0 ? [marks[mark]!.state, marks[mark]!.events] : [start(context), 0];
  for (let place = Math.max(0, mark) * stride; place <= last; place++) {
    const entry = entries[place]!;
    if (struck.has(entry.id)) continue;
    const next = step(state, entry, context);
    state = next.state;
    events += next.told.length;
    if (place >= from) yield { place, entry, state, events };
  }
}

/** The body of a reading of the glass: it carries the pressure that was known at the time. */
export const glassReading = (glass: NonNullable<Bodies['reading']['glass']>, state: State, pressure?: number): Bodies['reading'] => ({
  ...(pressure === undefined ? {} : { pressure }),
  glass,
  glassAt: pressure ?? state.pressure?.value ?? null
});
