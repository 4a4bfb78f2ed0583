import type { Rule } from '../rule';
import { minute, ms } from '../view';

/** Drains stay open for the first few turns; after this long they were forgotten, or their shutting was not logged, ms. */
const left = 10 * minute;

export const drains: Rule = {
  key: 'drains',
  rank: 'look',
  clears: 'Drains shut, or the regulator.',
  delay: left,
  finds: ({ state: { open, valves } }) => {
    const { drains: stands } = open;
    const { regulator } = valves;
    return stands && regulator && regulator.open > 0
      ? {
          from: Math.max(ms(stands.since), ms(regulator.at)),
          since: stands.since,
          what: 'Moving with the drains open',
          first: 'Shut them, or say that they are shut.'
        }
      : undefined;
  }
};
