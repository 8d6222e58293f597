import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { JoinAnswer } from '@/types/generated/responses';
import { ask, inWords, pointerOf } from '@/lib/http';

/** A live join run: its clock goes on here between the server's answers; what happens is asked for when it is due. */
export function useLive(job: number, first: JoinAnswer | null) {
    const live = shallowRef<JoinAnswer | null>(first);
    const now = ref(first?.picture.now ?? 0);
    const message = ref('');
    /** The field that the message is about, as a JSON Pointer. */
    const pointer = ref('');
    let base = { run: now.value, wall: performance.now() };
    let frame = 0;
    let due = true;
    let busy = false;

    function take(answer: JoinAnswer): void {
        live.value = answer;
        base = { run: answer.picture.now, wall: performance.now() };
        now.value = base.run;
        due = answer.picture.nextAt !== null;
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
        if (at) {
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

    return {
        live,
        now,
        message,
        pointer,
        picture: computed(() => live.value?.picture ?? null),
        begin: (speed: number, site = false, hand = '') => say('POST', `/jobs/${job}/join`, { speed, site, hand }),
        skip: () => say('POST', `/jobs/${job}/join/${live.value?.run}/skip`),
        leave: () => (live.value = null),
        pace: (speed: number) => say('POST', `/jobs/${job}/join/${live.value?.run}/pace`, { speed }),
        act: (body: { kind: string; device: string; presses?: number; name?: string; room?: string }) =>
            say('POST', `/jobs/${job}/join/${live.value?.run}`, body),
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
