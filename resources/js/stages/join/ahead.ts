import { computed, shallowRef } from 'vue';
import type { JoinAhead, JoinForeseen, JoinStep } from '@/types/generated/responses';
import type { Act } from '@/lib/acts';
import { ask } from '@/lib/http';

/** When an answer was foreseen and when it really came, in run seconds. */
interface Answered {
    foreseen: number;
    came: number;
}

/** A step with its window where the answers really came: one that an answer opens begins with that answer. */
export function shifted(step: JoinStep, answers: Answered[]): JoinStep {
    const { from, to } = step;
    const opened = from === null ? undefined : answers.filter((a) => a.foreseen <= from + 1e-6).at(-1);
    if (from === null || to === null || !opened) {
        return step;
    }
    const by = opened.came - opened.foreseen;
    return { ...step, from: from + by, to: to + by, lookUntil: step.lookUntil === null ? null : step.lookUntil + by };
}

/** The steps that come next, as the server has sent them ahead: a lost connection does not stop the hands. */
export function foresee() {
    const node = shallowRef<JoinAhead | null>(null);
    const step = shallowRef<JoinStep | null>(null);
    const stuck = shallowRef(false);
    let answers: Answered[] = [];
    let round = 0;
    let fetching = new AbortController();

    /** Asks again, from the step that the server has just named. */
    function askFor(url: string, at: JoinStep): void {
        const mine = ++round;
        step.value = null;
        stuck.value = false;
        if (node.value?.step.key === at.key && answers.length === 0) {
            return;
        }
        node.value = null;
        answers = [];
        fetching.abort();
        fetching = new AbortController();
        ask<JoinForeseen>('GET', url, undefined, { signal: fetching.signal })
            .then(({ ahead }) => {
                if (mine === round && step.value === null && !stuck.value) {
                    node.value = ahead;
                    answers = [];
                }
            })
            .catch(() => undefined);
    }

    /** An answer was given here: continue with its next step. */
    function answer(act: Act, now: number): void {
        // The answer goes first: steps after an older one are of no use any more.
        fetching.abort();
        const at = node.value;
        if (act.answer === undefined) {
            return;
        }
        const next = at?.next[act.answer];
        if (at && next) {
            answers = [...answers, { foreseen: at.at, came: now }];
            node.value = next;
            step.value = shifted(next.step, answers);
            stuck.value = false;
        } else {
            node.value = null;
            stuck.value = true;
        }
    }

    return { ask: askFor, answer, step: computed(() => step.value), stuck: computed(() => stuck.value) };
}
