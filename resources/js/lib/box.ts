import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { KeptAct } from './acts';
import type { Press } from './outbox';

/** What this device keeps until the server has it: ticks and entries of jobs, and what hands did in runs. */
interface Box extends DBSchema {
    presses: { key: string; value: Press; indexes: { job: number } };
    acts: { key: string; value: KeptAct; indexes: { url: string } };
}

let store: Promise<IDBPDatabase<Box>> | undefined;

/** The device's own store; it refuses where the device keeps nothing. */
export function box(): Promise<IDBPDatabase<Box>> {
    return (store ??= openDB<Box>('ember-dusk', 2, {
        upgrade(db, from) {
            if (from < 1) {
                db.createObjectStore('presses', { keyPath: 'uuid' }).createIndex('job', 'job');
            }
            db.createObjectStore('acts', { keyPath: 'client' }).createIndex('url', 'url');
        },
    }));
}
