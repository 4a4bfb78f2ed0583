/** What an instrument that is pointed at has to say for itself. */
export interface Instrument<T> {
  /** What stands at the place of the finger. */
  at: (event: PointerEvent) => T;
  /** What a key makes of the draft, or of what was read last; undefined when it is not a key of this instrument. */
  key: (key: string, draft: T | undefined) => T | undefined;
  /** Logs; undefined while the instrument is only looked at. */
  pick: () => ((value: T) => void) | undefined;
  /** Told what would be logged while the finger is down. */
  drafted: (value: T | undefined) => void;
}

/** Pointing at a drawing: a draft follows the finger or the arrow keys, letting go or Enter logs it, Escape leaves it. */
export class Pointing<T> {
  draft = $state.raw<T>();
  #of: Instrument<T>;

  constructor(instrument: Instrument<T>) {
    this.#of = instrument;
  }

  #set(to: T | undefined) {
    this.draft = to;
    this.#of.drafted(to);
  }
  #log() {
    const picked = this.draft;
    if (picked === undefined) return;
    this.#set(undefined);
    this.#of.pick()?.(picked);
  }

  /** Everything that the drawing's element listens to. */
  readonly on = {
    onpointerdown: (event: PointerEvent) => {
      if (!this.#of.pick()) return;
      (event.currentTarget as Element).setPointerCapture(event.pointerId);
      this.#set(this.#of.at(event));
    },
    onpointermove: (event: PointerEvent) => {
      if (this.draft !== undefined && event.buttons > 0) this.#set(this.#of.at(event));
    },
    onpointerup: () => this.#log(),
    onpointercancel: () => this.#set(undefined),
    onblur: () => this.#set(undefined),
    onkeydown: (event: KeyboardEvent) => {
      if (!this.#of.pick()) return;
      const moved = this.#of.key(event.key, this.draft);
      if (moved !== undefined) this.#set(moved);
      else if (event.key === 'Enter' && this.draft !== undefined) this.#log();
      else if (event.key === 'Escape') this.#set(undefined);
      else return;
      event.preventDefault();
      event.stopPropagation();
    }
  };
}
