import {
    computed,
    inject,
    onBeforeUnmount,
    provide,
    ref,
    shallowRef,
    watch,
    type ComputedRef,
    type InjectionKey,
    type Ref,
    type ShallowRef,
} from 'vue';
import { router } from '@inertiajs/vue3';
import type { Answer, Desk, Finding, Fix, SolvedFixes } from '@/types/generated/responses';
import { ask, Refusal, type Over, inWords } from './http';

export type Payload = { kind: string; [field: string]: unknown };

/** The open job at one stage: its last answer from the server, and the way to change it. */
/** Something done on the page that is no change of the plan, and that Undo takes back before the plan's last change. */
export interface TakeBack {
    words: string;
    act(): void;
}

export interface ScreenStore {
    answer: ShallowRef<Answer>;
    /** The shown state: a preview while something is being moved, else the saved state. */
    desk: ComputedRef<Desk>;
    status: Ref<'kept' | 'keeping' | 'waiting'>;
    message: Ref<string>;
    /** A change that blocks undo or redo, and can be skipped. */
    over: Ref<Over | null>;
    stepOver(): Promise<void>;
    /** Fixes of a finding; null while they are being calculated. */
    fixesOf(finding: Finding): Fix[] | null;
    /** The scene that is looked at; empty all at full. */
    scene: Ref<string>;
    look(scene: string): Promise<void>;
    /** Ids of the runs that are shown large, parted by spaces: a large job sends curves of those only. */
    open: Ref<string>;
    change(payload: Payload): Promise<boolean>;
    preview(payload: Payload): void;
    takeBack: Ref<TakeBack | null>;
    undo(): Promise<void>;
    redo(): Promise<void>;
    reload(): Promise<void>;
    /** For a request outside the queue: the page's current data, and its handler for the answer. */
    beside(): { known: string | undefined; take(said: Answer): void };
}

const KEY: InjectionKey<ScreenStore> = Symbol('desk');
const RETRY = 3000;
/** Not reached, or busy: tried again until it works. */
const AGAIN = [0, 503];

/** Rows in order: new ones, else those of the page. */
function ordered<Row extends { id: string }>(order: string[], had: Row[] = [], sent: Row[]): Row[] {
    const rows = new Map([...had, ...sent].map((row) => [row.id, row]));
    return order.flatMap((id) => rows.get(id) ?? []);
}

/** A screen with the runs and steps that were not sent, as the page had them. */
function whole(desk: Desk, had: Desk): Desk {
    const { wire, build } = desk;
    return {
        ...desk,
        wire: wire && { ...wire, runs: ordered(wire.order, had.wire?.runs, wire.runs) },
        build: build && { ...build, steps: ordered(build.order, had.build?.steps, build.steps) },
    };
}

/** State held by a page, so that only differences are sent. */
const knownOf = (desk: Desk) => (desk.wire?.runs ?? desk.build?.steps)?.map((row) => `${row.id}:${row.hash}`).join(' ');

export function provideScreen(first: Answer): ScreenStore {
    const answer = shallowRef(first);
    const previewed = shallowRef<Desk | null>(null);
    const status = ref<'kept' | 'keeping' | 'waiting'>('kept');
    const message = ref('');
    const over = ref<Over | null>(null);
    const takeBack = ref<TakeBack | null>(null);
    const scene = ref('');
    const open = ref('');
    const url = (what: string) => `/jobs/${first.job}/${what}`;
    const stage = first.desk.stage;
    let queue: Promise<unknown> = Promise.resolve();
    let left = false;

    /** Open runs on this page and their versions: only differences are sent. */
    const asking = (has: Desk) => ({
        stage,
        scene: scene.value,
        open: open.value,
        known: knownOf(has),
    });

    /** One request at a time; a lost connection is tried again until it works, so that nothing typed is lost. */
    async function send(what: string, body: object): Promise<boolean> {
        for (;;) {
            status.value = 'keeping';
            over.value = null;
            try {
                const has = answer.value.desk;
                // An edit that is under way when the page is left goes on without it.
                const said = await ask<Answer>('POST', url(what), { ...asking(has), ...body }, { leaving: true });
                answer.value = { ...said, desk: whole(said.desk, has) };
                previewed.value = null;
                status.value = 'kept';
                message.value = '';
                return true;
            } catch (error) {
                if (!(error instanceof Refusal)) {
                    throw error;
                }
                if (AGAIN.includes(error.status) && !left) {
                    status.value = 'waiting';
                    message.value =
                        error.status === 0
                            ? 'Not saved yet: the server is not reached. It is tried again automatically.'
                            : `Not saved yet: the database is busy. It is tried again automatically.`;
                    await new Promise((done) => setTimeout(done, RETRY));
                    continue;
                }
                previewed.value = null;
                status.value = 'kept';
                message.value = error.message;
                over.value = error.over;
                if (error.status === 409) {
                    await reload();
                }
                return false;
            }
        }
    }

    function inTurn<T>(work: () => Promise<T>): Promise<T> {
        const next = queue.then(work, work);
        queue = next;
        return next;
    }

    /** Loads the newest state; on failure the page stays, with the reason. */
    async function reload(): Promise<void> {
        try {
            answer.value = await ask<Answer>(
                'GET',
                `${url('state')}?stage=${stage}&scene=${scene.value}&open=${open.value}`,
            );
        } catch (error) {
            message.value = [message.value, inWords(error)].filter((part) => part !== '').join(' ');
        }
    }

    let looking = false;
    let wanted: Payload | null = null;
    let round = 0;

    async function look(): Promise<void> {
        looking = true;
        while (wanted) {
            const payload = wanted;
            const mine = round;
            wanted = null;
            try {
                const has = answer.value.desk;
                const { desk } = await ask<{ desk: Desk }>('POST', url('preview'), {
                    ...asking(has),
                    change: payload,
                });
                if (mine === round) {
                    previewed.value = whole(desk, has);
                }
            } catch (error) {
                message.value = error instanceof Refusal ? error.message : '';
            }
        }
        looking = false;
    }

    const solved = shallowRef<{ desk: Desk; fixes: SolvedFixes['fixes'] } | null>(null);

    /** Fixes that have to be solved come after the picture, and leave it alone; those of an earlier state are of no use. */
    async function mend(): Promise<void> {
        const { revision, desk } = answer.value;
        if (!desk.findings?.some((f) => f.asks)) {
            return;
        }
        const said = await ask<SolvedFixes>('GET', url('fixes')).catch(() => null);
        if (said?.revision === revision && answer.value.desk === desk) {
            solved.value = { desk, fixes: said.fixes };
        }
    }
    watch(answer, () => void mend(), { immediate: true });

    function fixesOf(finding: Finding): Fix[] | null {
        if (!finding.asks) {
            return finding.fixes;
        }
        if (solved.value?.desk !== store.desk.value) {
            return null;
        }
        const { fixes } = solved.value;
        return (
            fixes.find((s) => s.code === finding.code && s.place === finding.place && s.title === finding.title)
                ?.fixes ?? []
        );
    }

    const store: ScreenStore = {
        answer,
        desk: computed(() => previewed.value ?? answer.value.desk),
        status,
        message,
        over,
        async stepOver() {
            const at = over.value;
            if (at) {
                round++;
                await inTurn(() => send(at.kind, { over: at.number }));
            }
        },
        fixesOf,
        scene,
        open,
        async look(of) {
            scene.value = of;
            await inTurn(reload);
        },
        takeBack,
        change(payload) {
            takeBack.value = null;
            round++;
            wanted = null;
            return inTurn(() => send('change', { base: answer.value.revision, change: payload }));
        },
        preview(payload) {
            wanted = payload;
            if (!looking) {
                void look();
            }
        },
        async undo() {
            const own = takeBack.value;
            if (own) {
                takeBack.value = null;
                own.act();
                return;
            }
            round++;
            await inTurn(() => send('undo', {}));
        },
        async redo() {
            round++;
            await inTurn(() => send('redo', {}));
        },
        // In turn as well: asked for before a change and answered after it, it would show the state before.
        reload: () => inTurn(reload),
        beside() {
            const has = answer.value.desk;
            return {
                known: knownOf(has),
                take: (said) => (answer.value = { ...said, desk: whole(said.desk, has) }),
            };
        },
    };
    let warned = false;
    // Waits for an edit in progress; warns before an unsent one is lost.
    const stopWatching = router.on('before', (event) => {
        const { visit } = event.detail;
        if (status.value === 'kept' || visit.method !== 'get' || visit.prefetch) {
            return;
        }
        if (status.value === 'keeping') {
            void queue.finally(() => router.visit(visit.url.href));
            return false;
        }
        if (!warned) {
            warned = true;
            message.value = 'Not saved yet: the server is not reached. Leave once more to discard the last edit.';
            return false;
        }
    });
    const warn = (event: BeforeUnloadEvent) => status.value === 'waiting' && event.preventDefault();
    window.addEventListener('beforeunload', warn);
    watch(status, () => (warned = false));
    onBeforeUnmount(() => {
        left = true;
        stopWatching();
        window.removeEventListener('beforeunload', warn);
    });
    provide(KEY, store);
    return store;
}

export function useScreen(): ScreenStore {
    const store = inject(KEY);
    if (!store) {
        throw new Error('No desk is provided here.');
    }
    return store;
}
