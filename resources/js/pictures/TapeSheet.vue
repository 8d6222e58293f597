<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import type { Sheet } from '@/types/generated/responses';

const props = defineProps<{ sheet: Sheet; title: string; tall: number }>();
const box = ref<HTMLElement>();
/** Drawn at the size that it is shown in, so that its words are as large on a phone as on a desk. */
const WIDTH = useWidth(box, 620);
const HEIGHT = computed(() => Math.max(300, Math.min(props.tall, WIDTH.value)));
const MARGIN = computed(() => (WIDTH.value < 500 ? 56 : 78));

const corners = computed(() => props.sheet.corners as [number, number][]);
const extent = computed(() => {
    const x = corners.value.map((c) => c[0]);
    const y = corners.value.map((c) => c[1]);
    return { x0: Math.min(...x), x1: Math.max(...x), y0: Math.min(...y), y1: Math.max(...y) };
});
/** Pixels of one metre, the same both ways: the sheet is at true scale. */
const metre = computed(() => {
    const { x0, x1, y0, y1 } = extent.value;
    return Math.min((WIDTH.value - 2 * MARGIN.value) / Math.max(x1 - x0, 0.5), (HEIGHT.value - 2 * MARGIN.value) / Math.max(y1 - y0, 0.5));
});
const px = computed(() => {
    const { x0, x1 } = extent.value;
    const middle = (x0 + x1) / 2;
    return scaleLinear([middle, middle + 1], [WIDTH.value / 2, WIDTH.value / 2 + metre.value]);
});
const py = computed(() => {
    const { y0, y1 } = extent.value;
    const middle = (y0 + y1) / 2;
    return scaleLinear([middle, middle + 1], [HEIGHT.value / 2, HEIGHT.value / 2 - metre.value]);
});
const path = computed(() => line<[number, number]>((p) => px.value(p[0]), (p) => py.value(p[1])));
const walls = computed(() => (path.value(corners.value) ?? '') + (props.sheet.closed ? 'z' : ''));
/** Clockwise walls have their inside on the right hand. */
const inward = computed(() => {
    const c = corners.value;
    const twice = c.reduce((sum, [x, y], n) => {
        const [nx, ny] = c[(n + 1) % c.length] ?? [0, 0];
        return sum + x * ny - nx * y;
    }, 0);
    return twice <= 0 ? 1 : -1;
});
const SIDE = 11;

/** A run drawn a little inside the wall that it follows, each straight bit moved to its own inside. */
function beside(points: number[][]): string {
    return points
        .slice(1)
        .map((to, n) => {
            const from = points[n] ?? to;
            const [ax, ay, bx, by] = [px.value(from[0] ?? 0), py.value(from[1] ?? 0), px.value(to[0] ?? 0), py.value(to[1] ?? 0)];
            const length = Math.hypot(bx - ax, by - ay) || 1;
            const [ox, oy] = [(-(by - ay) / length) * SIDE * inward.value, ((bx - ax) / length) * SIDE * inward.value];
            const [ex, ey] = [((bx - ax) / length) * SIDE, ((by - ay) / length) * SIDE];
            return `M${ax + ox + ex},${ay + oy + ey}L${bx + ox - ex},${by + oy - ey}`;
        })
        .join('');
}

const measures = computed(() =>
    corners.value.slice(1).map((to, n) => {
        const from = corners.value[n] ?? to;
        const [ax, ay, bx, by] = [px.value(from[0]), py.value(from[1]), px.value(to[0]), py.value(to[1])];
        const length = Math.hypot(bx - ax, by - ay) || 1;
        const [ox, oy] = [((by - ay) / length) * inward.value, (-(bx - ax) / length) * inward.value];
        const upright = Math.abs(bx - ax) < Math.abs(by - ay);
        return {
            text: Math.hypot(to[0] - from[0], to[1] - from[1]).toFixed(2),
            path: `M${ax + ox * 26},${ay + oy * 26}L${bx + ox * 26},${by + oy * 26}`,
            ends: [[ax, ay], [bx, by]].map(([x, y]) => `M${(x ?? 0) + ox * 20},${(y ?? 0) + oy * 20}L${(x ?? 0) + ox * 32},${(y ?? 0) + oy * 32}`).join(''),
            x: (ax + bx) / 2 + ox * 42,
            y: (ay + by) / 2 + oy * 42 + (upright ? 0 : 4),
            turn: upright ? -90 : 0,
        };
    }),
);
const middle = computed(() => ({ x: px.value((extent.value.x0 + extent.value.x1) / 2), y: py.value((extent.value.y0 + extent.value.y1) / 2) }));
</script>

<template>
    <div ref="box">
        <svg :width="WIDTH" :height="HEIGHT" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`${title} at true scale`" class="block">
            <g v-if="sheet.corners.length > 1">
                <path v-if="sheet.closed" :d="walls" fill="var(--sheet)" />
                <path :d="walls" fill="none" stroke="var(--ink)" stroke-width="5" stroke-linejoin="miter" />
                <g v-for="opening in sheet.openings" :key="`${opening.from}`">
                    <line :x1="px(opening.from[0] ?? 0)" :y1="py(opening.from[1] ?? 0)" :x2="px(opening.to[0] ?? 0)" :y2="py(opening.to[1] ?? 0)" stroke="var(--paper)" stroke-width="7" />
                    <line :x1="px(opening.from[0] ?? 0)" :y1="py(opening.from[1] ?? 0)" :x2="px(opening.to[0] ?? 0)" :y2="py(opening.to[1] ?? 0)" stroke="var(--dusk)" stroke-width="2" />
                </g>
                <g v-for="run in sheet.runs" :key="run.word">
                    <path v-for="(section, n) in run.sections" :key="n" :d="beside(section)" fill="none" stroke="var(--glow)" stroke-width="11" stroke-linecap="round" />
                    <path v-for="(section, n) in run.sections" :key="`c${n}`" :d="beside(section)" fill="none" stroke="var(--ember)" stroke-width="2.5" />
                </g>
                <g class="fig text-[13px]">
                    <g v-for="(m, n) in measures" :key="n">
                        <path :d="m.path + m.ends" stroke="var(--ink-2)" fill="none" />
                        <text :x="m.x" :y="m.y" text-anchor="middle" :transform="m.turn ? `rotate(${m.turn} ${m.x} ${m.y})` : undefined" :dy="m.turn ? 4 : 0">{{ m.text }}</text>
                    </g>
                </g>
                <circle :cx="px(corners[0]?.[0] ?? 0)" :cy="py(corners[0]?.[1] ?? 0)" r="6" fill="var(--paper)" stroke="var(--ink)" stroke-width="2" />
                <text :x="px(corners[0]?.[0] ?? 0) + 32" :y="py(corners[0]?.[1] ?? 0) - 30" class="text-[13px] text-ink2">{{ sheet.start ? `start, ${sheet.start}` : 'start' }}</text>
                <text :x="middle.x" :y="middle.y - 4" text-anchor="middle" class="font-head text-lg font-semibold">{{ title }}</text>
                <text v-for="(run, n) in sheet.runs" :key="run.word" :x="middle.x" :y="middle.y + 18 + 18 * n" text-anchor="middle" class="text-[13px] text-ink2">{{ run.word }} {{ run.length.toFixed(2) }} m</text>
            </g>
            <g v-if="sheet.corners.length > 1" class="fig text-[12px]">
                <path :d="`M${WIDTH - 16 - metre},${HEIGHT - 14}h${metre}m0,-4v8m${-metre},-8v8`" stroke="var(--ink)" stroke-width="1.5" fill="none" />
                <text :x="WIDTH - 16 - metre / 2" :y="HEIGHT - 22" text-anchor="middle">1 m</text>
            </g>
        </svg>
    </div>
</template>
