import { plantFor } from '../boiler';
import { type FitOut, mayAccumulate } from '../engine';
import { feedsAt, type Valve } from '../procedure';
import { accumulation, judgeAccumulation } from '../sums';
import { isLevel, mark, printGlass, type Worked } from '../units';
import type { Entry, EntryOf } from './entry';
import type { Event } from './events';
import { type Log, through } from './fold';
import type { Bodies, Kind } from './kinds';
import type { State } from './state';

/**
 * THE ACCUMULATION TEST, run live: how far the needle creeps over working pressure with the fire at its fiercest and nothing drawn. It
 * begins when the log bears out that everything is set, is read while it lasts, and is judged by the number and the error of the reading.
 */

const minute = 60_000;
/** What it begins with was read no longer ago than this, ms; a fire is made beforehand. */
const fresh = 3 * minute;
const made = 10 * minute;
/** About half a glass. */
const [least, most] = [0.4, 0.6];
/** It begins near working pressure. */
const near = 0.9;
/** A needle that was not read for longer may have been higher, ms: it is asked for every minute. */
export const readEvery = minute;
const missed = readEvery + 15_000;

/** Something that has to be so before it begins. */
export interface Need {
  readonly key: string;
  readonly what: string;
  /** What is lacking, in a sentence; nothing when the log bears it out. */
  readonly lacks?: string;
  /** What one touch can say. */
  readonly touch?: { readonly word: string; readonly kind: Kind; readonly body: Bodies[Kind] };
}

const ms = (at: string) => Date.parse(at);

const valveTo = (valve: Valve, open: 0 | 1, what: string, { valves }: State): Need => {
  const stands = valves[valve]?.open;
  const word = `${what} ${open ? 'full open' : 'shut'}`;
  return {
    key: valve,
    what: word,
    ...(stands === open
      ? {}
      : {
          lacks:
            stands === undefined ? `Nobody has said that it is.` : `It is logged ${stands === 0 ? 'shut' : `${printGlass(stands)} open`}.`,
          touch: { word, kind: 'valve', body: { valve, open } }
        })
  };
};

const lack = (key: string, what: string, lacks: string | undefined): Need => ({ key, what, ...(lacks ? { lacks } : {}) });

function needleLacks(f: FitOut, { pressure }: State, now: number): string | undefined {
  if (!pressure || now - ms(pressure.at) > fresh) return 'Log the needle: it was not read in the last three minutes.';
  return pressure.value < near * f.workingPressure
    ? `${mark(pressure.value, 'pressure')} of ${mark(f.workingPressure, 'pressure')}: raise it first.`
    : undefined;
}

function glassLacks({ glass }: State, now: number): string | undefined {
  if (!glass || now - ms(glass.at) > fresh) return 'Log the glass: it was not read in the last three minutes.';
  if (!isLevel(glass.value)) return 'No level is seen in the glass.';
  return glass.value < least || glass.value > most ? `It stands at ${printGlass(glass.value)}: half a glass is wanted.` : undefined;
}

function fireNeed(f: FitOut, { fire, seen, flames }: State, now: number): Need {
  const lit = fire.litAt !== undefined && fire.outAt === undefined;
  const key = 'fire';
  if (f.fire.with === 'solid') {
    const bright = seen['fire bright'];
    const is = lit && bright !== undefined && now - ms(bright) <= made;
    const touch = { word: 'Bright and even', kind: 'observation', body: { seen: 'fire bright' } } as const;
    return {
      key,
      what: 'Fire bright over the whole grate',
      ...(is ? {} : { lacks: lit ? 'It was not seen to be in the last ten minutes.' : 'There is no fire.', ...(lit ? { touch } : {}) })
    };
  }
  if (f.fire.with === 'gas') {
    const out = f.fire.burners.filter(({ name }) => flames[name]?.is !== 'heard' && flames[name]?.is !== 'lit').map((b) => b.name);
    return lack(key, 'Every burner alight', !lit ? 'There is no fire.' : out.length ? `Not logged alight: ${out.join(', ')}.` : undefined);
  }
  return lack(key, 'Element on', lit ? undefined : 'It is not on.');
}

/** What has to be so before the test begins, each held against the log. @param now ms since 1970 */
export function accumulationNeeds(f: FitOut, state: State, now: number): readonly Need[] {
  const on = feedsAt(f).filter((x) => state.feeds[x.name]?.on && state.feeds[x.name]?.to !== 'tank');
  return [
    lack('needle', 'Near working pressure', needleLacks(f, state, now)),
    ...(f.glasses.length ? [lack('glass', 'Half a glass', glassLacks(state, now))] : []),
    fireNeed(f, state, now),
    ...(f.fire.with === 'solid' ? [valveTo('blower', 1, 'Blower', state)] : []),
    ...(f.fire.with === 'solid' && f.fire.damper ? [valveTo('damper', 1, 'Damper', state)] : []),
    ...(f.control === 'none' ? [] : [valveTo('regulator', 0, f.control === 'regulator' ? 'Regulator' : 'Steam cock', state)]),
    ...(feedsAt(f).length ? [lack('feeds', 'Every feed off', on.length ? `${on.map((x) => x.name).join(', ')} on.` : undefined)] : [])
  ];
}

/** Why it may not begin now; undefined when it may. */
export function accumulationRefused(f: FitOut, state: State, now: number): string | undefined {
  if (!mayAccumulate(f)) return 'This engine has no gauge or no fire that an accumulation test could be judged by.';
  const lacking = accumulationNeeds(f, state, now).filter((n) => n.lacks);
  return lacking.length ? `Not set up: ${lacking.map((n) => `${n.what}: ${n.lacks}`).join(' ')}` : undefined;
}

/** By the arithmetic, and never more than that. */
export type Verdict = 'under way' | 'stayed under' | 'too close' | 'over' | 'no test';

export interface AccumulationTest {
  readonly said: Extract<Bodies['accumulation'], { act: 'begins' }>;
  readonly by: string;
  /** ms since 1970 */ readonly from: number;
  readonly to?: number;
  /** Readings of the needle while it lasted, oldest first: ms since 1970, Pa. */
  readonly reads: readonly { readonly at: number; readonly value: number }[];
  readonly peak?: number;
  /** Pa over which it has failed, before the error of the reading. */
  readonly limit: number;
  /** When the needle is to be read next, ms since 1970. */
  readonly readBy: number;
  /** Why it shows nothing, each in a sentence. */
  readonly spoilt: readonly string[];
  readonly verdict: Verdict;
  /** The sum, once there was something to work it with. */
  readonly worked?: Worked;
}

const setUps = new WeakMap<Log, Map<string, readonly string[]>>();
/** What was lacking as it began, by the log itself: a test that came late, or by a way that did not ask, is held against the same. */
function lackedAs(log: Log, begins: Entry): readonly string[] {
  let kept = setUps.get(log);
  if (!kept) setUps.set(log, (kept = new Map()));
  const known = kept.get(begins.id);
  if (known) return known;
  const [stood] = through(
    log,
    log.entries.findIndex((e) => e.id === begins.id)
  );
  const needs = stood ? accumulationNeeds(log.context.fitOut, stood.state, ms(begins.at)) : [];
  const lacked = needs.flatMap(({ what, lacks }) => (lacks ? [`It was not set up as it began. ${what}: ${lacks}`] : []));
  kept.set(begins.id, lacked);
  return lacked;
}

/** What must not happen while it lasts. */
function upsets(e: Event): string | undefined {
  if (e.is === 'feed' && (e.on || e.strokes !== undefined) && e.to !== 'tank') return `${e.feed} fed while it lasted.`;
  if (e.is === 'fire' && (e.act === 'drop' || e.act === 'out')) return 'The fire was taken out while it lasted.';
  if (e.is === 'flame' && e.flame !== 'lit' && e.flame !== 'heard') return `${e.burner} went out while it lasted.`;
  if (e.is !== 'valve') return undefined;
  if (e.valve === 'regulator' && e.open > 0) return 'Steam was drawn while it lasted.';
  return (e.valve === 'blower' || e.valve === 'damper') && e.open < 1 ? `The ${e.valve} was not full open while it lasted.` : undefined;
}

function judged(log: Log, begins: EntryOf<'accumulation'>, ended: number | undefined, now: number): AccumulationTest {
  const { fitOut } = log.context;
  const said = begins.body as AccumulationTest['said'];
  const from = ms(begins.at);
  const to = ended ?? now;
  const within = log.events.filter((e) => ms(e.at) >= from && ms(e.at) <= to);
  const reads = within.flatMap((e) => (e.is === 'reading' && e.pressure !== undefined ? [{ at: ms(e.at), value: e.pressure }] : []));
  const peak = reads.length ? Math.max(...reads.map((r) => r.value)) : undefined;
  const times = [from, ...reads.map((r) => r.at), ...(ended === undefined ? [] : [ended])];
  const gap = Math.max(0, ...times.slice(1).map((t, i) => t - times[i]!));
  const short = ended !== undefined && ended - from < said.lasts * 1000;
  const spoilt = [
    ...new Set([
      ...lackedAs(log, begins),
      ...within.flatMap((e) => upsets(e) ?? []),
      ...(gap > missed ? [`The needle was not read for ${mark(gap / 1000, 'time')}: it may have stood higher meanwhile.`] : []),
      ...(short ? [`It lasted ${mark((ended - from) / 1000, 'time')} of ${mark(said.lasts, 'time')}.`] : []),
      ...(ended !== undefined && peak !== undefined && peak < fitOut.workingPressure
        ? [`The needle came no higher than ${mark(peak, 'pressure')}, under working pressure: the valves had nothing to let off.`]
        : []),
      ...(ended !== undefined && !within.some((e) => e.is === 'lift' && e.lifted !== undefined) ? ['No valve was logged to lift.'] : [])
    ])
  ];
  const x = { pressure: fitOut.workingPressure, error: said.error, over: said.over };
  const by = peak === undefined ? undefined : judgeAccumulation({ ...x, peak });
  return {
    said,
    by: begins.by,
    from,
    ...(ended === undefined ? {} : { to: ended }),
    reads,
    ...(peak === undefined ? {} : { peak }),
    limit: fitOut.workingPressure * (1 + said.over / 100),
    readBy: (reads.at(-1)?.at ?? from) + readEvery,
    spoilt,
    // Over the limit it is over, whatever else was not as it should be.
    verdict: by === 'over' ? 'over' : ended === undefined ? 'under way' : spoilt.length || !by ? 'no test' : by,
    ...(peak === undefined ? {} : { worked: accumulation.work({ ...x, peak }, { fitOut, plant: plantFor(fitOut) }) })
  };
}

/** Every accumulation test of a log, oldest first; what was struck is none. One that another follows, or a signature, ended there. @param now ms since 1970 */
export function accumulationsOf(log: Log, now: number): readonly AccumulationTest[] {
  const marks = log.entries.filter((e): e is EntryOf<'accumulation'> => e.kind === 'accumulation' && !log.struck.has(e.id));
  const closed = log.state.endedAt === undefined ? undefined : ms(log.state.endedAt);
  return marks.flatMap((e, i) => {
    if (e.body.act !== 'begins') return [];
    const next = marks[i + 1];
    return [judged(log, e, next ? ms(next.at) : closed, now)];
  });
}

/** The test that is under way, if one is. */
export const underWay = (log: Log, now: number): AccumulationTest | undefined => {
  const last = accumulationsOf(log, now).at(-1);
  return last?.to === undefined ? last : undefined;
};

/** What an accumulation test comes to, in a sentence: the arithmetic, and never that a boiler is safe. */
const words: { readonly [V in Verdict]: (t: AccumulationTest) => string } = {
  'under way': ({ limit }) => `Under way: over at ${mark(limit, 'pressure')}.`,
  'stayed under': ({ peak, limit }) =>
    `Stayed under by the arithmetic: highest ${mark(peak!, 'pressure')}, over at ${mark(limit, 'pressure')}. Only the boiler examiner signs.`,
  'too close': ({ peak, limit, said }) =>
    `Too close to call: highest ${mark(peak!, 'pressure')}, over at ${mark(limit, 'pressure')}, read to ${mark(said.error, 'pressure')} either way. Test again with a better gauge.`,
  over: ({ peak, limit }) =>
    `Failed by the arithmetic: ${mark(peak!, 'pressure')}, over at ${mark(limit, 'pressure')}. Fire down; not to be steamed until the valves have been seen to.`,
  'no test': () => 'It shows nothing:'
};

export const accumulationWords = (t: AccumulationTest): string => words[t.verdict](t);

/** A test is under way by what was entered so far. */
export function isAccumulating(entries: readonly Entry[]): boolean {
  const last = entries.findLast((e) => e.kind === 'accumulation' && !entries.some((s) => s.strikes === e.id));
  return last?.kind === 'accumulation' && last.body.act === 'begins';
}
