import { judgedWords, judgeSweep, rigParts, rigWords } from '../../commission';
import { registerIn } from '../../log';
import type { Rule } from '../rule';
import { ms } from '../view';

/** What a first fire and a trial are warned of: a leak that means stop, and what was put on for a time that is over. */

/** A place that was swept and means stop, while there is fire. */
export const leakStops: Rule = {
  key: 'leak stops',
  rank: 'look',
  clears: 'Fire out, the place taken apart, or dry at the same pressure.',
  finds: ({ fitOut, state, log }) => {
    if (!state.fire.litAt || state.fire.outAt || !state.swept.length) return undefined;
    const seenAt = (place: string) => state.swept.findLast((s) => s.place === place)!.when;
    const worst = judgeSweep(registerIn({ context: log.context, state }), state.swept).filter((j) => j.stops);
    // What an earlier day found was told when it began, and may have been mended since: it is said again when it is seen again.
    const today = worst.filter((j) => seenAt(j.place) >= (state.began ?? ''));
    const [first] = today;
    if (!first) return undefined;
    const since = seenAt(first.place);
    return {
      from: ms(since),
      since,
      bad: today.length,
      what: `${first.place}: ${judgedWords(first, fitOut.workingPressure)}${today.length > 1 ? `, and ${today.length - 1} more` : ''}`,
      first: 'Fire down, and no further up. Out of the way of it. It is not raised again before whoever may has seen it.'
    };
  }
};

/** A rig past its time: said at the moment, whatever else is going on. */
export const rigLate: Rule = {
  key: 'rig late',
  rank: 'look',
  clears: 'Off again, and said so.',
  finds: ({ state }) => {
    const [next] = Object.values(state.rigs).sort((a, b) => (a.until < b.until ? -1 : 1));
    return (
      next && {
        from: ms(next.until),
        since: next.since,
        what: `The ${rigWords(next)} was to be off by now`,
        first:
          next.part === 'borrowed steam'
            ? `Shut it at that boiler, and look at its glass: ${rigParts[next.part].lasts.toLowerCase()} no longer.`
            : 'Take it off, and say so under Rig.'
      }
    );
  }
};
