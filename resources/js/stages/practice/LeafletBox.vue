<script setup lang="ts">
import SignalBars from '@/pictures/SignalBars.vue';
import type { Leaflet } from '@/types/generated/responses';

/** Instructions of a lesson's kit. */
defineProps<{ leaflets: Leaflet[]; open: boolean }>();
const distinct = (leaflets: Leaflet[]) =>
    leaflets.filter((l) => l.gestures.length + l.signals.length + l.figures.length > 0);
</script>

<template>
    <section aria-labelledby="leaflets">
        <h2 id="leaflets" class="border-b-[3px] border-copper pb-0.5 font-semibold">Instructions in the boxes</h2>
        <details
            v-for="(l, n) in distinct(leaflets)"
            :key="l.device"
            class="border-b border-rule2 py-2"
            :open="open && n < 3"
        >
            <summary class="cursor-pointer">
                <b class="fig">{{ l.label }}</b> {{ l.name.toLowerCase() }}
            </summary>
            <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
                <template v-for="g in l.gestures" :key="g.what">
                    <dt class="text-ink2">{{ g.what }}</dt>
                    <dd>{{ g.words }}</dd>
                </template>
            </dl>
            <p v-if="l.figures.length" class="mt-1 text-[13px] text-ink2">{{ l.figures.join(' · ') }}</p>
            <ul class="mt-2 flex flex-wrap gap-x-5 gap-y-2">
                <li v-for="s in l.signals" :key="s.what" class="signal">
                    <SignalBars :times="s.times" :words="s.words" />
                    <span class="block text-[12.5px] text-ink2">{{ s.what }}</span>
                </li>
            </ul>
        </details>
    </section>
</template>

<style scoped>
.signal :deep(svg) {
    height: 18px;
    width: auto;
}
</style>
