import type { Bodies, Kind } from './kinds';

interface Common {
  /** UUID made by whoever made the entry, time-ordered. */
  readonly id: string;
  /** The operator's clock: ISO 8601, UTC, milliseconds. */
  readonly at: string;
  /** Who made it, by name at the time. */
  readonly by: string;
  readonly source: 'person' | 'device' | 'practice';
  /** The entry that this one corrects. */
  readonly strikes?: string;
}

/** One line of the log. */
export type Entry = { [K in Kind]: Common & { readonly kind: K; readonly body: Bodies[K] } }[Kind];
export type EntryOf<K extends Kind> = Extract<Entry, { kind: K }>;

/** The order of a log: by the operator's clock, then by id, whatever order the entries arrived in. */
export const inOrder = (a: Entry, b: Entry): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
