<script setup lang="ts">
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import type { StockCut } from '@/types/generated/responses';

/** Reels and lengths of one material as bars with the cuts in them; what is left over is hatched. Alike bars are drawn once. */
const props = defineProps<{ cut: StockCut }>();
const box = ref<HTMLElement>();
const width = useWidth(box);
const ROW = 26;
const LEFT = 46;
const rows = computed(() => {
    const seen = new Map<string, { bar: StockCut['bars'][number]; times: number }>();
    for (const bar of props.cut.bars) {
        const key = JSON.stringify(bar);
        const row = seen.get(key);
        if (row) {
            row.times += 1;
        } else {
            seen.set(key, { bar, times: 1 });
        }
    }
    return [...seen.values()].map(({ bar, times }) => {
        let from = 0;
        return { times, left: bar.left, pieces: bar.pieces.map((p) => ({ ...p, from: (from += p.mm) - p.mm })) };
    });
});
const scale = computed(() => (width.value - LEFT - 1) / props.cut.stock);
const metres = (mm: number) => (mm / 1000).toFixed(2);
</script>

<template>
    <figure ref="box" class="mb-4">
        <figcaption class="flex flex-wrap items-baseline gap-x-3">
            <b class="font-semibold">{{ cut.name }}</b>
            <span class="text-[13px] text-ink2"><span class="fig text-ink">{{ cut.bought }}</span> of <span class="fig">{{ metres(cut.stock) }}</span> m, <span class="fig text-ink">{{ metres(cut.left) }}</span> m left over<template v-if="cut.joints">, <span class="fig text-ink">{{ cut.joints }}</span> {{ cut.joints === 1 ? 'joint' : 'joints' }}</template>{{ cut.proven ? '; no fewer would do' : '' }}</span>
        </figcaption>
        <p v-for="piece in cut.tooLong" :key="piece" class="text-stop">{{ piece }} is longer than any length and may not be joined: allow a joint, or take longer stock.</p>
        <svg :width="width" :height="rows.length * ROW" role="img" :aria-label="`${cut.name}: ${cut.bars.map((b) => b.pieces.map((p) => `${metres(p.mm)} m ${p.what}`).join(', ') + (b.left ? `, ${metres(b.left)} m left` : '')).join('; ')}`" class="block">
            <defs><pattern :id="`left-${cut.kit}`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0,0V6" stroke="var(--ink-3)" stroke-width="1.5" /></pattern></defs>
            <g v-for="(row, n) in rows" :key="n" :transform="`translate(0, ${n * ROW + 2})`">
                <text x="0" y="15" class="fig text-[12px]">{{ row.times > 1 ? `${row.times} x` : '' }}</text>
                <rect :x="LEFT" y="0.5" :width="cut.stock * scale" height="20" :fill="`url(#left-${cut.kit})`" stroke="var(--ink-2)" />
                <g v-for="piece in row.pieces" :key="piece.from">
                    <rect :x="LEFT + piece.from * scale" y="0.5" :width="piece.mm * scale" height="20" fill="var(--sheet)" stroke="var(--ink)" />
                    <text v-if="piece.mm * scale > 70" :x="LEFT + piece.from * scale + 6" y="15" class="text-[12px]"><tspan class="fig">{{ metres(piece.mm) }}</tspan> {{ piece.mm * scale > 190 ? piece.what : '' }}</text>
                </g>
            </g>
        </svg>
    </figure>
</template>
