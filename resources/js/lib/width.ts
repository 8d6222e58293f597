import { useElementSize } from '@vueuse/core';
import { computed, type ComputedRef, type Ref } from 'vue';

const LEAST = 280;

/** The width in pixels that a picture in an element may have, kept up to date. */
export function useWidth(element: Ref<HTMLElement | undefined>, first = 860): ComputedRef<number> {
    const { width } = useElementSize(element, { width: first, height: 0 });
    return computed(() => Math.max(LEAST, Math.floor(width.value)));
}
