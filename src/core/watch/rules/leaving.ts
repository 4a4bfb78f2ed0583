import { isAsked } from '../../log';
import { type ThingKey, things } from '../../procedure';
import type { Rule } from '../rule';
import { attended, ms } from '../view';

/** What may stand open on an engine that is put away dry. */
const mayStand: ReadonlySet<ThingKey> = new Set(['drains', 'vent', 'filler', 'chocks', 'gear', 'valve', 'cladding']);

/** It is put away, and something stands open. */
export const leaving: Rule = {
  key: 'leaving',
  rank: 'look',
  clears: 'Each of them closed.',
  finds: ({ state, log }) => {
    if (state.phase !== 'Put away' || attended(state)) return undefined;
    const left = (Object.keys(state.open) as ThingKey[]).filter((k) => !mayStand.has(k));
    // While steps are to be done, one of them closes it.
    if (!left.length || log.context.procedure.steps.some((s) => isAsked(s, state) && !state.steps[s.key])) return undefined;
    const since = left.map((k) => state.open[k]!.since).sort()[0]!;
    return {
      from: ms(state.phaseSince ?? since),
      since,
      what: `Left open: ${left.map((k) => things[k].open).join(', ')}`,
      first: `${left.map((k) => things[k].close).join('. ')}.`
    };
  }
};
