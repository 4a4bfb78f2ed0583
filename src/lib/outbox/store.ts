import type { Entry } from '$core/log';
import { device } from './device';
import type { Store, Waiting } from './waiting';

/** As the first version kept it. */
type Old = Omit<Waiting, 'said' | 'engine'> & Partial<Pick<Waiting, 'said' | 'engine'>> & { entry: Entry };

/** On this device, in the browser's own database. */
export const deviceStore: Store = {
  all: async () =>
    ((await (await device()).getAll('waiting')) as Old[]).map((w) => ({ ...w, said: w.said ?? w.entry.at, engine: w.engine ?? '' })),
  put: async (waiting) => {
    const tx = (await device()).transaction('waiting', 'readwrite');
    await Promise.all([...waiting.map((w) => tx.store.put(w)), tx.done]);
  },
  drop: async (ids) => {
    const tx = (await device()).transaction('waiting', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
  },
  delivered: async (waiting) => {
    // In one transaction: there is no moment at which it is nowhere.
    const tx = (await device()).transaction(['waiting', 'heard'], 'readwrite');
    const [left, heard] = [tx.objectStore('waiting'), tx.objectStore('heard')];
    const since = Date.now();
    await Promise.all([
      ...waiting.flatMap(({ id, steaming, entry }) => [left.delete(id), heard.put({ id, steaming, entry, since })]),
      tx.done
    ]);
  }
};
