import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** The width of an element in pixels, kept up to date. */
export function useWidth(element: Ref<HTMLElement | undefined>, first = 860): Ref<number> {
    const width = ref(first);
    let observer: ResizeObserver | undefined;
    onMounted(() => {
        observer = new ResizeObserver(([entry]) => {
            if (entry) {
                width.value = Math.max(280, Math.floor(entry.contentRect.width));
            }
        });
        if (element.value) {
            observer.observe(element.value);
        }
    });
    onBeforeUnmount(() => observer?.disconnect());
    return width;
}
