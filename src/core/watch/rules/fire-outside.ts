import { fireOut } from '../drills';
import type { Rule } from '../rule';
import { ms } from '../view';

/** Fire where none belongs: seen, until it is seen to be out. */
export const fireOutside: Rule = {
  key: 'fire outside',
  rank: 'act now',
  clears: 'Said to be out.',
  finds: ({ fitOut: f, state: { seen } }) => {
    const at = seen['fire outside'];
    if (!at || at <= (seen['fire outside out'] ?? '')) return undefined;
    const electric = f.fire.with === 'electric';
    return {
      from: ms(at),
      since: at,
      what: 'Fire outside the boiler',
      first: `People back. ${fireOut[f.fire.with]} ${electric ? 'Then smother it; no water on anything that was live.' : 'Smother it; no water on burning spirit or oil.'}`
    };
  }
};
