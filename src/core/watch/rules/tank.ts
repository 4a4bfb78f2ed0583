import { feedsOf } from '../../engine';
import { mark } from '../../units';
import type { Rule } from '../rule';
import { inSteam, minute, ms, usesNow } from '../view';

/** Of the time that a tank lasts by its usual use, the early edge. */
const early = 0.6;
/** Said so long before it is dry, ms: a tank is filled at a stop. */
const ahead = 5 * minute;

/** A tank that runs dry before anybody has looked. */
export const tank: Rule = {
  key: 'tank',
  rank: 'look',
  clears: 'The tank read or filled.',
  on: (f) => f.tanks.length > 0 && feedsOf(f).length > 0,
  blind: ({ state }) => (inSteam(state) && !state.tank ? 'How long the tank lasts: nobody has said how full it stands.' : undefined),
  finds: (view) => {
    const { fitOut: f, state } = view;
    const { tank: read, phase } = state;
    if (!read || phase !== 'Run' || !inSteam(state)) return undefined;
    const holds = f.tanks.reduce((sum, t) => sum + t.capacity, 0);
    const uses = usesNow(view);
    if (!(holds > 0) || !(uses > 0)) return undefined;
    // It is used from the moment at which the engine began to work.
    const began = Math.max(ms(read.at), ms((state.steps['first-move'] ?? state.steps['first-turn'])?.at ?? state.phaseSince ?? read.at));
    const lasts = ((read.value * holds * 1000) / uses) * 1000;
    const names = f.tanks.length > 1 ? 'Tanks' : f.tanks[0]!.name;
    return {
      from: Math.max(ms(read.at), began + Math.max(0, early * lasts - ahead)),
      since: read.at,
      what: `${names}: dry soon, by what this engine uses`,
      first: 'Fill at the next stop. Log how full it stands.',
      evidence: [
        `${mark(read.value * holds, 'volume')} when it was read last; it uses about ${mark(uses * 3600, 'mass')} an hour: ${mark(lasts / 1000, 'time')}, six tenths of that at the earliest.`
      ]
    };
  },
  holds: ({ state }, { since }) => inSteam(state) && state.tank?.at === since
};
