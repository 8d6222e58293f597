<script setup lang="ts">
import type { SheetCable } from '@/types/generated/responses';

/** Cables with their current, and the volts at the strip. */
defineProps<{ cables: SheetCable[] }>();
</script>

<template>
    <div v-if="cables.length" class="overflow-x-auto" tabindex="0" role="region" aria-label="Cables">
        <table class="w-full text-left text-[13px]">
            <thead class="text-ink2">
                <tr class="border-b border-rule">
                    <th class="font-normal">Cable</th>
                    <th class="font-normal">From, to</th>
                    <th class="font-normal">Kind</th>
                    <th class="text-right font-normal">Length</th>
                    <th class="text-right font-normal">Current</th>
                    <th class="text-right font-normal">Drop</th>
                    <th class="text-right font-normal">At the strip</th>
                </tr>
            </thead>
            <tbody class="fig">
                <tr v-for="cable in cables" :key="cable.id" class="border-b border-rule2">
                    <th scope="row">{{ cable.id }}</th>
                    <td class="font-words">{{ cable.way }}</td>
                    <td>{{ cable.kit }}</td>
                    <td class="text-right">{{ cable.length }}</td>
                    <td class="text-right">{{ cable.amps }}</td>
                    <td class="text-right">{{ cable.drop }}</td>
                    <td class="text-right">{{ cable.volts }}</td>
                </tr>
            </tbody>
        </table>
    </div>
</template>

<style scoped>
th,
td {
    padding: 3px 8px 3px 0;
}
</style>
