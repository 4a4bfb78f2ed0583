import { glanceNow, nextGlance } from '../glance';
import type { Rule } from '../rule';
import { iso } from '../view';

/** A glance missed by so many intervals, and nobody has entered anything in that time. */
const intervals = 3;

export const keeperGone: Rule = {
  key: 'keeper gone',
  rank: 'look',
  away: 'act now',
  covers: ['glance', 'may be low'],
  clears: 'Any entry.',
  on: (f) => f.glasses.length > 0,
  finds: ({ fitOut, state, at }) => {
    const due = nextGlance(fitOut, state);
    if (due === undefined) return undefined;
    const long = intervals * glanceNow(fitOut, state);
    return {
      from: Math.max(due, at) + long,
      since: iso(at),
      what: `Nothing entered by anybody, and the glass not looked at`,
      first: `Somebody to the engine: ${state.keeper} has it.`
    };
  }
};
