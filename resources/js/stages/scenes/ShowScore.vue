<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import type { Frames } from '@/types/generated/responses';

/** A show as a score: lights down, seconds across, each in the colour that will be seen. Nothing flickers on the screen itself. */
const props = defineProps<{ job: number; show: string; name: string; revision: number }>();
const WIDTH = 640;
const ROW = 12;
const frames = ref<Frames | null>(null);
const message = ref('');
watch(
    () => [props.show, props.revision],
    async () => {
        try {
            frames.value = await ask<Frames>('GET', `/jobs/${props.job}/shows/${props.show}/frames`);
            message.value = '';
        } catch (error) {
            message.value = inWords(error);
        }
    },
    { immediate: true },
);
</script>

<template>
    <p v-if="message" class="text-[13px] text-stop">{{ message }}</p>
    <div v-else-if="frames && frames.lights.length" class="mt-1 flex gap-3">
        <ul class="w-32 shrink-0 text-right text-[11.5px] leading-3 text-ink2">
            <li v-for="light in frames.lights" :key="light" class="truncate" :style="{ height: `${ROW}px` }">
                {{ light }}
            </li>
        </ul>
        <svg
            :viewBox="`0 0 ${WIDTH} ${frames.lights.length * ROW + 14}`"
            class="min-w-0 flex-1"
            role="img"
            :aria-label="`“${name}” over ${Math.round(frames.frames.at(-1)!.at)} seconds`"
        >
            <g v-for="(frame, n) in frames.frames" :key="n">
                <rect
                    v-for="(colour, row) in frame.colours"
                    :key="row"
                    :x="(n * WIDTH) / frames.frames.length"
                    :y="row * ROW"
                    :width="WIDTH / frames.frames.length + 0.3"
                    :height="ROW - 2"
                    :fill="colour"
                />
            </g>
            <g class="fill-ink2 text-[10px]">
                <text
                    v-for="part in [0, 0.25, 0.5, 0.75]"
                    :key="part"
                    :x="part * WIDTH"
                    :y="frames.lights.length * ROW + 11"
                >
                    {{ Math.round(frames.frames[Math.floor(part * frames.frames.length)]!.at * 10) / 10 }} s
                </text>
            </g>
        </svg>
    </div>
</template>
