import { waterIn } from '../../forecast';
import type { Feed } from '../../engine';
import { mark, printGlass, psi } from '../../units';
import { feedsNow, feedWords } from '../feeds';
import type { Rule, View } from '../rule';
import { lookError } from '../trend';
import { attended, glassLine, ms, perGlass, stopped, usesNow } from '../view';

/** A needle is read no finer, Pa. */
const read = psi(1);
/** A stop at a station is no matter: a pump is left set, ms. */
const stop = 2 * 60_000;
/** A feed shows in the glass after this long, s, if it gives at least this share of what it should. */
const shows = 120;
const least = 1 / 3;
/** What it should have given has to be more than an eye can miss, in errors of a look. */
const plain = 3;

const running = ({ fitOut, state }: View): { feed: Feed; since: string; part: number }[] =>
  fitOut.feeds.flatMap((feed) => {
    const is = state.feeds[feed.name];
    return is?.on && is.to !== 'tank' ? [{ feed, since: is.since, part: is.to === 'both' ? 0.5 : 1 }] : [];
  });

/** The feed that can, named. */
const other = (view: View, not: string): string => {
  const [can] = feedsNow(view.fitOut, view.state).filter((x) => x.name !== not);
  return can ? `Feed by ${feedWords(can)}.` : 'No other feed works as it is now.';
};

/** A feed that cannot work as things are. */
export const feedTooLow: Rule = {
  key: 'feed cannot',
  rank: 'look',
  clears: 'That feed off, or what it needs.',
  on: (f) => f.feeds.length > 0,
  finds: (view) => {
    const { state } = view;
    if (!attended(state)) return undefined;
    for (const { feed, since } of running(view)) {
      const low = state.pressure && state.pressure.value < feed.from - read;
      const stands = feed.turning && stopped(state) && state.valves.regulator !== undefined;
      if (!low && !stands) continue;
      return {
        from: Math.max(ms(since), low ? ms(state.pressure!.at) : ms(state.valves.regulator!.at) + stop),
        since: low ? state.pressure!.at : since,
        what: low
          ? `${feed.name} on, and it works from ${mark(feed.from, 'pressure')}`
          : `${feed.name} on, and it gives nothing while the engine stands`,
        first: other(view, feed.name)
      };
    }
    return undefined;
  }
};

/** What this kind of feed fails by, in the order in which it is looked for. */
const lookFor: Record<Feed['kind'], string> = {
  injector: 'Is its overflow dry? Water on before steam, its tank not hot, and pressure enough.',
  'hand pump': 'Does it kick? Its tank, its strainer, its clack.',
  'axle pump': 'Which way does its bypass turn? Its tank, its strainer, its clack.',
  'crosshead pump': 'Which way does its bypass turn? Its tank, its strainer, its clack.',
  'crankshaft pump': 'Which way does its bypass turn? Its tank, its strainer, its clack.',
  'steam pump': 'Does it beat? Its tank, its strainer, its clack.',
  bottle: 'It goes in cold only.'
};

/** A feed that is on, and the glass does not show it. */
export const feedNotWorking: Rule = {
  key: 'feed fails',
  rank: 'look',
  clears: 'The glass rising, or that feed off.',
  on: (f) => f.feeds.length > 0 && f.glasses.length > 0,
  finds: (view) => {
    const { plant, state, looks, fed } = view;
    const now = looks.at(-1);
    if (!now || !attended(state)) return undefined;
    for (const { feed, since, part } of running(view)) {
      const rate = (plant.feeds.find((x) => x.name === feed.name)?.rate ?? 0) * part;
      const before = looks.findLast((l) => l.at <= ms(since) / 1000 + 20 && l !== now);
      const on = now.at - ms(since) / 1000;
      // Two at once: what each gives is not known.
      if (!before || on < shows || rate === 0 || fed.filter((x) => (x.to ?? Infinity) > before.at).length > 1) continue;
      const glass = perGlass(plant, before);
      const gave = rate * Math.min(on, now.at - before.at);
      const used = usesNow(view) * (now.at - before.at);
      const rose = waterIn(plant, now) - waterIn(plant, before) + used;
      if (gave < plain * lookError * glass || rose >= least * gave) continue;
      return {
        from: now.at * 1000,
        since: state.glass!.at,
        what: `${feed.name} on for ${mark(on, 'time')}, and the glass does not show it`,
        first: `${lookFor[feed.kind]} ${other(view, feed.name)}`,
        evidence: [
          glassLine([before, now]),
          `It should have given ${mark(gave / 1000, 'volume')}: about ${printGlass(Math.min(1, gave / glass))} of the glass, less what was used.`
        ]
      };
    }
    return undefined;
  },
  // Until a look shows it, or the feed is off.
  holds: (view, { since }) => running(view).length > 0 && view.state.glass?.at === since
};
