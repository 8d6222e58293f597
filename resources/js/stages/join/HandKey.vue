<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';

/** A key of the drawn kit, pressed and held as the real one is: what counts is how long it was down. */
const props = defineProps<{
    label: string;
    of: string;
    /** Seconds after which the lamp lights while it is held. */
    lit: number | null;
}>();
const emit = defineEmits<{ begin: []; press: []; hold: [seconds: number]; lit: [lit: boolean] }>();
/** Seconds from which a press is a hold. */
const HELD = 0.8;
const down = ref(0);
const held = ref(0);
let frame = 0;

function count(): void {
    held.value = (performance.now() - down.value) / 1000;
    if (props.lit !== null && held.value >= props.lit) {
        emit('lit', true);
    }
    frame = requestAnimationFrame(count);
}
function press(event: PointerEvent | KeyboardEvent): void {
    if (down.value || (event instanceof KeyboardEvent && event.repeat)) {
        return;
    }
    if (event instanceof PointerEvent) {
        (event.target as HTMLElement).setPointerCapture?.(event.pointerId);
    }
    down.value = performance.now();
    emit('begin');
    count();
}
function release(): void {
    if (!down.value) {
        return;
    }
    cancelAnimationFrame(frame);
    const seconds = (performance.now() - down.value) / 1000;
    down.value = held.value = 0;
    emit('lit', false);
    if (seconds < HELD) {
        emit('press');
    } else {
        emit('hold', seconds);
    }
}
onBeforeUnmount(() => cancelAnimationFrame(frame));
</script>

<template>
    <button
        type="button"
        class="key"
        :class="{ down: down > 0 }"
        :aria-label="`${label} of ${of}`"
        @pointerdown.prevent="press($event)"
        @pointerup="release()"
        @pointercancel="release()"
        @contextmenu.prevent
        @keydown.space.prevent="press($event)"
        @keydown.enter.prevent="press($event)"
        @keyup.space="release()"
        @keyup.enter="release()"
        @blur="release()"
    >
        {{ label }}<span v-if="held >= HELD" class="fig ml-2">{{ held.toFixed(1) }} s</span>
    </button>
</template>

<style scoped>
.key {
    min-width: 64px;
    min-height: 44px;
    padding: 4px 14px;
    border: 2px solid var(--ink);
    border-bottom-width: 5px;
    border-radius: 6px;
    background: var(--sheet);
    font-weight: 600;
    touch-action: none;
    user-select: none;
}
.key.down {
    border-bottom-width: 2px;
    margin-top: 3px;
    background: var(--rule);
}
</style>
