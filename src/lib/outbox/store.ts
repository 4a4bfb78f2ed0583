import type { Entry } from '$core/log';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Store, Waiting } from './waiting';

interface Shape extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { steaming: string } };
}
/** As the first version kept it. */
type Old = Omit<Waiting, 'said' | 'engine'> & Partial<Pick<Waiting, 'said' | 'engine'>> & { entry: Entry };

let opened: Promise<IDBPDatabase<Shape>> | undefined;
const database = () =>
  (opened ??= openDB<Shape>('joram', 1, {
    upgrade: (db) => db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('steaming', 'steaming'),
    terminated: () => (opened = undefined)
  }).catch((error) => {
    opened = undefined;
    throw error;
  }));

/** On this device, in the browser's own database. */
export const deviceStore: Store = {
  all: async () =>
    ((await (await database()).getAll('waiting')) as Old[]).map((w) => ({ ...w, said: w.said ?? w.entry.at, engine: w.engine ?? '' })),
  put: async (waiting) => {
    const tx = (await database()).transaction('waiting', 'readwrite');
    await Promise.all([...waiting.map((w) => tx.store.put(w)), tx.done]);
  },
  drop: async (ids) => {
    const tx = (await database()).transaction('waiting', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
  }
};
