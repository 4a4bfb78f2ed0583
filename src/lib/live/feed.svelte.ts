import type { Entry } from '$core/log';

/** The live feed as a page hears it: its own reconnecting, and a word when it is deaf. */

export interface Hears {
  /** Entries, by steaming. They may come twice. */
  readonly entries: (entries: Readonly<Record<string, readonly Entry[]>>) => void;
}

/** Nothing heard for this long is deaf: three beats of the server, ms. */
const deafAfter = 15_000;
/** How long to wait before asking again, ms: twice as long each time. */
const firstWait = 500;
const longestWait = 15_000;

export class Feed {
  /** When something was last heard, ms by this device's clock. */
  heardAt = $state(Date.now());
  deaf = $state(false);
  /** Its session is over: it is not asked for again until somebody has signed in. */
  over = $state(false);
  readonly #query: URLSearchParams;
  readonly #hears: Hears;
  #place: string;
  #stop = new AbortController();
  /** When it was last asked for. */
  #askedAt = 0;
  #tries = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #watch: ReturnType<typeof setInterval> | undefined;

  /** @param steamings that are wanted; none for all of the club's @param place to go on from */
  constructor(steamings: readonly string[], place: string, hears: Hears) {
    this.#query = new URLSearchParams(steamings.map((id) => ['steaming', id]));
    this.#place = place;
    this.#hears = hears;
  }

  /** Begins to listen. Gives back what ends it. */
  open(): () => void {
    const back = () => document.visibilityState === 'visible' && this.#silent() && this.#anew();
    const online = () => this.#anew();
    this.#heard();
    void this.#listen();
    this.#watch = setInterval(() => {
      this.deaf = this.over || this.#silent();
      // A connection that says nothing is none: a proxy may hold its end open. One that was only just asked for is waited for.
      if (this.deaf && Date.now() - this.#askedAt > deafAfter) this.#anew();
    }, 1000);
    addEventListener('online', online);
    document.addEventListener('visibilitychange', back);
    return () => {
      clearTimeout(this.#timer);
      clearInterval(this.#watch);
      this.#stop.abort();
      removeEventListener('online', online);
      document.removeEventListener('visibilitychange', back);
    };
  }

  #silent = () => Date.now() - this.heardAt > deafAfter;

  #heard() {
    this.heardAt = Date.now();
    this.deaf = false;
  }

  /** Lets go of the connection there is, and asks again when its turn comes. */
  #anew() {
    if (this.over || this.#timer !== undefined) return;
    this.#stop.abort();
    this.#later();
  }

  #later() {
    if (this.over || this.#timer !== undefined) return;
    // Not all at once, after a server has been away.
    const wait = Math.min(longestWait, firstWait * 2 ** this.#tries++) * (0.75 + Math.random() / 2);
    this.#timer = setTimeout(() => {
      this.#timer = undefined;
      void this.#listen();
    }, wait);
  }

  async #listen() {
    const stop = (this.#stop = new AbortController());
    this.#askedAt = Date.now();
    // One that is asked for and never answered is let go too.
    const patience = setTimeout(() => stop.abort(), deafAfter);
    this.#query.set('after', this.#place);
    try {
      const response = await fetch(`/api/live?${this.#query}`, { signal: stop.signal, cache: 'no-store' });
      clearTimeout(patience);
      if (response.status === 401) this.over = this.deaf = true;
      if (response.ok && response.body) await this.#read(response.body, stop.signal);
    } catch {
      // No answer, or cut off: asked again.
    } finally {
      clearTimeout(patience);
    }
    if (stop === this.#stop && !stop.signal.aborted) this.#later();
  }

  async #read(body: ReadableStream<Uint8Array>, signal: AbortSignal) {
    const { EventSourceParserStream } = await import('eventsource-parser/stream');
    const events = body
      .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
      .pipeThrough(new EventSourceParserStream());
    const reader = events.getReader();
    signal.addEventListener('abort', () => void reader.cancel().catch(() => {}));
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      this.#tries = 0;
      this.#heard();
      if (value.event === 'over') this.over = this.deaf = true;
      if (value.event !== 'entries') continue;
      this.#hears.entries(JSON.parse(value.data) as Record<string, Entry[]>);
      if (value.id) this.#place = value.id;
    }
  }
}
