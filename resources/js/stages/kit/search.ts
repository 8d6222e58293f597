import { computed, ref, shallowRef, watch } from 'vue';
import { ask } from '@/lib/http';
import type { ItemFinds, ShelfResults } from '@/types/generated/responses';

/** Number of search results shown. */
const MOST = 8;

/** Searches by words as they are typed; late answers are dropped. */
function useSearch<Entry>(url: string) {
    const words = ref('');
    const found = shallowRef<Entry[]>([]);
    let round = 0;

    watch(words, async (now) => {
        const mine = ++round;
        const answer =
            now.trim() === ''
                ? null
                : await ask<{ entries: Entry[] }>('GET', `${url}?find=${encodeURIComponent(now)}`).catch(() => null);
        if (mine === round) {
            found.value = answer?.entries ?? [];
        }
    });
    return { words, found };
}

/** All of the shelf. */
export function useShelfSearch() {
    const { words, found } = useSearch<ShelfResults['entries'][number]>('/shelf/entries');
    return { words, found: computed(() => found.value.slice(0, MOST)) };
}

/** What can be another item of a job, with the reason where it controls no light of it. */
export const useItemSearch = (job: number) => useSearch<ItemFinds['entries'][number]>(`/jobs/${job}/items`);
