import { openDB, type DBSchema } from 'idb';
import { v4 as uuid } from 'uuid';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { ask, Refusal } from './http';

/** A press on a step's tick, with the name by which the server knows it when it comes twice. */
export type Press = { uuid: string; job: number; step: string; done: boolean; minutes: number; at: string; refused?: string };

interface Box extends DBSchema {
    presses: { key: string; value: Press; indexes: { job: number } };
}

const RETRY = 5000;
const open = () => openDB<Box>('ember-dusk', 1, { upgrade: (db) => db.createObjectStore('presses', { keyPath: 'uuid' }).createIndex('job', 'job') });

/**
 * What was pressed goes into the phone's own store first, then to the server in the order of the presses; it leaves the
 * store when the server has it. Without a signal it waits there, over a closed page too.
 */
export function useOutbox<Answer>(job: number, url: string, take: (answer: Answer) => void) {
    const presses = shallowRef<Press[]>([]);
    const reached = ref(true);
    const trouble = ref('');
    /** Opened with the page, so that a press is written as soon as it is made. */
    const store = open();
    let unwritten = 0;
    let sending = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let left = false;

    async function load(): Promise<void> {
        const all = await (await store).getAllFromIndex('presses', 'job', job);
        presses.value = all.sort((a, b) => a.at.localeCompare(b.at));
    }

    async function press(step: string, done: boolean, minutes: number): Promise<void> {
        const one: Press = { uuid: uuid(), job, step, done, minutes, at: new Date().toISOString() };
        // Shown at once; the store is written before anything is sent.
        presses.value = [...presses.value, one];
        unwritten++;
        try {
            await (await store).put('presses', one);
        } finally {
            unwritten--;
        }
        await send();
    }

    async function send(): Promise<void> {
        if (sending || left) {
            return;
        }
        sending = true;
        clearTimeout(timer);
        try {
            await load();
            for (;;) {
                const next = presses.value.find((p) => !p.refused);
                if (!next) {
                    break;
                }
                try {
                    const answer = await ask<Answer>('POST', url, { uuid: next.uuid, step: next.step, done: next.done, minutes: next.minutes, at: next.at });
                    reached.value = true;
                    trouble.value = '';
                    await (await store).delete('presses', next.uuid);
                    presses.value = presses.value.filter((p) => p.uuid !== next.uuid);
                    take(answer);
                } catch (error) {
                    if (!(error instanceof Refusal)) {
                        throw error;
                    }
                    if (error.status === 422) {
                        const refused = { ...next, refused: error.message };
                        await (await store).put('presses', refused);
                        presses.value = presses.value.map((p) => (p.uuid === next.uuid ? refused : p));
                        continue;
                    }
                    reached.value = error.status !== 0;
                    trouble.value = error.status === 0 ? '' : error.message;
                    timer = setTimeout(() => void send(), RETRY);
                    break;
                }
            }
        } finally {
            sending = false;
        }
    }

    /** Lets go of what the server will not take. */
    async function drop(one: Press): Promise<void> {
        await (await store).delete('presses', one.uuid);
        presses.value = presses.value.filter((p) => p.uuid !== one.uuid);
    }

    const online = () => void send();
    // A phone that slept may have missed that there is a signal again.
    const awake = () => document.visibilityState === 'visible' && void send();
    /** A page is not left in the moment in which a press is being written. */
    const stay = (event: BeforeUnloadEvent) => unwritten > 0 && event.preventDefault();
    onMounted(() => {
        window.addEventListener('beforeunload', stay);
        window.addEventListener('online', online);
        document.addEventListener('visibilitychange', awake);
        void send();
    });
    onBeforeUnmount(() => {
        left = true;
        clearTimeout(timer);
        window.removeEventListener('beforeunload', stay);
        window.removeEventListener('online', online);
        document.removeEventListener('visibilitychange', awake);
    });

    return {
        press,
        drop,
        reached,
        trouble,
        waiting: computed(() => presses.value.filter((p) => !p.refused)),
        refused: computed(() => presses.value.filter((p) => p.refused)),
        /** What a step is after the presses that have not arrived yet; undefined where there is none. */
        last: (step: string) => presses.value.filter((p) => p.step === step && !p.refused).at(-1),
    };
}
