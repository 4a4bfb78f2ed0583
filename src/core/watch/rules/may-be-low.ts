import { type Fed, waterIn, waterRate } from '../../forecast';
import { isLevel, mark, printGlass, psi } from '../../units';
import { feedNow } from '../feeds';
import type { Finding, Rule, View } from '../rule';
import { attended, lately, usesNow } from '../view';

/** The look it rests on, and whether anything that moves the water has been told since. */
const seen = ({ recent }: View): string =>
  recent.findLast((e) => (e.is === 'reading' && e.glass !== undefined) || e.is === 'feed' || (e.is === 'valve' && e.valve === 'regulator'))
    ?.entry ?? '';
const last = new WeakMap<Finding, string>();

/** It may use so much more than it seems to, and a feed give so much less: the early edge of eight in ten. */
const atMost = 1.5;
const atLeast = 0.8;

/** Looks of the last so many minutes tell of the use of now. */
const back = 20;

/** What feeds that have ended gave since a look, kg. */
const fedSinceLook = (fed: readonly Fed[], from: number, to: number) =>
  atLeast * fed.reduce((sum, x) => sum + (x.to === undefined ? 0 : x.rate * Math.max(0, Math.min(to, x.to) - Math.max(from, x.from))), 0);

/** By what it uses, the water may have come to its lowest level since the last look. */
export const mayBeLow: Rule = {
  key: 'may be low',
  rank: 'look',
  covers: ['glance'],
  clears: 'The glass looked at.',
  on: (f) => f.glasses.length > 0,
  blind: ({ looks, state }) =>
    attended(state) && !looks.some((l) => l.gauge > psi(5)) ? 'How long the water lasts: no look at the glass with steam up.' : undefined,
  finds: (view, before) => {
    const { fitOut: f, plant, state, looks, fed, at } = view;
    const { glass } = state;
    if (!attended(state) || !glass || !isLevel(glass.value) || glass.value <= f.levels.lowest) return undefined;
    const by = seen(view);
    if (before && last.get(before) === by) return before;
    const look = looks.at(-1);
    if (!look || look.gauge <= psi(5)) return undefined;
    // What is used is tracked from look to look; it may be more, and a feed may give less. The look itself saw it over the lowest.
    const tells = lately(looks, at, back).filter((l) => l.gauge > psi(5));
    const rate = waterRate(plant, tells, fed, { now: at / 1000, usual: usesNow(view) });
    if (!rate) return undefined;
    const gives = fed.reduce((sum, x) => sum + (x.to === undefined ? x.rate : 0), 0);
    const gone = atMost * rate - atLeast * gives;
    if (gone <= 0) return undefined;
    const over = waterIn(plant, look) - waterIn(plant, { ...look, glass: f.levels.lowest });
    const early = look.at + Math.max(0, over + fedSinceLook(fed, look.at, at / 1000)) / gone;
    const found: Finding = {
      from: early * 1000,
      since: glass.at,
      what: `The water may be at its lowest by now: it was ${printGlass(glass.value)} when it was looked at last`,
      first: `Look at the glass. ${feedNow(f, state)}`,
      evidence: [
        `${mark(Math.max(0, over), 'mass')} over its lowest level then; it uses ${mark(rate * 3600, 'mass')} an hour, and may use half as much again: ${mark(early - look.at, 'time')}.`
      ]
    };
    last.set(found, by);
    return found;
  },
  holds: ({ state }, { since }) => attended(state) && state.glass?.at === since
};
