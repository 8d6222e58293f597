<script setup lang="ts">
import { termOf } from '@/lib/glossary';
import type { Figure } from '@/types/generated/responses';
import FigureText from './FigureText.vue';
import TermMark from './TermMark.vue';

defineProps<{ figures: Figure[] }>();
</script>

<template>
    <footer
        class="no-print flex min-h-[60px] flex-wrap items-center gap-x-10 gap-y-1 border-t border-ink py-1"
        :class="{ 'justify-between': figures.length > 4 }"
        aria-label="Ledger"
    >
        <div v-for="(figure, n) in figures" :key="figure.label">
            <span class="block text-xs leading-4 text-ink2"
                >{{ figure.label }}<TermMark v-if="termOf(figure.label)" :term="termOf(figure.label)!" up
            /></span>
            <FigureText :figure="figure" large up :right="figures.length > 4 && n > figures.length / 2" />
        </div>
        <slot />
    </footer>
</template>
