<script setup lang="ts">
import type { BenchReading } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import StrikeOut from './StrikeOut.vue';

/** Readings against the band that good wiring gives: where they are, in words and shape too. */
defineProps<{ rows: BenchReading[] }>();
const emit = defineEmits<{
    meant: [row: BenchReading, value: number];
    sure: [row: BenchReading];
    strike: [row: BenchReading, reason: string];
}>();
const SAID = { inside: 'inside', doubtful: 'doubtful', outside: 'outside', open: 'open' };
const INK = { inside: 'text-lit', doubtful: 'text-watch', outside: 'text-stop', open: 'text-ink2' };

/** Places on a line of 200 that holds the band and the reading, with as much again beside them. */
function scale(row: BenchReading) {
    const low = Math.min(row.low ?? row.value, row.value - row.meter);
    const high = Math.max(row.high ?? row.value, row.value + row.meter);
    const room = Math.max(high - low, 1e-6) * 0.25;
    const x = (v: number) => 4 + ((v - low + room) / (high - low + 2 * room)) * 192;
    return {
        from: x(row.low ?? row.value),
        to: x(row.high ?? row.value),
        newFrom: row.newLow === null ? null : x(row.newLow),
        newTo: row.newHigh === null ? null : x(row.newHigh),
        at: x(row.value),
        least: x(row.value - row.meter),
        most: x(row.value + row.meter),
    };
}
const short = (v: number | null) => {
    if (v === null) {
        return '';
    }
    const decimals = [0.2, 2].filter((most) => Math.abs(v) < most).length + 2;
    return v.toFixed(decimals);
};
</script>

<template>
    <ul>
        <li
            v-for="row in rows"
            :key="row.uuid"
            class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-rule2 py-1.5 md:grid-cols-[minmax(0,1fr)_210px_150px]"
            :class="{ 'opacity-60': !row.stands && !row.asks }"
        >
            <span class="min-w-0"
                >{{ row.words }}
                <span class="text-[13px] text-ink2">{{ row.commandWords }} · {{ row.at.slice(11) }} {{ row.who }}</span>
                <span v-if="row.asks" class="mt-1 block border-l-4 border-watch pl-2 text-[14px]"
                    >{{ row.asks }} It does not count until you confirm it.
                    <button
                        v-if="row.meant !== null"
                        type="button"
                        class="act mr-3"
                        @click="emit('meant', row, row.meant)"
                    >
                        It is {{ short(row.meant) }} {{ row.unit }}
                    </button>
                    <button type="button" class="act" @click="emit('sure', row)">The reading is correct</button></span
                >
                <span v-if="row.against" class="mt-1 block border-l-4 border-watch pl-2 text-[14px]"
                    >It was {{ row.against }} before: they differ by more than the meter error. Read it a third
                    time.</span
                >
                <StrikeOut
                    class="ml-1"
                    :label="`${row.words}: ${row.text}`"
                    @strike="(reason) => emit('strike', row, reason)"
                />
            </span>
            <svg v-if="row.low !== null" viewBox="0 0 200 30" class="hidden h-8 w-52 md:block" aria-hidden="true">
                <path d="M2 10H198" stroke="var(--rule)" />
                <rect
                    :x="scale(row).from"
                    y="4"
                    :width="Math.max(2, scale(row).to - scale(row).from)"
                    height="12"
                    fill="var(--band, #d9cfe6)"
                />
                <rect
                    v-if="scale(row).newFrom !== null"
                    :x="scale(row).newFrom!"
                    y="4"
                    :width="Math.max(2, scale(row).newTo! - scale(row).newFrom!)"
                    height="12"
                    fill="none"
                    stroke="var(--dusk)"
                    stroke-width="1.4"
                />
                <path :d="`M${scale(row).least} 10H${scale(row).most}`" stroke="var(--ink)" stroke-width="1.4" />
                <circle v-if="row.verdict === 'inside'" :cx="scale(row).at" cy="10" r="5" fill="var(--lit)" />
                <path
                    v-else-if="row.verdict === 'doubtful'"
                    :d="`M${scale(row).at} 3.5l6.5 12h-13z`"
                    fill="var(--sheet)"
                    stroke="var(--watch)"
                    stroke-width="2"
                />
                <rect v-else :x="scale(row).at - 5" y="5" width="10" height="10" fill="var(--stop)" />
                <g class="fig" font-size="9.5" fill="var(--ink-2)">
                    <text :x="scale(row).from" y="27" text-anchor="middle">{{ short(row.low) }}</text>
                    <text v-if="scale(row).to - scale(row).from > 44" :x="scale(row).to" y="27" text-anchor="middle">
                        {{ short(row.high) }}
                    </text>
                </g>
            </svg>
            <span v-else class="hidden md:block" />
            <span class="whitespace-nowrap text-right">
                <span class="fig">{{ row.text }}</span>
                <span class="ml-2 inline-block w-16 text-left font-semibold" :class="INK[row.verdict]">{{
                    row.stands || row.asks ? SAID[row.verdict] : 'again'
                }}</span>
                <span v-if="row.band" class="block text-[13px] text-ink2"
                    >at most <FigureText :figure="row.band" right
                /></span>
            </span>
        </li>
    </ul>
</template>
