import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { components } from '@/api/schema';
import type { Act } from './pendingActions';

/** An answer of the server, kept for where there is no network. */
export interface Kept {
  key: string;
  /** When it was given (ms since 1970). */
  at: number;
  body: unknown;
}

/** A session that was begun on this device, as far as the device itself knows it. */
export interface Begun {
  id: string;
  garage: string;
  /** Who began it; missing where it was written down before that was noted. */
  account?: string;
  /** By this device's clock (ms since 1970). */
  startedMs: number;
  car: { id: string; name: string };
  outlet: { id: string; name: string };
  adapters: { id: string; name: string }[];
  stall: string | null;
  note: string;
  /** What was asked about its chain when it began, and what was answered: it is taken along. */
  question: components['schemas']['StepsQuestion'] | null;
  visit: components['schemas']['Steps'] | null;
}

interface Schema extends DBSchema {
  /** What was done and has not reached the server, in its order. */
  acts: { key: number; value: Act };
  begun: { key: string; value: Begun };
  kept: { key: string; value: Kept };
}

const NAME = 'harmozon';
const VERSION = 1;

let opened: Promise<IDBPDatabase<Schema>> | null = null;

/** What this device keeps. Opened once; a browser that refuses is asked again at the next act. */
export function db(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>(NAME, VERSION, {
    upgrade(database) {
      database.createObjectStore('acts', { keyPath: 'n', autoIncrement: true });
      database.createObjectStore('begun', { keyPath: 'id' });
      database.createObjectStore('kept', { keyPath: 'key' });
    },
    // A newer version of the application in another tab: it goes ahead, and this page asks again.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated() {
      opened = null;
    },
  }).catch((e: unknown) => {
    opened = null;
    throw e;
  });
  return opened;
}

/** As if this device had just been switched on. */
export function forgetDatabase(): void {
  opened = null;
}
