import { type Observation, type Setting, type Step, type ThingKey, thingValves, type Valve, valveThings } from '../procedure';
import type { Charge, DutyBody, Fault, Feed, Fire, Flame, Lift, Oil, Reading, Water } from './kinds/bodies';
import { coldWater } from '../steam';
import { hotOnHot, warmWater } from '../sums';
import { everyJoint } from './joints';
import type { State } from './state';

/**
 * THE timeline: what happened to the engine, whoever told it and however. A valve that was logged and a step that says it is
 * open are the same event. Forecast, learning, watch, trend, record and plan read these and not the log.
 */
export type Happening =
  | ({ readonly is: 'reading' } & Reading)
  | ({ readonly is: 'fire' } & Fire)
  | ({ readonly is: 'feed' } & Feed)
  | { readonly is: 'proven'; readonly feed: string }
  | { readonly is: 'valve'; readonly valve: Valve; readonly open: number }
  | { readonly is: 'seen'; readonly seen: Observation }
  | { readonly is: 'thing'; readonly thing: ThingKey; readonly open: boolean; readonly which?: string }
  | ({ readonly is: 'lift' } & Lift)
  | ({ readonly is: 'oil' } & Oil)
  | ({ readonly is: 'fault' } & Fault)
  | ({ readonly is: 'water' } & Water)
  /** Fuel measured out; the whole of what is in, where it was weighed with its canister. */
  | ({ readonly is: 'charge'; readonly whole?: true } & Charge)
  | { readonly is: 'flame'; readonly burner: string; readonly flame: Flame['is'] }
  /** A duty was kept, or put off. */
  | ({ readonly is: 'duty' } & DutyBody);

export type Event = Happening & {
  /** ISO 8601, UTC: when it was told. */
  readonly at: string;
  /** The entry that told it. */
  readonly entry: string;
  readonly by: string;
};
export type EventOf<I extends Happening['is']> = Extract<Event, { is: I }>;

/** Something told again by a tick within this long was told outright before: it is not a second time, ms. */
const again = 10 * 60_000;

/** A valve that must be accounted for is also a thing that stands open. */
export const valveSet = (valve: Valve, open: number): Happening[] => {
  const thing = valveThings[valve];
  return [{ is: 'valve', valve, open }, ...(thing ? [{ is: 'thing', thing, open: open > 0 } as const] : [])];
};
export const thingSet = (thing: ThingKey, open: boolean, which?: string): Happening[] => {
  const valve = thingValves[thing];
  return [
    { is: 'thing', thing, open, ...(which ? { which } : {}) },
    ...(valve ? [{ is: 'valve', valve, open: open ? 1 : 0 } as const] : [])
  ];
};
/** A fire seen to be out is out. */
export const seen = (what: Observation): Happening[] => [
  { is: 'seen', seen: what },
  ...(what === 'fire out' ? [{ is: 'fire', act: 'out' } as const] : [])
];

/** What one setting of a step makes happen, given how things stand. */
function settingSet(setting: Setting, state: State, at: string): Happening[] {
  if ('fuel' in setting) {
    const fed = state.fire.fuelAt;
    return fed && Date.parse(at) - Date.parse(fed) < again ? [] : [{ is: 'fire', act: 'fuel on', fuel: setting.fuel }];
  }
  if ('feed' in setting)
    return state.feeds[setting.feed]?.to === setting.to
      ? []
      : [{ is: 'feed', feed: setting.feed, on: setting.to === 'boiler', to: setting.to }];
  if ('flame' in setting) return [{ is: 'flame', burner: setting.flame, flame: 'lit' }];
  if ('tank' in setting) return [{ is: 'reading', tank: setting.tank }];
  const { valve, open, then, down } = setting;
  if (then !== undefined) return [...valveSet(valve, open), ...valveSet(valve, then)];
  const stands = state.valves[valve]?.open;
  const same = stands !== undefined && stands > 0 === open > 0 && !(down && stands > open);
  return same ? [] : valveSet(valve, open);
}

/** What a step that was done makes happen: closed before opened, then what it sets, proves, sees and sets going. */
export function stepDone(step: Step, state: State, at: string): Happening[] {
  const told = (what: Observation) => {
    const before = state.seen[what];
    return before !== undefined && Date.parse(at) - Date.parse(before) < again;
  };
  return [
    ...step.closes.flatMap((thing) => (state.open[thing] || thingValves[thing] ? thingSet(thing, false) : [])),
    ...step.opens.flatMap((thing) => (state.open[thing] && !step.closes.includes(thing) ? [] : thingSet(thing, true))),
    // A steaming begun before steps said what they set has none of it to tell.
    ...(step.sets ?? []).flatMap((setting) => settingSet(setting, state, at)),
    ...(step.proves ?? []).map((feed): Happening => ({ is: 'proven', feed })),
    ...(step.sees && !told(step.sees) ? seen(step.sees) : []),
    ...(step.act === 'light' ? [{ is: 'fire', act: 'light' } as const] : [])
  ];
}

/** Water as it is said to be, K: from the tap, hand-warm, from the kettle. */
const warmthOf = { cold: coldWater, warm: warmWater, hot: hotOnHot } as const;

/** What was in and what comes to it, K. */
const mixed = (before: State['boiler'], volume: number, T: number | undefined): number =>
  !before || before.volume + volume === 0
    ? (T ?? warmthOf.cold)
    : (before.volume * before.T + volume * (T ?? warmthOf.cold)) / (before.volume + volume);

/** A run begins with the match: with what is in by then. */
const begunRun = ({ runs, boiler, charged }: State, at: string): State['runs'] => [
  ...runs,
  { litAt: at, ...(boiler?.sure ? { water: boiler.volume, T: boiler.T } : {}), ...(charged ? { charge: charged.mass } : {}) }
];
/** Whether what is measured now was left by that run: nothing has been put in since. More would make its fire weaker than it was. */
export const tellsLeft = ({ boiler }: Pick<State, 'boiler'>, { outAt, left }: State['runs'][number]): boolean =>
  outAt !== undefined && (!boiler?.sure || boiler.volume === left);
const inLast = (runs: State['runs'], change: (run: State['runs'][number]) => State['runs'][number]): State['runs'] =>
  runs.length ? [...runs.slice(0, -1), change(runs.at(-1)!)] : runs;

type Happen<I extends Happening['is']> = (state: State, event: EventOf<I>) => State;

const opened = (open: State['open'], thing: ThingKey, { at, by }: Event): State['open'] =>
  open[thing] ? open : { ...open, [thing]: { since: at, by } };
function closed(open: State['open'], thing: ThingKey): State['open'] {
  if (!open[thing]) return open;
  const { [thing]: _, ...rest } = open;
  return rest;
}

/** A feed is proven by the first that saw it work today. */
const provenNow = (before: State['feeds'][string] | undefined, seen: boolean, at: string, by: string) =>
  before?.proven
    ? { proven: true, ...(before.provenAt ? { provenAt: before.provenAt } : {}) }
    : { proven: seen, ...(seen ? { provenAt: { at, by } } : {}) };

/** What each event does to the state. */
const happen: { [I in Happening['is']]: Happen<I> } = {
  reading: (state, { pressure, glass, glassNumber, glassAt, temperature, tank, at }) => ({
    ...state,
    ...(pressure === undefined
      ? {}
      : {
          pressure: { value: pressure, at },
          needle: [...state.needle.slice(-2), { value: pressure, at }],
          ...(state.highest && state.highest.value >= pressure ? {} : { highest: { value: pressure, at } })
        }),
    ...(glass === undefined ? {} : { [glassNumber === 2 ? 'secondGlass' : 'glass']: { value: glass, at, pressure: glassAt ?? null } }),
    ...(temperature === undefined ? {} : { temperature: { value: temperature, at } }),
    ...(tank === undefined ? {} : { tank: { value: tank, at } })
  }),
  fire: (state, event) => {
    const { act, amount, at, already } = event;
    const { fire, open } = state;
    // Lighting starts the clock that everything after it is counted from; a relight starts it again.
    if (act === 'light') {
      const { already: _, ...rest } = fire;
      const lit = { ...rest, litAt: at, outAt: undefined, ...(already ? { already } : {}) };
      return { ...state, fire: lit, lost: undefined, open: opened(open, 'fire', event), runs: begunRun(state, at) };
    }
    if (act === 'drop' || act === 'out')
      return {
        ...state,
        fire: { ...fire, outAt: at },
        // What boiled away is not known before it is measured; what was charged is burnt.
        ...(state.boiler ? { boiler: { ...state.boiler, sure: false } } : {}),
        charged: undefined,
        ...(state.lost && !state.lost.offAt ? { lost: { ...state.lost, offAt: at } } : {}),
        flames: {},
        open: closed(open, 'fire'),
        seen: { ...state.seen, 'fire out': at },
        runs: inLast(state.runs, (run) => ({ ...run, outAt: run.outAt ?? at }))
      };
    if (act === 'fuel on') return { ...state, fire: { ...fire, fuelAt: at, rounds: fire.rounds + 1, fuel: fire.fuel + (amount ?? 0) } };
    return state;
  },
  feed: (state, { feed, on, to, volume, proven, at, by }) => {
    const before = state.feeds[feed];
    const where = to ?? before?.to;
    return {
      ...state,
      fed: state.fed + (volume ?? 0),
      feeds: {
        ...state.feeds,
        [feed]: { on, ...(where ? { to: where } : {}), since: at, ...provenNow(before, proven ?? false, at, by) }
      }
    };
  },
  /** A feed that was seen to work today; one that has not run yet is proven standing off. */
  proven: (state, { feed, at, by }) => ({
    ...state,
    feeds: { ...state.feeds, [feed]: { ...(state.feeds[feed] ?? { on: false, since: at }), ...provenNow(state.feeds[feed], true, at, by) } }
  }),
  valve: (state, { valve, open, at }) => ({ ...state, valves: { ...state.valves, [valve]: { open, at } } }),
  seen: (state, { seen, at }) => ({ ...state, seen: { ...state.seen, [seen]: at } }),
  thing: (state, event) => ({
    ...state,
    open: event.open ? opened(state.open, event.thing, event) : closed(state.open, event.thing),
    ...(event.open && event.thing === 'gas joint' ? { disturbed: { ...state.disturbed, [event.which ?? everyJoint]: event.at } } : {})
  }),
  lift: (state, { valve, lifted, reseated, at }) => ({
    ...state,
    lifts: [...state.lifts, { valve, ...(lifted === undefined ? {} : { lifted }), ...(reseated === undefined ? {} : { reseated }), at }]
  }),
  /** What is in the boiler is known from what was measured, until it has steamed. */
  water: (state, { act, volume, warm, at }) => {
    const before = state.boiler?.sure ? state.boiler : undefined;
    const temperature = warm && warmthOf[warm];
    if (act === 'in') {
      const all = (before?.volume ?? 0) + volume;
      return { ...state, boiler: { volume: all, at, sure: true, T: mixed(before, volume, temperature) } };
    }
    const runs = inLast(state.runs, (run) => (tellsLeft(state, run) ? { ...run, left: volume } : run));
    return {
      ...state,
      runs,
      boiler: { volume: act === 'left' ? volume : 0, at, sure: true, T: act === 'left' ? warmthOf.hot : warmthOf.cold }
    };
  },
  charge: (state, { mass, pieces, whole, at }) => ({
    ...state,
    charged: {
      mass: (whole ? 0 : (state.charged?.mass ?? 0)) + mass,
      ...(pieces ? { pieces: (state.charged?.pieces ?? 0) + pieces } : {}),
      at
    },
    // What is put to a fire that burns belongs to the run that burns it; a canister weighed meanwhile is what is left of it.
    runs:
      state.fire.litAt && !state.fire.outAt && !whole
        ? inLast(state.runs, (run) => ({ ...run, charge: (run.charge ?? 0) + mass }))
        : state.runs
  }),
  flame: (state, { burner, flame, at }) => ({
    ...state,
    flames: { ...state.flames, [burner]: { is: flame, at } },
    // Everything was off before it was said which: the count runs from there.
    ...(flame === 'lost'
      ? { lost: { burner, at, ...(state.fire.outAt && state.fire.outAt >= (state.fire.litAt ?? '') ? { offAt: state.fire.outAt } : {}) } }
      : {})
  }),
  duty: (state) => state,
  oil: (state, { at }) => ({ ...state, oiledAt: at }),
  fault: (state, { entry, text, forbids, place, pressure, at, by }) => ({
    ...state,
    faults: [
      ...state.faults,
      { id: entry, text, forbids, at, by, ...(place ? { place } : {}), ...(pressure === undefined ? {} : { pressure }) }
    ]
  })
};

export const happens = (state: State, event: Event): State => (happen[event.is] as Happen<Happening['is']>)(state, event as never);

/** The lane of a trend or a record in which an event is marked. */
export const lanes = ['fuel', 'feed', 'lift', 'fault'] as const;
export const laneOf = (e: Happening): (typeof lanes)[number] | undefined =>
  e.is === 'fire' && e.act === 'fuel on'
    ? 'fuel'
    : e.is === 'feed' && (e.on || e.strokes)
      ? 'feed'
      : e.is === 'lift' || (e.is === 'seen' && e.seen === 'blowing off')
        ? 'lift'
        : e.is === 'fault'
          ? 'fault'
          : undefined;
