import { add, type Bodies, type Context, type Entry, fold, type Kind, type Log } from '$core/log';
import { timeOrderedId } from '$core/log/id';
import { drop, keep, type Waiting, waitingFor } from './outbox';

/** One steaming as this page sees it: the folded log, what this device has still to deliver, and the live feed. */
export interface Opened {
  id: string;
  context: Context;
  member: { id: string; name: string };
  entries: readonly Entry[];
  /** The server's last place in the order of arrival. */
  last: number;
}

const formatISO = (ms: number) => new Date(ms).toISOString();
/** The most that one delivery carries. */
const batch = 500;
const undoMs = 10_000;

export class Steaming {
  readonly id: string;
  log: Log;
  waiting = $state(0);
  refused = $state<Waiting[]>([]);
  reachable = $state(true);
  deliveredAt = $state<number>();
  /** The entries that can still be taken back in one touch. */
  undoable = $state<{ ids: string[]; until: number }>();
  #member: { id: string; name: string };
  #after: number;
  #source: EventSource | undefined;
  #delivering = false;
  #again = false;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #undo: ReturnType<typeof setTimeout> | undefined;

  constructor({ id, context, member, entries, last }: Opened) {
    this.id = id;
    this.#member = member;
    this.#after = last;
    this.log = $state.raw(fold(context, entries));
  }

  get state() {
    return this.log.state;
  }

  /** Starts listening and delivers what an earlier visit left behind. Gives back what ends both. */
  open(): () => void {
    void waitingFor(this.id, this.#member.id)
      .then((left) => {
        for (const { entry } of left) this.log = add(this.log, entry);
        return this.#deliver();
      })
      .catch(() => {});
    this.#source = new EventSource(`/api/steamings/${this.id}/live?after=${this.#after}`);
    this.#source.onmessage = ({ data }) => {
      for (const entry of JSON.parse(data) as Entry[]) this.log = add(this.log, entry);
    };
    const online = () => void this.#deliver();
    addEventListener('online', online);
    return () => {
      this.#source?.close();
      removeEventListener('online', online);
      clearTimeout(this.#retry);
      clearTimeout(this.#undo);
    };
  }

  /** Makes an entry. It counts at once; the network is told afterwards. */
  record<K extends Kind>(kind: K, body: Bodies[K], strikes?: string): Entry {
    return this.recordAll([{ kind, body, ...(strikes ? { strikes } : {}) } as { kind: Kind; body: Bodies[Kind]; strikes?: string }])[0]!;
  }

  recordAll(made: readonly { kind: Kind; body: Bodies[Kind]; strikes?: string }[]): Entry[] {
    const now = Date.now();
    // A millisecond apart, so that what was said in one go keeps its order.
    const entries = made.map(
      (m, i) =>
        ({
          ...m,
          id: timeOrderedId(now + i, crypto.getRandomValues(new Uint8Array(10))),
          at: formatISO(now + i),
          by: this.#member.name,
          source: 'person'
        }) as Entry
    );
    for (const entry of entries) this.log = add(this.log, entry);
    this.waiting += entries.length;
    if (entries.every((e) => e.kind !== 'strike')) this.#offerUndo(entries.map((e) => e.id));
    void keep(entries.map((entry) => ({ id: entry.id, steaming: this.id, member: this.#member.id, entry })))
      // A browser that keeps nothing (private window, full disk) still delivers.
      .catch(() => this.#send(entries))
      .then(() => this.#deliver());
    return entries;
  }

  strike(id: string, reason?: string) {
    this.record('strike', reason ? { reason } : {}, id);
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

  async #send(entries: readonly Entry[]): Promise<{ refused: { id?: string; sentence: string }[] }> {
    const response = await fetch(`/api/steamings/${this.id}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: entries.map(({ by: _, ...entry }) => entry) })
    });
    if (!response.ok && response.status !== 400) throw new Error(String(response.status));
    const answer = await response.json();
    return { refused: answer.refused ?? [] };
  }

  async #deliver() {
    clearTimeout(this.#retry);
    if (this.#delivering) {
      this.#again = true;
      return;
    }
    this.#delivering = true;
    try {
      const all = await waitingFor(this.id, this.#member.id);
      const left = all.filter((w) => !w.refused);
      this.refused = all.filter((w) => w.refused);
      for (let i = 0; i < left.length; i += batch) {
        const part = left.slice(i, i + batch);
        const { refused } = await this.#send(part.map((w) => w.entry));
        const kept = part.flatMap((w) => refused.filter((r) => r.id === w.id).map((r) => ({ ...w, refused: r.sentence })));
        await drop(part.filter((w) => kept.every((k) => k.id !== w.id)).map((w) => w.id));
        if (kept.length) await keep(kept);
        this.refused = [...this.refused, ...kept];
      }
      this.reachable = true;
      this.deliveredAt = Date.now();
      this.waiting = (await waitingFor(this.id, this.#member.id)).filter((w) => !w.refused).length;
    } catch {
      this.reachable = false;
      this.#retry = setTimeout(() => void this.#deliver(), 5000);
    } finally {
      this.#delivering = false;
      if (this.#again) {
        this.#again = false;
        void this.#deliver();
      }
    }
  }
}
