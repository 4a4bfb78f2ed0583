import { mark } from '../../units';
import type { Rule } from '../rule';
import { sagging } from '../sags';
import { minute, ms } from '../view';

/** What was read last says nothing any more after this long, ms. */
const oldAfter = 10 * minute;

/** An electric boiler that is asked for more than its element gives. */
export const sags: Rule = {
  key: 'sags',
  rank: 'look',
  clears: 'The needle steady or rising.',
  on: ({ fire }) => fire.with === 'electric',
  finds: ({ fitOut, state }) => {
    const { pressure, needle } = state;
    const found = pressure && sagging(fitOut, state);
    return found
      ? {
          from: ms(pressure.at),
          till: ms(pressure.at) + oldAfter,
          since: pressure.at,
          what: `Falling with the element on: ${needle.map((x) => mark(x.value, 'pressure')).join(', ')}`,
          first: `Ease it, or shut steam off and let it come back: it asks for ${mark(found.asks, 'power')} of steam, and the element makes ${mark(found.makes, 'power')}.`
        }
      : undefined;
  }
};
