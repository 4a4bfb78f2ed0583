import { inSteamAt } from '$core/engine';
import type { Entry, Log } from '$core/log';
import type { DayPlan, Known } from '$core/plan';
import { opensAtPressure, type Step } from '$core/procedure';
import type { Footing } from '../../workers/jobs';
import { ask } from '../ask';
import { clubNow } from '../outbox/club-time';

/**
 * What the worker says of a steaming under way. The worker follows the log: it is told what it has not had yet, and asked again
 * with every entry and as time goes by.
 */
export class Forecast {
  footing = $state.raw<Footing>();
  #known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used'>;
  #plan: DayPlan | undefined;
  #id: string;
  #log: Log | undefined;
  /** Entries that the worker has, and where they stood: nothing on screen reads it. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity
  #told = new Map<string, string>();
  #asking = false;
  #again = false;

  constructor({ id, known, plan }: { id: string; known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used'>; plan: DayPlan | null }) {
    this.#id = id;
    this.#known = known;
    this.#plan = plan ?? undefined;
  }

  look(log: Log) {
    this.#log = log;
    if (this.#asking) this.#again = true;
    else void this.#ask(log);
  }

  async #ask(log: Log) {
    this.#asking = true;
    try {
      // What the server refused is no part of the log any more: the worker begins anew.
      if (log.entries.filter((e) => this.#told.has(e.id)).length < this.#told.size) this.#told.clear();
      if (this.#told.size === 0)
        await ask('follow', { id: this.#id, context: log.context, known: this.#known, ...(this.#plan ? { plan: this.#plan } : {}) });
      const added: Entry[] = log.entries.filter((e) => this.#told.get(e.id) !== e.at);
      for (const e of added) this.#told.set(e.id, e.at);
      this.footing = await ask('footing', { id: this.#id, added, now: clubNow() });
    } catch {
      // What could not be worked out is not shown: an old forecast must not stand for a new one. A worker that is new is told everything.
      this.footing = undefined;
      this.#told.clear();
    }
    this.#asking = false;
    if (!this.#again) return;
    this.#again = false;
    void this.#ask(this.#log!);
  }

  /** About when a step's first gate will open, ms since 1970; undefined when it is not known. */
  opens = ({ gates }: Pick<Step, 'gates'>): number | undefined => {
    if (gates.some((g) => g.kind === 'seen' && g.what === 'glass moving')) return this.footing?.live.boils?.middle;
    const [pressure] = gates.flatMap((g) => opensAtPressure(g, inSteamAt(this.#known.fitOut)) ?? []);
    if (pressure === undefined) return undefined;
    const gate = this.footing?.live.gates.find((g) => g.pressure >= pressure * 0.999);
    return gate && gate.band.middle < Infinity ? gate.band.middle : undefined;
  };
}
