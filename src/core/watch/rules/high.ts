import { feedsAt } from '../../procedure';
import { isLevel, printGlass } from '../../units';
import type { Rule } from '../rule';
import { inSteam, ms } from '../view';

export const high: Rule = {
  key: 'high',
  rank: 'look',
  clears: 'The glass at or under its highest running level.',
  on: (f) => f.glasses.length > 0,
  finds: ({ fitOut: f, state }) =>
    state.glass &&
    (state.glass.value === 'top nut' || (isLevel(state.glass.value) && state.glass.value > f.levels.ceiling)) &&
    inSteam(state)
      ? {
          from: ms(state.glass.at),
          since: state.glass.at,
          what: `Glass over ${printGlass(f.levels.ceiling)}: water may go over with the steam`,
          first: [
            feedsAt(f).length > 0 && 'Stop feeding.',
            f.control === 'none'
              ? 'Hold it back until it has cleared itself.'
              : `Regulator gently${f.cylinders.drains === 'none' ? '' : ', drains open'}.`
          ]
            .filter(Boolean)
            .join(' ')
        }
      : undefined
};
