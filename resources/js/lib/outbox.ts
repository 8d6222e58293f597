import { router } from '@inertiajs/vue3';
import { v4 as uuid } from 'uuid';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { stored } from './box';
import { serverNow } from './clock';
import { ask, FINAL, Refusal } from './http';
import { person } from './person';

/** A log entry: a reading, observation, fix, remark or strike-out. */
export type Note = {
    kind: 'reading' | 'colour' | 'count' | 'mend' | 'remark' | 'fail' | 'strike';
    place: string;
    command: string;
    value: number | null;
    text: string;
    by: string;
    sure: boolean;
    practice: number | null;
};

/**
 * A press on a step's tick, with the name by which the server knows it when it comes twice, and who pressed. Presses of
 * earlier versions of this page do not say who: the person who is signed in sends them.
 */
export type Press = {
    uuid: string;
    job: number;
    step: string;
    done: boolean;
    minutes: number;
    at: string;
    by?: number;
    who?: string;
    refused?: string;
    /** An entry of the log instead of a tick. */
    note?: Note;
};

const RETRY = 5000;

const presses = shallowRef<Press[]>([]);
const reached = ref(true);
const trouble = ref('');
/** Presses that are not in this device's store: yet, or because it keeps nothing. */
const unwritten = new Map<string, Press>();
/** Data of an open page, and its handler for the answer. */
interface Page<Answer> {
    known?: string;
    take(answer: Answer): void;
}
/** Pages that are open, by job. */
const pages = new Map<number, () => Page<never>>();
let sending = false;
let again = false;
let timer: ReturnType<typeof setTimeout> | undefined;

const own = (press: Press) => press.by === undefined || press.by === person()?.id;
const ready = (press: Press) => !press.refused && person() !== null && own(press);

async function load(): Promise<void> {
    const kept = await stored((store) => store.getAll('presses'));
    const known = new Set(kept.map((p) => p.uuid));
    presses.value = [...kept, ...[...unwritten.values()].filter((p) => !known.has(p.uuid))].sort((a, b) =>
        a.at.localeCompare(b.at),
    );
}

async function write(press: Press): Promise<void> {
    unwritten.set(press.uuid, press);
    presses.value = presses.value.some((p) => p.uuid === press.uuid)
        ? presses.value.map((p) => (p.uuid === press.uuid ? press : p))
        : [...presses.value, press];
    try {
        await stored((store) => store.put('presses', press));
        unwritten.delete(press.uuid);
    } catch {
        // A device that keeps nothing: the press stays on the open page and is sent from there.
    }
}

async function drop(press: Press): Promise<void> {
    unwritten.delete(press.uuid);
    await stored((store) => store.delete('presses', press.uuid)).catch(() => undefined);
    presses.value = presses.value.filter((p) => p.uuid !== press.uuid);
}

/** Sends the presses of the signed-in person in order, for all jobs. */
export async function sendPresses(): Promise<void> {
    if (sending) {
        again = true;
        return;
    }
    sending = true;
    clearTimeout(timer);
    try {
        await load().catch(() => undefined);
        for (let next = presses.value.find(ready); next; next = presses.value.find(ready)) {
            try {
                const page = pages.get(next.job)?.();
                const { uuid, step, done, minutes, at, by } = next;
                const answer = next.note
                    ? await ask('POST', `/jobs/${next.job}/bench/log`, { ...next.note, uuid, at }, { by })
                    : await ask(
                          'POST',
                          `/jobs/${next.job}/build/tick`,
                          { uuid, step, done, minutes, at, known: page?.known },
                          { by },
                      );
                reached.value = true;
                trouble.value = '';
                // The page has it from the answer before it is gone from here: in between it would show as not done.
                page?.take(answer as never);
                await drop(next);
            } catch (error) {
                if (!(error instanceof Refusal)) {
                    throw error;
                }
                if (FINAL.includes(error.status)) {
                    await write({ ...next, refused: error.message });
                    continue;
                }
                reached.value = error.status !== 0;
                trouble.value = error.message;
                timer = setTimeout(() => void sendPresses(), RETRY);
                break;
            }
        }
    } finally {
        sending = false;
        if (again) {
            again = false;
            void sendPresses();
        }
    }
}

/** Begins to send what waits: immediately, when there is a signal again, and when the device wakes up. */
export function startOutbox(): void {
    window.addEventListener('online', () => void sendPresses());
    // A phone that slept may have missed that there is a signal again.
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void sendPresses());
    // A page is not left in the moment in which a press is being written.
    window.addEventListener('beforeunload', (event) => unwritten.size > 0 && event.preventDefault());
    if (person()) {
        // A short way there and back measures the clock better than an entire page.
        ask('GET', '/time').catch(() => undefined);
    }
    // Immediately, and whenever another person has signed in.
    router.on('navigate', () => void sendPresses());
}

/** Unsent entries on this device, of all people and jobs. */
export function useWaiting() {
    const open = computed(() => presses.value.filter((p) => !p.refused));
    return {
        reached,
        trouble,
        mine: computed(() => (person() ? open.value.filter(own) : [])),
        /** Of another person on this device. */
        others: computed(() => open.value.filter((p) => !person() || !own(p))),
        refused: computed(() => presses.value.filter((p) => p.refused && person() && own(p))),
    };
}

/**
 * Presses go into the device's own store first, then to the server in order; they leave the store when the server has them. Without a signal they
 * wait there, even after the page is closed.
 */
export function useOutbox<Answer>(job: number, page: () => Page<Answer>) {
    pages.set(job, page);
    onBeforeUnmount(() => pages.delete(job));
    const here = computed(() => presses.value.filter((p) => p.job === job));

    async function keep(what: Pick<Press, 'step' | 'done' | 'minutes' | 'note'>): Promise<void> {
        // Later than the press before, even if the clock was changed in between.
        const last = Math.max(0, ...here.value.map((p) => Date.parse(p.at)));
        const me = person();
        await write({
            uuid: uuid(),
            job,
            ...what,
            at: new Date(Math.max(serverNow(), last + 1)).toISOString(),
            by: me?.id,
            who: me?.name,
        });
        await sendPresses();
    }

    const press = (step: string, done: boolean, minutes: number) => keep({ step, done, minutes });
    const note = (entry: Note) => keep({ step: '', done: true, minutes: 0, note: entry });

    return {
        press,
        note,
        drop,
        /** Entries of the log that have not arrived yet. */
        notes: computed(() => here.value.filter((p) => p.note && !p.refused && own(p))),
        refused: computed(() => here.value.filter((p) => p.refused && own(p))),
        /** State of a step after the unsent presses; undefined without any. */
        last: (step: string) => here.value.filter((p) => p.step === step && !p.refused && own(p)).at(-1),
    };
}
