<script setup lang="ts">
import type { SceneRibbon } from '@/types/generated/responses';

/** A run at its length beside the others, in the light that will be seen. */
const props = defineProps<{ ribbon: SceneRibbon; longest: number; of: string }>();
const WIDTH = 220;
const wide = () => Math.max(4, (props.ribbon.metres / props.longest) * (WIDTH - 1));
</script>

<template>
    <svg :viewBox="`0 0 ${WIDTH} 10`" :width="WIDTH" height="10" aria-hidden="true" class="block max-w-full">
        <defs>
            <linearGradient :id="`scene-${of}-${ribbon.run}`">
                <stop
                    v-for="(colour, n) in ribbon.seen"
                    :key="n"
                    :offset="(n + 0.5) / ribbon.seen.length"
                    :stop-color="colour"
                />
            </linearGradient>
        </defs>
        <rect
            x="0.5"
            y="0.5"
            :width="wide()"
            height="9"
            :fill="ribbon.seen.length ? `url(#scene-${of}-${ribbon.run})` : 'var(--ink)'"
            stroke="var(--ink-3)"
        />
    </svg>
</template>
