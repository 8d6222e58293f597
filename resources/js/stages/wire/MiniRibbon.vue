<script setup lang="ts">
import { computed } from 'vue';
import type { WireRun } from '@/types/generated/responses';
import { lightColour } from './ribbon';

/** A ribbon as small as a line: light along it and where it is fed. */
const props = defineProps<{ name: string; run: WireRun; longest: number; width: number }>();
const STOPS = 24;
const stops = computed(() => {
    const colour = lightColour(props.run.colours);
    const light = props.run.light;
    const count = Math.min(STOPS, light.length);
    return Array.from({ length: count }, (_, n) => ({
        at: (n + 0.5) / count,
        colour: colour(light[Math.round((n * (light.length - 1)) / Math.max(1, count - 1))] ?? 0),
    }));
});
</script>

<template>
    <svg :width="width" height="14" aria-hidden="true" class="block">
        <defs>
            <linearGradient :id="`small-${name}`">
                <stop v-for="(stop, n) in stops" :key="n" :offset="stop.at" :stop-color="stop.colour" />
            </linearGradient>
        </defs>
        <rect
            x="0.5"
            y="1.5"
            :width="Math.max(2, (run.metres / longest) * (width - 1))"
            height="11"
            :fill="run.light.length ? `url(#small-${name})` : 'var(--rule-2)'"
            stroke="var(--ink-2)"
        />
        <path
            v-for="feed in run.feeds"
            :key="feed.id"
            :d="`M${(feed.at / longest) * (width - 1)},0v14`"
            stroke="var(--ink)"
            stroke-width="2"
        />
    </svg>
</template>
