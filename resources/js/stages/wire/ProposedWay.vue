<script setup lang="ts">
import type { ProposedWay } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import QuoteLines from '@/ui/QuoteLines.vue';
import WayPicture from './WayPicture.vue';

defineProps<{ way: ProposedWay; short?: boolean }>();
</script>

<template>
    <p><FigureText :figure="way.cost" />; the quote changes by <FigureText :figure="way.quote" signed /></p>
    <p>
        <span class="fig">{{ way.joints }}</span> joints, <span class="fig">{{ way.boxes }}</span>
        {{ way.boxes === 1 ? 'place' : 'places' }} with kit, evenness
        <span class="fig">{{ way.evenness }}</span>
    </p>
    <p v-if="!short && way.runs.length" class="mt-2 text-[13px] text-ink2">
        Feeds: <span aria-hidden="true" class="text-ember">◆</span> proposed, above;
        <span aria-hidden="true" class="text-ink">○</span> current, below. Bold: changed.
    </p>
    <WayPicture :runs="way.runs" :small="short" class="mt-1" />
    <details v-if="!short" class="text-[13px]">
        <summary class="dotted min-h-6 w-fit cursor-pointer">In words</summary>
        <p v-for="part in way.parts" :key="part">{{ part }}</p>
    </details>
    <details v-if="!short" class="text-[13px]">
        <summary class="dotted min-h-6 w-fit cursor-pointer">Cost, line by line</summary>
        <QuoteLines :lines="way.bill" title="Quote lines that change" />
    </details>
</template>
