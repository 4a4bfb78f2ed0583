import { measureClock } from './club-time';
import { Outbox } from './outbox';
import { post } from './post';
import { deviceStore } from './store';
import type { OutboxView } from './waiting';

/** The application's outbox: one a page, all of a device's pages over one store. */

const empty: OutboxView = { waiting: [], aside: [], others: [], unkept: 0, trouble: undefined, deliveredAt: undefined };

class Shown {
  view = $state.raw(empty);
  /** What the other pages of this device are told by; a browser without it looks when it is looked at. */
  readonly #others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('joram-outbox');
  #timer: ReturnType<typeof setTimeout> | undefined;

  readonly outbox = new Outbox({
    store: deviceStore,
    post,
    now: () => Date.now(),
    // Without locks (plain http) two pages may send the same entry: it is stored once.
    alone: async (work) => {
      if (!navigator.locks) return (await work(), true);
      return navigator.locks.request('joram-outbox', { ifAvailable: true }, async (lock) => lock !== null && (await work(), true));
    },
    later: (work, ms) => {
      clearTimeout(this.#timer);
      this.#timer = setTimeout(work, ms);
    },
    changed: (view) => (this.view = view),
    stored: () => this.#others?.postMessage('stored')
  });

  /** Delivers for whoever is signed in, on whatever page, and again whenever there may be a way. Gives back what ends it. */
  open(member: string | undefined): () => void {
    const deliver = () => void this.outbox.deliver();
    const looked = () => document.visibilityState === 'visible' && deliver();
    void this.outbox.signedIn(member);
    // When the page is at rest: what is made before is put right when it is delivered.
    const measure = setTimeout(() => void measureClock(), 1500);
    if (this.#others) this.#others.onmessage = () => void this.outbox.refresh();
    addEventListener('online', deliver);
    document.addEventListener('visibilitychange', looked);
    return () => {
      clearTimeout(measure);
      clearTimeout(this.#timer);
      removeEventListener('online', deliver);
      document.removeEventListener('visibilitychange', looked);
    };
  }
}

// Made with the module and not when it is first asked for: what asks would not be told of its changes.
const shown = typeof document === 'undefined' ? undefined : new Shown();
/** Of this page; to be asked for in the browser only. */
export const outbox = (): Shown => shown!;
/** What it shows; nothing while a page is made on the server. */
export const waitingHere = (): OutboxView => shown?.view ?? empty;

/** Asks before signing out with entries that have not been delivered; they are kept either way. */
export function mayLeave(): boolean {
  const { waiting, unkept } = outbox().view;
  if (!waiting.length) return true;
  const entries = waiting.length === 1 ? '1 entry has' : `${waiting.length} entries have`;
  const stays = unkept
    ? `${unkept} of them cannot be kept on this device and would be lost.`
    : `${waiting.length === 1 ? 'It stays' : 'They stay'} on this device until you sign in here again.`;
  return confirm(`${entries} not been delivered yet. ${stays} Sign out?`);
}
