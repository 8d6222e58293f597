<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { useScreen } from '@/lib/screen';
import { along, nearest, stackedAt, standing, type OnWall } from './standing';
import type { Sheet, StandingUnit } from '@/types/generated/responses';

/** Units at their positions. Arrows or a drag move one along the walls, onto a spot if dropped there; Enter saves. */
const props = defineProps<{
    sheet: Sheet;
    units: StandingUnit[];
    place: string;
    px: (x: number) => number;
    py: (y: number) => number;
    metres: (event: PointerEvent) => [number, number];
}>();
const { change } = useScreen();
const STEP = 0.05;
const FAR = 0.5;
/** Snap distance to a spot, pixels. */
const SNAP = 18;
const moving = ref<{ id: string; to: OnWall; spot: string } | null>(null);

/** Units at one point are drawn one below the other. */
const drawn = computed(() => {
    const seen = new Map<string, number>();
    return props.units.flatMap((unit) => {
        const now = moving.value?.id === unit.id ? moving.value.to.point : unit.at;
        if (!now) {
            return [];
        }
        const key = `${now[0]?.toFixed(2)} ${now[1]?.toFixed(2)}`;
        const n = seen.get(key) ?? 0;
        seen.set(key, n + 1);
        return [{ unit, x: props.px(now[0] ?? 0), y: props.py(now[1] ?? 0) + stackedAt(unit, n) }];
    });
});

function begin(unit: StandingUnit): OnWall | null {
    return moving.value?.id === unit.id ? moving.value.to : nearest(props.sheet, unit.at?.[0] ?? 0, unit.at?.[1] ?? 0);
}

function step(unit: StandingUnit, by: number): void {
    const from = begin(unit);
    if (from) {
        moving.value = { id: unit.id, to: along(props.sheet, from, by), spot: '' };
    }
}

async function keep(unit: StandingUnit): Promise<void> {
    const to = moving.value;
    if (to?.id === unit.id) {
        const stands = to.spot
            ? { place: props.place, spot: to.spot, wall: null, at: 0, up: null }
            : standing(props.place, to.to, unit.stands);
        await change({ kind: 'PlaceDevice', device: unit.id, stands });
        moving.value = null;
    }
}

/** The unit that a hand holds. The hand may leave it, even the picture: the window hears it out. */
let held: StandingUnit | null = null;

function grab(unit: StandingUnit): void {
    held = unit;
    window.addEventListener('pointermove', drag);
    window.addEventListener('pointerup', drop);
    window.addEventListener('pointercancel', letGo);
}

function drag(event: PointerEvent): void {
    const [x, y] = props.metres(event);
    const spot = props.sheet.spots.find(
        (s) => Math.hypot(props.px(s.at[0] ?? 0) - props.px(x), props.py(s.at[1] ?? 0) - props.py(y)) < SNAP,
    );
    const to = nearest(props.sheet, x, y);
    if (held && to) {
        moving.value = {
            id: held.id,
            to: spot ? { ...to, point: spot.at as [number, number] } : to,
            spot: spot?.name ?? '',
        };
    }
}

function drop(): void {
    const unit = held;
    letGo();
    if (unit) {
        void keep(unit);
    }
}

function letGo(): void {
    held = null;
    window.removeEventListener('pointermove', drag);
    window.removeEventListener('pointerup', drop);
    window.removeEventListener('pointercancel', letGo);
}
onBeforeUnmount(letGo);

function words(unit: StandingUnit): string {
    const to = moving.value;
    if (to?.id !== unit.id) {
        return unit.words;
    }
    return to.spot || `wall ${to.to.wall + 1} at ${(to.to.at / props.sheet.unitMetres).toFixed(2)} ${props.sheet.unit}`;
}
</script>

<template>
    <g
        v-for="{ unit, x, y } in drawn"
        :key="unit.id"
        :transform="`translate(${x} ${y})`"
        class="mark cursor-grab touch-none"
        tabindex="0"
        role="button"
        :aria-label="`${unit.id.toUpperCase()}, ${unit.name}, at ${words(unit)}. Arrows move it along the walls, Enter saves the position.`"
        :data-unit="unit.id"
        @keydown.right.prevent.stop="step(unit, $event.shiftKey ? FAR : STEP)"
        @keydown.up.prevent.stop="step(unit, $event.shiftKey ? FAR : STEP)"
        @keydown.left.prevent.stop="step(unit, $event.shiftKey ? -FAR : -STEP)"
        @keydown.down.prevent.stop="step(unit, $event.shiftKey ? -FAR : -STEP)"
        @keydown.enter.prevent.stop="keep(unit)"
        @keydown.esc.prevent.stop="moving = null"
        @blur="held ?? keep(unit)"
        @pointerdown="grab(unit)"
    >
        <rect x="-15" y="-10" width="30" height="20" fill="var(--ink)" stroke="var(--sheet)" stroke-width="1.5" />
        <text y="4" text-anchor="middle" class="fig text-[12px] font-semibold" style="fill: var(--sheet)">
            {{ unit.id.toUpperCase() }}
        </text>
        <text v-if="moving?.id === unit.id" x="20" y="4" class="fig text-[12px]">{{ words(unit) }}</text>
    </g>
</template>
