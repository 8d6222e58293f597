<script setup lang="ts">
import { computed } from 'vue';

/** A lamp pattern over time: high when lit, low when dark, width by duration. */
const props = defineProps<{ times: number[]; words: string }>();
const SECOND = 62;
const bars = computed(() => {
    let at = 0;
    return props.times.map((time, n) => {
        const bar = { x: at, width: time * SECOND, lit: n % 2 === 0 };
        at += bar.width;
        return bar;
    });
});
const width = computed(() => props.times.reduce((sum, t) => sum + t * SECOND, 0));
</script>

<template>
    <svg
        :viewBox="`0 0 ${Math.max(width, 60)} 40`"
        :width="Math.max(width, 60)"
        height="40"
        role="img"
        :aria-label="`Lamp pattern: ${words}`"
        class="max-w-full"
    >
        <rect
            v-for="(bar, n) in bars"
            :key="n"
            :x="bar.x"
            :y="bar.lit ? 0 : 35"
            :width="Math.max(1, bar.width - 2)"
            :height="bar.lit ? 40 : 5"
            rx="1.5"
            :fill="bar.lit ? 'var(--ember)' : 'var(--rule)'"
        />
    </svg>
</template>
