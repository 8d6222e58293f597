<script setup lang="ts">
import { computed } from 'vue';
import { lightColour } from './ribbon';

const props = defineProps<{ colours: string[] }>();
const colour = computed(() => lightColour(props.colours));
const levels = [0.5, 0.6, 0.7, 0.8, 0.9, 1];
</script>

<template>
    <dl class="flex items-end gap-1 text-ink2" aria-label="Key of the ribbon’s colours">
        <dt class="mr-1 text-[13px]">Light</dt>
        <dd v-for="level in levels" :key="level" class="fig text-center text-[11px] leading-4">
            <span class="block h-3 w-8 border border-ink3" :style="{ background: colour(level) }" />{{
                level.toFixed(1)
            }}
        </dd>
    </dl>
</template>
