import { glassAt } from '../../boiler';
import { type Fed, type Look, tankWater, waterIn } from '../../forecast';
import { boilingAt, saturationRow, emptyRow } from '../../steam';
import { isAccumulating } from '../../log';
import { dip } from '../../sums';
import { mark, printGlass, psi } from '../../units';
import { feedsNow, feedWords } from '../feeds';
import type { View } from '../rule';
import { catches } from './fire';
import { falls, trendOf } from '../trend';
import { inSteam, lately, minute, ms, perGlass, usesNow } from '../view';

/** THE FEED COACH: what a feed costs before it is begun, whether this is the moment, and what it did cost. It advises, and replaces no look. */

/** What a feed would do now. Pressures in Pa at the gauge. */
export interface FeedAhead {
  /** Which feed, and which way its bypass stands for it. */
  readonly feed: string;
  /** kg of cold water, and how it is measured out: strokes, or s. */
  readonly kg: number;
  readonly strokes?: number;
  readonly seconds?: number;
  readonly glass: { readonly from: number; readonly to: number };
  readonly pressure: { readonly from: number; readonly to: number };
  /** s until it is back, as feeds were made up for until now; Infinity where they were not. */
  readonly back: number;
  /** Whether this is the moment, and why. */
  readonly now: boolean;
  readonly why: string;
}

/** What the last feed did, beside what was to be expected of it. */
export interface FeedDone {
  readonly feed: string;
  /** ISO 8601 */ readonly at: string;
  readonly kg: number;
  readonly cost: number;
  readonly expected: number;
  readonly rose?: number;
  readonly toRise?: number;
}

/** A little and often: of the glass, the least that is worth a feed and the most at once. */
const [little, most] = [0.04, 0.12];
/** Air about the boiler, K. */
const air = 288.15;
/** A fire that was seen is that of then for so long, ms. */
const seenFor = 6 * minute;
/** Older than this a needle or a glass says nothing of a feed now, ms. */
const stale = 8 * minute;

const row = emptyRow();
/** Where the glass stands with so much water, when the needle is at that. */
function glassOf({ plant }: View, kg: number, gauge: number): number {
  const T = boilingAt(gauge + plant.atmosphere);
  saturationRow(T, row);
  return glassAt(plant.vessel, kg * row.vf, T);
}

/** A feed that has ended, with what was read before and after it: what it cost, and what its water alone would have. */
interface Told {
  readonly fed: Fed & { readonly to: number };
  readonly kg: number;
  readonly look: Look;
  readonly from: number;
  readonly then: { readonly at: number; readonly value: number };
  /** Pa: the slug by itself, no heat meanwhile. */
  readonly alone: number;
}

/** So long before a feed the needle and the glass must have been read, and the needle so long after it, s. */
const [before, after] = [5 * 60, 6 * 60];

/** What feeding so much cold water takes off the needle by itself, Pa: its share of the heat that water and metal hold. */
function alone({ plant }: View, look: Look, kg: number): number {
  const slug = { water: waterIn(plant, look), gauge: look.gauge, fed: kg, feedAt: tankWater, heat: 1, air };
  return look.gauge - dip(slug, { plant }).after;
}

const judged = new WeakMap<View, readonly Told[]>();
/** The feeds of the last three quarters of an hour that can be judged, oldest first; worked once for each entry. */
function toldOf(view: View): readonly Told[] {
  const kept = judged.get(view);
  if (kept) return kept;
  const told = judge(view);
  judged.set(view, told);
  return told;
}

function judge(view: View): Told[] {
  const { fed, needle, looks } = view;
  return fed.flatMap((f) => {
    const { from, to } = f;
    if (to === undefined || fed.some((x) => x !== f && (x.to ?? Infinity) > from && x.from < to)) return [];
    const first = needle.findLast((n) => n.at <= from + 1 && n.at > from - before);
    const then = needle.find((n) => n.at >= to - 1 && n.at < to + after);
    const look = looks.findLast((l) => l.at <= from + 1 && l.at > from - before);
    const kg = f.rate * (to - from);
    if (!first || !then || !look || !(kg > 0) || first.value < psi(10)) return [];
    const here = { ...look, gauge: first.value };
    return [{ fed: { ...f, to }, kg, look: here, from: first.value, then, alone: alone(view, here, kg) }];
  });
}

/** What the fire gives meanwhile is not known before a feed has shown it: of what a slug takes by itself, two thirds on days of our own model. */
const usualShare = 0.66;
/** As much as two feeds of ten psi. */
const usualWeight = psi(20);
/** Of what slugs take by themselves, what feeds were seen to cost. */
const shareSeen = (told: readonly Told[]): number => {
  const cost = told.reduce((sum, t) => sum + Math.min(1.5 * t.alone, Math.max(0, t.from - t.then.value)), 0);
  const all = told.reduce((sum, t) => sum + t.alone, 0);
  return (usualShare * usualWeight + cost) / (usualWeight + all);
};

/** Moments, in the order in which they are looked at: the first that is so decides. */
function moment(view: View, look: Look, gauge: number, to: number, from: number): { now: boolean; why: string } {
  const { fitOut: f, state, needle, at, plant } = view;
  const { levels, workingPressure: wp } = f;
  if (look.glass <= levels.lowest) return { now: true, why: 'The glass is at its lowest: feed, whatever the fire.' };
  if (gauge >= 0.95 * wp) return { now: true, why: 'It is near blowing off: the cold water takes what the valves would waste.' };
  const least = Math.max(from, plant.fire.with === 'solid' && state.valves.blower?.open ? plant.sustains : 0);
  if (to < least)
    return {
      now: false,
      why: `It would come down to ${mark(Math.max(0, to), 'pressure')}, and ${mark(least, 'pressure')} is wanted: let it rise first.`
    };
  const reads = lately(needle, at, 10).slice(-3);
  if (gauge < 0.75 * wp && falls(trendOf(reads, psi(1))))
    return { now: false, why: 'The needle falls: bring the fire round first, and feed when it rises.' };
  if (plant.fire.with === 'solid') {
    const alightIn = catches(plant.fire.lump);
    const { fuelAt } = state.fire;
    const { 'fire bright': bright, 'fire dull': dull, 'coal alight': alight } = state.seen;
    const fresh = (when: string | undefined) => (when !== undefined && at - ms(when) < seenFor ? when : '');
    if (fuelAt && at - ms(fuelAt) < alightIn && (alight ?? '') < fuelAt && (bright ?? '') < fuelAt)
      return { now: false, why: 'The last charge is not alight yet: feed when the fire is bright.' };
    if (fresh(dull) > (bright ?? '')) return { now: false, why: 'The fire was dull when it was looked at: feed when it is bright.' };
    if (fresh(bright) > (dull ?? '')) return { now: true, why: `The fire is bright.${bank(view)}` };
  }
  return { now: true, why: `A little and often.${bank(view)}` };
}
const bank = ({ fitOut: { kind } }: View) =>
  kind === 'tank locomotive' || kind === 'tender locomotive' ? ' Before the bank, not at its foot.' : '';

/**
 * What feeding a little would do now, by the feed that works as the engine stands. Of an engine without a glass, or one whose glass and
 * needle were not read lately, nothing is said.
 * @param view as it stands @param now ms since 1970
 */
export function feedAhead(view: View | undefined, now: number): FeedAhead | undefined {
  // While its valves are tested nothing is fed.
  if (!view || !inSteam(view.state) || isAccumulating(view.log.entries)) return undefined;
  const { fitOut: f, state, plant, looks } = view;
  const look = looks.at(-1);
  const { pressure } = state;
  if (!look || !pressure || pressure.value < psi(10)) return undefined;
  if (now - look.at * 1000 > stale || now - ms(pressure.at) > stale) return undefined;
  const [feed] = feedsNow(f, state);
  const given = feed && plant.feeds.find((x) => x.name === feed.name);
  if (!feed || !given || !(given.rate > 0)) return undefined;
  const gauge = pressure.value;
  // One that gives water already is watched, and no other is asked for.
  if (view.fed.some((x) => x.to === undefined && x.rate > 0)) return undefined;
  const { lowest, ceiling } = f.levels;
  const wanted = (lowest + ceiling) / 2 - look.glass;
  // Water enough: the next feed is not yet.
  if (wanted < little && gauge < 0.95 * f.workingPressure) return undefined;
  if (look.glass > ceiling - little) return undefined;
  const here: Look = { at: look.at, glass: look.glass, gauge };
  const kg = Math.min(most, Math.max(little, wanted)) * perGlass(plant, here);
  const share = shareSeen(toldOf(view));
  const to = gauge - share * alone(view, here, kg);
  const time = kg / given.rate;
  const { now: is, why } = moment(view, here, gauge, to, feed.from);
  const strokes = feed.kind === 'hand pump' ? Math.max(1, Math.round(kg / given.rate)) : undefined;
  return {
    feed: feedWords(feed),
    kg,
    ...(strokes ? { strokes } : { seconds: time }),
    glass: { from: look.glass, to: glassOf(view, waterIn(plant, here) + kg, Math.max(0, to)) },
    pressure: { from: gauge, to },
    // As fast as the fire has made up for it while it was fed.
    back: share < 0.95 ? (time * share) / (1 - share) : Infinity,
    now: is,
    why
  };
}

/** The last feed that has ended, beside what it was to cost: where needle and glass were read before it and the needle after it. */
export function feedDone(view: View | undefined): FeedDone | undefined {
  const told = view ? toldOf(view) : [];
  const last = told.at(-1);
  if (!view || !last || view.fed.some((f) => (f.to ?? Infinity) > last.fed.to)) return undefined;
  const { fed, kg, look, from, then } = last;
  const again = view.looks.find((l) => l.at >= fed.to - 1 && l.at < fed.to + after);
  const named = view.recent.findLast((e) => e.is === 'feed' && Math.abs(ms(e.at) / 1000 - fed.to) < 2);
  const water = waterIn(view.plant, look) + kg - usesNow(view) * (then.at - look.at);
  return {
    feed: named?.is === 'feed' ? named.feed : 'The feed',
    at: new Date(fed.to * 1000).toISOString(),
    kg,
    cost: from - then.value,
    expected: shareSeen(told.slice(0, -1)) * last.alone,
    ...(again ? { rose: again.glass - look.glass, toRise: glassOf(view, water, Math.max(0, then.value)) - look.glass } : {})
  };
}

/** A glass that rose by less than this share of what it should have is worth a word. */
const short = 0.4;

/** A minute and more in minutes, less in seconds. */
const span = (s: number): string => (s < 90 ? `${Math.max(5, 5 * Math.round(s / 5))} s` : mark(s, 'time'));

/** In words, marked for the reader's units. */
export const aheadWords = (a: FeedAhead): string => {
  const how = a.strokes ? `${a.strokes} ${a.strokes === 1 ? 'stroke' : 'strokes'}` : `about ${span(a.seconds!)}`;
  const back = a.back < 3600 ? `back in about ${span(a.back)}` : 'and at this work the fire does not bring it back';
  return `${a.feed[0]!.toUpperCase()}${a.feed.slice(1)}, ${how}: glass ${printGlass(a.glass.from)} to ${printGlass(a.glass.to)}, needle ${mark(a.pressure.from, 'pressure')} to ${mark(Math.max(0, a.pressure.to), 'pressure')}, ${back}.`;
};
export const doneWords = (d: FeedDone): string => {
  const cost = d.cost > 0 ? `It cost ${mark(d.cost, 'pressure')}` : 'It cost no pressure';
  const rose =
    d.rose === undefined || d.toRise === undefined
      ? ''
      : d.toRise > little && d.rose < short * d.toRise
        ? ' The glass did not rise as it should: did it feed?'
        : ' The glass rose as it should.';
  return `${cost}, about ${mark(Math.max(0, d.expected), 'pressure')} was to be expected.${rose}`;
};
