<script setup lang="ts">
import type { Gauge } from '@/types/generated/responses';

defineProps<{ gauge: Gauge; most: number }>();
</script>

<template>
    <!-- A length of copper for what is offered, a cut mark where it must reach. -->
    <span class="block">
        <svg
            viewBox="0 0 300 14"
            preserveAspectRatio="none"
            class="block h-3.5 w-full max-w-[300px]"
            aria-hidden="true"
        >
            <rect x="0" y="4" width="300" height="6" rx="1" fill="var(--rule-2)" />
            <rect
                x="0"
                y="4"
                :width="(296 * gauge.offers) / most"
                height="6"
                rx="1"
                :fill="gauge.enough ? 'var(--copper)' : 'var(--stop)'"
            />
            <path
                :d="`M${(296 * gauge.asks) / most},0V14`"
                stroke="var(--ink)"
                stroke-width="2"
                stroke-dasharray="3 1.5"
            />
        </svg>
        <span class="text-[12.5px] text-ink2">{{ gauge.text }}{{ gauge.enough ? '' : ': too little' }}</span>
    </span>
</template>
