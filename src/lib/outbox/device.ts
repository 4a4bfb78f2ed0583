import type { Entry } from '$core/log';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { BegunHere } from '../here/begun';
import type { Waiting } from './waiting';

/** THIS DEVICE'S OWN DATABASE: what waits to be delivered, the logs as they were last heard, what was begun here without a connection, and pictures on their way. */
interface Shape extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { steaming: string } };
  heard: { key: string; value: Heard; indexes: { steaming: string; since: number } };
  begun: { key: string; value: BegunHere; indexes: { since: number } };
  photos: { key: string; value: { readonly sum: string; readonly bytes: Blob; readonly since: number } };
}
/** An entry that the server has. */
export interface Heard {
  readonly id: string;
  readonly steaming: string;
  readonly entry: Entry;
  /** When it was put here, ms by this device's clock. */
  readonly since: number;
}

let opened: Promise<IDBPDatabase<Shape>> | undefined;
/** @throws what the browser says when it keeps nothing: a private window, a full disk */
export const device = () =>
  (opened ??= openDB<Shape>('joram', 4, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('steaming', 'steaming');
      if (from < 2) {
        const heard = db.createObjectStore('heard', { keyPath: 'id' });
        heard.createIndex('steaming', 'steaming');
        heard.createIndex('since', 'since');
      }
      if (from < 4) db.createObjectStore('photos', { keyPath: 'sum' });
      if (from < 3) db.createObjectStore('begun', { keyPath: 'id' }).createIndex('since', 'since');
    },
    // A page of the version before holds it open until it is closed; a newer one is not kept waiting by this.
    blocking: () => {
      void opened?.then((db) => db.close());
      opened = undefined;
    },
    terminated: () => (opened = undefined)
  }).catch((error) => {
    opened = undefined;
    throw error;
  }));
