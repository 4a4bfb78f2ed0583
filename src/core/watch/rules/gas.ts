import { gasHeat } from '../../firing';
import { isTimed } from '../../sums';
import { mark } from '../../units';
import type { Rule } from '../rule';
import { inSteam, minute, ms } from '../view';

/** So long before it is empty the change is planned, ms. */
const ahead = 15 * minute;

/** A canister that is nearly empty, by what it weighed and what its burners burn. */
export const gas: Rule = {
  key: 'gas',
  rank: 'look',
  clears: 'The canister weighed or changed.',
  on: (f) => f.fire.with === 'gas' && !isTimed(f),
  blind: ({ state }) => (inSteam(state) && !state.charged ? 'How long the gas lasts: the canister was not weighed.' : undefined),
  finds: ({ fitOut: f, state }) => {
    const { charged, fire } = state;
    if (f.fire.with !== 'gas' || !charged || !inSteam(state)) return undefined;
    const burns = f.fire.power / gasHeat;
    const from = Math.max(ms(charged.at), ms(fire.litAt!));
    const empty = from + (charged.mass / burns) * 1000;
    return {
      from: Math.max(from, empty - ahead),
      since: charged.at,
      what: 'Gas: a quarter of an hour left, by its weight',
      first: 'Plan the change: gas shut, flame out, cooled; new canister, joint leak tested, then lit again.',
      evidence: [`${mark(charged.mass, 'mass')} of gas at ${mark(f.fire.power, 'power')}: ${mark(charged.mass / burns, 'time')}.`]
    };
  },
  holds: ({ state }, { since }) => inSteam(state) && state.charged?.at === since
};
