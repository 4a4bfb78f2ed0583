import { isLevel } from '../../units';
import type { Rule } from '../rule';
import { inSteam, ms } from '../view';

/** A fire that was in before water and valves were proven. */
export const litUnproven: Rule = {
  key: 'lit unproven',
  rank: 'act now',
  clears: 'Water and valves proven, or fire out.',
  finds: ({ fitOut, state: s }) => {
    const { fire, glass, steps } = s;
    if (!fire.already || !fire.against || !inSteam(s)) return undefined;
    // Water seen since then is what can still be proven; without a glass, the step that says how much is in.
    const seen = fitOut.glasses.length ? glass && isLevel(glass.value) && glass.at : steps['water-and-valves']?.at;
    if (seen && seen > fire.litAt!) return undefined;
    return {
      from: ms(fire.litAt!),
      since: fire.litAt!,
      what: 'Fire in before water and valves were proven',
      first: fitOut.glasses.length
        ? 'Look at the glass and at the valves now, and log the glass. No water in it: the low-water drill.'
        : 'Look at the valve now. If you do not know how much water is in, put the fire out.'
    };
  }
};
