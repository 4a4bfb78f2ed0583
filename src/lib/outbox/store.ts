import type { Entry } from '$core/log';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/**
 * Entries wait here, on this device, from the moment they are made until the server has said that it has them. A page
 * that is closed, a flat battery or a dead server loses none.
 */
export interface Waiting {
  id: string;
  steaming: string;
  /** Whose entry it is: it is delivered only while the same member is signed in. */
  member: string;
  entry: Entry;
  /** Why the server will never take it, in its own sentence. */
  refused?: string;
}

interface Shape extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { steaming: string } };
}

let opened: Promise<IDBPDatabase<Shape>> | undefined;
const store = () =>
  (opened ??= openDB<Shape>('joram', 1, {
    upgrade: (db) => db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('steaming', 'steaming')
  }));

export async function keep(waiting: readonly Waiting[]) {
  const tx = (await store()).transaction('waiting', 'readwrite');
  await Promise.all([...waiting.map((w) => tx.store.put(w)), tx.done]);
}

export async function drop(ids: readonly string[]) {
  const tx = (await store()).transaction('waiting', 'readwrite');
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
}

/** In the order in which they were made. */
export const waitingFor = async (steaming: string, member: string): Promise<Waiting[]> =>
  (await (await store()).getAllFromIndex('waiting', 'steaming', steaming))
    .filter((w) => w.member === member)
    .sort((a, b) => (a.id < b.id ? -1 : 1));

/** Asks before signing out with entries that have not been delivered; they are kept either way. */
export async function forget(): Promise<boolean> {
  const left = await store()
    .then((db) => db.count('waiting'))
    .catch(() => 0);
  return (
    left === 0 ||
    confirm(
      `${left} ${left === 1 ? 'entry has' : 'entries have'} not been delivered yet. ${left === 1 ? 'It stays' : 'They stay'} on this device until you sign in here again. Sign out?`
    )
  );
}
