import { isLevel, printGlass } from '../../units';
import { feedNow } from '../feeds';
import type { Rule } from '../rule';
import { attended, ms } from '../view';

/** Off the lowest running level by so much before it is called over, of the glass. */
const clear = 0.05;
/** Each eighth lower is worse. */
const eighth = 1 / 8;

export const low: Rule = {
  key: 'low',
  rank: 'look',
  clears: 'The glass a little over its lowest running level.',
  on: (f) => f.glasses.length > 0,
  finds: ({ fitOut: f, state }) => {
    const { glass } = state;
    return glass && isLevel(glass.value) && glass.value <= f.levels.lowest && attended(state)
      ? {
          from: ms(glass.at),
          since: glass.at,
          what: `Glass at ${printGlass(glass.value)}: at or under its lowest running level`,
          first: feedNow(f, state),
          bad: (f.levels.lowest - glass.value) / eighth
        }
      : undefined;
  },
  holds: ({ fitOut: f, state }) =>
    attended(state) && state.glass !== undefined && isLevel(state.glass.value) && state.glass.value <= f.levels.lowest + clear
};
