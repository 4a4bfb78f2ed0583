import type { Log } from '$core/log';
import type { DayPlan, Known } from '$core/plan';
import type { Footing } from '../../workers/jobs';
import { newest } from '../sums';

/** What the worker says of a steaming under way: asked again with every entry, and as time goes by. */
export class Forecast {
  footing = $state.raw<Footing>();
  #known: Pick<Known, 'fitOut' | 'fits' | 'offs'>;
  #plan: DayPlan | undefined;
  // What could not be worked out is not shown: an old forecast must not stand for a new one.
  #ask = newest(
    'footing',
    (footing) => (this.footing = footing),
    () => (this.footing = undefined)
  );

  constructor({ known, plan }: { known: Pick<Known, 'fitOut' | 'fits' | 'offs'>; plan: DayPlan | null }) {
    this.#known = known;
    this.#plan = plan ?? undefined;
  }

  look({ context, entries }: Log, now: number) {
    this.#ask({ context, entries, known: this.#known, now, ...(this.#plan ? { plan: this.#plan } : {}) });
  }

  /** About when a pressure will be reached, ms since 1970; undefined when it is not known. */
  at = (pressure: number): number | undefined => {
    const gate = this.footing?.live.gates.find((g) => g.pressure >= pressure * 0.999);
    return gate && gate.band.middle < Infinity ? gate.band.middle : undefined;
  };
}
