import { ref, watch } from 'vue';
import { ask } from '@/lib/http';
import type { ShelfResults } from '@/types/generated/responses';

/** Number of search results shown. */
const MOST = 8;

/** Searches the shelf by words and kinds; late answers are dropped. */
export function useShelfSearch(fits: (entry: ShelfResults['entries'][number]) => boolean = () => true) {
    const words = ref('');
    const found = ref<ShelfResults['entries']>([]);
    let round = 0;

    watch(words, async (now) => {
        const mine = ++round;
        const answer =
            now.trim() === ''
                ? null
                : await ask<ShelfResults>('GET', `/shelf/entries?find=${encodeURIComponent(now)}`).catch(() => null);
        if (mine === round) {
            found.value = answer?.entries.filter(fits).slice(0, MOST) ?? [];
        }
    });
    return { words, found };
}
