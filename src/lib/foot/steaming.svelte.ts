import { add, type Bodies, type Context, type Entry, fold, type Kind, type Log, placed } from '$core/log';
import { timeOrderedId } from '$core/log/id';
import { Feed } from '../live/feed.svelte';
import { aheadNow, isoOf } from '../outbox/club-time';
import { outbox, waitingHere } from '../outbox/index.svelte';
import type { Waiting } from '../outbox/waiting';

/** One steaming as this page sees it: the folded log, what it makes, and the live feed. */
export interface Opened {
  id: string;
  context: Context;
  member: { id: string; name: string };
  entries: readonly Entry[];
  /** From where the feed goes on. */
  place: string;
}

const undoMs = 10_000;
export type Made = { readonly kind: Kind; readonly body: Bodies[Kind]; readonly strikes?: string };

export class Steaming {
  readonly id: string;
  readonly feed: Feed;
  #whole: Log;
  /** What the server has refused is no part of it: the step it ticked is open again. */
  readonly log: Log = $derived.by(() => {
    const { aside } = this;
    const { context, entries } = this.#whole;
    return aside.length
      ? fold(
          context,
          entries.filter((e) => aside.every((w) => w.id !== e.id))
        )
      : this.#whole;
  });
  /** The entries that can still be taken back in one touch. */
  undoable = $state<{ ids: string[]; until: number }>();
  #member: { id: string; name: string };
  #undo: ReturnType<typeof setTimeout> | undefined;

  constructor({ id, context, member, entries, place }: Opened) {
    this.id = id;
    this.#member = member;
    this.#whole = $state.raw(fold(context, entries));
    this.feed = new Feed([id], place, { entries: (told) => this.#take(told[id] ?? []) });
  }

  get state() {
    return this.log.state;
  }

  #take(entries: readonly Entry[]) {
    this.#whole = entries.reduce(add, this.#whole);
  }

  /** What this device still has to deliver of this log. */
  get waiting(): readonly Waiting[] {
    return waitingHere().waiting.filter((w) => w.steaming === this.id);
  }
  get aside(): readonly Waiting[] {
    return waitingHere().aside.filter((w) => w.steaming === this.id);
  }

  /** Takes in what an earlier visit left behind, and listens. Gives back what ends it. */
  open(): () => void {
    void outbox()
      .outbox.refresh()
      .then(() => this.#take(this.waiting.map((w) => w.entry)));
    const close = this.feed.open();
    return () => {
      close();
      clearTimeout(this.#undo);
    };
  }

  /** Makes entries. They count at once; the network is told afterwards. */
  recordAll(made: readonly Made[]): void {
    const now = Date.now();
    const ahead = aheadNow();
    const waiting = made.map((m, i): Waiting => {
      // A millisecond apart, so that what was said in one go keeps its order.
      const said = now + i;
      const id = timeOrderedId(said, crypto.getRandomValues(new Uint8Array(10)));
      const entry = { ...m, id, ...placed(said, ahead, Infinity), by: this.#member.name, source: 'person' } as Entry;
      return {
        id,
        steaming: this.id,
        engine: this.log.context.fitOut.name,
        member: this.#member.id,
        entry,
        said: isoOf(said),
        ...(ahead === undefined ? {} : { ahead })
      };
    });
    const entries = waiting.map((w) => w.entry);
    this.#take(entries);
    // What ends a steaming is not taken back in passing.
    if (entries.every((e) => e.kind !== 'strike' && e.kind !== 'sign')) this.#offerUndo(entries.map((e) => e.id));
    void outbox().outbox.add(waiting);
  }

  undo() {
    const ids = this.undoable?.ids ?? [];
    this.undoable = undefined;
    if (ids.length) this.recordAll(ids.map((strikes) => ({ kind: 'strike', body: { reason: 'undone' }, strikes })));
  }

  #offerUndo(ids: string[]) {
    clearTimeout(this.#undo);
    this.undoable = { ids, until: Date.now() + undoMs };
    this.#undo = setTimeout(() => (this.undoable = undefined), undoMs);
  }
}
