<script setup lang="ts">
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import FigureText from '@/ui/FigureText.vue';
import type { StockCut } from '@/types/generated/responses';

/** Reels and lengths of one material as bars with the cuts in them; the rest is hatched. Alike bars are drawn once. */
const props = defineProps<{ cut: StockCut }>();
const emit = defineEmits<{ leave: []; join: [run: string] }>();
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
        return { times, bar, pieces: bar.pieces.map((p) => ({ ...p, from: (from += p.mm) - p.mm })) };
    });
});
const scale = computed(
    () => (width.value - LEFT - 1) / Math.max(props.cut.stock, ...props.cut.bars.map((b) => b.length)),
);
const offcuts = computed(() => props.cut.bars.filter((b) => b.offcut).length);
/** A bar for the person who does not see it. */
function inWords(bar: StockCut['bars'][number]): string {
    const pieces = bar.pieces.map((p) => `${p.said} ${p.what}`).join(', ');
    return pieces + (bar.left ? `, ${bar.leftSaid} left` : '') + (bar.offcut ? ', an offcut' : '');
}
</script>

<template>
    <figure ref="box" class="mb-4">
        <figcaption class="flex flex-wrap items-baseline gap-x-3">
            <b class="font-semibold">{{ cut.name }}</b>
            <span class="text-[13px] text-ink2"
                ><FigureText :figure="cut.bought" /> of <span class="fig">{{ cut.said }}</span><template v-if="offcuts"
                    >, <span class="fig text-ink">{{ offcuts }}</span>
                    {{ offcuts === 1 ? 'offcut' : 'offcuts' }}</template
                >, <span class="fig text-ink">{{ cut.leftSaid }}</span> left over<template v-if="cut.joints"
                    >, <span class="fig text-ink">{{ cut.joints }}</span>
                    {{ cut.joints === 1 ? 'joint' : 'joints' }}</template
                >{{ cut.proven ? `; fewest lengths possible${cut.joints ? ' and fewest joints' : ''}` : '' }}</span
            >
            <button v-if="cut.keeps" type="button" class="act ml-auto text-[13px]" @click="emit('leave')">
                Keep the offcut
            </button>
        </figcaption>
        <p v-for="piece in cut.tooLong" :key="piece.what" class="text-stop">
            {{ piece.what }}, {{ piece.said }}, is longer than any stock length, and joints are not allowed.
            <button type="button" class="act" @click="emit('join', piece.run)">Allow joints in {{ piece.what }}</button>
            or choose longer stock.
        </p>
        <p v-if="cut.shorter" class="my-1 border-l-4 border-lit pl-2 text-[13px]">{{ cut.shorter }}</p>
        <svg
            :width="width"
            :height="rows.length * ROW"
            role="img"
            :aria-label="`${cut.name}: ${cut.bars.map(inWords).join('; ')}`"
            class="block"
        >
            <defs>
                <pattern
                    :id="`left-${cut.kit}`"
                    width="6"
                    height="6"
                    patternUnits="userSpaceOnUse"
                    patternTransform="rotate(45)"
                >
                    <path d="M0,0V6" stroke="var(--ink-3)" stroke-width="1.5" />
                </pattern>
            </defs>
            <g v-for="(row, n) in rows" :key="n" :transform="`translate(0, ${n * ROW + 2})`">
                <text x="0" y="15" class="fig text-[12px]">
                    <template v-if="row.bar.offcut">van</template>
                    <template v-else-if="row.times > 1">{{ row.times }} x</template>
                </text>
                <rect
                    :x="LEFT"
                    y="0.5"
                    :width="row.bar.length * scale"
                    height="20"
                    :fill="`url(#left-${cut.kit})`"
                    stroke="var(--ink-2)"
                    :stroke-dasharray="row.bar.offcut ? '5 3' : undefined"
                />
                <g v-for="piece in row.pieces" :key="piece.from">
                    <rect
                        :x="LEFT + piece.from * scale"
                        y="0.5"
                        :width="piece.mm * scale"
                        height="20"
                        fill="var(--sheet)"
                        stroke="var(--ink)"
                    />
                    <text v-if="piece.mm * scale > 70" :x="LEFT + piece.from * scale + 6" y="15" class="text-[12px]">
                        <tspan class="fig">{{ piece.said }}</tspan>
                        {{ piece.mm * scale > 200 ? piece.what : '' }}
                    </text>
                    <title>{{ piece.said }}, {{ piece.what }}</title>
                </g>
            </g>
        </svg>
    </figure>
</template>
