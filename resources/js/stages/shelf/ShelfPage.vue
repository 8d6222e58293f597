<script setup lang="ts">
import { Head, Link } from '@inertiajs/vue3';
import { useMediaQuery } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import EmberMark from '@/ui/EmberMark.vue';
import EntryForm from './EntryForm.vue';
import { face, turnFace } from '@/lib/face';
import { ask } from '@/lib/http';
import { onlyNewest } from '@/lib/newest';
import { useKeys } from '@/lib/keys';
import type { ShelfResults, ShelfPage, ImportCounts } from '@/types/generated/responses';

const props = defineProps<ShelfPage>();
const found = ref(props.found);
const words = ref('');
const kind = ref('');
const page = ref(1);
const open = ref('');
/** The kind of a new entry while its form is open. */
const fresh = ref('');
/** Requirement that an option lacked, as far as it follows from the run: the form starts with it. */
const prepared = ref<Record<string, string>>({});
const message = ref('');
const said = ref('');
const picker = ref<HTMLInputElement>();
const field = ref<HTMLInputElement>();
const list = ref<HTMLElement>();
const form = ref<HTMLElement>();
/** Where the three parts are below each other, what was asked for comes into view. */
const stacked = useMediaQuery('(max-width: 1023px)');

function bring(part: HTMLElement | undefined): void {
    if (stacked.value) {
        void nextTick(() => part?.scrollIntoView());
    }
}
const GROUPS = [
    { group: 'light', name: 'Lights' },
    { group: 'power', name: 'Power' },
    { group: 'control', name: 'Controllers' },
    { group: 'wire', name: 'Cables and joints' },
    { group: 'mounting', name: 'Mounting' },
    { group: 'hand', name: 'Controls' },
];
const count = (of: string) => found.value.counts.find((c) => c.kind === of)?.count ?? 0;
const plural = computed(() => Object.fromEntries(props.kinds.map((k) => [k.kind, k.plural])));
try {
    const asked: unknown = JSON.parse(new URLSearchParams(window.location.search).get('prepare') ?? '{}');
    const cells = Object.entries(asked ?? {}).filter((c): c is [string, string] => typeof c[1] === 'string');
    prepared.value = Object.fromEntries(cells);
    fresh.value = props.kinds.some((k) => k.kind === prepared.value.kind) ? (prepared.value.kind ?? '') : '';
} catch {
    // A manually changed address prepares nothing.
    prepared.value = {};
}
let timer: ReturnType<typeof setTimeout> | undefined;

const hear = onlyNewest<ShelfResults>(
    (answer) => (found.value = answer),
    (why) => (message.value = why),
);

const look = () =>
    hear(
        ask<ShelfResults>(
            'GET',
            `/shelf/entries?find=${encodeURIComponent(words.value)}&kind=${kind.value}&page=${page.value}`,
        ),
    );
watch(words, () => {
    page.value = 1;
    clearTimeout(timer);
    timer = setTimeout(() => void look(), 150);
});
watch([kind, page], () => void look());

function choose(of: string): void {
    kind.value = kind.value === of ? '' : of;
    page.value = 1;
    bring(list.value);
}

function show(id: string): void {
    fresh.value = '';
    open.value = id;
    bring(form.value);
}

function begin(): void {
    open.value = '';
    prepared.value = {};
    fresh.value = kind.value || 'strip';
    enter('select');
}

/** The keyboard goes on in the form that has opened. */
function enter(field: string): void {
    bring(form.value);
    void nextTick(() => form.value?.querySelector<HTMLElement>(field)?.focus());
}

/** A new entry that begins as a copy of another. */
function copied(cells: Record<string, string>): void {
    open.value = '';
    prepared.value = cells;
    fresh.value = cells.kind ?? 'strip';
    enter('input[name=name]');
}

async function take(): Promise<void> {
    const file = picker.value?.files?.[0];
    if (!file) {
        return;
    }
    const body = new FormData();
    body.append('file', file);
    try {
        const taken = await ask<ImportCounts>('POST', '/shelf/import', body);
        said.value =
            `${file.name}: ${taken.new} new, ${taken.changed} changed, ${taken.same} unchanged. ` +
            'Open jobs keep their copies until you use the new ones.';
        message.value = '';
        await look();
    } catch (error) {
        message.value = `${file.name} was not imported. ${error instanceof Error ? error.message : ''}`;
    } finally {
        if (picker.value) {
            picker.value.value = '';
        }
    }
}

async function kept(id: string): Promise<void> {
    fresh.value = '';
    open.value = id;
    await look();
}

/** Up and down go from row to row. */
function step(event: KeyboardEvent): void {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by) {
        event.preventDefault();
        const rows = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('button')];
        rows[rows.indexOf(document.activeElement as HTMLElement) + by]?.focus();
    }
}
useKeys(() => [
    { key: '/', what: 'Search', act: () => field.value?.focus() },
    { key: 'n', what: 'New entry', act: begin },
    { key: 'i', what: 'Import', act: () => picker.value?.click() },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="Kit shelf" />
    <div class="flex h-full flex-col px-6 max-lg:h-auto">
        <header class="flex h-[52px] shrink-0 items-center gap-4">
            <Link href="/" aria-label="All jobs"><EmberMark /></Link>
            <h1 class="whitespace-nowrap text-xl font-semibold">Kit shelf</h1>
            <label class="ml-2 flex w-72 items-center gap-2 border-b border-ink3 text-ink2"
                ><span class="sr-only">Search the shelf</span>
                <input
                    ref="field"
                    v-model="words"
                    maxlength="100"
                    class="w-full bg-transparent py-1 text-ink outline-none"
                    placeholder="24 V tunable, 2 x 1.5, hub …"
                /><kbd class="ml-1">/</kbd></label
            >
            <Link href="/" class="ml-auto text-ink2">All jobs</Link>
            <button type="button" class="text-ink2" @click="turnFace()">{{ face === 'day' ? 'Night' : 'Day' }}</button>
        </header>
        <ConnectionNote />
        <p v-if="message" role="alert" class="mb-2 border-l-4 border-stop bg-sheet px-3 py-2">
            {{ message }} <button type="button" class="act ml-2" @click="message = ''">Understood</button>
        </p>
        <p v-if="said" role="status" class="mb-2 border-l-4 border-lit bg-sheet px-3 py-2">
            {{ said }} <button type="button" class="act ml-2" @click="said = ''">Understood</button>
        </p>
        <div class="grid min-h-0 flex-1 gap-6 border-t border-ink lg:grid-cols-[200px_minmax(0,1fr)_430px]">
            <nav aria-label="Kinds of kit" class="overflow-y-auto py-4" tabindex="-1">
                <div v-for="board in GROUPS" :key="board.group" class="mb-4">
                    <h2 class="border-b-[3px] border-copper pb-0.5 text-[13px] font-semibold">{{ board.name }}</h2>
                    <button
                        v-for="k in kinds.filter((one) => one.group === board.group)"
                        :key="k.kind"
                        type="button"
                        class="kind"
                        :aria-pressed="kind === k.kind"
                        @click="choose(k.kind)"
                    >
                        {{ k.plural }} <span class="fig">{{ count(k.kind) }}</span>
                    </button>
                </div>
            </nav>
            <section ref="list" aria-labelledby="entries" class="flex min-h-0 flex-col py-4">
                <div class="flex flex-wrap items-baseline gap-4 border-b border-rule pb-1">
                    <h2 id="entries" class="font-semibold">
                        {{ kind ? plural[kind] : 'Everything' }}
                        <span class="fig font-normal text-ink2">{{ found.total }}</span>
                    </h2>
                    <button type="button" class="act ml-auto" @click="begin()">New entry</button>
                    <input
                        ref="picker"
                        type="file"
                        accept=".json,.csv,application/json,text/csv"
                        class="sr-only"
                        tabindex="-1"
                        aria-label="Shelf file"
                        @change="take()"
                    />
                    <button type="button" class="act" @click="picker?.click()">Import</button>
                    <a class="act" :href="`/shelf/export.csv?kind=${kind}`">CSV</a>
                    <a class="act" :href="`/shelf/export.json?kind=${kind}`">JSON</a>
                </div>
                <ul class="relative min-h-0 flex-1 overflow-y-auto" tabindex="-1" @keydown="step">
                    <li v-for="entry in found.entries" :key="entry.id" class="border-b border-rule2">
                        <button type="button" class="row" :aria-current="entry.id === open" @click="show(entry.id)">
                            <span class="font-semibold">{{ entry.name }}</span>
                            <span class="fig text-[12.5px] text-ink2">{{ entry.facts.join(' · ') }}</span>
                            <span class="fig text-right">{{ entry.price?.toFixed(2) ?? '' }}</span>
                        </button>
                    </li>
                </ul>
                <p v-if="found.total === 0" class="mt-4 text-ink2">
                    No shelf entry matches all these words. Remove a word, or add an entry.
                </p>
                <p v-if="found.pages > 1" class="flex gap-4 pt-2 text-ink2">
                    <button type="button" class="act" :disabled="page === 1" @click="page--">Previous page</button
                    >{{ ' ' }}<span class="fig">{{ page }} of {{ found.pages }}</span
                    >{{ ' '
                    }}<button type="button" class="act" :disabled="page === found.pages" @click="page++">
                        Next page
                    </button>
                </p>
            </section>
            <section
                ref="form"
                aria-label="Entry"
                class="max-lg:min-h-screen relative min-h-0 overflow-y-auto py-4"
                tabindex="-1"
            >
                <EntryForm
                    :prepared="prepared"
                    v-if="open || fresh"
                    :key="open + fresh"
                    :id="open"
                    :kind="fresh"
                    :kinds="kinds"
                    @kept="kept"
                    @copy="copied"
                    @gone="((open = ''), look())"
                />
                <p v-else class="mt-8 text-ink2">
                    Choose an entry to see its details and the jobs that use it. A job keeps its own copy: a change here
                    changes no job until you use the new entry there.
                </p>
            </section>
        </div>
    </div>
</template>

<style scoped>
.kind {
    display: flex;
    justify-content: space-between;
    width: 100%;
    padding: 2px 6px;
    text-align: left;
    color: var(--ink-2);
}
.kind:hover,
.row:hover {
    background: var(--sheet);
}
.kind[aria-pressed='true'] {
    color: var(--ink);
    font-weight: 600;
    background: var(--sheet);
    box-shadow: inset 3px 0 var(--ember);
}
.row {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 60px;
    gap: 12px;
    width: 100%;
    padding: 5px 8px;
    text-align: left;
}
.row[aria-current='true'] {
    background: var(--sheet);
    box-shadow: inset 3px 0 var(--ember);
}
@media (max-width: 760px) {
    .row {
        grid-template-columns: minmax(0, 1fr) 60px;
    }
    .row > :nth-child(2) {
        grid-row: 2;
    }
}
</style>
