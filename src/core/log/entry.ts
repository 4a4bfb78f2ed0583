import type { Bodies, Kind } from './kinds';

interface Common {
  /** UUID made by whoever made the entry, time-ordered. */
  readonly id: string;
  /** When it was made, by the club's time: the operator's clock, put right by `placed`. ISO 8601, UTC, milliseconds. */
  readonly at: string;
  /** What the device's own clock said, where that was another time, and how far ahead it was measured to be, ms. */
  readonly clock?: { readonly said: string; readonly ahead?: number };
  /** When the server took it in; nothing on the device that made it, until the server has said so. */
  readonly receivedAt?: string;
  /** Who made it, by name at the time. */
  readonly by: string;
  readonly source: 'person' | 'device' | 'practice';
  /** The entry that this one corrects. */
  readonly strikes?: string;
}

/** One line of the log. */
export type Entry = { [K in Kind]: Common & { readonly kind: K; readonly body: Bodies[K] } }[Kind];
export type EntryOf<K extends Kind> = Extract<Entry, { kind: K }>;

/** The order of a log: by when each was made, then by id, whatever order the entries arrived in. */
export const inOrder = (a: Entry, b: Entry): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
