import { phases, type Phase, type ThingKey } from '../procedure';
import { type Bodies, type Entry, type EntryOf, inOrder, type Kind } from './entry';
import type { Context, State } from './state';

/** THE FOLD: the entries of a steaming, in any order of arrival, become its state. */

const start = (context: Context): State => ({
  phase: context.procedure.steps[0]?.phase ?? 'Look over',
  keeper: context.keeper,
  fire: { rounds: 0, fuel: 0 },
  feeds: {},
  fed: 0,
  valves: {},
  seen: {},
  open: {},
  steps: {},
  lifts: [],
  faults: [],
  signatures: []
});

const opened = (state: State, keys: readonly ThingKey[], entry: Entry): State['open'] =>
  keys.length ? { ...Object.fromEntries(keys.map((key) => [key, { since: entry.at, by: entry.by }])), ...state.open } : state.open;

function closed(open: State['open'], keys: readonly ThingKey[]): State['open'] {
  if (!keys.some((key) => open[key])) return open;
  const rest = { ...open };
  for (const key of keys) delete rest[key];
  return rest;
}

/** The phase moves on when nothing is left to do in it; it never moves back by itself. */
function advance(state: State, context: Context, at: string): State {
  let rank = phases.indexOf(state.phase);
  while (rank < phases.length - 1 && context.procedure.steps.every((s) => s.phase !== phases[rank] || state.steps[s.key])) rank++;
  const phase = phases[rank] as Phase;
  return phase === state.phase ? state : { ...state, phase, phaseSince: at };
}

/** A feed that was seen to work today; one that has not run yet is proven standing off. */
const proven = (feeds: State['feeds'], names: readonly string[], at: string): State['feeds'] => ({
  ...feeds,
  ...Object.fromEntries(names.map((name) => [name, { ...(feeds[name] ?? { on: false, since: at }), proven: true }]))
});

/** Lighting starts the clock that everything after it is counted from; a relight starts it again. */
const lit = (state: State, at: string): State['fire'] => ({ ...state.fire, litAt: at, outAt: undefined });

/** Valves that, left open, must be accounted for. */
const valveThings: Partial<Record<string, ThingKey>> = { drains: 'drains', vent: 'vent', fan: 'fan' };

type Apply<K extends Kind> = (state: State, entry: EntryOf<K>, context: Context) => State;

/** What each kind of entry does to the state. */
const apply: { [K in Kind]: Apply<K> } = {
  reading: (state, { body, at }) => ({
    ...state,
    ...(body.pressure === undefined
      ? {}
      : {
          pressure: { value: body.pressure, at },
          ...(state.highest && state.highest.value >= body.pressure ? {} : { highest: { value: body.pressure, at } })
        }),
    ...(body.glass === undefined
      ? {}
      : { [body.glassNumber === 2 ? 'secondGlass' : 'glass']: { value: body.glass, at, pressure: body.glassAt ?? null } }),
    ...(body.temperature === undefined ? {} : { temperature: { value: body.temperature, at } }),
    ...(body.tank === undefined ? {} : { tank: { value: body.tank, at } })
  }),
  fire: (state, entry) => {
    const { body, at } = entry;
    if (body.act === 'light') return { ...state, fire: lit(state, at), open: opened(state, ['fire'], entry) };
    if (body.act === 'drop' || body.act === 'out')
      return { ...state, fire: { ...state.fire, outAt: at }, open: closed(state.open, ['fire']), seen: { ...state.seen, 'fire out': at } };
    if (body.act === 'fuel on')
      return { ...state, fire: { ...state.fire, fuelAt: at, rounds: state.fire.rounds + 1, fuel: state.fire.fuel + (body.amount ?? 0) } };
    return state;
  },
  feed: (state, { body, at }) => {
    const before = state.feeds[body.feed];
    const to = body.to ?? before?.to;
    return {
      ...state,
      fed: state.fed + (body.volume ?? 0),
      feeds: {
        ...state.feeds,
        [body.feed]: { on: body.on, ...(to ? { to } : {}), since: at, proven: (before?.proven ?? false) || (body.proven ?? false) }
      }
    };
  },
  valve: (state, entry) => {
    const thing = valveThings[entry.body.valve];
    const open = !thing ? state.open : entry.body.open > 0 ? opened(state, [thing], entry) : closed(state.open, [thing]);
    return { ...state, open, valves: { ...state.valves, [entry.body.valve]: { open: entry.body.open, at: entry.at } } };
  },
  tick: (state, entry, context) => {
    const { step: key, outcome, reason, initials } = entry.body;
    const step = context.procedure.steps.find((s) => s.key === key);
    if (!step) return state;
    const done = outcome === 'done';
    const next: State = {
      ...state,
      steps: {
        ...state.steps,
        [key]: { outcome, at: entry.at, by: entry.by, ...(reason ? { reason } : {}), ...(initials ? { initials } : {}) }
      },
      ...(done ? { open: opened({ ...state, open: closed(state.open, step.closes) }, step.opens, entry) } : {}),
      ...(done && step.proves ? { feeds: proven(state.feeds, step.proves, entry.at) } : {}),
      ...(done && step.sees ? { seen: { ...state.seen, [step.sees]: entry.at } } : {}),
      ...(done && step.act === 'light' ? { fire: lit(state, entry.at) } : {}),
      ...(done && step.sees === 'fire out' ? { fire: { ...state.fire, outAt: entry.at } } : {})
    };
    return advance(next, context, entry.at);
  },
  oil: (state, { at }) => ({ ...state, oiledAt: at }),
  lift: (state, { body, at }) => ({ ...state, lifts: [...state.lifts, { ...body, at }] }),
  test: (state) => state,
  observation: (state, { body, at }) => ({
    ...state,
    seen: { ...state.seen, [body.seen]: at },
    ...(body.seen === 'fire out' ? { fire: { ...state.fire, outAt: at }, open: closed(state.open, ['fire']) } : {})
  }),
  thing: (state, entry) => ({
    ...state,
    open: entry.body.open ? opened(state, [entry.body.thing], entry) : closed(state.open, [entry.body.thing])
  }),
  fault: (state, { id, body, at, by }) => ({ ...state, faults: [...state.faults, { id, ...body, at, by }] }),
  note: (state) => state,
  handover: (state, { body }) => ({ ...state, keeper: body.to }),
  phase: (state, { body, at }) => (body.phase === state.phase ? state : { ...state, phase: body.phase, phaseSince: at }),
  override: (state, { body, by, at }) => ({ ...state, override: { ...body, by, at } }),
  sign: (state, { body, at, by }) => ({
    ...state,
    signatures: [...state.signatures, { ...body, at, by }],
    ...(body.as === 'keeper' ? { endedAt: at } : {})
  }),
  strike: (state) => state
};

const step = (state: State, entry: Entry, context: Context): State => {
  const next = (apply[entry.kind] as Apply<Kind>)(state, entry as never, context);
  return next.began ? next : { ...next, began: entry.at, phaseSince: next.phaseSince ?? entry.at };
};

/** A folded log. Immutable: adding gives a new one that shares most of the old. */
export interface Log {
  readonly context: Context;
  /** In the order of the log. */
  readonly entries: readonly Entry[];
  /** Ids of entries that have been struck. */
  readonly struck: ReadonlySet<string>;
  readonly state: State;
  /** The state before entry 0, 64, 128, …: so that a late or struck entry refolds its neighbourhood, not the day. */
  readonly marks: readonly State[];
}

const stride = 64;

/** Folds entries from scratch. Entries with an id that is already there are ignored. */
export function fold(context: Context, entries: readonly Entry[]): Log {
  const seen = new Set<string>();
  const sorted = entries.filter((e) => !seen.has(e.id) && seen.add(e.id)).sort(inOrder);
  return refold({ context, entries: [], struck: new Set(), state: start(context), marks: [] }, sorted, 0);
}

/** Adds one entry that may have arrived late. Adding it again changes nothing. */
export function add(log: Log, entry: Entry): Log {
  let place = log.entries.length;
  while (place > 0 && inOrder(entry, log.entries[place - 1]!) < 0) place--;
  if (log.entries[place - 1]?.id === entry.id) return log;
  // The same id with another time would be two entries under one name: the first stands.
  if (log.entries.some((e) => e.id === entry.id)) return log;
  const entries = [...log.entries.slice(0, place), entry, ...log.entries.slice(place)];
  const target = entry.strikes ? entries.findIndex((e) => e.id === entry.strikes) : -1;
  // A strike may undo another strike, and a late entry may already be struck: both are settled by the struck set below.
  return refold(log, entries, target >= 0 ? Math.min(place, target) : place);
}

/**
 * Which entries are struck. Only a later entry can strike an earlier one, so going backwards every striker is settled
 * before what it strikes: a struck strike strikes nothing.
 */
function strikes(entries: readonly Entry[]): Set<string> {
  const struck = new Set<string>();
  const aimed = new Set<string>();
  for (let i = entries.length - 1; i >= 0; i--) {
    const entry = entries[i]!;
    if (aimed.has(entry.id)) struck.add(entry.id);
    else if (entry.strikes) aimed.add(entry.strikes);
  }
  return struck;
}

/** Folds `entries` again from place `from` on, reusing the marks before it. */
function refold(log: Log, entries: readonly Entry[], from: number): Log {
  const anyStrikes = entries.length > 0 && (log.struck.size > 0 || entries.some((e) => e.strikes));
  const struck: ReadonlySet<string> = anyStrikes ? strikes(entries) : log.struck;
  // Striking a strike brings its target back: begin no later than the first entry whose standing changed.
  let begin = from;
  if (struck.size !== log.struck.size || [...struck].some((id) => !log.struck.has(id)))
    begin = Math.min(
      begin,
      Math.max(
        0,
        entries.findIndex((e) => struck.has(e.id) !== log.struck.has(e.id))
      )
    );
  if (begin === entries.length - 1 && log.entries.length === begin) {
    // The common case: one entry at the end, nothing else changed.
    const marks = begin % stride === 0 ? [...log.marks, log.state] : log.marks;
    const last = entries[begin]!;
    return { context: log.context, entries, struck, marks, state: struck.has(last.id) ? log.state : step(log.state, last, log.context) };
  }
  const marksKept = Math.min(log.marks.length, Math.floor(begin / stride) + 1);
  const marks = log.marks.slice(0, marksKept);
  const at = Math.max(0, marksKept - 1) * stride;
  let state = marks[marksKept - 1] ?? start(log.context);
  for (let i = at; i < entries.length; i++) {
    if (i % stride === 0 && i / stride >= marks.length) marks.push(state);
    const entry = entries[i]!;
    if (!struck.has(entry.id)) state = step(state, entry, log.context);
  }
  return { context: log.context, entries, struck, marks, state };
}

/** The body of a reading of the glass: it carries the pressure that was known at the time. */
export const glassReading = (glass: NonNullable<Bodies['reading']['glass']>, state: State, pressure?: number): Bodies['reading'] => ({
  ...(pressure === undefined ? {} : { pressure }),
  glass,
  glassAt: pressure ?? state.pressure?.value ?? null
});
