<script setup lang="ts">
import { computed } from 'vue';
import type { ProposedPart, ProposedRun } from '@/types/generated/responses';

/** A proposed layout as ribbons: proposed feeds above as filled diamonds, current ones below as rings; changed parts with what they replace. */
const props = defineProps<{ runs: ProposedRun[]; small?: boolean }>();
const longest = computed(() => Math.max(1, ...props.runs.map((r) => r.metres)));
/** Per cent of the width that is left free on each side. */
const EDGE = 2;
const wide = (metres: number) => `${(metres / longest.value) * (100 - 2 * EDGE)}%`;
const at = (metres: number) => `${EDGE + (metres / longest.value) * (100 - 2 * EDGE)}%`;

const lengths = (run: ProposedRun) => run.feeds.map((f) => f.length).join(' + ');
function fed(run: ProposedRun): string {
    const feeds = `${run.feeds.length} ${run.feeds.length === 1 ? 'feed' : 'feeds'}`;
    if (run.now.length === 0) {
        return feeds;
    }
    if (run.feeds.length !== run.now.length) {
        return `${feeds} instead of ${run.now.length}`;
    }
    return `${feeds}, ${run.moved ? 'moved' : 'as now'}`;
}
function parts(run: ProposedRun): { name: string; part: ProposedPart }[] {
    return [
        { name: 'Feed cable', part: run.cable },
        ...(run.controller ? [{ name: 'Controller', part: run.controller }] : []),
        { name: 'Supply', part: run.source },
    ];
}
</script>

<template>
    <ul :class="small ? 'space-y-1' : 'space-y-3'">
        <li v-for="run in runs" :key="run.id">
            <p class="flex flex-wrap items-baseline gap-x-3">
                <b class="font-semibold">{{ run.name }}</b>
                <span class="text-[13px] text-ink2">{{ fed(run) }}</span>
            </p>
            <svg width="100%" height="34" aria-hidden="true" class="block">
                <rect
                    :x="at(0)"
                    y="14"
                    :width="wide(run.metres)"
                    height="7"
                    fill="var(--rule-2)"
                    stroke="var(--ink-2)"
                />
                <svg v-for="(feed, n) in run.feeds" :key="`to${n}`" :x="at(feed.at)" overflow="visible">
                    <path d="M0,0l5,5l-5,5l-5,-5zM0,10v11" fill="var(--ember)" stroke="var(--ember)" stroke-width="2" />
                </svg>
                <circle
                    v-for="(metres, n) in run.now"
                    :key="`now${n}`"
                    :cx="at(metres)"
                    cy="28"
                    r="4"
                    fill="none"
                    stroke="var(--ink)"
                    stroke-width="1.5"
                />
            </svg>
            <dl v-if="!small" class="text-[13px]">
                <div v-for="{ name, part } in parts(run)" :key="name" class="flex flex-wrap gap-x-2">
                    <dt class="w-24 shrink-0 text-ink2">{{ name }}</dt>
                    <dd class="min-w-0 flex-1">
                        <span :class="part.was === null ? '' : 'font-semibold'">{{ part.words }}</span><span
                            v-if="name === 'Feed cable'"
                            class="fig"
                            >, {{ lengths(run) }}</span
                        >
                        <span v-if="part.was" class="text-ink2"> instead of {{ part.was }}</span>
                        <span v-else-if="part.was === ''" class="text-ink2"> new</span>
                    </dd>
                </div>
            </dl>
        </li>
    </ul>
</template>
