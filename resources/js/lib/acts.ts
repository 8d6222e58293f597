import { router } from '@inertiajs/vue3';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { v4 as uuid } from 'uuid';
import { stored } from './box';
import { serverNow } from './clock';
import { ask, FINAL, inWords, Refusal } from './http';
import { person } from './person';

/** Something done or answered in a run. */
export interface Act {
    kind: string;
    device?: string;
    text?: string;
    room?: string;
    /** Key of the answer to a step that it is; nothing for anything else. */
    answer?: string;
}

/** The same as this device keeps it until the server has it: whose, for which run, and when by the server's clock. */
export interface KeptAct extends Act {
    client: string;
    url: string;
    at: number;
    by?: number;
    who?: string;
    /** Why the server will never take it. */
    refused?: string;
}

interface Answer {
    refused: { client: string | null; message: string; pointer: string }[];
}
interface Page {
    take(answer: Answer): void;
    refuse(message: string, pointer: string): void;
}

const RETRY = 2000;
/** Milliseconds without an answer that count as no signal: the page goes on with the steps sent ahead. */
const SILENT = 2000;
/** Milliseconds after which a request is given up and sent again; the server takes an act once. */
const PATIENCE = 15_000;
/** Acts that go immediately; as many as the server takes. */
const MOST = 200;

const kept = shallowRef<KeptAct[]>([]);
const pages = new Map<string, Page>();
const reached = ref(true);
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

const own = (act: KeptAct) => act.by === undefined || act.by === person()?.id;
const ready = (act: KeptAct) => !act.refused && person() !== null && own(act);

async function load(): Promise<void> {
    try {
        const known = new Set(kept.value.map((a) => a.client));
        const more = (await stored((store) => store.getAll('acts'))).filter((a) => !known.has(a.client));
        kept.value = [...more, ...kept.value].sort((a, b) => a.at - b.at);
    } catch {
        // A device without storage: actions stay on the open page and are sent from there.
    }
}

async function drop(acts: KeptAct[]): Promise<void> {
    const gone = new Set(acts.map((a) => a.client));
    kept.value = kept.value.filter((a) => !gone.has(a.client));
    try {
        await stored((store) => Promise.all([...gone].map((client) => store.delete('acts', client))));
    } catch {
        // Nothing was kept there.
    }
}

/** Keeps an act that the server will never take, with the reason, until the person who did it has seen that. */
async function refuse(act: KeptAct, why: string, pointer: string): Promise<void> {
    const page = pages.get(act.url);
    if (page) {
        await drop([act]);
        page.refuse(why, pointer);
        return;
    }
    const told = { ...act, refused: why };
    kept.value = kept.value.map((a) => (a.client === act.client ? told : a));
    await stored((store) => store.put('acts', told)).catch(() => undefined);
}

/** Sends the actions of the signed-in person, in order, run by run. Each act is accepted or refused separately. */
export async function sendActs(): Promise<void> {
    if (sending) {
        return;
    }
    sending = true;
    clearTimeout(timer);
    try {
        /** Acts that go together; in turn while the server refuses the whole. */
        let most = MOST;
        for (let first = kept.value.find(ready); first; first = kept.value.find(ready)) {
            const { url, by } = first;
            const acts = kept.value.filter((a) => a.url === url && a.by === by && ready(a)).slice(0, most);
            try {
                const body = acts.map(({ kind, device, text, room, client, at }) => ({
                    kind,
                    device,
                    text,
                    room,
                    client,
                    at,
                }));
                const silent = setTimeout(() => (reached.value = false), SILENT);
                const answer = await ask<Answer>('POST', url, { acts: body }, { by, patience: PATIENCE }).finally(() =>
                    clearTimeout(silent),
                );
                reached.value = true;
                const told = new Map(answer.refused.map((r) => [r.client, r]));
                await drop(acts.filter((a) => !told.has(a.client)));
                // What was done meanwhile brings its own answer: until then the page is ahead of this one.
                if (!kept.value.some((a) => a.url === url && ready(a) && !told.has(a.client))) {
                    pages.get(url)?.take(answer);
                }
                for (const act of acts.filter((a) => told.has(a.client))) {
                    await refuse(act, told.get(act.client)!.message, told.get(act.client)!.pointer);
                }
            } catch (error) {
                if (error instanceof Refusal && FINAL.includes(error.status)) {
                    if (acts.length > 1) {
                        most = 1;
                    } else {
                        await refuse(first, inWords(error), error.pointer);
                    }
                    continue;
                }
                reached.value = !(error instanceof Refusal) || error.status !== 0;
                if (reached.value) {
                    pages.get(url)?.refuse(inWords(error), '');
                }
                timer = setTimeout(() => void sendActs(), RETRY);
                break;
            }
        }
    } finally {
        sending = false;
    }
}

/** Unsent actions of other people on this device, and one's own refused ones while the page was closed. */
export function useWaitingActs() {
    return {
        others: computed(() => kept.value.filter((a) => !a.refused && (!person() || !own(a)))),
        refused: computed(() => kept.value.filter((a) => a.refused && person() && own(a))),
        discard: (act: KeptAct) => drop([act]),
    };
}

/** Begins to send what an earlier page has left: immediately, when there is a signal again, and when the device wakes up. */
export function startActs(): void {
    window.addEventListener('online', () => void sendActs());
    document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void sendActs());
    void load().then(sendActs);
    // Whenever another person has signed in.
    router.on('navigate', () => void sendActs());
}

/**
 * Hand actions of a run go into the device's store first, each with an id and its server time, then to the server in order. Without a signal they
 * wait there.
 */
export function useActs(page: Page) {
    const url = ref('');
    onBeforeUnmount(() => pages.delete(url.value));

    /** The run that the page shows. */
    function at(run: string): void {
        if (run !== url.value) {
            pages.delete(url.value);
            url.value = run;
            if (run) {
                pages.set(run, page);
            }
        }
    }

    async function give(act: Act): Promise<void> {
        const last = kept.value.at(-1)?.at ?? 0;
        const one: KeptAct = {
            ...act,
            client: uuid(),
            url: url.value,
            at: Math.max(Math.round(serverNow()), last + 1),
            by: person()?.id,
            who: person()?.name,
        };
        kept.value = [...kept.value, one];
        try {
            await stored((store) => store.put('acts', one));
        } catch {
            // It stays on the open page.
        }
        await sendActs();
    }

    return {
        at,
        give,
        reached,
        /** How many have not arrived yet. */
        waiting: computed(() => kept.value.filter((a) => a.url === url.value && ready(a)).length),
    };
}
