<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import { computed, nextTick, ref } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import AssemblyTable from './AssemblyTable.vue';
import OffcutBox from './OffcutBox.vue';
import PartTable from './PartTable.vue';
import QuoteBox from './QuoteBox.vue';
import { ask, inWords } from '@/lib/http';
import { provideScreen } from '@/lib/screen';
import StockBars from './StockBars.vue';
import type { Answer, PartRow } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideScreen(props.answer);
const parts = computed(() => store.desk.value.parts);
const words = ref('');
const missing = ref(false);
const refused = ref('');
const quoting = ref(false);
const inVan = ref(false);
const making = ref(false);
const shown = computed(() => {
    const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
    return (parts.value?.parts ?? []).filter(
        (p) =>
            (!missing.value || p.missing) &&
            asked.every((w) => `${p.group} ${p.name} ${p.why.join(' ')}`.toLowerCase().includes(w)),
    );
});

async function send(what: string, body: object, name: string): Promise<void> {
    try {
        store.answer.value = await ask<Answer>('POST', `/jobs/${props.answer.job}/${what}`, body);
        refused.value = '';
    } catch (error) {
        refused.value = `${name}: ${inWords(error)}`;
        await store.reload();
    }
}
const mark = (part: PartRow, state: string, arrives: string) =>
    send('parts', { part: part.key, state, arrives: arrives || null }, part.name);
async function go(place: string): Promise<void> {
    words.value = '';
    missing.value = false;
    making.value = making.value || (parts.value?.makings.some((m) => m.run === place) ?? false);
    await nextTick();
    document.querySelector<HTMLElement>(`[data-part="${place}"] select, [data-making="${place}"] select`)?.focus();
}
async function openMaking(): Promise<void> {
    making.value = !making.value;
    await nextTick();
    document.querySelector<HTMLElement>('[data-making] select')?.focus();
}
const url = (what: string) => `/jobs/${props.answer.job}/${what}`;
const shortcuts = [
    { key: 'm', what: 'Only what is missing', act: () => (missing.value = !missing.value) },
    { key: 'w', what: 'Assembly of each run', act: () => void openMaking() },
    { key: 'o', what: 'Offcuts in the van', act: () => (inVan.value = true) },
    { key: 'q', what: 'Quote', act: () => (quoting.value = true) },
    { key: 'v', what: 'List to pack the van by', act: () => window.open(url('van.pdf'), '_blank') },
    { key: 'l', what: 'Labels to print', act: () => router.visit(url('labels')) },
    { key: 'e', what: 'List for a spreadsheet', act: () => window.open(url('parts.csv'), '_blank') },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts" @go="go">
        <p v-if="!parts || (parts.parts.length === 0 && parts.bare.length === 0)" class="text-ink2">
            Nothing to buy yet. Choose strips at Kit and wire them at Wire, then everything to buy, cut and bring is
            listed here.
        </p>
        <template v-else>
            <section aria-labelledby="cuts" class="mb-5">
                <div class="mb-2 flex flex-wrap items-baseline gap-4">
                    <h2 id="cuts" class="font-semibold">Cut list</h2>
                    <a class="act ml-auto" :href="url('cuts.csv')">Export CSV of the cuts</a>
                    <button type="button" class="act" @click="inVan = true">
                        Offcuts in the van <span class="fig">{{ parts.offcuts.length }}</span> <kbd>O</kbd>
                    </button>
                    <button type="button" class="act" :aria-expanded="making" @click="openMaking()">
                        Assembly of each run <kbd>W</kbd>
                    </button>
                </div>
                <AssemblyTable v-if="making" :parts="parts" class="mb-4" />
                <StockBars
                    v-for="cut in parts.cuts"
                    :key="cut.kit"
                    :cut="cut"
                    @leave="send('offcuts/left', { kit: cut.kit }, cut.name)"
                    @join="(run) => store.change({ kind: 'SetMaking', run, [cut.field]: 'needed' })"
                />
            </section>
            <section aria-labelledby="list">
                <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
                    <h2 id="list" class="font-semibold">
                        Buy and bring <span class="fig font-normal text-ink2">{{ shown.length }}</span>
                    </h2>
                    <label class="flex items-baseline gap-2 text-ink2"
                        >Filter
                        <input
                            v-model="words"
                            maxlength="100"
                            class="w-32 border-b border-ink3 bg-transparent text-ink"
                            placeholder="part, run, K2 …"
                    /></label>
                    <label class="flex items-center gap-2"
                        ><input v-model="missing" type="checkbox" class="accent-ember" />only what is missing
                        <kbd>M</kbd></label
                    >
                    <span class="ml-auto flex flex-wrap gap-x-4">
                        <button type="button" class="act" data-guide="quote" @click="quoting = true">
                            Quote <kbd>Q</kbd>
                        </button>
                        <a class="act" :href="url('van.pdf')" target="_blank">Packing list <kbd>V</kbd></a>
                        <Link class="act" :href="url('labels')">Labels <kbd>L</kbd></Link>
                        <a class="act" :href="url('parts.csv')">Spreadsheet <kbd>E</kbd></a>
                    </span>
                </div>
                <p v-if="refused" role="alert" class="mt-1 text-stop">{{ refused }}</p>
                <PartTable :parts="parts" :rows="shown" :job="answer.job" @mark="mark" />
                <p v-if="shown.length === 0" class="mt-2 text-ink2">No longer in the plan.</p>
            </section>
            <p v-if="parts.lacking.length" class="mt-4 border-l-4 border-watch bg-sheet px-3 py-1">
                Wanted, with nothing chosen or on the shelf for it: {{ parts.lacking.slice(0, 5).join('; ')
                }}{{ parts.lacking.length > 5 ? ` and ${parts.lacking.length - 5} more` : '' }}. Choose it, or put it on
                the <Link class="act" href="/shelf">kit shelf</Link>, where a consumable says what it is used for.
            </p>
            <p v-if="parts.bare.length" class="mt-4 border-t border-rule pt-2 text-ink2">
                Not listed, no strip chosen:
                <template v-for="(run, n) in parts.bare" :key="run.id"
                    ><Link class="act" :href="url(`kit?run=${run.id}`)">{{ run.name }}</Link
                    >{{ n < parts.bare.length - 1 ? ', ' : '. ' }}</template
                >
                Choose one at Kit.
            </p>
            <OffcutBox :open="inVan" :parts="parts" :job="answer.job" @close="inVan = false" />
        </template>
        <QuoteBox :open="quoting" :job="answer.job" :currency="parts?.currency ?? ''" @close="quoting = false" />
    </JobFrame>
</template>
