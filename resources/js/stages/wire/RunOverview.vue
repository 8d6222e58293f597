<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import FigureText from '@/ui/FigureText.vue';
import type { WireRun } from '@/types/generated/responses';
import MiniRibbon from './MiniRibbon.vue';

/** All runs of the job small, grouped by place, at one scale: the selected ones are shown large below. */
const props = defineProps<{ runs: WireRun[]; longest: number }>();
const open = defineModel<string[]>('open', { required: true });
const words = ref('');
const small = useMediaQuery('(max-width: 639px)');
const width = computed(() => (small.value ? 96 : 300));
const groups = computed(() => {
    const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
    const shown = props.runs.filter((r) =>
        asked.every((w) =>
            `${r.name} ${r.place} ${r.strip} ${r.supply?.id} ${r.controller?.id}`.toLowerCase().includes(w),
        ),
    );
    return [...new Set(shown.map((r) => r.place))].map((place) => ({
        place,
        runs: shown.filter((r) => r.place === place),
    }));
});

function toggle(id: string): void {
    open.value = open.value.includes(id) ? open.value.filter((o) => o !== id) : [...open.value, id];
}
</script>

<template>
    <section aria-labelledby="overview" class="mb-5">
        <div class="flex flex-wrap items-baseline gap-x-4">
            <h2 id="overview" class="font-semibold">
                Runs <span class="fig font-normal text-ink2">{{ runs.length }}</span>
            </h2>
            <label class="flex items-baseline gap-2 text-ink2"
                >Filter
                <input
                    v-model="words"
                    maxlength="100"
                    class="w-40 border-b border-ink3 bg-transparent text-ink"
                    placeholder="place, strip, S1 …"
            /></label>
            <button type="button" class="act ml-auto" @click="open = runs.map((r) => r.id)">Show all runs</button>
            <button type="button" class="act" @click="open = []">None</button>
        </div>
        <table class="mt-1 w-full text-left">
            <tbody v-for="group in groups" :key="group.place">
                <tr>
                    <th colspan="4" scope="colgroup" class="pt-2 text-[13px] font-normal text-ink2">
                        {{ group.place }}
                    </th>
                </tr>
                <tr v-for="run in group.runs" :key="run.id" class="border-b border-rule2">
                    <th scope="row" class="w-40 py-1 max-sm:w-auto">
                        <button
                            type="button"
                            class="font-semibold hover:underline"
                            :data-opens="run.id"
                            :aria-expanded="open.includes(run.id)"
                            @click="toggle(run.id)"
                        >
                            {{ open.includes(run.id) ? '▾' : '▸' }} {{ run.name }}
                        </button>
                    </th>
                    <td :style="{ width: `${width + 16}px` }">
                        <MiniRibbon :name="run.id" :run="run" :longest="longest" :width="width" />
                    </td>
                    <td class="text-right max-sm:whitespace-nowrap">
                        <FigureText v-if="run.load" :figure="run.load" right />
                    </td>
                    <td class="w-32 text-right max-sm:w-auto max-sm:whitespace-nowrap">
                        <template v-if="run.evenness"
                            ><span class="text-[12px] text-ink2">even</span>{{ ' '
                            }}<FigureText :figure="run.evenness" right /></template
                        ><span v-else class="text-ink2">not solved</span>
                    </td>
                </tr>
            </tbody>
        </table>
        <p v-if="groups.length === 0" class="mt-2 text-ink2">No run matches.</p>
    </section>
</template>
