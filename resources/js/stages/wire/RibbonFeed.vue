<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import type { WireFeed } from '@/types/generated/responses';
import { ROW, useRibbon } from './ribbon';

const props = defineProps<{ feed: WireFeed; number: number }>();
const emit = defineEmits<{ aim: [where: object]; move: [where: object]; remove: [] }>();
const { run, x, width } = useRibbon();
const REST = 400;
const held = ref(false);
let aimed: number | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;

const at = computed(() => x.value(props.feed.at));
const label = computed(() => {
    const cable = props.feed.cable;
    return cable ? `${cable.id.toUpperCase()}${cable.drop ? ` ${cable.drop.text} V` : ''}` : 'no cable';
});
/** For feeds close together, the table below lists the voltage drop. */
const LABEL = 96;
const roomy = computed(() =>
    run.value.feeds.every((f) => f.id === props.feed.id || Math.abs(x.value(f.at) - at.value) > LABEL),
);
const toLeft = computed(() => at.value > width.value - 110);

/** The keys move by whole cut marks; after a rest the last aim is kept. */
function keys(event: KeyboardEvent): void {
    const far = event.shiftKey ? 10 : 1;
    const now = aimed ?? props.feed.pad;
    const to = { ArrowLeft: now - far, ArrowRight: now + far, Home: 0, End: run.value.lastPad }[event.key];
    if (to !== undefined) {
        event.preventDefault();
        aimed = Math.max(0, Math.min(run.value.lastPad, to));
        emit('aim', { pad: aimed });
        clearTimeout(timer);
        timer = setTimeout(keep, REST);
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
        event.preventDefault();
        emit('remove');
    }
}

function keep(): void {
    clearTimeout(timer);
    if (aimed !== null && aimed !== undefined) {
        emit('move', { pad: aimed });
        aimed = null;
    }
}
onBeforeUnmount(keep);

let dragged: number | null = null;
let svg: SVGSVGElement | null = null;

function grab(event: PointerEvent): void {
    svg = (event.currentTarget as SVGElement).ownerSVGElement;
    held.value = true;
    dragged = null;
    // The hand may leave the pin, even the picture: the window hears it out.
    window.addEventListener('pointermove', drag);
    window.addEventListener('pointerup', drop);
    window.addEventListener('pointercancel', letGo);
}

function drag(event: PointerEvent): void {
    const left = svg?.getBoundingClientRect().left ?? 0;
    const metres = Math.max(0, Math.min(run.value.metres, x.value.invert(event.clientX - left)));
    if (dragged !== null || Math.abs(metres - props.feed.at) >= run.value.pitch) {
        dragged = metres;
        emit('aim', { at: metres });
    }
}

function drop(): void {
    if (dragged !== null) {
        emit('move', { at: dragged });
    }
    letGo();
}

function letGo(): void {
    held.value = false;
    dragged = null;
    window.removeEventListener('pointermove', drag);
    window.removeEventListener('pointerup', drop);
    window.removeEventListener('pointercancel', letGo);
}
onBeforeUnmount(letGo);
</script>

<template>
    <g
        class="pin"
        :class="{ held }"
        role="slider"
        tabindex="0"
        :aria-label="`Feed ${feed.id.toUpperCase()} of ${run.name}`"
        :aria-valuemin="0"
        :aria-valuemax="run.lastPad"
        :aria-valuenow="feed.pad"
        :aria-valuetext="`${feed.at.toFixed(2)} m`"
        :data-feed="feed.id"
        @keydown="keys"
        @blur="keep"
        @pointerdown="grab"
    >
        <path :d="`M${at},${ROW.pin + 8}V${ROW.strip + ROW.stripHeight}`" stroke="var(--ink)" stroke-width="2" />
        <rect
            :x="at - 9"
            :y="ROW.pin - 11"
            width="18"
            height="18"
            rx="2"
            :transform="`rotate(45 ${at} ${ROW.pin - 2})`"
            fill="var(--ink)"
        />
        <text :x="at" :y="ROW.pin + 2" text-anchor="middle" class="fig no">{{ number }}</text>
        <text
            v-if="roomy"
            :x="toLeft ? at - 17 : at + 17"
            :y="ROW.pin + 3"
            :text-anchor="toLeft ? 'end' : 'start'"
            class="fig label"
            >{{ label }}</text
        >
    </g>
</template>

<style scoped>
.pin {
    cursor: ew-resize;
    touch-action: none;
}
.pin:focus-visible {
    outline: none;
}
.pin:focus-visible rect,
.pin.held rect {
    fill: var(--ember);
    stroke: var(--ember);
    stroke-width: 4;
}
.no {
    font-size: 11px;
    font-weight: 700;
    color: var(--sheet);
}
[data-face='night'] .pin:focus-visible .no {
    color: var(--paper);
}
.label {
    font-size: 12px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
}
</style>
