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

/** A finger that has rested this long points, ms; one that moves before it swipes. */
const rest = 120;
/** How far a finger may slip and still be at rest, px. */
const slip = 8;

/**
 * Pointing at a drawing: a draft follows the finger or the arrow keys, letting go or Enter logs it, Escape leaves it. A finger
 * points by a tap or by resting; one that moves along before it has rested is scrolling the page, and logs nothing.
 */
export class Pointing<T> {
  draft = $state.raw<T>();
  #of: Instrument<T>;
  /** A finger that is down and has not yet shown what it wants. */
  #waiting: { x: number; y: number; timer: ReturnType<typeof setTimeout> } | undefined;

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
  #leave() {
    clearTimeout(this.#waiting?.timer);
    this.#waiting = undefined;
  }

  /** Listens at a drawing's element: `<div {@attach pointing.at}>`. */
  readonly at = (element: Element) => {
    const ended = new AbortController();
    const on = (name: string, hear: (event: never) => void, options = {}) =>
      element.addEventListener(name, hear as (event: Event) => void, { ...options, signal: ended.signal });
    for (const [name, hear] of Object.entries(this.#hears)) on(name, hear);
    // While it points, the page under the finger stays where it is. The browser asks this at each move of a touch.
    on('touchmove', (event: Event) => this.draft !== undefined && event.cancelable && event.preventDefault(), { passive: false });
    return () => ended.abort();
  };

  readonly #hears = {
    pointerdown: (event: PointerEvent) => {
      if (!this.#of.pick()) return;
      const element = event.currentTarget as Element;
      const point = () => {
        this.#leave();
        element.setPointerCapture(event.pointerId);
        this.#set(this.#of.at(event));
      };
      this.#leave();
      if (event.pointerType !== 'touch') point();
      else {
        // Where it stands is worked out now: the event forgets its element.
        const value = this.#of.at(event);
        this.#waiting = {
          x: event.clientX,
          y: event.clientY,
          timer: setTimeout(() => {
            this.#leave();
            this.#set(value);
          }, rest)
        };
      }
    },
    pointermove: (event: PointerEvent) => {
      const w = this.#waiting;
      if (w && Math.hypot(event.clientX - w.x, event.clientY - w.y) > slip) this.#leave();
      if (this.draft !== undefined && event.buttons > 0) this.#set(this.#of.at(event));
    },
    pointerup: (event: PointerEvent) => {
      if (this.#waiting) {
        this.#leave();
        this.#set(this.#of.at(event));
      }
      this.#log();
    },
    pointercancel: () => {
      this.#leave();
      this.#set(undefined);
    },
    blur: () => this.#set(undefined),
    keydown: (event: KeyboardEvent) => {
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
