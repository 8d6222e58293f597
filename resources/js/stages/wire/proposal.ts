import { onUnmounted, ref, shallowRef } from 'vue';
import { ask, inWords } from '@/lib/http';
import type { ProposalState } from '@/types/generated/responses';

/** Milliseconds between looks. */
const LOOK = 1000;

/** Asks for a proposal, looks on while it is calculated, and can end it with the best so far. */
export function useProposal(job: () => number) {
    const state = shallowRef<ProposalState | null>(null);
    const message = ref('');
    let asked = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;

    async function told(request: Promise<ProposalState>, number: number): Promise<void> {
        try {
            const now = await request;
            if (number !== asked) {
                return;
            }
            state.value = now;
            message.value = now.message;
            if (now.state === 'waiting' || now.state === 'running') {
                timer = setTimeout(
                    () => void told(ask<ProposalState>('GET', `/jobs/${job()}/proposals/${now.id}`), number),
                    LOOK,
                );
            }
        } catch (error) {
            if (number === asked) {
                message.value = inWords(error);
            }
        }
    }

    function begin(runs: string[], keep: string[], wish: string | null = null): void {
        forget();
        void told(ask<ProposalState>('POST', `/jobs/${job()}/proposals`, { runs, keep, wish }), asked);
    }

    function stop(): void {
        if (state.value) {
            void ask('POST', `/jobs/${job()}/proposals/${state.value.id}/stop`).catch(() => undefined);
        }
    }

    /** The earlier request is no longer shown. */
    function forget(): void {
        asked += 1;
        clearTimeout(timer);
        state.value = null;
        message.value = '';
    }

    onUnmounted(forget);
    return { state, message, begin, stop, forget };
}
