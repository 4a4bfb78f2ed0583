import type { Answer, OutboxView, Store, Trouble, Waiting } from './waiting';

/** The most that one delivery carries. */
const batch = 500;
/** How long to wait before trying again, ms: twice as long each time, and a minute at most. */
const firstWait = 2500;
const longestWait = 60_000;

export interface Around {
  readonly store: Store;
  /** Sends a batch of one steaming's entries. Never throws. */
  readonly post: (steaming: string, entries: readonly Waiting[]) => Promise<Answer>;
  /** Runs the work unless another page of this device is at it; whether it was run. */
  readonly alone: (work: () => Promise<void>) => Promise<boolean>;
  /** Calls back later, in place of what was to be called before. */
  readonly later: (work: () => void, ms: number) => void;
  /** Something is to be shown anew on this page. */
  readonly changed: (view: OutboxView) => void;
  /** The store holds something else than before: for the other pages of this device. */
  readonly stored: () => void;
  readonly now: () => number;
}

const byMaking = (a: Waiting, b: Waiting) => (a.id < b.id ? -1 : 1);
const isTrouble = (answer: Answer): answer is Trouble => !['taken', 'refused', 'too large'].includes(answer.is);

/**
 * THE OUTBOX: what was made on this device and the server has not said that it has. An entry leaves it when the server has it or
 * its maker has thrown it away, and never otherwise.
 */
export class Outbox {
  readonly #around: Around;
  #member: string | undefined;
  /** What the store held when it was last read. */
  #stored: readonly Waiting[] = [];
  /** What the store does not hold: not yet, or it cannot. */
  readonly #memory = new Map<string, Waiting>();
  readonly #unkept = new Set<string>();
  /** Delivered, and perhaps still in a store that could not let go of it. */
  readonly #gone = new Set<string>();
  #trouble: Trouble | undefined;
  #deliveredAt: number | undefined;
  #tries = 0;
  #delivering = false;
  #again = false;

  constructor(around: Around) {
    this.#around = around;
  }

  get view(): OutboxView {
    const all = this.#all();
    const mine = all.filter((w) => w.member === this.#member);
    return {
      waiting: mine.filter((w) => !w.refused),
      aside: mine.filter((w) => w.refused),
      others: all.filter((w) => w.member !== this.#member),
      unkept: this.#unkept.size,
      trouble: this.#trouble,
      deliveredAt: this.#deliveredAt
    };
  }

  #all(): Waiting[] {
    const all = new Map(this.#stored.map((w) => [w.id, w]));
    for (const w of this.#memory.values()) all.set(w.id, w);
    return [...all.values()].filter((w) => !this.#gone.has(w.id)).sort(byMaking);
  }

  #tell() {
    this.#around.changed(this.view);
  }

  /** Who is signed in on this page; nobody when left out. */
  async signedIn(member: string | undefined): Promise<void> {
    this.#member = member;
    this.#trouble = undefined;
    await this.refresh();
    await this.deliver();
  }

  /** Reads the store again: another page of this device has changed it. */
  async refresh(): Promise<void> {
    try {
      this.#stored = await this.#around.store.all();
    } catch {
      // What cannot be read is not lost: what this page made is in its memory.
    }
    this.#tell();
  }

  /** Takes in what was made. It counts at once; store and network are told afterwards. */
  async add(waiting: readonly Waiting[]): Promise<void> {
    for (const w of waiting) this.#memory.set(w.id, w);
    this.#tell();
    await this.#keep(waiting);
    await this.deliver();
  }

  async #keep(waiting: readonly Waiting[]): Promise<void> {
    try {
      await this.#around.store.put(waiting);
      this.#around.stored();
      this.#stored = [...this.#stored.filter((s) => waiting.every((w) => w.id !== s.id)), ...waiting];
      for (const w of waiting) {
        this.#memory.delete(w.id);
        this.#unkept.delete(w.id);
      }
    } catch {
      for (const w of waiting) {
        this.#memory.set(w.id, w);
        this.#unkept.add(w.id);
      }
    }
    this.#tell();
  }

  async #letGo(ids: readonly string[], drop: () => Promise<void>): Promise<void> {
    for (const id of ids) {
      this.#gone.add(id);
      this.#memory.delete(id);
      this.#unkept.delete(id);
    }
    try {
      await drop();
      this.#around.stored();
      this.#stored = this.#stored.filter((w) => !ids.includes(w.id));
    } catch {
      // It is sent once more some day, and stored once.
    }
    this.#tell();
  }

  /** Throws away what was set aside. */
  readonly discard = (id: string): Promise<void> => this.#letGo([id], () => this.#around.store.drop([id]));

  /** What was set aside goes on its way again. */
  async retry(id: string): Promise<void> {
    const found = this.#all().find((w) => w.id === id);
    if (!found) return;
    const { refused: _, ...again } = found;
    await this.add([again]);
  }

  /** Delivers what waits, steaming by steaming, in the order in which it was made. */
  async deliver(): Promise<void> {
    if (this.#delivering) {
      this.#again = true;
      return;
    }
    this.#delivering = true;
    try {
      do {
        this.#again = false;
        let trouble: Trouble | undefined;
        const ran = await this.#around.alone(async () => {
          await this.refresh();
          trouble = await this.#deliverAll();
        });
        // Another page is at it; it may be closed before it is done.
        if (!ran) {
          if (this.view.waiting.length) this.#around.later(() => void this.deliver(), firstWait);
          break;
        }
        this.#trouble = trouble;
        if (trouble) {
          const usual = Math.min(longestWait, firstWait * 2 ** this.#tries++);
          if (trouble.is !== 'signed out')
            this.#around.later(() => void this.deliver(), trouble.is === 'too often' ? trouble.seconds * 1000 : usual);
          break;
        }
        this.#tries = 0;
      } while (this.#again);
    } finally {
      this.#delivering = false;
      this.#tell();
    }
  }

  async #deliverAll(): Promise<Trouble | undefined> {
    const { waiting } = this.view;
    for (const steaming of new Set(waiting.map((w) => w.steaming))) {
      const trouble = await this.#deliverOf(
        steaming,
        waiting.filter((w) => w.steaming === steaming)
      );
      if (trouble) return trouble;
    }
    return undefined;
  }

  async #deliverOf(steaming: string, left: readonly Waiting[]): Promise<Trouble | undefined> {
    let size = batch;
    for (let i = 0; i < left.length;) {
      const part = left.slice(i, i + size);
      const answer = await this.#around.post(steaming, part);
      if (isTrouble(answer)) return answer;
      // One that is too large, or spoils its batch, is found by halving it; the others go.
      if (answer.is !== 'taken' && part.length > 1) {
        size = Math.ceil(part.length / 2);
        continue;
      }
      i += part.length;
      size = Math.min(batch, size * 2);
      const why = new Map(
        answer.is === 'taken' ? answer.refused.map((r) => [r.id, r.sentence] as const) : part.map((w) => [w.id, answer.sentence] as const)
      );
      await this.#letGoOf(part, why);
    }
    return undefined;
  }

  async #letGoOf(part: readonly Waiting[], why: ReadonlyMap<string | undefined, string>): Promise<void> {
    const aside = part.flatMap((w) => (why.has(w.id) ? [{ ...w, refused: why.get(w.id)! }] : []));
    const taken = part.filter((w) => !why.has(w.id));
    if (aside.length) await this.#keep(aside);
    if (!taken.length) return;
    this.#deliveredAt = this.#around.now();
    await this.#letGo(
      taken.map((w) => w.id),
      () => this.#around.store.delivered(taken)
    );
  }
}
