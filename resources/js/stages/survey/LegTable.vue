<script setup lang="ts">
import type { SurveyPlace } from '@/types/generated/responses';

defineProps<{ place: SurveyPlace }>();
const emit = defineEmits<{ trace: [near: string]; go: [line: number] }>();
const INKS: Record<string, string> = { traced: 'text-lit', 'not traced': 'text-dusk' };
</script>

<template>
    <table class="w-full text-left text-[13px]">
        <caption class="sr-only">
            Existing cable legs
        </caption>
        <tbody>
            <tr v-for="leg in place.legs" :key="leg.name" class="border-b border-rule2">
                <th scope="row" class="fig py-1 pr-2 font-semibold">
                    <button type="button" class="hover:underline" @click="emit('go', leg.line)">{{ leg.name }}</button>
                </th>
                <td class="pr-2">{{ leg.way }}</td>
                <td class="fig pr-2 text-ink2">{{ leg.text }}</td>
                <td class="whitespace-nowrap" :class="INKS[leg.state] ?? 'text-watch'">
                    {{ leg.state }}
                </td>
            </tr>
        </tbody>
    </table>
    <p v-for="point in place.near" :key="point.near" class="mt-1">
        <button type="button" class="act" @click="emit('trace', point.near)">
            Trace the legs from {{ point.near }}
        </button>
    </p>
</template>
