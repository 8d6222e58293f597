<script setup lang="ts">
import { computed, ref } from 'vue';
import { lightColour, ROW, useRibbon, type Shown } from './ribbon';

const props = defineProps<{ shown: Shown }>();
const { run, x } = useRibbon();
const reading = defineModel<number | null>('reading', { required: true });
const emit = defineEmits<{ add: [metres: number] }>();
const STOPS = 90;
const focused = ref(false);

const colour = computed(() => lightColour(run.value.colours));
/** As many colour stops as are distinguishable at this width. */
const stops = computed(() => {
    const seen = run.value.seen;
    if (props.shown === 'colour') {
        return seen.map((colour, n) => ({ at: (n + 0.5) / seen.length, colour }));
    }
    const light = run.value.light;
    const count = Math.min(STOPS, light.length);
    return Array.from({ length: count }, (_, n) => {
        const group = Math.round((n * (light.length - 1)) / Math.max(1, count - 1));
        return { at: (group + 0.5) / light.length, colour: colour.value(light[group] ?? 0) };
    });
});
/** Cut marks are drawn if they are distinguishable; every full metre has a longer one. */
const marks = computed(() => {
    const { pitch, metres } = run.value;
    const apart = x.value(pitch) - x.value(0);
    const every = Math.max(1, Math.ceil(4 / Math.max(apart, 0.01)));
    const count = pitch > 0 ? Math.round(metres / pitch) : 0;
    return Array.from({ length: Math.floor(count / every) + 1 }, (_, n) => n * every * pitch);
});
/** From one figure of the scale to the next, the longer the run the farther. */
const STEPS = [
    { over: 30, metres: 5 },
    { over: 8, metres: 2 },
];
const metres = computed(() => {
    const step = STEPS.find((s) => run.value.metres > s.over)?.metres ?? 1;
    return Array.from({ length: Math.floor(run.value.metres / step + 1e-9) + 1 }, (_, n) => n * step);
});

function where(event: PointerEvent | MouseEvent): number {
    const left = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect().left ?? 0;
    return Math.max(0, Math.min(run.value.metres, x.value.invert(event.clientX - left)));
}

function keys(event: KeyboardEvent): void {
    const step = run.value.pitch * (event.shiftKey ? 10 : 1);
    const now = reading.value ?? 0;
    const to = { ArrowLeft: now - step, ArrowRight: now + step, Home: 0, End: run.value.metres }[event.key];
    if (to !== undefined) {
        event.preventDefault();
        reading.value = Math.max(0, Math.min(run.value.metres, to));
    } else if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        emit('add', reading.value ?? 0);
    }
}
</script>

<template>
    <g>
        <defs>
            <linearGradient :id="`light-${run.id}`"
                ><stop v-for="(stop, n) in stops" :key="n" :offset="stop.at" :stop-color="stop.colour"
            /></linearGradient>
        </defs>
        <g
            class="strip"
            role="slider"
            tabindex="0"
            :aria-label="`${run.name}: reading point. Arrow keys move it, Enter feeds the run there`"
            :aria-valuemin="0"
            :aria-valuemax="run.metres"
            :aria-valuenow="Number((reading ?? 0).toFixed(3))"
            :aria-valuetext="`${(reading ?? 0).toFixed(2)} m`"
            @keydown="keys"
            @focus="
                focused = true;
                reading ??= 0;
            "
            @blur="focused = false"
            @pointermove="reading = where($event)"
            @pointerleave="focused || (reading = null)"
            @click="emit('add', where($event))"
        >
            <rect
                :x="x(0)"
                :y="ROW.strip"
                :width="Math.max(1, x(run.metres) - x(0))"
                :height="ROW.stripHeight"
                :fill="run.light.length ? `url(#light-${run.id})` : 'var(--rule-2)'"
                stroke="var(--ink-2)"
            />
            <path
                v-for="m in marks"
                :key="m"
                :d="`M${x(m)},${ROW.strip + ROW.stripHeight - 4}v4`"
                stroke="#fff3e2"
                stroke-opacity="0.75"
                stroke-width="1"
            />
        </g>
        <g v-if="reading !== null">
            <path
                :d="`M${x(reading)},${ROW.strip - 4}V${ROW.curve + ROW.curveHeight}`"
                stroke="var(--ember)"
                stroke-width="1.2"
                stroke-dasharray="3 3"
            />
        </g>
        <g class="fig ruler">
            <path :d="`M${x(0)},${ROW.ruler + 0.5}H${x(run.metres)}`" stroke="var(--ink)" />
            <g v-for="m in metres" :key="m">
                <path :d="`M${x(m)},${ROW.ruler}v7`" stroke="var(--ink)" />
                <text :x="x(m)" :y="ROW.ruler + 19" text-anchor="middle">{{ m }}</text>
            </g>
        </g>
    </g>
</template>

<style scoped>
.strip {
    cursor: copy;
}
.strip:focus-visible {
    outline: none;
}
.strip:focus-visible rect {
    stroke: var(--ember);
    stroke-width: 3;
}
.ruler {
    font-size: 11px;
}
</style>
