<script setup lang="ts">
import type { SplitPart } from '@/types/generated/responses';

/** A run as it would be cut: its parts in their shares, where each is fed, and by what. */
defineProps<{ parts: SplitPart[] }>();
const WIDTH = 200;
const GAP = 5;

function starts(parts: SplitPart[]): number[] {
    let at = 0;
    return parts.map((part) => {
        const start = at;
        at += part.share * (WIDTH - GAP * (parts.length - 1)) + GAP;
        return start;
    });
}
const width = (part: SplitPart, parts: SplitPart[]) => part.share * (WIDTH - GAP * (parts.length - 1));
</script>

<template>
    <svg :width="WIDTH + 2" height="36" aria-hidden="true" class="block">
        <g v-for="(part, n) in parts" :key="n" :transform="`translate(${(starts(parts)[n] ?? 0) + 1},0)`">
            <rect x="0" y="4" :width="width(part, parts)" height="9" fill="var(--rule-2)" stroke="var(--ink-2)" />
            <path
                v-for="feed in part.feeds"
                :key="feed"
                :d="`M${feed * width(part, parts)},1v17`"
                stroke="var(--ember)"
                stroke-width="2.5"
            />
            <text
                :x="width(part, parts) / 2"
                y="31"
                text-anchor="middle"
                class="fig text-[11px]"
                style="fill: var(--ink-2)"
            >
                {{ part.unit }}
            </text>
        </g>
    </svg>
</template>
