import { psi } from '../../units';
import type { Rule } from '../rule';
import { fedSince, glassLine, inSteam, minute, ms, perGlass, usesNow } from '../view';

/** Looks that are the same to a sixteenth; so many of them, over so long. */
const same = 1 / 32;
const looks_ = 3;
const over = 10 * minute;
/** What was used in that time has to be more than would be missed, of the glass. */
const plain = 0.1;

/** A glass that does not move while steam is drawn: a cock is shut, or it is choked. */
export const glassStill: Rule = {
  key: 'glass still',
  rank: 'look',
  clears: 'The glass moving, or blown through.',
  on: (f) => f.glasses.length > 0,
  finds: (view) => {
    const { fitOut: f, plant, state, looks, at } = view;
    const last = looks.at(-1);
    const { regulator, blower } = state.valves;
    const drawn = (regulator?.open ?? 0) > 0 || (blower?.open ?? 0) > 0;
    if (!last || !drawn || !inSteam(state) || last.gauge < psi(5)) return undefined;
    const still: (typeof last)[] = [];
    for (const l of [...looks].reverse()) {
      if (Math.abs(l.glass - last.glass) > same || l.gauge < psi(5)) break;
      still.unshift(l);
    }
    const first = still[0]!;
    const span = last.at - first.at;
    if (still.length < looks_ || span * 1000 < over || fedSince(view, first.at)) return undefined;
    if (state.seen['water returns'] && ms(state.seen['water returns']) / 1000 > first.at) return undefined;
    const since = Math.max(first.at, ...[regulator, blower].map((v) => (v && v.open > 0 ? ms(v.at) / 1000 : 0)));
    if ((usesNow(view) * (last.at - since)) / perGlass(plant, last) < plain) return undefined;
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
