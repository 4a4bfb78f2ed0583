import { add, fold, type Log } from '$core/log';
import { entriesIn, type Place } from '../sql/entry';
import type { Tx } from '../sql/json';
import { contextOf, steamingIn } from '../sql/steaming';

/** Folded logs that are kept warm, the last used last: a tick is judged by what is new in its log, and not by the whole of it. */
const warm = new Map<string, { log: Log; place: Place }>();
const most = 200;

/** The log of a steaming as it has been committed; nothing when there is no such steaming. To be asked before a transaction adds to it. */
export async function logIn(tx: Tx, club: string, id: string): Promise<Log | undefined> {
  const key = `${club} ${id}`;
  const kept = warm.get(key);
  const context = kept?.log.context ?? (await steamingIn(tx, club, id).then((s) => s && contextOf(s)));
  if (!context) return undefined;
  const { entries, next } = await entriesIn(tx, club, id, kept?.place);
  const log = kept ? entries.reduce(add, kept.log) : fold(context, entries);
  warm.delete(key);
  warm.set(key, { log, place: next });
  for (const oldest of warm.keys()) {
    if (warm.size <= most) break;
    warm.delete(oldest);
  }
  return log;
}
