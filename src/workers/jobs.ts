import { movesOf } from '$core/boiler';
import type { FitOut } from '$core/engine';
import { type Learned, learn, type Learning, type Told } from '$core/learn';
import { type Busy, type DayPlan, engineOf, type Known, planWhole, type Whole } from '$core/plan';
import { begin, footing, type Under } from './footing';

export type { Footing, Under } from './footing';

/** Engines are known by what they are made of: a page asks again and again for the same one. */
const engines = new Map<string, ReturnType<typeof engineOf>>();
function engineFor(known: Pick<Known, 'fitOut' | 'fits' | 'offs'>) {
  const key = JSON.stringify([known.fitOut, known.fits, known.offs]);
  let found = engines.get(key);
  if (!found) {
    if (engines.size > 12) engines.clear();
    engines.set(key, (found = engineOf(known)));
  }
  return found;
}

/** The table of jobs. Each takes plain data and gives plain data back. */
export const jobs = {
  plan: ({ known, plan, busy }: { known: Known; plan: DayPlan; busy: Busy }): Whole => planWhole(known, plan, busy, engineFor(known)),
  follow: (under: Under): void => begin(under, engineFor(under.known)),
  footing,
  moves: (fitOut: FitOut) => movesOf(fitOut, fitOut.fire.with === 'spirit' ? 333.15 : 288.15),
  learn: (
    { fitOut, told, learning }: { fitOut: FitOut; told: readonly Told[]; learning: Learning },
    progress: (share: number) => void
  ): Learned => learn(fitOut, told, learning, progress)
} as const;

export type Job = keyof typeof jobs;
export type Input<J extends Job> = Parameters<(typeof jobs)[J]>[0];
export type Output<J extends Job> = ReturnType<(typeof jobs)[J]>;
