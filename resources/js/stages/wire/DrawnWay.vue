<script setup lang="ts">
import type { DrawnWay } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

/** The current layout compared with the proposal. */
defineProps<{ drawn: DrawnWay }>();
const emit = defineEmits<{ repair: [change: object] }>();
</script>

<template>
    <section>
        <h3 class="font-semibold">Current layout</h3>
        <p>
            <FigureText :figure="drawn.cost" />, evenness <span class="fig">{{ drawn.evenness }}</span>.
            <span v-if="drawn.broken.length" class="text-stop"
                >It breaks a limit: {{ drawn.broken.map((b) => b.replace(/\.$/, '')).join('; ') }}.</span
            >
            <span v-else-if="Number(drawn.dearer) > 0"
                >It meets every limit and costs <span class="fig">{{ drawn.dearer }}</span> more.</span
            >
            <span v-else-if="drawn.keep && Number(drawn.dearer) < 0"
                ><b class="font-semibold">Keep it:</b> it holds every limit and costs
                <span class="fig">{{ drawn.dearer.replace('-', '') }}</span> less than the proposal.</span
            >
            <span v-else>It meets every limit.</span>
        </p>
        <table v-if="drawn.lines.length" class="mt-1 w-full text-[13px]">
            <caption class="sr-only">
                Current and proposed, line by line
            </caption>
            <thead class="text-ink2">
                <tr class="border-b border-rule">
                    <th class="text-left font-normal">Differences</th>
                    <th class="text-right font-normal">Current</th>
                    <th class="text-right font-normal">Proposed</th>
                    <th class="w-24 text-right font-normal">Cost</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="line in drawn.lines" :key="line.what" class="border-b border-rule2">
                    <th scope="row" class="text-left font-normal first-letter:uppercase">{{ line.what }}</th>
                    <td class="fig text-right">{{ line.now }}</td>
                    <td class="fig text-right">{{ line.then }}</td>
                    <td class="fig text-right">{{ line.difference }}</td>
                </tr>
            </tbody>
        </table>
        <p v-if="drawn.repair" class="mt-1">
            Cheapest single change that fixes it: {{ drawn.repair.label }}, <FigureText :figure="drawn.repair.cost" />{{
                ' '
            }}<button type="button" class="act ml-2" @click="emit('repair', drawn.repair.change)">
                Apply this fix
            </button>
        </p>
        <p v-else-if="drawn.broken.length" class="mt-1">No single change fixes it.</p>
    </section>
</template>
