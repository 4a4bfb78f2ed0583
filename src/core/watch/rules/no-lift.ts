import { mark } from '../../units';
import { fireOut, less } from '../drills';
import type { Rule } from '../rule';
import { ms } from '../view';

/** Over its set pressure by so much a valve has lifted, or it does not. */
const passed = 1.03;

export const noLift: Rule = {
  key: 'no lift',
  rank: 'look',
  clears: 'A lift logged.',
  on: (f) => f.gauge,
  finds: ({ fitOut: f, state: { pressure, lifts, seen } }) => {
    const set = Math.min(...f.safetyValves.map((v) => v.set));
    return pressure &&
      pressure.value > set * passed &&
      pressure.value <= f.workingPressure * 1.1 &&
      !lifts.some((l) => l.lifted !== undefined) &&
      seen['blowing off'] === undefined
      ? {
          from: ms(pressure.at),
          since: pressure.at,
          what: `Over ${mark(set, 'pressure')} and no safety valve seen to lift`,
          first: `${less(f) ?? fireOut[f.fire.with]} Log the lift if you saw it; if not, raise a fault.`
        }
      : undefined;
  },
  holds: ({ fitOut: f, state: { pressure, lifts, seen } }) =>
    !lifts.some((l) => l.lifted !== undefined) &&
    seen['blowing off'] === undefined &&
    pressure !== undefined &&
    pressure.value > Math.min(...f.safetyValves.map((v) => v.set)) &&
    pressure.value <= f.workingPressure * 1.1
};
