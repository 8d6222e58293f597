import { useDocumentVisibility, useIntervalFn, useWakeLock, useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import type { JoinPicture, JoinRefused } from '@/types/generated/responses';
import { useActs, type Act } from '@/lib/acts';
import { serverNow } from '@/lib/clock';
import { ask, inWords, pointerOf, Refusal } from '@/lib/http';
import { foresee } from './ahead';

export interface Beginning {
    speed: number;
    site?: boolean;
    hand?: string;
    timing?: string;
    trustsNew?: boolean;
    hidden?: number;
    /** Panels that are on their walls already. */
    fixed?: string[];
    /** Key of a loss or replacement; none: the first join. */
    recovery?: string;
}

/** Data of every run, of the Join stage and of a lesson. */
interface Answer {
    run: number;
    speed: number;
    wall: number;
    refused: JoinRefused[];
    picture: JoinPicture | null;
    /** Of a lesson: when it was over. */
    ended?: number | null;
}

/** Address of a run: hand actions go to `act`. */
export interface Ways {
    act(run: number): string;
    look(run: number): string;
    /** Address of the steps sent ahead; none if simulated devices have to respond. */
    ahead?(run: number): string;
}

/** An answer with the complete log: a look brings only the lines since the last one. */
function withLog<A extends Answer>(answer: A, before: A | null): A {
    const { picture } = answer;
    if (!picture || picture.logFrom === 0) {
        return answer;
    }
    const log = [...(before?.picture?.log ?? []).slice(0, picture.logFrom), ...picture.log];
    return { ...answer, picture: { ...picture, log, logFrom: 0 } };
}

/** Whether nothing will happen in a run any more. */
function over(answer: Answer): boolean {
    return answer.picture?.done === true || (answer.ended ?? null) !== null;
}

/** Milliseconds between two looks at a run shared with another person. */
const LOOKS = 2500;
/** Milliseconds between two pictures of the running time: windows shorten by a pixel or two, and a phone's battery lasts. */
const FRAME = 66;
/** Milliseconds within which the same answer counts once. */
const DOUBLE = 1000;
/** Milliseconds without an answer that count as no signal, and after which a look is given up. */
const SILENT = 2000;
const PATIENCE = 15_000;
/** Milliseconds of sleep that are reported. */
const SLEPT = 5000;

/** A run: its clock is the server's as far as this device has measured it; what happens is asked for when it is due. */
export function useLive<A extends Answer>(ways: Ways, first: A | null) {
    const live = shallowRef<A | null>(null);
    const now = ref(first?.picture?.now ?? 0);
    const message = ref('');
    /** The field that the message is about, as a JSON Pointer. */
    const pointer = ref('');
    /** Seconds that the screen slept while the run went on. */
    const slept = ref(0);
    const seen = useDocumentVisibility();
    const reached = ref(true);
    const ahead = foresee();
    let due = true;
    let busy = false;
    let hidden = 0;

    const box = useActs({
        take: (answer) => take(answer as unknown as A),
        refuse: (why, where) => {
            message.value = why;
            pointer.value = where;
        },
    });
    const lost = computed(() => !box.reached.value || !reached.value);

    /** @param looked a look only: the reason of a refused press stays until the next press */
    function take(answer: A, looked = false): void {
        reached.value = box.reached.value = true;
        const before = live.value?.run === answer.run ? live.value : null;
        if (before && answer.wall < before.wall) {
            // It was under way while a later answer came.
            return;
        }
        live.value = withLog(answer, before);
        if (!looked) {
            message.value = pointer.value = '';
        }
        box.at(ways.act(answer.run));
        due = answer.picture?.nextAt !== null && !over(answer);
        if (ways.ahead && answer.picture && !over(answer)) {
            ahead.ask(ways.ahead(answer.run), answer.picture.step);
        }
    }

    async function say(method: 'GET' | 'POST', url: string, body?: object): Promise<boolean> {
        busy = true;
        const looks = method === 'GET';
        const silent = setTimeout(() => (reached.value = false), SILENT);
        try {
            take(await ask<A>(method, url, body, looks ? { patience: PATIENCE } : {}), looks);
            return true;
        } catch (error) {
            reached.value = !(error instanceof Refusal) || error.status !== 0;
            if (reached.value) {
                message.value = inWords(error);
                pointer.value = pointerOf(error);
            }
            return false;
        } finally {
            clearTimeout(silent);
            busy = false;
        }
    }

    /** The answer given last, and when: a double press is one. */
    let given = { text: '', at: 0 };
    /** Key of the answer being sent: a press is shown immediately, even on a slow line. */
    const pressed = ref('');
    /** Whether the same answer would count again: not within the time of a double press. */
    const settled = ref(true);
    const settle = useTimeoutFn(() => (settled.value = true), DOUBLE, { immediate: false });

    function twice(what: Act): boolean {
        const text = `${what.kind} ${what.device} ${what.text}`;
        const again = what.answer !== undefined && text === given.text && serverNow() - given.at < DOUBLE;
        given = { text, at: again ? given.at : serverNow() };
        return again;
    }

    async function act(what: Act): Promise<void> {
        if (twice(what)) {
            return;
        }
        settled.value = what.answer === undefined;
        settle.start();
        slept.value = 0;
        message.value = pointer.value = '';
        pressed.value = what.answer ?? '';
        ahead.answer(what, now.value);
        await box.give(what);
        pressed.value = '';
    }

    function tick(): void {
        const at = live.value;
        if (at?.picture) {
            now.value = at.picture.now + ((serverNow() - at.wall) / 1000) * at.speed;
            const next = at.picture.nextAt;
            if (due && next !== null && now.value > next && !busy && !lost.value && at.speed > 0) {
                due = false;
                void look();
            }
        }
    }
    const look = () => say('GET', `${ways.look(live.value?.run ?? 0)}?lines=${live.value?.picture?.log.length ?? 0}`);
    useIntervalFn(tick, FRAME);
    // Two people in one run see each other's steps. What waits here goes first.
    useIntervalFn(() => {
        const at = live.value;
        const idle = !busy && box.waiting.value === 0;
        if (at?.picture && !over(at) && idle && seen.value === 'visible') {
            void look();
        }
    }, LOOKS);
    watch(seen, (state) => {
        const away = serverNow() - hidden;
        if (state === 'hidden') {
            hidden = serverNow();
        } else if (hidden > 0 && away > SLEPT && live.value?.picture) {
            slept.value = Math.round(away / 1000);
            void look();
        }
    });
    const lock = useWakeLock();
    watch(
        () => live.value !== null && !over(live.value),
        (running) => void (running ? lock.request('screen') : lock.release()).catch(() => undefined),
    );
    if (first) {
        take(first);
    }

    return {
        live,
        settled,
        pressed,
        now,
        message,
        pointer,
        slept,
        lost,
        /** Whether this device may put its screen to sleep meanwhile. */
        sleepy: computed(() => !lock.isSupported.value),
        waiting: box.waiting,
        /** No steps were sent ahead for the last answer: the hands wait for a signal. */
        stuck: computed(() => lost.value && ahead.stuck.value),
        picture: computed<JoinPicture | null>(() => {
            const picture = live.value?.picture ?? null;
            const step = lost.value ? ahead.step.value : null;
            return picture && step ? { ...picture, step, causes: [], says: '' } : picture;
        }),
        say,
        act,
        leave: () => {
            live.value = null;
            box.at('');
        },
    };
}

/** Whether a lamp that shows a pattern is lit so many seconds after it began; null once the pattern is over. */
export function litAt(times: number[], seconds: number): boolean | null {
    let left = seconds;
    for (const [n, time] of times.entries()) {
        if (left < time) {
            return left >= 0 && n % 2 === 0;
        }
        left -= time;
    }
    return null;
}
