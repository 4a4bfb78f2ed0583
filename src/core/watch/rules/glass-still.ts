import { psi } from '../../units';
import type { Rule } from '../rule';
import { fedTill, glassLine, inSteam, minute, ms, openBetween, perGlass, usesOpen } from '../view';

/** Looks that are the same to a sixteenth, with what a hand is off when it points; so many of them, over so long. */
const same = 0.07;
const looks_ = 3;
const over = 10 * minute;
/** What was used in that time, over what they differ by, has to be more than would be missed, of the glass. */
const plain = 0.08;

/** A glass that does not move while steam is drawn: a cock is shut, or it is choked. */
export const glassStill: Rule = {
  key: 'glass still',
  rank: 'look',
  clears: 'The glass moving, or blown through.',
  on: (f) => f.glasses.length > 0,
  finds: (view) => {
    const { fitOut: f, plant, state, looks, at } = view;
    const last = looks.at(-1);
    if (!last || !inSteam(state) || last.gauge < psi(5)) return undefined;
    // From the last feed on, or since it was blown through.
    const blown = state.seen['water returns'];
    const from = Math.max(fedTill(view), blown ? ms(blown) / 1000 : 0);
    const still: (typeof last)[] = [];
    let range = 0;
    for (const l of [...looks].reverse()) {
      const levels = [...still, l].map((x) => x.glass);
      const off = Math.max(...levels) - Math.min(...levels);
      if (off > same || l.gauge < psi(5) || l.at < from) break;
      still.unshift(l);
      range = off;
    }
    const [first] = still;
    if (!first || still.length < looks_ || (last.at - first.at) * 1000 < over) return undefined;
    const drawn = openBetween(view, 'regulator', first.at, last.at);
    if ((usesOpen(view) * drawn) / perGlass(plant, last) < range + plain) return undefined;
    return {
      from: last.at * 1000,
      till: at + 2 * over,
      since: state.glass!.at,
      what: 'The glass does not move, and steam is drawn',
      first: f.glasses.some((g) => g.blowThrough) ? 'Blow it through: a cock may be shut.' : 'Try its cocks: one may be shut.',
      evidence: [glassLine(still)]
    };
  }
};
