<script setup lang="ts">
import type { Drawn } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

/** Why not as it is drawn. */
defineProps<{ drawn: Drawn }>();
const emit = defineEmits<{ repair: [change: object] }>();
</script>

<template>
    <section>
        <h3 class="font-semibold">As it is drawn</h3>
        <p>
            <FigureText :figure="drawn.cost" />, evenness <span class="fig">{{ drawn.evenness }}</span>.
            <span v-if="drawn.broken.length" class="text-stop"
                >It does not hold: {{ drawn.broken.map((b) => b.replace(/\.$/, '')).join('; ') }}.</span
            >
            <span v-else-if="Number(drawn.dearer) > 0"
                >It holds every limit and costs <span class="fig">{{ drawn.dearer }}</span> more.</span
            >
            <span v-else-if="drawn.keep && Number(drawn.dearer) < 0"
                ><b class="font-semibold">Keep it:</b> it holds every limit and costs
                <span class="fig">{{ drawn.dearer.replace('-', '') }}</span> less than the proposal.</span
            >
            <span v-else>It holds every limit.</span>
        </p>
        <table v-if="drawn.lines.length" class="mt-1 w-full text-[13px]">
            <caption class="sr-only">
                Drawn and proposed, line by line
            </caption>
            <thead class="text-ink2">
                <tr class="border-b border-rule">
                    <th class="text-left font-normal">What differs</th>
                    <th class="text-right font-normal">Drawn</th>
                    <th class="text-right font-normal">Proposed</th>
                    <th class="w-24 text-right font-normal">Cost</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="line in drawn.lines" :key="line.what" class="border-b border-rule2">
                    <th scope="row" class="text-left font-normal">{{ line.what }}</th>
                    <td class="fig text-right">{{ line.now }}</td>
                    <td class="fig text-right">{{ line.then }}</td>
                    <td class="fig text-right">{{ line.difference }}</td>
                </tr>
            </tbody>
        </table>
        <p v-if="drawn.repair" class="mt-1">
            Cheapest single change that mends it: {{ drawn.repair.label }}, <FigureText :figure="drawn.repair.cost" />{{
                ' '
            }}<button type="button" class="act ml-2" @click="emit('repair', drawn.repair.change)">Mend it so</button>
        </p>
        <p v-else-if="drawn.broken.length" class="mt-1">No single change mends it.</p>
    </section>
</template>
