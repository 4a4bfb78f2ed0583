import type { Rule } from '../rule';
import { inSteam, ms } from '../view';

/** A charge takes no longer than this, ms. */
const charge = 30_000;

/** Cold air drawn past the fire. */
export const doorDraught: Rule = {
  key: 'door',
  rank: 'look',
  clears: 'The fire door shut, or the blower off.',
  delay: charge,
  on: ({ fire }) => fire.with === 'solid',
  finds: ({ state }) => {
    const { 'fire door': door, blower } = state.valves;
    return door && door.open > 0 && blower && blower.open > 0 && inSteam(state)
      ? {
          from: Math.max(ms(door.at), ms(blower.at)),
          since: door.at,
          what: 'Fire door open with the blower on',
          first: 'Door to: cold air goes past the fire to the tubes.'
        }
      : undefined;
  }
};
