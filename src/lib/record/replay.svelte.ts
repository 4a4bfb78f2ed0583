import type { Fit } from '$core/learn';
import { add, type Context, type Entry, fold, type Log } from '$core/log';
import type { DayPlan } from '$core/plan';
import { due, type Watch, warningsOf, watching } from '$core/watch';
import type { Footing } from '../../workers/jobs';
import { ask } from '../ask';

/** A finished steaming as it stood at any minute of it: what was logged by then, what the watch said, and what the forecast believed. */
export class Replay {
  readonly begins: number;
  readonly ends: number;
  readonly context: Context;
  readonly #entries: readonly Entry[];
  readonly #known;
  readonly #plan: DayPlan | undefined;
  readonly #id: string;
  /** ms since 1970 */
  at = $state(0);
  footing = $state.raw<Footing>();
  /** What was folded last: going on costs no more than what came since. */
  #before: { readonly log: Log; readonly watch: Watch; readonly taken: number } | undefined;
  #told = 0;
  #asking = false;
  #wanted: number | undefined;

  readonly #now = $derived.by(() => {
    const taken = this.#until(this.at);
    const before = this.#before && this.#before.taken <= taken ? this.#before : undefined;
    const log = before
      ? this.#entries.slice(before.taken, taken).reduce(add, before.log)
      : fold(this.context, this.#entries.slice(0, taken));
    const watch = watching(log, before?.watch);
    this.#before = { log, watch, taken };
    return this.#before;
  });
  readonly log = $derived(this.#now.log);
  readonly watch = $derived(this.#now.watch);
  readonly alarms = $derived.by(() => warningsOf(this.watch, this.at));
  readonly due = $derived.by(() => due(this.context.procedure, this.log.state, this.at));

  constructor(of: { id: string; context: Context; entries: readonly Entry[]; plan: DayPlan | null; fits: readonly Fit[] }) {
    this.context = of.context;
    // As they stood by the club's time: whatever was struck later had been believed.
    this.#entries = of.entries;
    this.#plan = of.plan ?? undefined;
    this.#id = `replay ${of.id}`;
    this.#known = { fitOut: of.context.fitOut, fits: of.fits, offs: [], used: [], runs: of.context.begun?.runs ?? [] };
    this.begins = Date.parse(of.entries[0]?.at ?? '');
    this.ends = Date.parse(of.entries.at(-1)?.at ?? '');
    this.at = this.begins;
  }

  /** How many entries there were by then. */
  #until(at: number): number {
    let [low, high] = [0, this.#entries.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (Date.parse(this.#entries[middle]!.at) <= at) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** To another moment of it. @param at ms since 1970 */
  go = (at: number): void => {
    this.at = Math.min(this.ends, Math.max(this.begins, at));
  };

  /** The moment at which something was told next, or last. */
  next = (back = false): number => {
    const here = this.#until(this.at);
    return Date.parse((back ? this.#entries[Math.max(0, here - 2)] : this.#entries[here])?.at ?? '') || this.at;
  };

  /** Asks what the forecast believed: one at a time, the last that was wanted. */
  believe = async (at: number): Promise<void> => {
    this.#wanted = at;
    if (this.#asking) return;
    this.#asking = true;
    try {
      while (this.#wanted !== undefined) {
        const now = this.#wanted;
        this.#wanted = undefined;
        const taken = this.#until(now);
        // Back in time nothing of what came later is known.
        if (taken < this.#told || this.#told === 0) {
          await ask('follow', { id: this.#id, context: this.context, known: this.#known, ...(this.#plan ? { plan: this.#plan } : {}) });
          this.#told = 0;
        }
        const added = this.#entries.slice(this.#told, taken);
        this.footing = await ask('footing', { id: this.#id, added, now });
        this.#told = taken;
      }
    } catch {
      this.footing = undefined;
      this.#told = 0;
    }
    this.#asking = false;
  };
}
