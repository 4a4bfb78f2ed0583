import { isLevel } from '../../units';
import { feedsAt } from '../../procedure';
import { fireOut } from '../drills';
import type { Rule } from '../rule';
import { attended, inSteam, ms } from '../view';

const feed = (can: boolean) => (can ? 'Do not feed.' : 'Put nothing in.');

/** No water seen, or water in the bottom nut. What stands is over when a level was read twice. */
export const noWater: Rule = {
  key: 'no water',
  rank: 'act now',
  clears: 'A level in the glass, read twice; or fire out and pressure gone.',
  on: (f) => f.glasses.length > 0,
  finds: ({ fitOut: f, state }) =>
    state.glass && !isLevel(state.glass.value) && state.glass.value !== 'top nut' && attended(state)
      ? {
          from: ms(state.glass.at),
          since: state.glass.at,
          what: state.glass.value === 'not seen' ? 'No water seen in the glass' : 'Water in the bottom nut: level unknown and low',
          first: inSteam(state)
            ? `Low-water drill. ${feedsAt(f).length ? 'Do not feed.' : fireOut[f.fire.with]}`
            : `${feed(feedsAt(f).length > 0)} People back, and let it cool.`,
          // With the fire out the drill has been done: it is not to be called for again, and not to be forgotten.
          rank: inSteam(state) ? 'act now' : 'look'
        }
      : undefined,
  holds: ({ state, looks }, { since }) => attended(state) && looks.filter((l) => l.at * 1000 > ms(since)).length < 2
};
