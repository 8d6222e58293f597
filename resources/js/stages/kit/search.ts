import { ref, watch } from 'vue';
import { ask } from '@/lib/http';
import type { Found } from '@/types/generated/responses';

/** Entries shown of what is found. */
const MOST = 8;

/** What the shelf has by some words, of the kinds that fit; an answer that comes late is not shown. */
export function useShelfSearch(fits: (entry: Found['entries'][number]) => boolean = () => true) {
    const words = ref('');
    const found = ref<Found['entries']>([]);
    let round = 0;

    watch(words, async (now) => {
        const mine = ++round;
        const answer =
            now.trim() === ''
                ? null
                : await ask<Found>('GET', `/shelf/entries?find=${encodeURIComponent(now)}`).catch(() => null);
        if (mine === round) {
            found.value = answer?.entries.filter(fits).slice(0, MOST) ?? [];
        }
    });
    return { words, found };
}
