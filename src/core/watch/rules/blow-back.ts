import type { Rule } from '../rule';
import { inSteam, minute, ms } from '../view';

/** The blower is cracked in the same breath as the regulator is shut: so much later it was forgotten, ms. */
const breath = 20_000;
/** The fire has died down by then, or it has been seen to, ms. */
const over = 10 * minute;

/** Regulator shut on a bright fire with nothing drawing: flame comes out of the door. */
export const blowBack: Rule = {
  key: 'blow back',
  rank: 'look',
  clears: 'The blower on, or the regulator open.',
  delay: breath,
  on: ({ fire }) => fire.with === 'solid' && fire.blower !== null,
  finds: ({ state, events }) => {
    const { regulator, blower } = state.valves;
    const { seen, fire } = state;
    if (!inSteam(state) || !regulator || regulator.open > 0 || !blower || blower.open > 0) return undefined;
    const shut = events.findLast((e) => e.is === 'valve' && e.valve === 'regulator' && e.at < regulator.at);
    const worked = shut?.is === 'valve' && shut.open > 0;
    const bright = [seen['fire bright'], fire.fuelAt].some((at) => at !== undefined && ms(regulator.at) - ms(at) < 20 * minute);
    const dull = seen['fire dull'] !== undefined && seen['fire dull'] > (seen['fire bright'] ?? '');
    return worked && bright && !dull && !state.seen['standing by']
      ? {
          from: Math.max(ms(regulator.at), ms(blower.at)),
          till: ms(regulator.at) + over,
          since: regulator.at,
          what: 'Regulator shut on a bright fire, and the blower off',
          first: 'Crack the blower, then open the door: without it the flame comes out.'
        }
      : undefined;
  }
};
