import { useDocumentVisibility, useIntervalFn, useOnline } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { JoinAnswer } from '@/types/generated/responses';
import { ask, inWords, pointerOf } from '@/lib/http';

export interface JoinAct {
    kind: string;
    device?: string;
    text?: string;
    room?: string;
}

export interface Beginning {
    speed: number;
    site?: boolean;
    hand?: string;
    timing?: string;
    trustsNew?: boolean;
    hidden?: number;
}

/** Milliseconds between two looks at a run that somebody else may be working on too. */
const LOOKS = 2500;

/** A live join run: its clock goes on here between the server's answers; what happens is asked for when it is due. */
export function useLive(job: number, first: JoinAnswer | null) {
    const live = shallowRef<JoinAnswer | null>(first);
    const now = ref(first?.picture?.now ?? 0);
    const message = ref('');
    /** The field that the message is about, as a JSON Pointer. */
    const pointer = ref('');
    const online = useOnline();
    const seen = useDocumentVisibility();
    let base = { run: now.value, wall: performance.now() };
    let frame = 0;
    let due = true;
    let busy = false;

    function take(answer: JoinAnswer): void {
        live.value = answer;
        if (answer.picture) {
            base = { run: answer.picture.now, wall: performance.now() };
            now.value = base.run;
            due = answer.picture.nextAt !== null;
        }
    }

    async function say(method: 'GET' | 'POST', url: string, body?: object): Promise<boolean> {
        busy = true;
        try {
            take(await ask<JoinAnswer>(method, url, body));
            message.value = pointer.value = '';
            return true;
        } catch (error) {
            message.value = inWords(error);
            pointer.value = pointerOf(error);
            return false;
        } finally {
            busy = false;
        }
    }

    function tick(): void {
        const at = live.value;
        if (at?.picture) {
            now.value = base.run + ((performance.now() - base.wall) / 1000) * at.speed;
            const next = at.picture.nextAt;
            if (due && next !== null && now.value > next && !busy && at.speed > 0) {
                due = false;
                void say('GET', `/jobs/${job}/join/${at.run}`);
            }
        }
        frame = requestAnimationFrame(tick);
    }
    onMounted(() => (frame = requestAnimationFrame(tick)));
    onBeforeUnmount(() => cancelAnimationFrame(frame));
    // Two people in one run see each other's steps.
    useIntervalFn(() => {
        const at = live.value;
        if (at?.picture && !at.picture.done && !busy && online.value && seen.value === 'visible' && !message.value) {
            void say('GET', `/jobs/${job}/join/${at.run}`);
        }
    }, LOOKS);

    return {
        live,
        now,
        message,
        pointer,
        online,
        picture: computed(() => live.value?.picture ?? null),
        begin: (with_: Beginning) => say('POST', `/jobs/${job}/join`, with_),
        skip: () => say('POST', `/jobs/${job}/join/${live.value?.run}/skip`),
        leave: () => (live.value = null),
        pace: (speed: number) => say('POST', `/jobs/${job}/join/${live.value?.run}/pace`, { speed }),
        act: (body: JoinAct) =>
            say('POST', `/jobs/${job}/join/${live.value?.run}`, { ...body, client: crypto.randomUUID?.() ?? null }),
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
