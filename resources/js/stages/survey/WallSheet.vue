<script setup lang="ts">
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import SheetUnits from './SheetUnits.vue';
import { stackedAt } from './standing';
import { useTape } from './tape';
import type { Sheet, StandingUnit } from '@/types/generated/responses';

const props = defineProps<{ sheet: Sheet; title: string; tall: number; place: string; units: StandingUnit[] }>();
const emit = defineEmits<{ measure: [leg: number, text: string] }>();
const box = ref<HTMLElement>();
/** Drawn at the size that it is shown in, so that its words are as large on a phone as on a desk. */
const WIDTH = useWidth(box, 620);
const { HEIGHT, corners, metre, px, py, walls, beside, way, measures, middle, name } = useTape(
    () => props.sheet,
    () => props.tall,
    WIDTH,
);
/** Pointer position on the sheet, in metres. */
function metres(event: PointerEvent): [number, number] {
    const at = box.value?.getBoundingClientRect();
    return [px.value.invert(event.clientX - (at?.left ?? 0)), py.value.invert(event.clientY - (at?.top ?? 0))];
}
/** Height for all units at one point, drawn below each other. */
const tallest = computed(() => {
    const stacks = new Map<string, number>();
    return props.units.reduce((high, unit) => {
        const key = `${unit.at}`;
        const n = stacks.get(key) ?? 0;
        stacks.set(key, n + 1);
        return unit.at ? Math.max(high, py.value(unit.at[1] ?? 0) + stackedAt(unit, n) + 16) : high;
    }, HEIGHT.value);
});
/** The scale: one metre, or three feet. */
const bar = computed(() => {
    const units = props.sheet.unit === 'ft' ? 3 : 1;
    return { long: units * props.sheet.unitMetres * metre.value, words: `${units} ${props.sheet.unit}` };
});
/** Above the start, where the end of no leg is named. */
const startsAt = computed(() => {
    const x = px.value(corners.value[0]?.[0] ?? 0) + 32;
    const y = py.value(corners.value[0]?.[1] ?? 0);
    const free = [30, 12, 48, 66].find((up) =>
        props.sheet.legs.every(
            (leg) =>
                leg.known ||
                !leg.to ||
                Math.abs(py.value(leg.to[1] ?? 0) - (y - up)) > 14 ||
                Math.abs(px.value(leg.to[0] ?? 0) - x) > 130,
        ),
    );
    return { x, y: y - (free ?? 30) };
});
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
            :height="tallest"
            :viewBox="`0 0 ${WIDTH} ${tallest}`"
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
                            :aria-label="`Wall ${n + 1}, ${m.wall.text}: measure again`"
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
                        :x="spot.kind === 'signal' ? -24 : -17"
                        y="-12"
                        :width="spot.kind === 'signal' ? 48 : 34"
                        height="24"
                        :rx="spot.kind === 'outlet' || spot.kind === 'spur' ? 12 : 3"
                        fill="var(--sheet)"
                        stroke="var(--ink)"
                        stroke-width="1.5"
                        :stroke-dasharray="spot.kind === 'spur' || spot.kind === 'signal' ? '4 2' : undefined"
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
                        class="where text-[12px] text-ink2"
                    >
                        {{ spot.where || spot.kind }}
                    </text>
                </g>
                <circle
                    :cx="px(corners[0]?.[0] ?? 0)"
                    :cy="py(corners[0]?.[1] ?? 0)"
                    r="6"
                    fill="var(--paper)"
                    stroke="var(--ink)"
                    stroke-width="2"
                />
                <text :x="startsAt.x" :y="startsAt.y" class="text-[13px] text-ink2">
                    {{ sheet.start ? `start, ${sheet.start}` : 'start' }}
                </text>
                <SheetUnits
                    :sheet="sheet"
                    :units="units"
                    :place="place"
                    :px="(x) => px(x)"
                    :py="(y) => py(y)"
                    :metres="metres"
                />
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
                    {{ run.word.replaceAll('-', ' ') }} {{ run.text }}
                </text>
            </g>
            <g v-if="sheet.corners.length > 1" class="fig text-[12px]">
                <path
                    :d="`M${WIDTH - 16 - bar.long},${HEIGHT - 14}h${bar.long}m0,-4v8m${-bar.long},-8v8`"
                    stroke="var(--ink)"
                    stroke-width="1.5"
                    fill="none"
                />
                <text :x="WIDTH - 16 - bar.long / 2" :y="HEIGHT - 22" text-anchor="middle">{{ bar.words }}</text>
            </g>
        </svg>
    </div>
</template>

<style scoped>
/* Its words cross walls. */
.where {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
    stroke-linejoin: round;
}
.measure {
    cursor: pointer;
}
.measure:hover {
    text-decoration: underline;
}
</style>
