import { feedsProven } from '../../log';
import type { Rule } from '../rule';
import { ms } from '../view';

/** Passengers carried with fewer proven feeds than are usual. */
export const twoFeeds: Rule = {
  key: 'feeds',
  rank: 'look',
  clears: 'Another feed proven.',
  finds: ({ fitOut, state }) => {
    const ridden = state.steps.passengers;
    const { able, proven } = feedsProven(fitOut, state);
    return ridden?.outcome === 'done' && proven.length < Math.min(2, able.length) && state.phase === 'Run'
      ? {
          from: ms(ridden.at),
          since: ridden.at,
          what: proven.length ? `Only one feed proven today: ${proven[0]!.toLowerCase()}` : 'No feed proven today',
          first: 'Two is the usual rule for public running. Prove another, or carry nobody.'
        }
      : undefined;
  }
};
