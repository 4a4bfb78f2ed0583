import { nextGlance } from '../glance';
import type { Rule } from '../rule';

/** Due is not overdue: from the next millisecond on. */
const grace = 1;

export const glanceRule: Rule = {
  key: 'glance',
  rank: 'look',
  clears: 'The glass looked at.',
  on: (f) => f.glasses.length > 0,
  finds: ({ fitOut, state }) => {
    const due = nextGlance(fitOut, state);
    return due === undefined
      ? undefined
      : {
          from: due + grace,
          since: state.glass?.at ?? state.fire.litAt!,
          what: 'Glass not looked at',
          first: 'Look at the glass and log it.'
        };
  }
};
