<script setup lang="ts">
import { computed } from 'vue';
import type { BuildPicture, BuildSlot } from '@/types/generated/responses';
import { dayWords, hoursOf } from '@/lib/hours';

/** All days one below the other: consecutive steps at one place are one block with its name. A day opens in its own picture. */
const props = defineProps<{ build: BuildPicture; today: string }>();
const emit = defineEmits<{ open: [day: string] }>();
/** Minutes between two steps that still count as one block. */
const PAUSE = 10;

interface Block {
    place: string;
    from: number;
    to: number;
    count: number;
    critical: boolean;
}
const clock = (minute: number) => hoursOf(props.build.begins, minute);
const hours = computed(() => Array.from({ length: Math.floor(props.build.dayMinutes / 60) + 1 }, (_, n) => n));
/** Per cent of the day's width. */
const at = (minute: number) => `${(100 * Math.min(minute, props.build.dayMinutes)) / props.build.dayMinutes}%`;

function blocksOf(slots: BuildSlot[]): Block[] {
    const blocks: Block[] = [];
    for (const slot of [...slots].sort((a, b) => a.from - b.from)) {
        const last = blocks.at(-1);
        if (last && last.place === slot.place && slot.from - last.to <= PAUSE) {
            last.to = Math.max(last.to, slot.to);
            last.count++;
            last.critical ||= slot.critical;
        } else {
            blocks.push({ place: slot.place, from: slot.from, to: slot.to, count: 1, critical: slot.critical });
        }
    }
    return blocks;
}
const days = computed(() =>
    props.build.days.map(({ day, people }) => {
        const slots = props.build.slots.filter((s) => s.day === day);
        const lanes = Array.from({ length: people }, (_, n) => blocksOf(slots.filter((s) => s.people.includes(n))));
        const from = Math.min(...slots.map((s) => s.from));
        const places = [...new Set(slots.map((s) => s.place))].filter((p) => p !== '');
        const said =
            `, ${clock(from)} to ${clock(Math.max(...slots.map((s) => s.to)))}, ` +
            `${slots.length === 1 ? '1 step' : `${slots.length} steps`}: ${places.join(', ')}`;
        return { day, lanes, said };
    }),
);
</script>

<template>
    <div role="group" aria-label="All days">
        <div class="ml-[96px] mr-px flex justify-between" aria-hidden="true">
            <span v-for="hour in hours" :key="hour" class="fig w-0 text-[11px] text-ink2 last:w-auto">{{
                build.begins + hour
            }}</span>
        </div>
        <button
            v-for="{ day, lanes, said } in days"
            :key="day"
            type="button"
            class="grid w-full grid-cols-[96px_minmax(0,1fr)] items-center border-b border-rule2 py-1 text-left hover:bg-sheet"
            :data-day="day"
            @click="emit('open', day)"
        >
            <span class="text-[13px] font-semibold"
                >{{ dayWords(day) }}<span v-if="day === today" class="block text-[11px] font-normal">today</span
                ><span class="sr-only">{{ said }}</span></span
            >
            <span class="block" aria-hidden="true">
                <span v-for="(blocks, lane) in lanes" :key="lane" class="relative my-0.5 block h-6 w-full">
                    <span
                        v-for="block in blocks"
                        :key="block.from"
                        class="block absolute inset-y-0 overflow-hidden whitespace-nowrap rounded-sm border bg-sheet text-[12px] leading-[22px]"
                        :class="block.critical ? 'border-2 border-ember leading-5' : 'border-ink2'"
                        :style="{ left: at(block.from), width: `calc(${at(block.to - block.from)} - 1px)` }"
                        ><span class="name px-1"
                            >{{ block.place || 'elsewhere'
                            }}<span class="text-ink2">{{ block.count > 1 ? ` ${block.count}` : '' }}</span></span
                        ></span
                    >
                </span>
            </span>
        </button>
        <p class="mt-1 text-[13px] text-ink2">
            A block is the work at one place, with its number of steps; a thick border: a delay here delays the end.
            Open a day to see its steps.
        </p>
    </div>
</template>

<style scoped>
.block {
    container-type: inline-size;
}
/* Too narrow for a name. */
@container (max-width: 44px) {
    .name {
        display: none;
    }
}
</style>
