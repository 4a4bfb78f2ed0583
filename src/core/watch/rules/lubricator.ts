import { mark } from '../../units';
import type { Rule } from '../rule';
import { openFor } from '../../log';
import { inSteam, lubricators, ms } from '../view';

/** Of its interval: then it is time to think of it. */
const nearly = 0.9;
/** A lubricator that has fed nearly all it holds. Counted by the time that the regulator was open. */
export const lubricator: Rule = {
  key: 'lubricator',
  rank: 'look',
  clears: 'Its oil logged.',
  on: (f) => f.lubrication.some((p) => lubricators.has(p.kind)),
  finds: ({ fitOut, state, events, at }) => {
    if (!inSteam(state) || !state.valves.regulator) return undefined;
    const due = fitOut.lubrication
      .filter((p) => lubricators.has(p.kind))
      .flatMap((p) => {
        const filled = events.findLast((e) => e.is === 'oil' && (e.what === p.point || e.what === 'oil round'));
        const left = nearly * p.every * 1000 - openFor(events, filled ? ms(filled.at) : 0, at);
        // What stands uses none: it is due from when it went, if it was due by then.
        const turns = state.valves.regulator!.open > 0;
        const from = turns ? at + left : left <= 0 ? ms(state.valves.regulator!.at) : undefined;
        return from === undefined ? [] : [{ p, from, since: filled?.at ?? state.fire.litAt! }];
      })
      .sort((a, b) => a.from - b.from)[0];
    if (!due) return undefined;
    const { p } = due;
    return {
      from: due.from,
      since: due.since,
      what: `Lubricator nearly empty, by its running time: ${p.point.toLowerCase()}`,
      first: p.kind === 'displacement' ? 'At the next stop: steam off it, drain it, then fill.' : 'At the next stop: fill it.',
      evidence: [`It is filled every ${mark(p.every, 'time')} of running.`]
    };
  }
};
