import { readFileSync } from 'node:fs';
import { type FitOut, fitOutOf } from '../../src/core/engine';
import { psi } from '../../src/core/units';

/**
 * Days made by another model than Joram's: another boiler, another fire, another keeper, another gauge. What is set is set on those
 * for fitting; what is printed is scored on the rest.
 */
export type Use = 'fit' | 'check';

/** s from the match, Pa at the gauge as read, the glass as read. */
export interface Look {
  readonly at: number;
  readonly value: number;
  readonly glass: number;
}

/** One raising: what was read, and when the needle truly came to its target. */
export interface Raised {
  /** Of the usual heat of the fire: 1, or less on an odd day. */
  readonly heat: number;
  /** kg */ readonly water: number;
  /** K */ readonly T: number;
  readonly ambient: number;
  /** Pa at the gauge */ readonly target: number;
  /** s after the match at which the blower took over from the fan. */
  readonly own?: number;
  readonly reached: number;
  readonly readings: readonly Look[];
}
export interface Engine {
  readonly id: string;
  readonly class: string;
  readonly fitOut: FitOut;
  readonly raisings: readonly Raised[];
}
export interface Running {
  readonly class: string;
  readonly fitOut: FitOut;
  /** Pa */ readonly gauge: number;
  readonly looks: readonly { readonly at: number; readonly glass: number }[];
  /** kg/s */
  readonly feeds: readonly { readonly from: number; readonly to: number; readonly rate: number; readonly relativeError: number }[];
  /** s truly left from `now` until the glass stands at `lowest`, nothing fed. */
  readonly asks: readonly { readonly now: number; readonly lowest: number; readonly left: number }[];
}
/** An engine whose figures are known, and four of its days, each through three quarters of an hour of cooling. */
export interface Known {
  readonly class: string;
  readonly fitOut: FitOut;
  readonly truth: { readonly heat: number; readonly loss: number; readonly boost?: number };
  readonly days: readonly (Omit<Raised, 'heat' | 'target'> & { readonly heatOff: number })[];
}

type Raw = Record<string, never>;
type Numbers = readonly (readonly number[])[];
interface File {
  fitOuts: Record<string, Raw>;
  engines: (Raw & {
    id: string;
    class: string;
    use: Use;
    raisings: {
      heat: number;
      water: number;
      T0: number;
      ambient: number;
      target: number;
      own: number | null;
      reached: number | null;
      readings: Numbers;
    }[];
  })[];
  running: (Raw & {
    class: string;
    use: Use;
    gauge: number;
    looks: Numbers;
    feeds: Running['feeds'];
    asks: { now: number; lowest: number; minutes: number }[];
  })[];
  learning: (Raw & {
    class: string;
    use: Use;
    truth: { heat: number; loss: number; boost: number | null };
    logs: { water: number; T0: number; ambient: number; own: number | null; reached: number | null; heatOff: number; readings: Numbers }[];
  })[];
}

/** @param use which of the days @param file one in the same form; those kept here when left out */
export function foreignDays(use: Use, file = new URL('days.json', import.meta.url)) {
  const { fitOuts, engines, running, learning } = JSON.parse(readFileSync(file, 'utf8')) as unknown as File;
  const kinds = Object.fromEntries(Object.entries(fitOuts).map(([name, f]) => [name, fitOutOf(f)]));
  const looks = (readings: Numbers): Look[] => readings.map(([at, value, glass]) => ({ at: at!, value: psi(value!), glass: glass! }));
  return {
    engines: engines
      .filter((e) => e.use === use)
      .map((e): Engine => ({
        id: e.id,
        class: e.class,
        fitOut: kinds[e.class]!,
        raisings: e.raisings.map(({ T0, target, own, reached, readings, ...r }) => ({
          ...r,
          T: T0,
          target: psi(target),
          reached: reached ?? Infinity,
          readings: looks(readings),
          ...(own === null ? {} : { own })
        }))
      })),
    running: running
      .filter((r) => r.use === use)
      .map((r): Running => ({
        class: r.class,
        fitOut: kinds[r.class]!,
        gauge: psi(r.gauge),
        looks: r.looks.map(([at, glass]) => ({ at: at!, glass: glass! })),
        feeds: r.feeds,
        asks: r.asks.map(({ now, lowest, minutes }) => ({ now, lowest, left: minutes * 60 }))
      })),
    learning: learning
      .filter((l) => l.use === use)
      .map((l): Known => ({
        class: l.class,
        fitOut: kinds[l.class]!,
        truth: { heat: l.truth.heat, loss: l.truth.loss, ...(l.truth.boost === null ? {} : { boost: l.truth.boost }) },
        days: l.logs.map(({ T0, own, reached, readings, ...r }) => ({
          ...r,
          T: T0,
          reached: reached ?? Infinity,
          readings: looks(readings),
          ...(own === null ? {} : { own })
        }))
      }))
  };
}
