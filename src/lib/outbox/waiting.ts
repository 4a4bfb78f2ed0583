import type { Entry } from '$core/log';

/** An entry that the server has not said it has. */
export interface Waiting {
  readonly id: string;
  readonly steaming: string;
  /** What the steaming is of, in a word: said of what waits on a page that knows nothing of it. */
  readonly engine: string;
  /** Whose entry it is: it is delivered only while the same member is signed in. */
  readonly member: string;
  /** As it stands in this device's log. */
  readonly entry: Entry;
  /** What the device's clock said when it was made; ISO 8601, UTC. */
  readonly said: string;
  /** How far ahead of the server's that clock had been measured to be, ms; left out when it had not been measured. */
  readonly ahead?: number;
  /** Why the server will not take it, in its own sentence: set aside, until it is tried again or thrown away. */
  readonly refused?: string;
}

/** Why nothing is being delivered. */
export type Trouble =
  | { readonly is: 'no connection' }
  | { readonly is: 'signed out' }
  /** It answered, and not as it should. */
  | { readonly is: 'server'; readonly status: number }
  | { readonly is: 'too often'; readonly seconds: number };

/** What the server says to a batch. */
export type Answer =
  /** Taken, but for those that are named. */
  | { readonly is: 'taken'; readonly refused: readonly { readonly id?: string; readonly sentence: string }[] }
  /** Nothing of it can be taken as it is. */
  | { readonly is: 'refused'; readonly sentence: string }
  | { readonly is: 'too large'; readonly sentence: string }
  | Trouble;

/** Where what waits is kept through a flat battery. Any of it may fail: a full disk, a private window. */
export interface Store {
  readonly all: () => Promise<Waiting[]>;
  readonly put: (waiting: readonly Waiting[]) => Promise<void>;
  /** Lets go of what was thrown away. */
  readonly drop: (ids: readonly string[]) => Promise<void>;
  /** Lets go of what the server has; a device keeps it as part of the log, to show it while there is no network. */
  readonly delivered: (waiting: readonly Waiting[]) => Promise<void>;
}

/** What a page shows of it. */
export interface OutboxView {
  /** Mine, on the way, in the order in which they were made. */
  readonly waiting: readonly Waiting[];
  /** Mine, and not taken. */
  readonly aside: readonly Waiting[];
  /** Of others who signed in on this device: each waits for its maker. */
  readonly others: readonly Waiting[];
  /** How many of mine this device could not keep: they are on this page alone. */
  readonly unkept: number;
  readonly trouble: Trouble | undefined;
  /** When something was last delivered, ms since 1970. */
  readonly deliveredAt: number | undefined;
}
