import { computed, onBeforeUnmount, ref } from 'vue';
import { keep, openPage, own, reached, unsent, type Page } from './outbox';

/** Something done or answered in a run. */
export interface Act {
    kind: string;
    device?: string;
    text?: string;
    room?: string;
    /** Key of the answer to a step that it is; nothing for anything else. */
    answer?: string;
}

/** Hand actions of a run, through the outbox: each with an id and its server time, in order. */
export function useActs(page: Page) {
    const url = ref('');
    let close = () => undefined as void;
    onBeforeUnmount(() => close());

    /** The run that the page shows. */
    function at(run: string): void {
        if (run !== url.value) {
            close();
            url.value = run;
            close = run ? openPage(run, () => page) : () => undefined;
        }
    }

    return {
        at,
        give: ({ kind, device, text, room }: Act) =>
            keep({ kind: 'act', url: url.value, page: url.value, body: { kind, device, text, room } }),
        reached,
        /** How many have not arrived yet. */
        waiting: computed(() => unsent.value.filter((e) => e.page === url.value && !e.refused && own(e)).length),
    };
}
