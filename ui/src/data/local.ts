import type { DehydratedState } from '@tanstack/react-query';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Waiting } from './queue';

/** What is kept on this device itself: measurements that wait to be sent, and what was seen last. */
interface Local extends DBSchema {
  queue: { key: string; value: Waiting };
  seen: { key: string; value: DehydratedState };
}

let opened: Promise<IDBPDatabase<Local>> | null = null;

/** The device's own store; fails where the browser keeps none, as in a private window of some. */
export function local(): Promise<IDBPDatabase<Local>> {
  opened ??= openDB<Local>('syntoma', 1, {
    upgrade(db) {
      db.createObjectStore('queue', { keyPath: 'key' });
      db.createObjectStore('seen');
    },
  });
  return opened;
}
