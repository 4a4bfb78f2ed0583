import type { EntryOf } from './entry';
import type { Log } from './fold';

/** LAPS: how often round, how fast, by touches of whoever drives. */
export interface Laps {
  /** m */ readonly length: number;
  /** s of each, oldest first. */
  readonly times: readonly number[];
  /** ms since 1970: the first mark, and the last. */
  readonly from: number;
  readonly to: number;
}

/** The last count of laps that was begun, with its laps; undefined before one was. What was struck is none. */
export function lapsOf({ entries, struck }: Pick<Log, 'entries' | 'struck'>): Laps | undefined {
  const marks = entries.filter((e): e is EntryOf<'lap'> => e.kind === 'lap' && !struck.has(e.id));
  const first = marks.findLastIndex((e) => e.body.begins);
  if (first < 0) return undefined;
  const at = marks.slice(first).map((e) => Date.parse(e.at));
  return {
    length: marks[first]!.body.length,
    times: at.slice(1).map((t, i) => (t - at[i]!) / 1000),
    from: at[0]!,
    to: at.at(-1)!
  };
}
