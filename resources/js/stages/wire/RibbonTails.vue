<script setup lang="ts">
import { computed } from 'vue';
import { ROW, useRibbon } from './ribbon';

const props = defineProps<{ from: [number, number] }>();
/** Span of the supply's box, from which cables past a board begin. */
const SUPPLY: [number, number] = [14, 196];
const { run, x } = useRibbon();

/**
 * Tails leave the controller in the order of their feeds. Those to the left turn lower the further right they are, those to the right the other way
 * round; so none crosses another.
 */
const tails = computed(() => {
    const feeds = run.value.feeds;
    const room = (ROW.pin - 20 - ROW.boxHeight - 8) / (feeds.length + 1);
    return feeds.map((feed, n) => {
        const [left, right] = feed.past ? SUPPLY : props.from;
        const start = left + ((right - left) * (n + 1)) / (feeds.length + 1);
        const end = x.value(feed.at);
        const level = ROW.boxHeight + 6 + room * (end < start ? n + 1 : feeds.length - n);
        return { id: feed.id, bare: !feed.cable, path: `M${start},${ROW.boxHeight}V${level}H${end}V${ROW.pin}` };
    });
});
</script>

<template>
    <path
        v-for="tail in tails"
        :key="tail.id"
        :d="tail.path"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.8"
        :stroke-dasharray="tail.bare ? '3 4' : undefined"
    />
</template>
