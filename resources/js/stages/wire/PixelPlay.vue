<script setup lang="ts">
import { useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { runningLight } from '@/lib/effect';
import type { WireRun } from '@/types/generated/responses';

/** A light that runs along the pixels of a run: the way that effects take, segment by segment. Nothing is calculated with it. */
const props = defineProps<{ run: WireRun }>();
/** Seconds of a round: slow enough that nothing flashes. */
const ROUND = 4;
/** Red, green and blue of a lit pixel. */
const LIT = [255, 190, 110];
const canvas = ref<HTMLCanvasElement>();
const playing = ref(false);
const parts = computed(() =>
    props.run.segments.length
        ? props.run.segments
        : [{ first: 1, last: props.run.pixels, reversed: (props.run.dataAt ?? 0) > 0, mirrored: false }],
);
let began = 0;
const { pause, resume } = useRafFn(
    ({ timestamp }) => {
        const pen = canvas.value?.getContext('2d');
        if (!pen) {
            return;
        }
        const light = runningLight(props.run.pixels, parts.value, ((timestamp - began) / 1000 / ROUND) % 1);
        const picture = pen.createImageData(light.length, 1);
        light.forEach((one, n) => picture.data.set([LIT[0]! * one, LIT[1]! * one, LIT[2]! * one, 255], 4 * n));
        pen.putImageData(picture, 0, 0);
        canvas.value?.setAttribute('data-frames', String(Number(canvas.value.dataset.frames ?? 0) + 1));
    },
    { immediate: false },
);
function play(on: boolean): void {
    playing.value = on;
    began = performance.now();
    if (on) {
        resume();
    } else {
        pause();
    }
}
</script>

<template>
    <div class="flex items-center gap-3 pb-2">
        <button type="button" class="quiet shrink-0" :aria-pressed="playing" @click="play(!playing)">
            {{ playing ? 'Stop' : 'Play a running light' }}<span class="sr-only"> along {{ run.name }}</span>
        </button>
        <canvas
            v-if="playing"
            ref="canvas"
            class="h-3 min-w-0 flex-1 rounded-sm bg-black"
            :width="run.pixels"
            height="1"
            role="img"
            :aria-label="`A light runs along the pixels of ${run.name}, in the order of its segments`"
        />
    </div>
</template>
