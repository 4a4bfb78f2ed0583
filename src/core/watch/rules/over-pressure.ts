import { feedsAt } from '../../procedure';
import { isLevel, mark } from '../../units';
import { fireOut, less } from '../drills';
import type { Rule } from '../rule';
import { ms } from '../view';

/** Over working pressure by the limit that boilers are tested to; back when it is nearly under it again. */
const limit = 1.1;
const back = 1.03;
/** A twentieth more is worse. */
const worse = 0.05;

export const overPressure: Rule = {
  key: 'over pressure',
  rank: 'act now',
  covers: ['no lift', 'fan'],
  clears: 'The needle within three hundredths of working pressure.',
  on: (f) => f.gauge,
  finds: ({ fitOut: f, state: { pressure, glass } }) =>
    pressure && pressure.value > f.workingPressure * limit
      ? {
          from: ms(pressure.at),
          since: pressure.at,
          what: `Pressure more than a tenth over ${mark(f.workingPressure, 'pressure')}`,
          first: `${less(f) ?? fireOut[f.fire.with]} People back.${feedsAt(f).length && glass && isLevel(glass.value) ? ' Feed: the glass shows water.' : ''}`,
          evidence: [`The needle at ${mark(pressure.value, 'pressure')}; the limit is ${mark(f.workingPressure * limit, 'pressure')}.`],
          bad: (pressure.value / f.workingPressure - limit) / worse
        }
      : undefined,
  holds: ({ fitOut, state: { pressure } }) => pressure !== undefined && pressure.value > fitOut.workingPressure * back
};
