import { router } from '@inertiajs/vue3';
import { v4 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { stored } from './box';
import { serverNow } from './clock';
import { ask, FINAL, inWords, Refusal } from './http';
import { person } from './person';

/**
 * Something done on this device, as it keeps it until the server has it: whose, where it goes, and when by the server's clock. Entries of earlier
 * versions of this page may not say whose they are: the person who is signed in sends them.
 */
export interface Unsent<Body extends object = object> {
    /** Name by which the server knows it when it comes twice. */
    id: string;
    kind: keyof typeof WAYS;
    url: string;
    /** Key of the open page that takes the answer. */
    page: string;
    at: number;
    by?: number;
    who?: string;
    /** Why the server will never take it. */
    refused?: string;
    body: Body;
}

/** An open page, as it is when a request goes out. */
export interface Page {
    /** State of the page, on which its answer builds. */
    known?: string;
    take(answer: object): void;
    /** Shows why an entry was not accepted; without it, the entry is kept with the reason. */
    refuse?(message: string, pointer: string): void;
}

interface Refused {
    client: string | null;
    message: string;
    pointer: string;
}

/** How entries of a kind are sent. */
interface Way {
    /** How many go in one request, as many as the server takes. */
    most: number;
    /** Milliseconds after which a request that failed is sent again. */
    retry: number;
    /** Milliseconds after which a request is given up and sent again; the server takes an entry once. */
    patience?: number;
    /** Milliseconds without an answer that count as no signal: the page goes on with the steps sent ahead. */
    silent?: number;
    body(entries: Unsent[], page?: Page): object;
    /** Entries of a request that was taken that were refused each for itself. */
    refused(answer: object): Refused[];
    /** Whether the page shows more than the answer while entries wait: only the last answer is taken. */
    ahead: boolean;
}

const alone = {
    most: 1,
    retry: 5000,
    body: ([one]: Unsent[], page?: Page) => ({
        ...one!.body,
        uuid: one!.id,
        at: new Date(one!.at).toISOString(),
        known: page?.known,
    }),
    refused: () => [],
    ahead: false,
};
const WAYS = {
    tick: alone as Way,
    note: alone as Way,
    act: {
        most: 200,
        retry: 2000,
        patience: 15_000,
        silent: 2000,
        body: (entries) => ({ acts: entries.map((e) => ({ ...e.body, client: e.id, at: e.at })) }),
        refused: (answer) => (answer as { refused: Refused[] }).refused,
        ahead: true,
    } as Way,
};

const entries = shallowRef<Unsent[]>([]);
/** Whether the server was reached last. */
export const reached = ref(true);
/** Why entries do not arrive, and those of which address; of every address where there is none. */
const trouble = shallowRef({ url: '', message: '' });
/** Entries that are not in this device's store: yet, or because it keeps nothing. */
const unwritten = new Map<string, Unsent>();
const pages = new Map<string, () => Page>();
let sending = false;
let again = false;
let timer: ReturnType<typeof setTimeout> | undefined;

export const own = (entry: Unsent) => entry.by === undefined || entry.by === person()?.id;
const ready = (entry: Unsent) => !entry.refused && person() !== null && own(entry);

/** Entries on this device in their order, of all people. */
export const unsent = computed(() => entries.value);

async function load(): Promise<void> {
    const kept = await stored((store) => store.getAll('unsent'));
    const known = new Set(kept.map((e) => e.id));
    entries.value = [...kept, ...[...unwritten.values()].filter((e) => !known.has(e.id))].sort((a, b) => a.at - b.at);
}

async function write(entry: Unsent): Promise<void> {
    unwritten.set(entry.id, entry);
    entries.value = entries.value.some((e) => e.id === entry.id)
        ? entries.value.map((e) => (e.id === entry.id ? entry : e))
        : [...entries.value, entry];
    try {
        await stored((store) => store.put('unsent', entry));
        unwritten.delete(entry.id);
    } catch {
        // A device that keeps nothing: the entry stays on the open page and is sent from there.
    }
}

/** Takes an entry off this device. */
export async function drop(...gone: Pick<Unsent, 'id'>[]): Promise<void> {
    const ids = new Set(gone.map((e) => e.id));
    ids.forEach((id) => unwritten.delete(id));
    entries.value = entries.value.filter((e) => !ids.has(e.id));
    await stored((store) => Promise.all([...ids].map((id) => store.delete('unsent', id)))).catch(() => undefined);
}

async function refuse(entry: Unsent, why: string, pointer: string): Promise<void> {
    const page = pages.get(entry.page)?.();
    if (page?.refuse) {
        await drop(entry);
        page.refuse(why, pointer);
        return;
    }
    await write({ ...entry, refused: why });
}

/** Posts entries of one address; refused ones are reported one by one, the others leave the outbox. */
async function post(way: Way, batch: Unsent[], first: Unsent): Promise<void> {
    const page = pages.get(first.page)?.();
    const silent = way.silent ? setTimeout(() => (reached.value = false), way.silent) : undefined;
    const { by } = first;
    const answer = await ask<object>('POST', first.url, way.body(batch, page), { by, patience: way.patience }).finally(
        () => clearTimeout(silent),
    );
    reached.value = true;
    if (['', first.url].includes(trouble.value.url)) {
        trouble.value = { url: '', message: '' };
    }
    const told = new Map(way.refused(answer).map((r) => [r.client, r]));
    const sent = new Set(batch.map((e) => e.id));
    // The page has it from the answer before it is gone from here: in between it would show as not done.
    if (!way.ahead || !entries.value.some((e) => e.page === first.page && ready(e) && !sent.has(e.id))) {
        page?.take(answer);
    }
    await drop(...batch.filter((e) => !told.has(e.id)));
    for (const entry of batch.filter((e) => told.has(e.id))) {
        await refuse(entry, told.get(entry.id)!.message, told.get(entry.id)!.pointer);
    }
}

/** Sends the entries of the signed-in person, address by address, in order. */
export async function sendUnsent(): Promise<void> {
    if (sending) {
        again = true;
        return;
    }
    sending = true;
    clearTimeout(timer);
    /** Addresses without an answer for now, and addresses with a refused batch: entries go there one by one. */
    const held = new Set<string>();
    const inTurn = new Set<string>();
    try {
        await load().catch(() => undefined);
        const next = () => entries.value.find((e) => ready(e) && !held.has(e.url));
        for (let first = next(); first; first = next()) {
            const { url, by } = first;
            const way = WAYS[first.kind];
            const batch = entries.value
                .filter((e) => e.url === url && e.by === by && ready(e))
                .slice(0, inTurn.has(url) ? 1 : way.most);
            try {
                await post(way, batch, first);
            } catch (error) {
                if (!(error instanceof Refusal)) {
                    throw error;
                }
                if (FINAL.includes(error.status)) {
                    await (batch.length > 1 ? inTurn.add(url) : refuse(first, inWords(error), error.pointer));
                    continue;
                }
                reached.value = error.status !== 0;
                trouble.value = { url: reached.value ? url : '', message: error.message };
                if (reached.value) {
                    pages.get(first.page)?.().refuse?.(error.message, '');
                }
                timer = setTimeout(() => void sendUnsent(), way.retry);
                if (!reached.value) {
                    break;
                }
                held.add(url);
            }
        }
    } finally {
        sending = false;
        if (again) {
            again = false;
            void sendUnsent();
        }
    }
}

/** Begins to send what waits: immediately, when there is a signal again, and when the device wakes up. */
export function startOutbox(): void {
    window.addEventListener('online', () => void sendUnsent());
    // A phone that slept may have missed that there is a signal again.
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void sendUnsent());
    // A page is not left in the moment in which an entry is being written.
    window.addEventListener('beforeunload', (event) => unwritten.size > 0 && event.preventDefault());
    if (person()) {
        // A short way there and back measures the clock better than an entire page.
        ask('GET', '/time').catch(() => undefined);
    }
    // Immediately, and whenever another person has signed in.
    void sendUnsent();
    router.on('navigate', () => void sendUnsent());
}

/** Keeps an entry on this device, later than the one before even if the clock was changed in between, and sends it. */
export async function keep(what: Pick<Unsent, 'kind' | 'url' | 'page' | 'body'>): Promise<void> {
    const last = Math.max(0, ...entries.value.map((e) => e.at));
    const me = person();
    await write({
        id: uuid(),
        ...what,
        at: Math.max(Math.round(serverNow()), last + 1),
        by: me?.id,
        who: me?.name,
    });
    await sendUnsent();
}

/** Registers an open page; returns how it is closed. */
export function openPage(key: string, page: () => Page): () => void {
    pages.set(key, page);
    return () => void (pages.get(key) === page && pages.delete(key));
}

/** Unsent entries on this device, of all people, jobs and runs. */
export function useUnsent() {
    const open = computed(() => entries.value.filter((e) => !e.refused));
    const mine = computed(() => (person() ? open.value.filter(own) : []));
    return {
        reached,
        /** Why the entries of some address do not arrive. */
        troubleOf: (those: Unsent[]) =>
            trouble.value.url === '' || those.some((e) => e.url === trouble.value.url) ? trouble.value.message : '',
        mine,
        /** Of another person on this device. */
        others: computed(() => open.value.filter((e) => !person() || !own(e))),
        refused: computed(() => entries.value.filter((e) => e.refused && person() && own(e))),
    };
}
