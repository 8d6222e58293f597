<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import type { BuildPicture, BuildSlot, Pin } from '@/types/generated/responses';
import { hoursOf } from '@/lib/hours';

/**
 * Days one below the other, a lane for each person: steps at their time, those on the longest way with a heavy edge,
 * curing hatched behind them. Arrows or a drag move one.
 */
const props = defineProps<{ build: BuildPicture; chosen: string; aim: Pin | null; broken: boolean }>();
const emit = defineEmits<{
    choose: [step: string];
    nudge: [step: string, quarters: number, days: number];
    aim: [pin: Pin];
    keep: [];
    drop: [];
}>();
const box = ref<HTMLElement>();
const svg = ref<SVGSVGElement>();
const width = useWidth(box);
const LEFT = 104;
const LANE = 34;
const HEAD = 20;
const GAP = 14;
const x = computed(() => scaleLinear([0, props.build.dayMinutes], [LEFT, width.value - 2]));
/** Rows of days, one more where a step is moved to a day without work so far. */
const rows = computed(() => {
    const days = props.build.days.map((d) => ({ day: d.day, people: d.people }));
    if (props.aim && !days.some((d) => d.day === props.aim?.day)) {
        days.push({ day: props.aim.day, people: 1 });
        days.sort((a, b) => a.day.localeCompare(b.day));
    }
    let top = HEAD;
    return days.map((d) => ({ ...d, top: (top += d.people * LANE + GAP) - d.people * LANE - GAP }));
});
const height = computed(() => rows.value.reduce((sum, r) => sum + r.people * LANE + GAP, HEAD));
const top = (day: string) => rows.value.find((r) => r.day === day)?.top ?? 0;
const hours = computed(() => Array.from({ length: Math.floor(props.build.dayMinutes / 60) + 1 }, (_, n) => n));
const bars = computed(() => props.build.slots.flatMap((slot) => slot.people.map((person) => ({ slot, person }))));
const ghost = computed(() => {
    const slot = props.build.slots.find((s) => s.id === props.aim?.step);
    const minutes = props.build.steps.find((s) => s.id === props.aim?.step)?.minutes ?? 0;
    return slot && props.aim
        ? { aim: props.aim, people: slot.people.length > 1 ? slot.people : [props.aim.person], minutes }
        : null;
});
const said = (day: string) =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const clock = (minute: number) => hoursOf(props.build.begins, minute);
const words = (slot: BuildSlot) =>
    `${slot.title}, ${said(slot.day)} ${clock(slot.from)} to ${clock(slot.to)}${slot.critical ? ', on the longest way' : ''}`;

/** The step under the pointer or the focus: most boxes are too narrow for their names. */
const pointed = ref<BuildSlot | null>(null);
const place = (slot: BuildSlot) => props.build.steps.find((s) => s.id === slot.id)?.place ?? '';

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
function drag(event: PointerEvent, slot: BuildSlot, person: number): void {
    const start = { x: event.clientX, y: event.clientY };
    const grabbed = x.value.invert(event.clientX - svg.value!.getBoundingClientRect().left) - slot.from;
    const move = (e: PointerEvent) => {
        if (Math.abs(e.clientX - start.x) + Math.abs(e.clientY - start.y) < 5) {
            return;
        }
        const at = svg.value!.getBoundingClientRect();
        const y = e.clientY - at.top;
        const row = rows.value.findLast((r) => r.top <= y) ?? rows.value[0];
        if (row) {
            emit('aim', {
                step: slot.id,
                day: row.day,
                from: Math.round((x.value.invert(e.clientX - at.left) - grabbed) / 15) * 15,
                person:
                    slot.people.length > 1
                        ? person
                        : Math.max(0, Math.min(row.people - 1, Math.floor((y - row.top) / LANE))),
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
    <div ref="box" class="overflow-hidden">
        <svg
            ref="svg"
            :width="width"
            :height="height"
            class="block touch-pan-y select-none"
            role="group"
            aria-label="Plan of work"
        >
            <defs>
                <pattern id="curing" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <path d="M0,0V6" stroke="var(--ink-3)" stroke-width="1.5" />
                </pattern>
            </defs>
            <text
                v-for="hour in hours"
                :key="hour"
                :x="x(hour * 60)"
                y="12"
                :text-anchor="hour * 60 === build.dayMinutes ? 'end' : 'middle'"
                class="fig text-[11px] text-ink2"
            >
                {{ build.begins + hour }}
            </text>
            <g v-for="row in rows" :key="row.day" :transform="`translate(0, ${row.top})`">
                <text x="0" y="22" class="text-[13px] font-semibold">{{ said(row.day) }}</text>
                <path
                    v-for="hour in hours"
                    :key="hour"
                    :d="`M${x(hour * 60)},0v${row.people * LANE + GAP - 8}`"
                    stroke="var(--rule-2)"
                />
                <path :d="`M0,${row.people * LANE + GAP - 6}H${width}`" stroke="var(--rule)" />
                <text
                    v-for="person in row.people"
                    :key="person"
                    :x="LEFT - 10"
                    :y="person * LANE - 12"
                    text-anchor="end"
                    class="fig text-[11px] text-ink2"
                >
                    {{ person }}
                </text>
            </g>
            <g
                v-for="{ slot, person } in bars"
                :key="`${slot.id}-${slot.day}-${person}`"
                :transform="`translate(0, ${top(slot.day) + person * LANE})`"
                :opacity="aim?.step === slot.id ? 0.35 : 1"
            >
                <rect
                    v-if="slot.wait"
                    :x="x(slot.to)"
                    y="3"
                    :width="Math.max(0, width - 2 - x(slot.to))"
                    :height="LANE - 8"
                    fill="url(#curing)"
                />
                <a
                    :href="`#${slot.id}`"
                    :aria-label="words(slot)"
                    :data-bar="slot.id"
                    draggable="false"
                    @click.prevent="emit('choose', slot.id)"
                    @keydown="hear($event, slot)"
                    @pointerdown="drag($event, slot, person)"
                    @pointerenter="pointed = slot"
                    @focus="pointed = slot"
                >
                    <rect
                        :x="x(slot.from) + 1"
                        y="3"
                        :width="Math.max(3, x(slot.to) - x(slot.from) - 2)"
                        :height="LANE - 8"
                        rx="2"
                        :fill="chosen === slot.id ? 'var(--strip)' : 'var(--sheet)'"
                        :stroke="slot.critical ? 'var(--ember)' : 'var(--ink-2)'"
                        :stroke-width="slot.critical || pointed === slot ? 2.5 : 1"
                    />
                </a>
                <text
                    aria-hidden="true"
                    v-if="x(slot.to) - x(slot.from) > 56"
                    :x="x(slot.from) + 7"
                    y="20"
                    class="pointer-events-none text-[12px]"
                >
                    {{ slot.title.slice(0, Math.floor((x(slot.to) - x(slot.from) - 12) / 6.4)) }}
                </text>
            </g>
            <g v-if="ghost" aria-hidden="true">
                <rect
                    v-for="person in ghost.people"
                    :key="person"
                    :x="x(ghost.aim.from) + 1"
                    :y="top(ghost.aim.day) + person * LANE + 3"
                    :width="Math.max(3, x(ghost.aim.from + ghost.minutes) - x(ghost.aim.from) - 2)"
                    :height="LANE - 8"
                    rx="2"
                    fill="var(--dusk-2)"
                    fill-opacity="0.6"
                    :stroke="broken ? 'var(--stop)' : 'var(--dusk)'"
                    stroke-width="2"
                    stroke-dasharray="6 3"
                />
            </g>
        </svg>
        <p v-if="pointed" aria-hidden="true" class="flex flex-wrap gap-x-3 pb-1 text-[13px]">
            <span class="fig text-ink2">{{ said(pointed.day) }} {{ clock(pointed.from) }}–{{ clock(pointed.to) }}</span>
            <span class="font-semibold">{{ pointed.title }}</span>
            <span class="text-ink2">{{ place(pointed) }}</span>
        </p>
        <p v-else aria-hidden="true" class="pb-1 text-[13px] text-ink2">
            Point at a box, or go to it with <kbd>Tab</kbd>, for the name of its step.
        </p>
    </div>
</template>
