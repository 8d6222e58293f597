<script setup lang="ts">
import type { ClashingRuns } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

/** Runs that nothing can wire: the smallest set of limits that clash, and the changes after which it was possible. */
defineProps<{ clash: ClashingRuns; with?: string }>();
const emit = defineEmits<{ take: [change: object] }>();
</script>

<template>
    <section class="border-l-4 border-stop bg-sheet px-3 py-2">
        <p>
            <b class="font-semibold"
                >{{ clash.run }}{{ $props.with ? `, ${$props.with}` : '' }}: no wiring
                {{ clash.all ? '' : 'that was tried '
                }}<template v-if="clash.limits.length"
                    >meets the limit{{ clash.limits.length > 1 ? 's' : '' }} of {{ clash.limits.join(' and ')
                    }}{{ clash.limits.length > 1 ? ' together' : '' }}.</template
                ><template v-else>is possible with the kit of the shelf.</template></b
            >
        </p>
        <p v-if="clash.broken.length">Nearest: {{ clash.broken.join(' ') }}</p>
        <ul v-if="clash.ways.length" class="mt-1" aria-label="Ways out">
            <li v-for="way in clash.ways" :key="way.label">
                <button type="button" class="act" @click="emit('take', way.change)">{{ way.label }}</button>: its wiring
                then costs <FigureText :figure="way.cost" />
            </li>
        </ul>
        <p v-else-if="!$props.with">
            No single change of those tried makes it possible: split the run, choose a strip with a lower load, or raise
            a limit.
        </p>
    </section>
</template>
