<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import { computed, nextTick, ref } from 'vue';
import JobFrame from '@/controls/JobFrame.vue';
import { ask, Refusal } from '@/lib/http';
import { provideDesk } from '@/lib/desk';
import QuoteBox from '@/controls/QuoteBox.vue';
import StockBars from '@/pictures/StockBars.vue';
import type { Answer, PartRow } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideDesk(props.answer);
const parts = computed(() => store.desk.value.parts);
const words = ref('');
const missing = ref(false);
const refused = ref('');
const quoting = ref(false);
const shown = computed(() => {
    const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
    return (parts.value?.parts ?? []).filter((p) => (!missing.value || p.state === '' || p.state === 'ordered') && asked.every((w) => `${p.group} ${p.name} ${p.why.join(' ')}`.toLowerCase().includes(w)));
});
const groups = computed(() => [...new Set(shown.value.map((p) => p.group))].map((group) => ({ group, rows: shown.value.filter((p) => p.group === group) })));

async function mark(part: PartRow, state: string, arrives: string): Promise<void> {
    try {
        store.answer.value = await ask<Answer>('POST', `/jobs/${props.answer.job}/parts`, { part: part.key, state, arrives: arrives || null });
        refused.value = '';
    } catch (error) {
        refused.value = `${part.name}: ${error instanceof Refusal ? error.message : String(error)}`;
        await store.reload();
    }
}
async function go(place: string): Promise<void> {
    words.value = '';
    missing.value = false;
    await nextTick();
    document.querySelector<HTMLElement>(`[data-part="${place}"] select`)?.focus();
}
const shortcuts = [
    { key: 'm', what: 'Only what is missing', act: () => (missing.value = !missing.value) },
    { key: 'q', what: 'Quote', act: () => (quoting.value = true) },
    { key: 'l', what: 'Labels to print', act: () => router.visit(`/jobs/${props.answer.job}/labels`) },
    { key: 'e', what: 'List for a spreadsheet', act: () => window.open(`/jobs/${props.answer.job}/parts.csv`, '_blank') },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts" @go="go">
        <p v-if="!parts || parts.parts.length === 0" class="text-ink2">Nothing to buy yet: choose strips at Kit and wire them at Wire, then everything to buy, cut and bring stands here.</p>
        <template v-else>
            <section aria-labelledby="cuts" class="mb-6">
                <h2 id="cuts" class="mb-2 font-semibold">Cut from reels and lengths</h2>
                <StockBars v-for="cut in parts.cuts" :key="cut.kit" :cut="cut" />
            </section>
            <section aria-labelledby="list">
                <div class="flex flex-wrap items-baseline gap-4">
                    <h2 id="list" class="font-semibold">To buy and bring <span class="fig font-normal text-ink2">{{ shown.length }}</span></h2>
                    <label class="flex items-baseline gap-2 text-ink2">Filter <input v-model="words" class="w-40 border-b border-ink3 bg-transparent text-ink" placeholder="part, run, K2 …" /></label>
                    <label class="flex items-center gap-2"><input v-model="missing" type="checkbox" class="accent-ember" />only what is missing <kbd>M</kbd></label>
                    <button type="button" class="act ml-auto" @click="quoting = true">Quote <kbd>Q</kbd></button>
                    <Link class="act" :href="`/jobs/${answer.job}/labels`">Labels <kbd>L</kbd></Link>
                    <a class="act" :href="`/jobs/${answer.job}/parts.csv`">For a spreadsheet <kbd>E</kbd></a>
                </div>
                <p v-if="refused" role="alert" class="mt-1 text-stop">{{ refused }}</p>
                <table class="mt-1 w-full text-left">
                    <thead class="text-xs text-ink2">
                        <tr class="border-b border-rule"><th class="py-1 font-normal">Part</th><th class="pr-4 text-right font-normal">Plan asks for</th><th class="pr-4 text-right font-normal">Buy</th><th class="pr-4 text-right font-normal">{{ parts.currency }}</th><th class="font-normal">How far</th></tr>
                    </thead>
                    <tbody v-for="group in groups" :key="group.group">
                        <tr><th colspan="5" scope="colgroup" class="pt-2 text-[13px] font-normal text-ink2">{{ group.group }}</th></tr>
                        <tr v-for="part in group.rows" :key="part.key" :data-part="part.key" class="border-b border-rule2 align-top">
                            <th scope="row" class="py-1 pr-4 font-normal">
                                {{ part.name }}
                                <p v-if="part.why.length === 1" class="text-[13px] text-ink2">{{ part.why[0] }}</p>
                                <details v-else class="text-[13px] text-ink2"><summary class="dotted w-fit cursor-pointer">for {{ part.why.length }} things</summary><ul><li v-for="why in part.why" :key="why">{{ why }}</li></ul></details>
                            </th>
                            <td class="fig whitespace-nowrap pr-4 text-right">{{ part.count }} <span class="unit">{{ part.unit }}</span><span v-if="part.spare" class="block text-[12px] text-ink2">+ {{ part.spare }} spare</span></td>
                            <td class="fig pr-4 text-right">{{ part.buy }}</td>
                            <td class="fig pr-4 text-right">{{ part.cost || 'no price' }}</td>
                            <td class="whitespace-nowrap">
                                <select class="pick" :value="part.state" :aria-label="`How far ${part.name} is`" @change="mark(part, ($event.target as HTMLSelectElement).value, part.arrives)">
                                    <option v-for="state in parts.states" :key="state.id" :value="state.id">{{ state.name }}</option>
                                </select>
                                <label v-if="part.state === 'ordered'" class="ml-2 text-[13px]" :class="part.late ? 'text-stop' : 'text-ink2'">{{ part.late ? 'late since' : 'comes' }}
                                    <input type="date" class="fig border-b border-ink3 bg-transparent" :value="part.arrives" @change="mark(part, 'ordered', ($event.target as HTMLInputElement).value)" />
                                </label>
                            </td>
                        </tr>
                    </tbody>
                </table>
                <p v-if="groups.length === 0" class="mt-2 text-ink2">Nothing is left of that.</p>
            </section>
            <p v-if="parts.bare.length" class="mt-4 border-t border-rule pt-2 text-ink2">Not in the list, without a strip yet: {{ parts.bare.join(', ') }}.</p>
        </template>
        <QuoteBox :open="quoting" :job="answer.job" :currency="parts?.currency ?? ''" @close="quoting = false" />
    </JobFrame>
</template>
