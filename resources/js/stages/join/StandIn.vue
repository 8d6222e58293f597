<script setup lang="ts">
import { computed } from 'vue';
import { litAt } from './live';
import type { JoinDevice } from '@/types/generated/responses';

const props = defineProps<{ device: JoinDevice; now: number }>();
const emit = defineEmits<{ power: [on: boolean]; press: [times: number] }>();
const lit = computed(() => {
    const signal = props.device.signal;
    const shown = signal ? litAt(signal.times, props.now - signal.from) : null;
    return props.device.powered && (shown ?? props.device.lit);
});
</script>

<template>
    <!-- The drawn kit: a controller with its switch and key, and the strip that hangs on it. -->
    <div class="flex flex-wrap items-center gap-2" role="group" :aria-label="`Stand-in for ${device.id.toUpperCase()}`">
        <svg
            viewBox="0 0 290 58"
            preserveAspectRatio="xMinYMid meet"
            class="block h-[84px] w-full max-w-[420px] basis-full"
            role="img"
            :aria-label="`${device.name} strip is ${lit ? 'lit' : 'dark'}`"
            :data-lit="lit"
        >
            <rect x="1" y="8" width="64" height="42" rx="4" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
            <text x="33" y="26" text-anchor="middle" class="fig text-[13px] font-bold">
                {{ device.id.toUpperCase() }}
            </text>
            <circle cx="22" cy="39" r="4" :fill="device.powered ? 'var(--lit)' : 'none'" stroke="var(--ink)" />
            <circle cx="44" cy="39" r="5" fill="var(--rule)" stroke="var(--ink)" />
            <path d="M65,29H86" stroke="var(--ink)" stroke-width="3" />
            <rect
                x="86"
                y="16"
                width="200"
                height="26"
                rx="3"
                :fill="lit ? 'var(--glow)' : 'var(--rule-2)'"
                stroke="var(--ink)"
                stroke-width="1.5"
            />
            <path v-for="n in 9" :key="n" :d="`M${86 + n * 20},16v26`" stroke="var(--copper)" stroke-dasharray="3 3" />
            <text
                x="186"
                y="33"
                text-anchor="middle"
                class="text-[12px]"
                :style="{ color: lit ? '#2c1a2f' : 'var(--ink-2)' }"
            >
                {{ lit ? 'lit' : 'dark' }}
            </text>
        </svg>
        <button type="button" class="quiet" @click="emit('power', !device.powered)">
            Switch {{ device.powered ? 'off' : 'on' }} <kbd>O</kbd>
        </button>
        <button type="button" class="quiet" :disabled="!device.powered" @click="emit('press', 1)">
            {{ device.key }} once <kbd>P</kbd>
        </button>
        <button type="button" class="quiet" :disabled="!device.powered" @click="emit('press', device.presses)">
            {{ device.key }} {{ device.presses }} times <kbd>Shift P</kbd>
        </button>
    </div>
</template>
