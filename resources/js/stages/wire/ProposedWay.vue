<script setup lang="ts">
import type { ProposedWay } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import QuoteLines from '@/ui/QuoteLines.vue';

defineProps<{ way: ProposedWay; short?: boolean }>();
</script>

<template>
    <p v-for="part in way.parts" :key="part" :class="short ? '' : 'font-semibold'">{{ part }}</p>
    <p><FigureText :figure="way.cost" />; the quote changes by <FigureText :figure="way.quote" signed />.</p>
    <p>
        <span class="fig">{{ way.joints }}</span> joints, <span class="fig">{{ way.boxes }}</span>
        {{ way.boxes === 1 ? 'place' : 'places' }} with kit, evenness
        <span class="fig">{{ way.evenness }}</span>
    </p>
    <details v-if="!short" class="text-[13px]">
        <summary class="dotted w-fit cursor-pointer">Cost, line by line</summary>
        <QuoteLines :lines="way.bill" title="Quote lines that change" />
    </details>
</template>
