import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Act } from './acts';
import type { Unsent } from './outbox';
import { pageOf, type Note, type Tick } from './ticks';

/** Unsent data on this device. */
interface Box extends DBSchema {
    unsent: { key: string; value: Unsent };
}

/** As earlier versions of this page kept it, in a store for ticks and entries and one for hand actions. */
type OldEntry = { at: string; by?: number; who?: string; refused?: string };
type OldPress = OldEntry & Tick & { uuid: string; job: number; note?: Note };
type OldAct = Omit<OldEntry, 'at'> & Act & { client: string; url: string; at: number };

const fromPress = ({ uuid, job, step, done, minutes, note, at, ...whose }: OldPress): Unsent => ({
    id: uuid,
    kind: note ? 'note' : 'tick',
    url: `/jobs/${job}/${note ? 'bench/log' : 'build/tick'}`,
    page: pageOf(job),
    at: Date.parse(at),
    ...whose,
    body: note ?? { step, done, minutes },
});
const fromAct = ({ client, url, at, by, who, refused, kind, device, text, room }: OldAct): Unsent => ({
    id: client,
    kind: 'act',
    url,
    page: url,
    at,
    by,
    who,
    refused,
    body: { kind, device, text, room },
});

let store: Promise<IDBPDatabase<Box>> | undefined;

function open(): Promise<IDBPDatabase<Box>> {
    return (store ??= openDB<Box>('ember-dusk', 3, {
        async upgrade(db, from, to, change) {
            const unsent = db.createObjectStore('unsent', { keyPath: 'id' });
            const old = change.db as unknown as IDBDatabase;
            for (const [name, read] of [
                ['presses', fromPress],
                ['acts', fromAct],
            ] as [string, (one: never) => Unsent][]) {
                if (old.objectStoreNames.contains(name)) {
                    for (const one of await change.objectStore(name as 'unsent').getAll()) {
                        await unsent.put(read(one as never));
                    }
                    old.deleteObjectStore(name);
                }
            }
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
