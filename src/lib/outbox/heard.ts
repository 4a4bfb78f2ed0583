import type { Entry } from '$core/log';
import { device } from './device';

/** A LOG AS IT WAS LAST HEARD: so that a page that is opened again without a network shows all that it showed before. */

/** A day of steaming is long over by then, ms. */
const keptFor = 3 * 24 * 3.6e6;

/** What this device has heard of a log beside what is known; nothing when it keeps nothing. */
export const heardOf = async (steaming: string, known: readonly Entry[]): Promise<Entry[]> => {
  const ids = new Set(known.map((e) => e.id));
  try {
    const heard = await (await device()).getAllFromIndex('heard', 'steaming', steaming);
    return heard.filter((h) => !ids.has(h.id)).map((h) => h.entry);
  } catch {
    return [];
  }
};

/** More than this at once is a log that was opened, of which most is here already; and so many are kept in a row, between what a hand does. */
const few = 50;

/** Keeps entries that the server has told. What cannot be kept is on the page, and comes again with the next. */
export async function hear(steaming: string, entries: readonly Entry[]): Promise<void> {
  if (!entries.length) return;
  try {
    const db = await device();
    const known = new Set(entries.length > few ? await db.getAllKeysFromIndex('heard', 'steaming', steaming) : []);
    const fresh = entries.filter((e) => !known.has(e.id));
    const since = Date.now();
    for (let i = 0; i < fresh.length; i += few) {
      const tx = db.transaction('heard', 'readwrite');
      await Promise.all([...fresh.slice(i, i + few).map((entry) => tx.store.put({ id: entry.id, steaming, entry, since })), tx.done]);
    }
  } catch {
    // Without it an opened page shows what it was opened with.
  }
}

/** Lets go of logs that are over, and of what was begun here and is; of all that was heard when nobody is signed in any more. */
export async function forgetHeard(all = false): Promise<void> {
  try {
    const tx = (await device()).transaction(['heard', 'begun', 'waiting'], 'readwrite');
    const [heard, begun] = [tx.objectStore('heard'), tx.objectStore('begun')];
    const past = IDBKeyRange.upperBound(Date.now() - keptFor);
    if (all) await heard.clear();
    else for (const id of await heard.index('since').getAllKeys(past)) await heard.delete(id);
    // What has not been delivered is kept, however old, and whoever signs out.
    const waiting = new Set((await tx.objectStore('waiting').getAll()).map((w) => w.steaming));
    for (const id of all ? await begun.getAllKeys() : await begun.index('since').getAllKeys(past))
      if (!waiting.has(id)) await begun.delete(id);
    await tx.done;
  } catch {
    // There is nothing to let go of.
  }
}
