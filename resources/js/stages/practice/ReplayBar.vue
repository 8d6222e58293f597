<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed } from 'vue';
import { since } from '@/lib/hours';

/** Any moment of a lesson that is over, and its hands going on from there. */
const props = defineProps<{ at: number; end: number }>();
const emit = defineEmits<{ at: [seconds: number] }>();
/** Milliseconds between two pictures of it; each goes on by as much of the lesson. */
const FRAME = 500;
const { pause, resume, isActive } = useIntervalFn(() => to(props.at + FRAME / 1000), FRAME, { immediate: false });
const shown = computed(() => Math.min(props.end, Math.max(0, props.at)));

function to(seconds: number): void {
    if (seconds >= props.end) {
        pause();
    }
    emit('at', Math.max(0, Math.min(props.end, seconds)));
}
</script>

<template>
    <div class="mb-3 flex items-center gap-3 border-b border-rule pb-2" role="group" aria-label="Replay">
        <button type="button" class="quiet !min-h-[44px]" @click="isActive ? pause() : resume()">
            {{ isActive ? 'Stop' : 'Replay' }}
        </button>
        <input
            type="range"
            class="min-w-0 flex-1 accent-ember"
            min="0"
            :max="end"
            step="0.5"
            :value="shown"
            aria-label="Moment of the lesson"
            :aria-valuetext="since(shown)"
            @input="to(Number(($event.target as HTMLInputElement).value))"
        />
        <span class="fig text-ink2">{{ since(shown) }} of {{ since(end) }}</span>
    </div>
</template>
