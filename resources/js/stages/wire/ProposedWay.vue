<script setup lang="ts">
import type { ProposedWay } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

defineProps<{ way: ProposedWay; short?: boolean }>();
</script>

<template>
    <p v-for="part in way.parts" :key="part" :class="short ? '' : 'font-semibold'">{{ part }}</p>
    <p>
        <FigureText :figure="way.cost" />, <span class="fig">{{ way.joints }}</span> joints,
        <span class="fig">{{ way.boxes }}</span> {{ way.boxes === 1 ? 'place' : 'places' }} with kit in it, evenness
        <span class="fig">{{ way.evenness }}</span>
    </p>
    <details v-if="!short" class="text-[13px]">
        <summary class="dotted w-fit cursor-pointer">What it costs, line by line</summary>
        <table class="mt-1 w-full">
            <caption class="sr-only">
                Cost line by line
            </caption>
            <tbody>
                <tr v-for="line in way.bill" :key="line.what" class="border-b border-rule2">
                    <th scope="row" class="text-left font-normal">{{ line.what }}</th>
                    <td class="fig text-right">{{ line.count }}</td>
                    <td class="fig w-24 text-right">{{ line.cost }}</td>
                </tr>
            </tbody>
        </table>
    </details>
</template>
