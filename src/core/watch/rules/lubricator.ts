import type { Event } from '../../log';
import { mark } from '../../units';
import type { Rule } from '../rule';
import { inSteam, ms } from '../view';

/** Of its interval: then it is time to think of it. */
const nearly = 0.9;
const kinds: ReadonlySet<string> = new Set(['displacement', 'mechanical', 'sight feed']);

/** How long the regulator was open since a moment, and since when it is open now, ms. */
function ran(events: readonly Event[], from: number): { readonly ms: number; readonly openSince?: number } {
  let [sum, open] = [0, undefined as number | undefined];
  for (const e of events) {
    if (e.is !== 'valve' || e.valve !== 'regulator') continue;
    const at = ms(e.at);
    if (open !== undefined) sum += Math.max(0, at - Math.max(open, from));
    open = e.open > 0 ? at : undefined;
  }
  return { ms: sum, ...(open === undefined ? {} : { openSince: Math.max(open, from) }) };
}

/** A lubricator that has fed nearly all it holds. Counted by the time that the regulator was open. */
export const lubricator: Rule = {
  key: 'lubricator',
  rank: 'look',
  clears: 'Its oil logged.',
  on: (f) => f.lubrication.some((p) => kinds.has(p.kind)),
  finds: ({ fitOut, state, events }) => {
    if (!inSteam(state) || !state.valves.regulator) return undefined;
    const due = fitOut.lubrication
      .filter((p) => kinds.has(p.kind))
      .flatMap((p) => {
        const filled = events.findLast((e) => e.is === 'oil' && (e.what === p.point || e.what === 'oil round'));
        const run = ran(events, filled ? ms(filled.at) : 0);
        const left = nearly * p.every * 1000 - run.ms;
        const from = run.openSince !== undefined ? run.openSince + left : left <= 0 ? ms(state.valves.regulator!.at) : undefined;
        return from === undefined ? [] : [{ p, from, since: filled?.at ?? state.fire.litAt! }];
      })
      .sort((a, b) => a.from - b.from)[0];
    if (!due) return undefined;
    const { p } = due;
    return {
      from: due.from,
      since: due.since,
      what: `Lubricator nearly fed: ${p.point.toLowerCase()}`,
      first: p.kind === 'displacement' ? 'At the next stop: steam off it, drain it, then fill.' : 'At the next stop: fill it.',
      evidence: [`It is filled every ${mark(p.every, 'time')} of running.`]
    };
  }
};
