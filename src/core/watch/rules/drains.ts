import type { Rule } from '../rule';
import { minute, ms, openBetween } from '../view';

/** Drains stay open for the first few turns; after this long at work they were forgotten, or their shutting was not logged, ms. */
const left = 10 * minute;

export const drains: Rule = {
  key: 'drains',
  rank: 'look',
  clears: 'Drains shut, or the regulator.',
  finds: (view) => {
    const { open, valves } = view.state;
    const { drains: stands } = open;
    const { regulator } = valves;
    return stands && regulator && regulator.open > 0
      ? {
          from: view.at + left - 1000 * openBetween(view, 'regulator', ms(stands.since) / 1000, view.at / 1000),
          since: stands.since,
          what: 'Moving with the drains open',
          first: 'Shut them, or say that they are shut.'
        }
      : undefined;
  }
};
