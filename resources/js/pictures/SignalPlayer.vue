<script setup lang="ts">
import { useRafFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import SignalBars from './SignalBars.vue';

/** A lamp pattern as typed, in seconds on, off, on …: drawn immediately, and played by a lamp on request. */
const props = defineProps<{ typed: string; label: string }>();
/** Seconds of dark between two rounds. */
const REST = 1.2;
const times = computed(() =>
    props.typed
        .trim()
        .split(/[\s;]+/)
        .map((word) => Number(word.replace(',', '.')))
        .filter((seconds) => Number.isFinite(seconds) && seconds > 0 && seconds <= 30),
);
const lit = ref(false);
const playing = ref(false);
let began = 0;
const { pause, resume } = useRafFn(
    () => {
        const whole = times.value.reduce((sum, t) => sum + t, 0) + REST;
        let left = ((performance.now() - began) / 1000) % whole;
        lit.value = times.value.some((time, n) => {
            const here = left >= 0 && left < time && n % 2 === 0;
            left -= time;
            return here;
        });
    },
    { immediate: false },
);
function play(on: boolean): void {
    playing.value = on;
    began = performance.now();
    if (on) {
        resume();
    } else {
        pause();
        lit.value = false;
    }
}
watch(
    () => props.typed,
    () => (began = performance.now()),
);
</script>

<template>
    <div v-if="times.length" class="flex items-center gap-2 overflow-hidden py-1" :data-lit="lit">
        <button type="button" class="quiet shrink-0 !px-2 !py-0.5" :aria-pressed="playing" @click="play(!playing)">
            {{ playing ? 'Stop' : 'Play' }}<span class="sr-only"> {{ label }}</span>
        </button>
        <svg width="20" height="20" class="shrink-0" aria-hidden="true">
            <circle cx="10" cy="10" r="8" :fill="lit ? 'var(--ember)' : 'var(--rule-2)'" stroke="var(--ink)" />
        </svg>
        <SignalBars :times="times" :words="typed" />
    </div>
</template>
