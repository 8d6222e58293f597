<script setup lang="ts">
import { computed } from 'vue';
import type { TraceAnswer } from '@/types/generated/responses';

/** The near ends on the left, the far ends on the right: linked ones, and the tester's position. The connection between them is unknown. */
const props = defineProps<{ trace: TraceAnswer }>();
const ROW = 26;
const rows = computed(() => props.trace.legs.length);
const far = computed(() =>
    [
        ...(props.trace.step?.link.map((name) => ({ name, linked: true })) ?? []),
        ...(props.trace.step?.open.map((name) => ({ name, linked: false })) ?? []),
    ].sort((a, b) => a.name.localeCompare(b.name)),
);
const height = computed(() => rows.value * ROW + 16);
</script>

<template>
    <svg
        :viewBox="`0 0 440 ${height}`"
        class="w-full"
        role="img"
        :aria-label="`Tester on end ${trace.step?.end}; linked: ${trace.step?.link.join(', ')}`"
    >
        <rect x="130" y="4" width="150" :height="height - 8" fill="var(--rule-2)" rx="3" />
        <text x="205" :y="height / 2 + 4" text-anchor="middle" class="text-[12px]" style="fill: var(--ink-2)">
            in the wall
        </text>
        <g v-for="n in rows" :key="n" :transform="`translate(0 ${8 + (n - 0.5) * ROW})`">
            <line x1="64" x2="130" stroke="var(--copper)" stroke-width="4" />
            <circle
                cx="52"
                r="11"
                :fill="trace.step?.end === n ? 'var(--ember)' : 'var(--sheet)'"
                stroke="var(--ink)"
                stroke-width="1.5"
            />
            <text
                x="52"
                y="4.5"
                text-anchor="middle"
                class="fig text-[13px] font-semibold"
                :style="{ fill: trace.step?.end === n ? 'var(--sheet)' : 'var(--ink)' }"
            >
                {{ n }}
            </text>
            <path
                v-if="trace.step?.end === n"
                d="M4 0h22m-6 -5l8 5l-8 5"
                stroke="var(--ember)"
                stroke-width="2.5"
                fill="none"
            />
        </g>
        <g v-for="(end, n) in far" :key="end.name" :transform="`translate(0 ${8 + (n + 0.5) * ROW})`">
            <line x1="280" x2="316" stroke="var(--copper)" stroke-width="4" />
            <path v-if="end.linked" d="M316 -6h10v12h-10" fill="none" stroke="var(--ink)" stroke-width="3" />
            <path v-else d="M316 -5v10" stroke="var(--ink-3)" stroke-width="2" />
            <text x="334" y="4.5" class="text-[13px]" :class="{ 'font-semibold': end.linked }">
                {{ end.name }}
                <tspan v-if="end.linked">, linked</tspan>
            </text>
        </g>
    </svg>
</template>
