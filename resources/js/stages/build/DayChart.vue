<script setup lang="ts">
import { computed, ref } from 'vue';
import type { BuildPicture, BuildSlot, Pin } from '@/types/generated/responses';
import { dayWords, hoursOf } from '@/lib/hours';

/**
 * One day: a row for each step under its place, with its name and its time. Those on the longest way have a heavy edge, curing is
 * hatched behind them. Arrows or a drag move a step.
 */
const props = defineProps<{ build: BuildPicture; day: string; chosen: string; aim: Pin | null; broken: boolean }>();
const emit = defineEmits<{
    choose: [step: string];
    nudge: [step: string, quarters: number, days: number];
    aim: [pin: Pin];
    keep: [];
    drop: [];
}>();
const STEP = 15;
const clock = (minute: number) => hoursOf(props.build.begins, minute);
const hours = computed(() => Array.from({ length: Math.floor(props.build.dayMinutes / 60) + 1 }, (_, n) => n));
const share = (minutes: number) => `${(100 * Math.max(0, minutes)) / props.build.dayMinutes}%`;
const people = computed(() => props.build.days.find((d) => d.day === props.day)?.people ?? 1);
/** Places in the order in which work on them begins. */
const places = computed(() => {
    const slots = props.build.slots.filter((s) => s.day === props.day).sort((a, b) => a.from - b.from);
    return [...new Set(slots.map((s) => s.place))].map((place) => ({
        place,
        slots: slots.filter((s) => s.place === place),
    }));
});
/** The step that is being moved, where it would come to stand on this day. */
const ghost = computed(() => {
    const minutes = props.build.steps.find((s) => s.id === props.aim?.step)?.minutes ?? 0;
    return props.aim?.day === props.day ? { ...props.aim, minutes } : null;
});
const hands = (slot: BuildSlot) =>
    people.value > 1 ? `, ${slot.people.length > 1 ? 'two people' : `person ${(slot.people[0] ?? 0) + 1}`}` : '';
const words = (slot: BuildSlot) =>
    `${slot.title}, ${slot.place}, ${dayWords(slot.day)} ${clock(slot.from)} to ${clock(slot.to)}${hands(slot)}` +
    (slot.critical ? ', a delay here delays the end' : '');

const MOVES: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};
function hear(event: KeyboardEvent, slot: BuildSlot): void {
    const move = MOVES[event.key];
    if (move) {
        event.preventDefault();
        emit('nudge', slot.id, move[0] * (event.shiftKey ? 4 : 1), move[1]);
    } else if (props.aim && event.key === 'Enter') {
        event.preventDefault();
        emit('keep');
    } else if (props.aim && event.key === 'Escape') {
        event.preventDefault();
        emit('drop');
    }
}
const tracks = ref<HTMLElement>();
function drag(event: PointerEvent, slot: BuildSlot): void {
    const start = event.clientX;
    const wide = tracks.value?.getBoundingClientRect().width ?? 1;
    const move = (e: PointerEvent) => {
        const minutes = ((e.clientX - start) / wide) * props.build.dayMinutes;
        if (Math.abs(e.clientX - start) >= 5) {
            emit('aim', {
                step: slot.id,
                day: props.day,
                from: Math.round((slot.from + minutes) / STEP) * STEP,
                person: slot.people[0] ?? 0,
            });
        }
    };
    const end = () => {
        window.removeEventListener('pointermove', move);
        window.removeEventListener('pointerup', end);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
}
</script>

<template>
    <div role="group" :aria-label="`Plan of ${dayWords(day)}`" class="chart">
        <div class="row" aria-hidden="true">
            <span />
            <span ref="tracks" class="flex justify-between">
                <span v-for="hour in hours" :key="hour" class="fig w-0 text-[11px] text-ink2 last:w-auto">{{
                    build.begins + hour
                }}</span>
            </span>
        </div>
        <template v-for="{ place, slots } in places" :key="place">
            <p class="mt-1 text-[12px] text-ink2">{{ place || 'Elsewhere' }}</p>
            <div v-for="slot in slots" :key="`${slot.id}-${slot.from}`" class="row border-b border-rule2">
                <span
                    class="truncate text-[13px]"
                    :class="{ 'font-semibold': chosen === slot.id }"
                    :title="slot.title"
                    >{{ slot.title }}</span
                >
                <span class="relative block h-6">
                    <span
                        v-if="slot.wait"
                        class="curing absolute inset-y-1 right-0"
                        :style="{ left: share(slot.to) }"
                        aria-hidden="true"
                    />
                    <a
                        :href="`#${slot.id}`"
                        :aria-label="words(slot)"
                        :data-bar="slot.id"
                        draggable="false"
                        class="bar absolute inset-y-1 block min-w-[5px] touch-pan-y rounded-sm border"
                        :class="[
                            slot.critical ? 'border-2 border-ember' : 'border-ink2',
                            chosen === slot.id ? 'bg-dusk2' : 'bg-sheet',
                            { 'opacity-40': aim?.step === slot.id },
                        ]"
                        :style="{ left: share(slot.from), width: share(slot.to - slot.from) }"
                        @click.prevent="emit('choose', slot.id)"
                        @keydown="hear($event, slot)"
                        @pointerdown="drag($event, slot)"
                    />
                    <span
                        v-if="ghost?.step === slot.id"
                        class="ghost"
                        :class="broken ? 'border-stop' : 'border-dusk'"
                        :style="{ left: share(ghost.from), width: share(ghost.minutes) }"
                        aria-hidden="true"
                    />
                    <span
                        v-else
                        class="fig absolute top-1 whitespace-nowrap px-1 text-[11px] leading-4 text-ink2 max-sm:hidden"
                        :style="
                            slot.to > build.dayMinutes * 0.8
                                ? { right: share(build.dayMinutes - slot.from) }
                                : { left: share(slot.to) }
                        "
                        aria-hidden="true"
                        >{{ clock(slot.from) }}–{{ clock(slot.to) }}{{ hands(slot) }}</span
                    >
                </span>
            </div>
        </template>
    </div>
</template>

<style scoped>
.row {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
    column-gap: 12px;
    align-items: center;
}
.ghost {
    position: absolute;
    top: 4px;
    bottom: 4px;
    min-width: 5px;
    border-width: 2px;
    border-style: dashed;
    border-radius: 2px;
    background: color-mix(in srgb, var(--dusk-2) 60%, transparent);
}
.curing {
    background: repeating-linear-gradient(45deg, transparent 0 4px, var(--ink-3) 4px 5.5px);
}
</style>
