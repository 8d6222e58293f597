<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { examples } from '../../../../core/data/examples.json';
import { useEventListener } from '@vueuse/core';
import DialogBox from '@/ui/DialogBox.vue';
import JobBox from './JobBox.vue';
import JobFrame from '@/ui/JobFrame.vue';
import LegTable from './LegTable.vue';
import NotesEditor from './NotesEditor.vue';
import NotesKeys from './NotesKeys.vue';
import NotesWords from './NotesWords.vue';
import PhotoStrip from './PhotoStrip.vue';
import PlaceTabs from './PlaceTabs.vue';
import RunMounting from './RunMounting.vue';
import SiteFacts from './SiteFacts.vue';
import StandingBox from './StandingBox.vue';
import TraceBox from './TraceBox.vue';
import { said } from '@/lib/clock';
import { keepAgain } from '@/lib/along';
import { drafts } from '@/lib/draft';
import { ask } from '@/lib/http';
import { person } from '@/lib/person';
import { provideScreen } from '@/lib/screen';
import WallSheet from './WallSheet.vue';
import type { Answer, History } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideScreen(props.answer);
const { desk, change } = store;
const places = computed(() => desk.value.survey?.places ?? []);
const at = ref(places.value[0]?.id ?? '');
const place = computed(() => places.value.find((p) => p.id === at.value) ?? places.value[0]);
const REST = 400;

const notes = ref(place.value?.notes ?? '');
let timer: ReturnType<typeof setTimeout> | undefined;
let typed = notes.value;
/** Which place the text in the editor belongs to. */
let typedOf = at.value;
/** Edits of these notes being sent or waiting. The answer to an earlier edit is older than the text here. */
let sending = 0;
/** The server's notes have changed since they were shown here. */
let fresh = false;
/** Own notes when another person's change came first: shown until used or discarded. */
const mine = ref('');
const unsaved = drafts(`${person()?.id}:${props.answer.job}`);

/** Notes that were typed and not saved when this page was left: they go on, or are shown beside those of now. */
function takeUp(): void {
    const draft = unsaved.read(at.value);
    if (draft?.after.includes(typed)) {
        notes.value = draft.text;
    } else if (draft && draft.text !== typed) {
        mine.value = draft.text;
    } else {
        unsaved.drop(at.value);
    }
}
onMounted(takeUp);

const AT = { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' } as const;
/** Who changed the notes of the open place last, and when, for the person whose own are not saved. */
const changedBy = ref('');
watch(mine, async () => {
    changedBy.value = '';
    if (!mine.value || !place.value) {
        return;
    }
    const words = `Wall notes of ${place.value.name} `;
    const listed = await ask<History>('GET', `/jobs/${props.answer.job}/history`).catch(() => null);
    const last = listed?.history.find((line) => line.words.startsWith(words));
    changedBy.value = last ? `by ${last.who ?? 'an unknown person'}, ${said(last.at, AT)}` : '';
});

function discardMine(): void {
    mine.value = '';
    unsaved.drop(at.value);
}

async function putMine(): Promise<void> {
    notes.value = mine.value;
    mine.value = '';
    await keep();
}

/** Saves the notes after a pause in typing; resolves when saved. */
async function keep(): Promise<void> {
    clearTimeout(timer);
    timer = undefined;
    if (place.value && notes.value !== typed) {
        const text = (typed = notes.value);
        const of = typedOf;
        sending++;
        const kept = await change({ kind: 'ReviseNotes', place: of, text });
        sending--;
        await nextTick();
        if (kept && unsaved.read(of)?.text === text) {
            unsaved.drop(of);
        }
        if (kept) {
            void keepAgain(props.answer.job, 'survey');
        }
        if (!kept && of === at.value && fresh && place.value.notes !== text) {
            mine.value = text;
        }
        follow();
    }
}

/** Shows the server's notes where they have changed, unless there is younger text here. */
function follow(): void {
    if (fresh && timer === undefined && sending === 0 && place.value) {
        fresh = false;
        typed = notes.value = place.value.notes;
    }
}

watch(notes, () => {
    clearTimeout(timer);
    timer = undefined;
    if (notes.value !== typed) {
        const of = places.value.find((p) => p.id === typedOf)?.name ?? '';
        unsaved.keep(typedOf, notes.value, typed, {
            name: `Wall notes of ${of}, ${desk.value.job}`,
            url: `/jobs/${props.answer.job}/survey`,
        });
        timer = setTimeout(() => void keep(), REST);
    }
});
/** Another place: the notes of the last one are saved first. */
watch(at, () => {
    void keep();
    typedOf = at.value;
    typed = notes.value = place.value?.notes ?? '';
    fresh = false;
    clearTimeout(timer);
    timer = undefined;
    takeUp();
});
// Changes from elsewhere (undo, a fix, another person) are shown unless the user is typing.
watch(
    () => place.value?.notes,
    () => {
        fresh = true;
        follow();
    },
);
onBeforeUnmount(() => void keep());
// The tab closes, or the phone is locked: the last typing is saved immediately.
useEventListener(document, 'visibilitychange', () => document.visibilityState === 'hidden' && void keep());

const editor = ref<InstanceType<typeof NotesEditor>>();
/** The line of the notes that is being typed: missing words in it are no error. */
const lineTyped = ref(0);
/** Empty notes wait for the first line; where a finger types, it opens its keyboard itself. */
onMounted(() => {
    if (place.value && notes.value.trim() === '' && !window.matchMedia('(pointer: coarse)').matches) {
        // The dialog that made the job gives the focus back first.
        requestAnimationFrame(() => editor.value?.goTo(1));
    }
});
function begin(example: string): void {
    notes.value = example;
    editor.value?.goTo(3);
}
const tabs = ref<InstanceType<typeof PlaceTabs>>();
const placing = ref<InstanceType<typeof StandingBox>>();
/** Units in the open place. */
const here = computed(() => (desk.value.survey?.units ?? []).filter((u) => u.stands?.place === place.value?.id));
const help = ref(false);
const describing = ref(false);
const near = ref('');
const wall = ref<{ leg: number; text: string } | null>(null);

function measure(leg: number, text: string): void {
    wall.value = { leg, text };
}

async function keepWall(): Promise<void> {
    await keep();
    if (
        wall.value &&
        (await change({ kind: 'SetLeg', place: at.value, leg: wall.value.leg, length: wall.value.text }))
    ) {
        wall.value = null;
    }
}

async function back(what: 'undo' | 'redo'): Promise<void> {
    await keep();
    await store[what]();
}

/** place, place:line, place:run:word or place:trace. */
async function go(where: string): Promise<void> {
    const [id, what] = where.split(':');
    at.value = id || at.value;
    await nextTick();
    if (what === 'trace') {
        near.value = place.value?.near[0]?.near ?? '';
    } else if (what === 'run') {
        document.getElementById('runs')?.scrollIntoView({ block: 'nearest' });
    } else {
        editor.value?.goTo(Number(what ?? 1));
    }
}

function beside(by: number): void {
    const n = places.value.findIndex((p) => p.id === at.value);
    at.value = places.value[(n + by + places.value.length) % places.value.length]?.id ?? at.value;
}
/** The first that is not placed, or the first. */
const unplaced = computed(
    () => (desk.value.survey?.units.find((u) => !u.stands) ?? desk.value.survey?.units[0])?.id ?? '',
);
const shortcuts = [
    { key: 'e', what: 'Edit the notes', act: () => editor.value?.goTo(1) },
    { key: 'w', what: 'What you can type', act: () => (help.value = true) },
    { key: 'n', what: 'Next place', act: () => beside(1) },
    { key: 'b', what: 'Place before', act: () => beside(-1) },
    { key: 'a', what: 'Add a place', act: () => tabs.value?.ask('add') },
    { key: 'p', what: 'Place a unit', act: () => placing.value?.open(unplaced.value) },
    { key: 't', what: 'Trace the legs', act: () => (near.value = place.value?.near[0]?.near ?? '') },
];
const things = computed(() => [
    { what: 'Describe the job, its units and terms', where: 'survey', act: () => (describing.value = true) },
    { what: 'Add a place', where: 'survey', act: () => tabs.value?.ask('add') },
    ...(place.value
        ? [
              { what: `Rename ${place.value.name}`, where: 'survey', act: () => tabs.value?.ask('rename') },
              { what: `Remove ${place.value.name}`, where: 'survey', act: () => tabs.value?.ask('remove') },
          ]
        : []),
    ...(desk.value.survey?.units ?? []).map((u) => ({
        what: `Place ${u.id.toUpperCase()}, ${u.name}`,
        where: 'survey',
        act: () => placing.value?.open(u.id),
    })),
    ...places.value.map((p) => ({ what: p.name, where: 'place', act: () => (at.value = p.id) })),
]);
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :things="things" @go="go">
        <PlaceTabs ref="tabs" v-model="at" :places="places" />
        <div v-if="place" class="grid gap-6 lg:grid-cols-[340px_minmax(0,1fr)]">
            <section aria-labelledby="notes" class="min-w-0">
                <div class="flex items-baseline justify-between gap-3">
                    <h2 id="notes" class="font-semibold">Wall notes</h2>
                    <span class="flex gap-3 text-ink2">
                        <button type="button" @click="describing = true">
                            {{ desk.survey?.terms.length === 'imperial' ? 'feet and inches' : 'metres' }}
                        </button>
                        <button type="button" @click="help = true"><kbd>W</kbd> words</button>
                    </span>
                </div>
                <p class="mb-1 ml-[34px] mt-1 flex items-baseline gap-2">
                    <button
                        type="button"
                        class="font-semibold hover:underline"
                        title="Rename"
                        @click="tabs?.ask('rename')"
                    >
                        {{ place.name }}</button><span class="text-ink2">{{ place.facts }}</span>
                </p>
                <NotesEditor
                    ref="editor"
                    v-model="notes"
                    v-model:typed="lineTyped"
                    :slips="place.sheet.slips"
                    :words="desk.survey?.words ?? []"
                    :label="`Wall notes of ${place.name}`"
                    @back="back"
                />
                <p v-if="notes.trim() === ''" class="mb-2 text-[13px]">
                    Type the walls, or begin with an example and change it:
                    <span class="mt-1 flex flex-wrap gap-2">
                        <button
                            v-for="example in examples"
                            :key="example.name"
                            type="button"
                            class="quiet"
                            @click="begin(example.notes)"
                        >
                            {{ example.name }}
                        </button>
                    </span>
                </p>
                <NotesKeys :runs="place.runs.map((r) => r.name.toLowerCase())" @put="editor?.put($event)" />
                <div v-if="mine" role="alert" class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2">
                    <p>
                        These notes are not saved, because they were changed elsewhere in the meantime{{
                            changedBy ? ` ${changedBy}` : ''
                        }}:
                    </p>
                    <pre class="fig my-1 whitespace-pre-wrap text-[13px]">{{ mine }}</pre>
                    <button type="button" class="act mr-4" @click="putMine()">Use these</button>
                    <button type="button" class="act" @click="discardMine()">Discard</button>
                </div>
                <ul aria-live="polite">
                    <li
                        v-for="slip in place.sheet.slips"
                        :key="`${slip.line}:${slip.column}`"
                        class="mt-1"
                        :class="slip.line === lineTyped ? 'text-ink2' : 'text-stop'"
                    >
                        Line {{ slip.line }}: {{ slip.message }}
                    </li>
                </ul>
                <p v-if="notes.trim() === ''" class="mt-3 text-ink2">
                    Stand at the door and type the lengths that you measure, one wall per line; then outlets, boxes and
                    cables:<br />
                    <span class="fig">start door</span><br /><span class="fig">5.20 cove</span><br /><span class="fig"
                        >right 3.80 cove</span
                    ><br /><span class="fig">outlet P1 dais, circuit C2</span>
                </p>
            </section>
            <section aria-label="Walls at true scale" class="min-w-0 space-y-5">
                <WallSheet
                    :sheet="place.sheet"
                    :title="place.name"
                    :tall="470"
                    :place="place.id"
                    :units="here"
                    @measure="measure"
                />
                <div class="grid gap-x-8 gap-y-5 xl:grid-cols-2">
                    <div v-if="place.runs.length" id="runs">
                        <h2 class="border-b border-rule pb-1 font-semibold">Runs and mounting</h2>
                        <RunMounting
                            v-for="run in place.runs"
                            :key="run.id"
                            :run="run"
                            :mountings="desk.survey?.mountings ?? []"
                            :lights="desk.survey?.lights ?? []"
                        />
                    </div>
                    <div v-if="place.legs.length">
                        <h2 class="border-b border-rule pb-1 font-semibold">Existing cable legs</h2>
                        <LegTable :place="place" @trace="near = $event" @go="editor?.goTo($event)" />
                    </div>
                    <StandingBox ref="placing" :places="places" :place="place" :units="desk.survey?.units ?? []" />
                    <SiteFacts v-if="place.batteries.length || place.radios.length" :place="place" />
                    <PhotoStrip :place="place.id" :name="place.name" />
                </div>
            </section>
        </div>
    </JobFrame>
    <NotesWords :open="help" @close="help = false" />
    <JobBox v-if="desk.survey" :open="describing" :terms="desk.survey.terms" @close="describing = false" />
    <TraceBox :place="at" :near="near" @close="near = ''" />
    <DialogBox :open="wall !== null" title="The wall measured again" @close="wall = null">
        <form v-if="wall" class="space-y-3" @submit.prevent="keepWall()">
            <label class="block">Length <input v-model="wall.text" class="fig field" name="wall" /></label>
            <p v-if="store.message.value" role="alert" class="text-stop">{{ store.message.value }}</p>
            <button class="press">Add to the notes</button>
        </form>
    </DialogBox>
</template>
