import { feedsAt } from '../../procedure';
import { isLevel } from '../../units';
import { falls, lookError, trendOf } from '../trend';
import type { Rule } from '../rule';
import { needleSpread } from '../../forecast';
import { feedsNow, feedWords } from '../feeds';
import { glassLine, inSteam, lately, minute, needleLine, ms, openBetween } from '../view';

/** Of working pressure: over this it has breath enough. */
const enough = 0.8;
/** Open less than this it is a whisper, and draws nothing down. */
const whisper = 0.2;
/** At work for more than this share of the time, it falls for that. */
const hard = 0.3;
/** Two looks of the last so many minutes tell, min. */
const looked = 12;
/** ms */
const tooOld = 15 * minute;

/** The blower draws steam, water and pressure down together: out of breath. */
export const spiral: Rule = {
  key: 'spiral',
  rank: 'look',
  covers: ['falling', 'fire wants you'],
  clears: 'The needle rising over two readings.',
  on: (f) => f.fire.with === 'solid' && f.glasses.length > 0 && f.gauge,
  finds: (view) => {
    const { fitOut: f, plant, state, looks, needle, at } = view;
    const { blower } = state.valves;
    const { pressure } = state;
    if (!inSteam(state) || !pressure || !blower || blower.open < whisper) return undefined;
    const reads = lately(needle, at, looked).slice(-3);
    const levels = lately(looks, at, looked).slice(-3);
    const [p, q] = [reads.at(-2), reads.at(-1)];
    if (!p || !q || q.value >= p.value || q.value >= enough * f.workingPressure || levels.length < 2) return undefined;
    if (levels.at(-1)!.glass >= levels.at(-2)!.glass) return undefined;
    const from = Math.min(reads[0]!.at, levels[0]!.at);
    if (openBetween(view, 'regulator', from, q.at) > hard * (q.at - from)) return undefined;
    const glass = trendOf(
      levels.map((l) => ({ at: l.at, value: l.glass })),
      lookError
    );
    if (!falls(trendOf(reads, needleSpread(q.value))) || !falls(glass)) return undefined;
    const fan = f.fire.with === 'solid' && f.fire.draught === 'fan';
    const [feed] = feedsNow(f, state);
    const act = plant.sustains > 0 && q.value < plant.sustains;
    return {
      from: at,
      since: pressure.at,
      // What was read long ago says nothing of now; but what was to be acted on is not silenced by its age.
      ...(act ? {} : { till: ms(pressure.at) + tooOld }),
      what: 'Water and pressure fall together, with the blower on',
      first: [
        fan ? 'Fan back on if it can be, blower down.' : 'Blower down as far as it draws.',
        state.glass && isLevel(state.glass.value) && feed
          ? `Small feeds: ${feedWords(feed)}.`
          : feedsAt(f).length
            ? 'No feed works as it is now.'
            : '',
        'Rebuild the fire, thin and bright.'
      ]
        .filter(Boolean)
        .join(' '),
      evidence: [
        needleLine(reads),
        glassLine(levels),
        `Under ${Math.round(enough * 100)} % of working pressure, and the engine hardly at work.`
      ],
      rank: act ? 'act now' : 'look'
    };
  },
  holds: ({ state, needle }) => inSteam(state) && !(needle.length > 1 && needle.at(-1)!.value > needle.at(-2)!.value)
};
