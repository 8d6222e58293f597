<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import SheetUnits from './SheetUnits.vue';
import type { Sheet, StandingUnit } from '@/types/generated/responses';

const props = defineProps<{ sheet: Sheet; title: string; tall: number; place: string; units: StandingUnit[] }>();
const emit = defineEmits<{ measure: [leg: number, text: string] }>();
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
    return Math.min(
        (WIDTH.value - 2 * MARGIN.value) / Math.max(x1 - x0, 0.5),
        (HEIGHT.value - 2 * MARGIN.value) / Math.max(y1 - y0, 0.5),
    );
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
const path = computed(() =>
    line<[number, number]>(
        (p) => px.value(p[0]),
        (p) => py.value(p[1]),
    ),
);
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
            const [ax, ay, bx, by] = [
                px.value(from[0] ?? 0),
                py.value(from[1] ?? 0),
                px.value(to[0] ?? 0),
                py.value(to[1] ?? 0),
            ];
            const length = Math.hypot(bx - ax, by - ay) || 1;
            const [ox, oy] = [(-(by - ay) / length) * SIDE * inward.value, ((bx - ax) / length) * SIDE * inward.value];
            const [ex, ey] = [((bx - ax) / length) * SIDE, ((by - ay) / length) * SIDE];
            return `M${ax + ox + ex},${ay + oy + ey}L${bx + ox - ex},${by + oy - ey}`;
        })
        .join('');
}

/** A leg goes along the walls: first across, then up or down the page. */
function way(from: number[], to: number[], known: boolean): string {
    const [ax, ay, bx, by] = [
        px.value(from[0] ?? 0),
        py.value(from[1] ?? 0),
        px.value(to[0] ?? 0),
        py.value(to[1] ?? 0),
    ];
    return known ? `M${ax},${ay}H${bx}V${by}` : `M${ax},${ay}L${bx},${by}`;
}

const measures = computed(() =>
    corners.value.slice(1).map((to, n) => {
        const from = corners.value[n] ?? to;
        const [ax, ay, bx, by] = [px.value(from[0]), py.value(from[1]), px.value(to[0]), py.value(to[1])];
        const length = Math.hypot(bx - ax, by - ay) || 1;
        const [ox, oy] = [((by - ay) / length) * inward.value, (-(bx - ax) / length) * inward.value];
        const upright = Math.abs(bx - ax) < 0.3 * Math.abs(by - ay);
        return {
            wall: props.sheet.walls[n],
            path: `M${ax + ox * 26},${ay + oy * 26}L${bx + ox * 26},${by + oy * 26}`,
            ends: [
                [ax, ay],
                [bx, by],
            ]
                .map(
                    ([x, y]) =>
                        `M${(x ?? 0) + ox * 20},${(y ?? 0) + oy * 20}L${(x ?? 0) + ox * 32},${(y ?? 0) + oy * 32}`,
                )
                .join(''),
            x: (ax + bx) / 2 + ox * 42,
            y: (ay + by) / 2 + oy * 42 + (upright ? 0 : 4),
            turn: upright ? -90 : 0,
        };
    }),
);
const middle = computed(() => ({
    x: px.value((extent.value.x0 + extent.value.x1) / 2),
    y: py.value((extent.value.y0 + extent.value.y1) / 2),
}));
/** The name stands in the room; beside the walls when they enclose none, or a narrow one. */
const roomy = computed(() => props.sheet.closed && metre.value * (extent.value.x1 - extent.value.x0) > 150);
const name = computed(() =>
    roomy.value ? { ...middle.value, anchor: 'middle' as const } : { x: 12, y: 34, anchor: 'start' as const },
);
/** Where a hand is on the sheet, in metres. */
function metres(event: PointerEvent): [number, number] {
    const at = box.value?.getBoundingClientRect();
    return [px.value.invert(event.clientX - (at?.left ?? 0)), py.value.invert(event.clientY - (at?.top ?? 0))];
}
/** An arrow at a corner, up or down a wall. */
function arrow(climb: Sheet['climbs'][number]): string {
    const [long, tip] = climb.down ? [18, 6] : [-18, -6];
    return `M${px.value(climb.at[0] ?? 0) + 14},${py.value(climb.at[1] ?? 0)}v${long}m-4,${-tip}l4,${tip}l4,${-tip}`;
}
</script>

<template>
    <div ref="box">
        <svg
            :width="WIDTH"
            :height="HEIGHT"
            :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
            role="group"
            :aria-label="`${title} at true scale`"
            class="block"
        >
            <g v-if="sheet.corners.length > 1 || sheet.spots.length">
                <path v-if="sheet.closed" :d="walls" fill="var(--sheet)" />
                <path :d="walls" fill="none" stroke="var(--ink)" stroke-width="5" stroke-linejoin="miter" />
                <g v-for="opening in sheet.openings" :key="`${opening.from}`">
                    <line
                        :x1="px(opening.from[0] ?? 0)"
                        :y1="py(opening.from[1] ?? 0)"
                        :x2="px(opening.to[0] ?? 0)"
                        :y2="py(opening.to[1] ?? 0)"
                        stroke="var(--paper)"
                        stroke-width="7"
                    />
                    <line
                        :x1="px(opening.from[0] ?? 0)"
                        :y1="py(opening.from[1] ?? 0)"
                        :x2="px(opening.to[0] ?? 0)"
                        :y2="py(opening.to[1] ?? 0)"
                        stroke="var(--dusk)"
                        stroke-width="2"
                    />
                </g>
                <g v-for="run in sheet.runs" :key="run.word">
                    <path
                        v-for="(section, n) in run.sections"
                        :key="n"
                        :d="beside(section)"
                        fill="none"
                        stroke="var(--glow)"
                        stroke-width="11"
                        stroke-linecap="round"
                    />
                    <path
                        v-for="(section, n) in run.sections"
                        :key="`c${n}`"
                        :d="beside(section)"
                        fill="none"
                        stroke="var(--ember)"
                        stroke-width="2.5"
                    />
                </g>
                <g class="fig text-[13px]">
                    <g v-for="(m, n) in measures" :key="n">
                        <path :d="m.path + m.ends" stroke="var(--ink-2)" fill="none" />
                        <text
                            v-if="m.wall"
                            :x="m.x"
                            :y="m.y"
                            text-anchor="middle"
                            :transform="m.turn ? `rotate(${m.turn} ${m.x} ${m.y})` : undefined"
                            :dy="m.turn ? 4 : 0"
                            role="button"
                            tabindex="0"
                            class="measure"
                            :aria-label="`Wall ${n + 1}, ${m.wall.text}: measure anew`"
                            @click="emit('measure', m.wall.leg, m.wall.text)"
                            @keydown.enter="emit('measure', m.wall.leg, m.wall.text)"
                        >
                            {{ m.wall.text }}
                        </text>
                    </g>
                </g>
                <g v-for="leg in sheet.legs" :key="`l${leg.name}`" class="fig text-[12px]">
                    <template v-if="leg.from && leg.to">
                        <path
                            :d="way(leg.from, leg.to, leg.known)"
                            fill="none"
                            stroke="var(--dusk)"
                            stroke-width="2"
                            :stroke-dasharray="leg.traced ? undefined : '3 4'"
                        />
                        <text v-if="!leg.known" :x="px(leg.to[0] ?? 0) + 4" :y="py(leg.to[1] ?? 0)" class="text-dusk">
                            {{ leg.name }} to {{ leg.far }}
                        </text>
                        <text
                            v-else
                            :x="(px(leg.from[0] ?? 0) + px(leg.to[0] ?? 0)) / 2"
                            :y="py(leg.from[1] ?? 0) - 6"
                            text-anchor="middle"
                            class="text-dusk"
                        >
                            {{ leg.name }} {{ leg.text }}
                        </text>
                    </template>
                </g>
                <g v-for="climb in sheet.climbs" :key="`${climb.at}${climb.text}`" class="fig text-[12px]">
                    <path :d="arrow(climb)" stroke="var(--ember)" stroke-width="2" fill="none" />
                    <text :x="px(climb.at[0] ?? 0) + 24" :y="py(climb.at[1] ?? 0) + (climb.down ? 16 : -8)">
                        {{ climb.down ? 'down' : 'up' }} {{ climb.text }}
                    </text>
                </g>
                <g
                    v-for="spot in sheet.spots"
                    :key="spot.name"
                    :transform="`translate(${px(spot.at[0] ?? 0)} ${py(spot.at[1] ?? 0)})`"
                    :data-spot="spot.name"
                >
                    <rect
                        x="-17"
                        y="-12"
                        width="34"
                        height="24"
                        :rx="spot.kind === 'outlet' || spot.kind === 'spur' ? 12 : 3"
                        fill="var(--sheet)"
                        stroke="var(--ink)"
                        stroke-width="1.5"
                        :stroke-dasharray="spot.kind === 'spur' ? '4 2' : undefined"
                    />
                    <path
                        v-if="spot.kind === 'battery'"
                        d="M-9 -16v4M9 -16v4M-12 -14h6M6 -14h6"
                        stroke="var(--ink)"
                        stroke-width="1.5"
                    />
                    <text y="4" text-anchor="middle" class="fig text-[12px] font-semibold">{{ spot.name }}</text>
                    <text
                        :y="py(spot.at[1] ?? 0) > middle.y + 40 ? -18 : 26"
                        text-anchor="middle"
                        class="text-[12px] text-ink2"
                    >
                        {{ spot.where || spot.kind }}
                    </text>
                </g>
                <SheetUnits
                    :sheet="sheet"
                    :units="units"
                    :place="place"
                    :px="(x) => px(x)"
                    :py="(y) => py(y)"
                    :metres="metres"
                />
                <circle
                    :cx="px(corners[0]?.[0] ?? 0)"
                    :cy="py(corners[0]?.[1] ?? 0)"
                    r="6"
                    fill="var(--paper)"
                    stroke="var(--ink)"
                    stroke-width="2"
                />
                <text
                    :x="px(corners[0]?.[0] ?? 0) + 32"
                    :y="py(corners[0]?.[1] ?? 0) - 30"
                    class="text-[13px] text-ink2"
                >
                    {{ sheet.start ? `start, ${sheet.start}` : 'start' }}
                </text>
                <text :x="name.x" :y="name.y - 4" :text-anchor="name.anchor" class="font-head text-lg font-semibold">
                    {{ title }}
                </text>
                <text
                    v-for="(run, n) in sheet.runs"
                    :key="run.word"
                    :x="name.x"
                    :y="name.y + 18 + 18 * n"
                    :text-anchor="name.anchor"
                    class="text-[13px] text-ink2"
                >
                    {{ run.word }} {{ run.text }}
                </text>
            </g>
            <g v-if="sheet.corners.length > 1" class="fig text-[12px]">
                <path
                    :d="`M${WIDTH - 16 - metre},${HEIGHT - 14}h${metre}m0,-4v8m${-metre},-8v8`"
                    stroke="var(--ink)"
                    stroke-width="1.5"
                    fill="none"
                />
                <text :x="WIDTH - 16 - metre / 2" :y="HEIGHT - 22" text-anchor="middle">1 m</text>
            </g>
        </svg>
    </div>
</template>

<style scoped>
.measure {
    cursor: pointer;
}
.measure:hover {
    text-decoration: underline;
}
</style>
