import { mark } from '../../units';
import type { Rule } from '../rule';
import { minute, ms } from '../view';

/** Under its set pressure by more than this a valve lifted early. */
const early = 0.95;
/** It is said for so long, ms: nothing clears it but another lift. */
const saidFor = 15 * minute;

export const earlyLift: Rule = {
  key: 'early lift',
  rank: 'look',
  clears: 'A later lift of that valve nearer to its set pressure.',
  on: (f) => f.gauge,
  finds: ({ fitOut, state: { lifts, faults } }) => {
    const last = lifts.findLast((l) => l.lifted !== undefined);
    const valve = last && fitOut.safetyValves[last.valve - 1];
    if (!last || !valve || last.lifted! >= valve.set * early) return undefined;
    // It has been written down as a fault since.
    if (faults.some((f) => f.at >= last.at && /valve/i.test(f.text))) return undefined;
    const which = fitOut.safetyValves.length > 1 ? `Safety valve ${last.valve}` : 'The safety valve';
    return {
      from: ms(last.at),
      till: ms(last.at) + saidFor,
      since: last.at,
      what: `${which} lifted at ${mark(last.lifted!, 'pressure')}, set to ${mark(valve.set, 'pressure')}`,
      first: 'Compare the gauge. If it is right, raise a fault for the valve.'
    };
  }
};
