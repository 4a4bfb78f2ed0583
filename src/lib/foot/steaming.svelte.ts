import { add, type Entry, fold, type Log } from '$core/log';
import { Feed } from '../live/feed.svelte';
import { forgetHeard, hear, heardOf } from '../outbox/heard';
import { outbox, waitingHere } from '../outbox/index.svelte';
import { type Made, waitingOf } from '../outbox/made';
import type { Waiting } from '../outbox/waiting';

/** One steaming as this page sees it: the folded log, what it makes, and the live feed. */
export interface Opened {
  id: string;
  member: { id: string; name: string };
  log: Log;
  /** From where the feed goes on. */
  place: string;
}

const undoMs = 10_000;
const keepAfter = 3000;

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

  constructor({ id, member, log, place }: Opened) {
    this.id = id;
    this.#member = member;
    this.#whole = $state.raw(log);
    this.feed = new Feed([id], place, {
      entries: (told) => {
        this.#take(told[id] ?? []);
        void hear(id, told[id] ?? []);
      }
    });
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

  /** Takes in what an earlier visit left behind and heard, and listens. Gives back what ends it. */
  open(): () => void {
    const opened = this.#whole.entries;
    void outbox()
      .outbox.refresh()
      .then(() => this.#take(this.waiting.map((w) => w.entry)));
    void heardOf(this.id, opened).then((entries) => this.#take(entries));
    // When the page is at rest: all of a long log is kept, for a day without a network.
    const keep = setTimeout(() => {
      void forgetHeard().then(() => hear(this.id, opened));
      // A browser that grants it does not clear away what has not been delivered.
      void navigator.storage?.persist?.().catch(() => false);
    }, keepAfter);
    const close = this.feed.open();
    return () => {
      close();
      clearTimeout(keep);
      clearTimeout(this.#undo);
    };
  }

  /** Makes entries. They count at once; the network is told afterwards. */
  recordAll(made: readonly Made[]): void {
    const waiting = waitingOf(made, { steaming: this.id, engine: this.log.context.fitOut.name, member: this.#member });
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
