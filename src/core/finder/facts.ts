import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import type { Bodies, Log } from '../log';
import { demandOf, mostMade } from '../sums';
import { isLevel, mark, printGlass } from '../units';
import type { Belief, Shown } from './belief';
import { type FeedKind, knowledge, type Symptom } from './knowledge';
import { checksFor } from './next';
import { patternsOf, patternWords, type Try } from './tries';

/** WHAT THE RECORD ANSWERS BY ITSELF, before anybody is asked: a check, what it shows, and the figures or the sum that show it. */
export interface Fact extends Shown {
  readonly says: string;
  /** When it was so, ISO 8601; a sum has no time. */
  readonly at?: string;
}

type Lift = Bodies['lift'];

export interface Facts {
  readonly symptom: Symptom;
  readonly fitOut: FitOut;
  readonly plant: Plant;
  /** Which feed it is of, by name, where it is of one. */
  readonly feed?: string | undefined;
  /** Every try of that engine’s feeds, oldest first. */
  readonly tries: readonly Try[];
  /** The log it was found in, as far as it had come then; null for a fault that was not found in steam. */
  readonly log: Pick<Log, 'state'> | null;
}

const kindsOf: Readonly<Record<FeedKind, readonly string[]>> = {
  injector: ['injector'],
  pump: ['axle pump', 'crosshead pump', 'crankshaft pump', 'steam pump'],
  'hand pump': ['hand pump']
};
type Feeds = FitOut['feeds'];
/** The feeds that a symptom can be of on an engine; none where it is of no feed. */
export const feedsLike = ({ symptom: { of }, fitOut }: { symptom: Pick<Symptom, 'of'>; fitOut: FitOut }): Feeds =>
  of ? fitOut.feeds.filter((f) => f.plumbed && kindsOf[of].includes(f.kind)) : [];
/** The feed it is of: the one that was said, or the only one of its kind. */
export function feedOf(f: Pick<Facts, 'symptom' | 'fitOut' | 'feed'>): Feeds[number] | undefined {
  const like = feedsLike(f);
  return like.find(({ name }) => name === f.feed) ?? (like.length === 1 ? like[0] : undefined);
}

type Said = Omit<Fact, 'check'> | undefined;
const fact = (result: number, says: string, at?: string): Said => ({ result, says, ...(at ? { at } : {}) });

/** Tries of the feed that it is of. */
const ownTries = (f: Facts): readonly Try[] => {
  const feed = feedOf(f);
  return feed ? f.tries.filter((t) => t.feed === feed.name) : [];
};
const failed = (f: Facts) => ownTries(f).filter((t) => t.result !== 'picked up');

/** What parts the tries by one condition: which lot worked, from a result for the low ones to the last for no pattern. */
function byTries(f: Facts, key: string, low: number, high: number | undefined): Said {
  const tries = ownTries(f);
  const pattern = patternsOf(tries).find((p) => p.key === key);
  if (pattern) {
    const lowWorks = pattern.ok * pattern.otherOf > pattern.otherOk * pattern.of;
    const result = lowWorks ? low : high;
    return result === undefined ? undefined : fact(result, patternWords(pattern), tries.at(-1)!.at);
  }
  return undefined;
}

const valveName = (f: Facts, n: number) => (f.fitOut.safetyValves.length > 1 ? `Valve ${n}` : 'The valve');
/** Within so much of its set a valve lifts at it: what a needle can be read to and a setting is made to. */
const atSet = 0.03;
const lifted = (f: Facts): (Lift & { at: string; lifted: number })[] =>
  (f.log?.state.lifts ?? []).filter(
    (l): l is Lift & { at: string; lifted: number } => l.lifted !== undefined && f.fitOut.safetyValves[l.valve - 1] !== undefined
  );

/** A tank over this is too warm for most injectors; under that it is cold, K. */
const [warm, cold] = [308.15, 298.15];

/** By check: what the record has to say to it. One that is not here is asked. */
const answers: Readonly<Record<string, (f: Facts) => Said>> = {
  'needle-try': (f) => {
    const [feed, last] = [feedOf(f), failed(f).findLast((t) => t.pressure !== undefined)];
    if (!feed || !last || !(feed.from > 0)) return undefined;
    const share = last.pressure! / feed.from;
    return fact(
      share < 1 ? 0 : share < 1.15 ? 1 : 2,
      `Tried at ${mark(last.pressure!, 'pressure')}; by its fit-out it works from ${mark(feed.from, 'pressure')}.`,
      last.at
    );
  },
  'tank-hand': (f) => {
    const last = failed(f).findLast((t) => t.tank !== undefined);
    return (
      last &&
      fact(
        last.tank! > warm ? 0 : last.tank! > cold ? 1 : 2,
        `The tank was at ${mark(last.tank!, 'temperature')} as it was tried.`,
        last.at
      )
    );
  },
  'tries-order': (f) => {
    const with_ = failed(f).filter((t) => t.order !== undefined);
    const steam = with_.filter((t) => t.order === 'steam first').length;
    if (!with_.length || (steam > 0 && steam < with_.length)) return undefined;
    return fact(
      steam ? 0 : 1,
      `${with_.length} of ${with_.length} tries that failed: ${steam ? 'steam' : 'water'} first.`,
      with_.at(-1)!.at
    );
  },
  'tries-tank': (f) => byTries(f, 'tank', 0, undefined),
  'tries-glass': (f) => byTries(f, 'glass', 1, 0),
  'tries-pressure': (f) => byTries(f, 'pressure', 1, 0),
  'delivery-where': (f) => {
    const feed = feedOf(f);
    return feed && fact(feed.into === 'steam' ? 0 : 1, `By its fit-out it delivers into the ${feed.into} space.`);
  },
  'injector-sum': (f) => {
    const feed = feedOf(f);
    if (!feed || !(feed.rate > 0)) return undefined;
    const most = mostMade(f).most.value;
    const times = (feed.rate * 1000) / most;
    const says = `${mark(feed.rate, 'flow')} given ÷ ${mark(most / 1000, 'flow')} that its fire evaporates at the most = ${times.toFixed(1)} times.`;
    return times > 4 ? fact(0, says) : times <= 3 ? fact(1, says) : undefined;
  },
  'pump-sum': (f) => {
    const feed = feedOf(f);
    if (!feed || !(feed.rate > 0)) return undefined;
    const used = demandOf(f).moving.value / 1000;
    return fact(
      feed.rate < used ? 0 : 1,
      `${mark(feed.rate, 'flow')} at its usual turns, beside ${mark(used, 'flow')} that its cylinders use as it moves.`
    );
  },
  'element-sum': (f) => {
    const used = demandOf(f).hour.value;
    return fact(
      f.plant.ratedSteam < used ? 0 : 1,
      `The element makes ${mark(f.plant.ratedSteam, 'mass flow')}, a usual hour draws ${mark(used, 'mass flow')}.`
    );
  },
  'prime-level': (f) => {
    const glass = f.log?.state.glass;
    if (!glass || !(isLevel(glass.value) || glass.value === 'top nut')) return undefined;
    const level = isLevel(glass.value) ? glass.value : 1;
    return fact(level > 0.75 ? 0 : level > 0.5 ? 1 : 2, `The glass was last read at ${printGlass(glass.value)}.`, glass.at);
  },
  'needle-lift': (f) => {
    const last = lifted(f).at(-1);
    if (!last) return undefined;
    const { set } = f.fitOut.safetyValves[last.valve - 1]!;
    const off = last.lifted / set - 1;
    return fact(
      off < -atSet ? 0 : off > atSet ? 1 : 2,
      `${valveName(f, last.valve)} lifted at ${mark(last.lifted, 'pressure')} and is set to ${mark(set, 'pressure')}.`,
      last.at
    );
  },
  'lift-repeat': (f) => {
    const last = lifted(f).at(-1);
    const same = last ? lifted(f).filter((l) => l.valve === last.valve) : [];
    if (same.length < 3) return undefined;
    const [low, high] = [Math.min(...same.map((l) => l.lifted)), Math.max(...same.map((l) => l.lifted))];
    return fact(
      high - low > 0.05 * f.fitOut.safetyValves[last!.valve - 1]!.set ? 0 : 1,
      `${valveName(f, last!.valve)} lifted ${same.length} times, from ${mark(low, 'pressure')} to ${mark(high, 'pressure')}.`,
      last!.at
    );
  },
  'reseat-read': (f) => {
    const last = lifted(f).findLast((l) => l.reseated !== undefined);
    if (!last) return undefined;
    const down = 1 - last.reseated! / last.lifted;
    return fact(
      down > 0.2 ? 0 : down > 0.1 ? 1 : 2,
      `${valveName(f, last.valve)} lifted at ${mark(last.lifted, 'pressure')} and shut at ${mark(last.reseated!, 'pressure')}: ${Math.round(down * 100)} % under.`,
      last.at
    );
  },
  'blower-stands': (f) => {
    const blower = f.log?.state.valves.blower;
    return (
      blower &&
      fact(
        blower.open > 0.25 ? 0 : 1,
        blower.open > 0 ? `The blower was last logged ${Math.round(blower.open * 100)} % open.` : 'The blower was last logged shut.',
        blower.at
      )
    );
  },
  'level-element': (f) => {
    const glass = f.log?.state.glass;
    if (!glass) return undefined;
    const low = glass.value === 'bottom nut' || (isLevel(glass.value) && glass.value < f.fitOut.levels.lowest);
    return fact(
      low ? 0 : 1,
      `The glass was last read at ${printGlass(glass.value)}; its lowest running level is ${printGlass(f.fitOut.levels.lowest)}.`,
      glass.at
    );
  }
};

/** Everything that the record says of a symptom: checks that this engine can be given and that tell its causes apart. */
export function factsOf(f: Facts, belief: Belief): Fact[] {
  const able = new Set(checksFor(f.symptom, f.fitOut, belief));
  return Object.entries(answers).flatMap(([check, of]) => {
    const said = able.has(knowledge.checks.get(check)!) ? of(f) : undefined;
    return said ? [{ check, ...said }] : [];
  });
}
