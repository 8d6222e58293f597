<script setup lang="ts">
import type { SurveyPlace } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

defineProps<{ place: SurveyPlace }>();
</script>

<template>
    <div>
        <h2 class="border-b border-rule pb-1 font-semibold">{{ place.batteries.length ? 'Batteries' : 'Networks' }}</h2>
        <div v-for="battery in place.batteries" :key="battery.name" class="border-b border-rule2 py-2">
            <p>
                <b class="font-semibold">{{ battery.name }}</b> {{ battery.text }}
            </p>
            <p class="mt-1 flex gap-5 text-[13px] text-ink2">
                <span v-for="volts in battery.volts" :key="volts.label"
                    >{{ volts.label.toLowerCase() }} <FigureText :figure="volts" up
                /></span>
            </p>
            <p class="mt-1 border-l-4 border-watch pl-2 text-[13px]">{{ battery.caution }}</p>
        </div>
        <p v-for="radio in place.radios" :key="radio" class="border-b border-rule2 py-1">{{ radio }}</p>
    </div>
</template>
