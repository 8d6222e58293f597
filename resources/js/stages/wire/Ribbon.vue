<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed, provide, ref } from 'vue';
import FigureText from '@/ui/FigureText.vue';
import { useWidth } from '@/lib/width';
import type { WireRun } from '@/types/generated/responses';
import RibbonCurve from './RibbonCurve.vue';
import RibbonFeed from './RibbonFeed.vue';
import RibbonStrip from './RibbonStrip.vue';
import RibbonTails from './RibbonTails.vue';
import { RIBBON, ROW, type Shown } from './ribbon';

const props = defineProps<{ run: WireRun; longest: number; shown: Shown }>();
const emit = defineEmits<{
    add: [metres: number];
    aim: [feed: string, where: object];
    move: [feed: string, where: object];
    remove: [feed: string];
}>();
const box = ref<HTMLElement>();
const width = useWidth(box);
const LEFT = 40;
const RIGHT = 22;
const run = computed(() => props.run);
/** All ribbons of a job share the scale of the longest run: they are at true length. */
const x = computed(() => scaleLinear([0, props.longest], [LEFT, width.value - RIGHT]));
provide(RIBBON, { run, x, width });
/** Edges of the boxes of supply and controller: on a phone they share the width. */
const NARROW = 560;
const edges = computed(() =>
    width.value < NARROW
        ? { supply: 0.45 * width.value, from: 0.55 * width.value, to: width.value - 1 }
        : { supply: 210, from: 276, to: 540 },
);
/** Metres at which the curve is read, by pointer or by the keys of the ribbon. */
const reading = ref<number | null>(null);
</script>

<template>
    <section :aria-labelledby="`run-${run.id}`" ref="box" class="relative">
        <h2 :id="`run-${run.id}`" class="mb-2 text-base font-semibold">
            {{ run.name }}
            <span class="ml-2 font-words text-[13px] font-normal tracking-normal text-ink2"
                ><span class="fig">{{ run.length }}</span
                >{{ run.endsMeet ? ', both ends meet' : '' }} · {{ run.strip ?? 'no strip yet' }}</span
            >
        </h2>
        <p v-if="run.trouble" class="border-l-4 border-watch bg-sheet px-3 py-2">{{ run.trouble }}</p>
        <div class="relative">
            <div v-if="run.supply" class="device left-0" :style="{ width: `${edges.supply}px` }">
                <span class="block truncate" :title="run.supply.name"
                    ><b class="fig">{{ run.supply.id.toUpperCase() }}</b> {{ run.supply.name }}</span
                >
                <span v-if="run.supply.figure" class="block text-[13px] text-ink2"
                    >load <FigureText :figure="run.supply.figure" /><template v-if="run.supply.where"
                        >, {{ run.supply.where }}</template
                    ></span
                >
            </div>
            <div
                v-if="run.controller"
                class="device"
                :style="{ left: `${edges.from}px`, width: `${edges.to - edges.from}px` }"
            >
                <span class="block truncate" :title="run.controller.name"
                    ><b class="fig">{{ run.controller.id.toUpperCase() }}</b> {{ run.controller.name }}</span
                >
                <span v-if="run.controller.figure" class="block text-[13px] text-ink2"
                    ><template v-if="run.controller.where">{{ run.controller.where }}, </template>load
                    <FigureText :figure="run.controller.figure"
                /></span>
            </div>
            <svg :width="width" :height="ROW.all" :viewBox="`0 0 ${width} ${ROW.all}`" class="block overflow-visible">
                <g v-if="run.trunk">
                    <path :d="`M${edges.supply},25H${edges.from}`" stroke="var(--ink)" stroke-width="2.5" />
                    <text :x="(edges.supply + edges.from) / 2" y="19" text-anchor="middle" class="fig text-[11px]">
                        {{ run.trunk.id.toUpperCase() }}
                    </text>
                    <text
                        v-if="run.trunk.drop && width >= NARROW"
                        x="243"
                        y="39"
                        text-anchor="middle"
                        class="fig text-[11px] text-ink2"
                    >
                        {{ run.trunk.drop.text }} V
                    </text>
                </g>
                <RibbonTails v-if="run.controller" :from="[edges.from + 14, edges.to - 14]" />
                <RibbonTails v-else-if="run.supply" :from="[14, edges.supply - 14]" />
                <RibbonStrip v-model:reading="reading" :shown="shown" @add="emit('add', $event)" />
                <RibbonCurve :shown="shown === 'colour' ? 'light' : shown" :reading="reading" />
                <g
                    v-if="run.dataAt !== null"
                    :transform="`translate(${x(run.dataAt)},${ROW.strip + ROW.stripHeight / 2})`"
                >
                    <path :d="run.dataAt > 0 ? 'M2,0l8,-5v10z' : 'M-2,0l-8,-5v10z'" fill="var(--ink)" />
                    <text
                        :x="run.dataAt > 0 ? 20 : -12"
                        :y="run.dataAt > 0 ? -16 : 4"
                        text-anchor="end"
                        class="text-[11px]"
                    >
                        data
                    </text>
                </g>
                <RibbonFeed
                    v-for="(feed, n) in run.feeds"
                    :key="feed.id"
                    :feed="feed"
                    :number="n + 1"
                    @aim="emit('aim', feed.id, $event)"
                    @move="emit('move', feed.id, $event)"
                    @remove="emit('remove', feed.id)"
                />
            </svg>
        </div>
    </section>
</template>

<style scoped>
.device {
    position: absolute;
    top: 0;
    height: 50px;
    padding: 4px 10px;
    background: var(--sheet);
    border: 1.5px solid var(--ink);
    border-radius: 4px;
    line-height: 20px;
    z-index: 2;
}
@media (max-width: 700px) {
    .device {
        padding: 4px 6px;
        overflow: hidden;
    }
}
</style>
