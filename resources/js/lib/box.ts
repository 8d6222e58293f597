import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { KeptAct } from './acts';
import type { Press } from './outbox';

/** Unsent data on this device: ticks and entries of jobs, and hand actions of runs. */
interface Box extends DBSchema {
    presses: { key: string; value: Press; indexes: { job: number } };
    acts: { key: string; value: KeptAct; indexes: { url: string } };
}

let store: Promise<IDBPDatabase<Box>> | undefined;

function open(): Promise<IDBPDatabase<Box>> {
    return (store ??= openDB<Box>('ember-dusk', 2, {
        upgrade(db, from) {
            if (from < 1) {
                db.createObjectStore('presses', { keyPath: 'uuid' }).createIndex('job', 'job');
            }
            db.createObjectStore('acts', { keyPath: 'client' }).createIndex('url', 'url');
        },
    }));
}

/** Milliseconds for which the store is waited for, and once it has not answered. */
const PATIENCE = 3000;
const IMPATIENCE = 100;
let silent = false;

/**
 * Access to the device's store. It rejects if the device stores nothing, or if the store does not answer, as happens on phones: actions are then
 * sent from the open page. Requests already made still complete in order.
 */
export function stored<T>(asked: (store: IDBPDatabase<Box>) => Promise<T>): Promise<T> {
    const answer = open()
        .then(asked)
        .finally(() => (silent = false));
    return new Promise((resolve, reject) => {
        const late = setTimeout(
            () => {
                silent = true;
                reject(new Error('The store of this device does not answer.'));
            },
            silent ? IMPATIENCE : PATIENCE,
        );
        answer.then(resolve, reject).finally(() => clearTimeout(late));
    });
}
