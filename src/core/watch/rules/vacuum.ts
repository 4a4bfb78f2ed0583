import { psi } from '../../units';
import type { Rule } from '../rule';
import { ms } from '../view';

/** A needle at nothing, Pa at the gauge: it is at the boil, or under it. */
const nothing = psi(1);

export const vacuum: Rule = {
  key: 'vacuum',
  rank: 'note',
  clears: 'The vent open.',
  on: (f) => f.vent && f.gauge,
  finds: ({ state: { fire, pressure, valves, open, seen, phase } }) => {
    if (!fire.outAt || !fire.litAt || fire.outAt < fire.litAt || !pressure || pressure.at < fire.outAt || pressure.value > nothing)
      return undefined;
    const opened = open.vent ?? (valves.vent && valves.vent.at > fire.outAt ? valves.vent : undefined);
    if (opened || seen['engine cold'] || phase === 'Put away') return undefined;
    return {
      from: ms(pressure.at),
      since: pressure.at,
      what: 'Below the boil, and the vent not opened: it draws a vacuum as it cools',
      first: 'Open the vent, and break it.'
    };
  }
};
