<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import type { BuildPicture, BuildSlot } from '@/types/generated/responses';

/** Days one below the other, a lane for each person: steps at their time, those on the longest way with a heavy edge, curing hatched behind them. */
const props = defineProps<{ build: BuildPicture; chosen: string }>();
const emit = defineEmits<{ choose: [step: string] }>();
const box = ref<HTMLElement>();
const width = useWidth(box);
const LEFT = 104;
const LANE = 34;
const HEAD = 20;
const x = computed(() => scaleLinear([0, props.build.dayMinutes], [LEFT, width.value - 2]));
const day = computed(() => props.build.people * LANE + 14);
const hours = computed(() => Array.from({ length: Math.floor(props.build.dayMinutes / 60) + 1 }, (_, n) => n));
const bars = computed(() => props.build.slots.flatMap((slot) => slot.people.map((person) => ({ slot, person, row: props.build.days.indexOf(slot.day) }))));
const said = (day: string) => new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const clock = (minute: number) => `${String(props.build.begins + Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
const words = (slot: BuildSlot) => `${slot.title}, ${said(slot.day)} ${clock(slot.from)} to ${clock(slot.to)}${slot.critical ? ', on the longest way' : ''}${slot.done ? ', done' : ''}`;
</script>

<template>
    <div ref="box" class="overflow-hidden">
        <svg :width="width" :height="HEAD + build.days.length * day" class="block" role="group" aria-label="Plan of work">
            <defs><pattern id="curing" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0,0V6" stroke="var(--ink-3)" stroke-width="1.5" /></pattern></defs>
            <text v-for="hour in hours" :key="hour" :x="x(hour * 60)" y="12" :text-anchor="hour * 60 === build.dayMinutes ? 'end' : 'middle'" class="fig text-[11px] text-ink2">{{ build.begins + hour }}</text>
            <g v-for="(date, n) in build.days" :key="date" :transform="`translate(0, ${HEAD + n * day})`">
                <text x="0" y="22" class="text-[13px] font-semibold">{{ said(date) }}</text>
                <path v-for="hour in hours" :key="hour" :d="`M${x(hour * 60)},0v${day - 8}`" stroke="var(--rule-2)" />
                <path :d="`M0,${day - 6}H${width}`" stroke="var(--rule)" />
                <text v-for="person in build.people" :key="person" :x="LEFT - 10" :y="person * LANE - 12" text-anchor="end" class="fig text-[11px] text-ink2">{{ person }}</text>
            </g>
            <g v-for="{ slot, person, row } in bars" :key="`${slot.id}-${person}`" :transform="`translate(0, ${HEAD + row * day + person * LANE})`">
                <rect v-if="slot.wait" :x="x(slot.to)" y="3" :width="Math.max(0, width - 2 - x(slot.to))" :height="LANE - 8" fill="url(#curing)" />
                <a :href="`#${slot.id}`" :aria-label="words(slot)" @click.prevent="emit('choose', slot.id)">
                    <rect
                        :x="x(slot.from) + 1" y="3" :width="Math.max(3, x(slot.to) - x(slot.from) - 2)" :height="LANE - 8" rx="2" :fill="slot.done ? 'var(--rule)' : chosen === slot.id ? 'var(--strip)' : 'var(--sheet)'"
                        :stroke="slot.critical ? 'var(--ember)' : 'var(--ink-2)'" :stroke-width="slot.critical ? 2.5 : 1"
                    />
                </a>
                <text aria-hidden="true" v-if="x(slot.to) - x(slot.from) > 56" :x="x(slot.from) + 7" y="20" class="pointer-events-none text-[12px]">{{ slot.title.slice(0, Math.floor((x(slot.to) - x(slot.from) - 12) / 6.4)) }}</text>
            </g>
        </svg>
    </div>
</template>
