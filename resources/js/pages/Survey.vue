<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import DialogBox from '@/controls/DialogBox.vue';
import JobFrame from '@/controls/JobFrame.vue';
import NotesEditor from '@/controls/NotesEditor.vue';
import { provideDesk } from '@/lib/desk';
import TapeSheet from '@/pictures/TapeSheet.vue';
import type { Answer } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideDesk(props.answer);
const { desk, change } = store;
const place = computed(() => desk.value.survey?.places[0]);
const REST = 400;

const notes = ref(place.value?.notes ?? '');
let timer: ReturnType<typeof setTimeout> | undefined;
let typed = notes.value;
/** What was typed here when somebody else's change came first: it is shown until it is put in or let go. */
const mine = ref('');

async function putMine(): Promise<void> {
    notes.value = mine.value;
    mine.value = '';
    await keep();
}

/** Keeps what was typed after a rest of the hand; returns when it is kept. */
async function keep(): Promise<void> {
    clearTimeout(timer);
    timer = undefined;
    if (place.value && notes.value !== typed) {
        const text = (typed = notes.value);
        const kept = await change({ kind: 'ReviseNotes', place: place.value.id, text });
        await nextTick();
        if (!kept && notes.value !== text) {
            mine.value = text;
        }
    }
}

watch(notes, () => {
    clearTimeout(timer);
    if (notes.value !== typed) {
        timer = setTimeout(() => void keep(), REST);
    }
});
// What came from elsewhere (undo, a fix of the slate, another hand) is shown unless somebody is typing.
watch(() => place.value?.notes, (now) => {
    if (timer === undefined && now !== undefined) {
        typed = now;
        notes.value = now;
    }
});
onBeforeUnmount(() => void keep());

const editor = ref<InstanceType<typeof NotesEditor>>();
const help = ref(false);
const describing = ref(false);
const about = ref({ name: '', client: '', place: '' });

function describe(): void {
    about.value = { name: desk.value.job, client: desk.value.client, place: place.value?.name ?? '' };
    describing.value = true;
}

async function keepDescription(): Promise<void> {
    if (await change({ kind: 'DescribeJob', ...about.value })) {
        describing.value = false;
    }
}

async function back(what: 'undo' | 'redo'): Promise<void> {
    await keep();
    await store[what]();
}

function go(where: string): void {
    editor.value?.goTo(Number(where.split(':')[1] ?? 1));
}
const shortcuts = [
    { key: 'e', what: 'Edit the tape notes', act: () => editor.value?.goTo(1) },
    { key: 'w', what: 'Words of the notation', act: () => (help.value = true) },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :things="[{ what: 'Describe the job', where: 'survey', act: describe }]" @go="go">
        <div v-if="place" class="grid min-h-full gap-6 lg:grid-cols-[320px_minmax(0,1fr)]">
            <section aria-labelledby="notes">
                <div class="flex items-baseline justify-between">
                    <h2 id="notes" class="font-semibold">Tape notes</h2>
                    <button type="button" class="text-ink2" @click="help = true">metres, <kbd>W</kbd> words</button>
                </div>
                <button type="button" class="mb-1 ml-[34px] mt-1 font-semibold hover:underline" @click="describe()">{{ place.name }}</button>
                <NotesEditor ref="editor" v-model="notes" :slips="place.sheet.slips" :label="`Tape notes of ${place.name}`" @back="back" />
                <div v-if="mine" role="alert" class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2">
                    <p>These notes were typed here and are not kept, because they were changed elsewhere meanwhile:</p>
                    <pre class="fig my-1 whitespace-pre-wrap text-[13px]">{{ mine }}</pre>
                    <button type="button" class="act mr-4" @click="putMine()">Put these in</button>
                    <button type="button" class="act" @click="mine = ''">Let them go</button>
                </div>
                <ul aria-live="polite">
                    <li v-for="slip in place.sheet.slips" :key="`${slip.line}:${slip.column}`" class="mt-1 text-stop">Line {{ slip.line }}: {{ slip.message }}</li>
                </ul>
                <p v-if="notes.trim() === ''" class="mt-3 text-ink2">
                    Stand at the door and write what the tape says, a wall a line:<br />
                    <span class="fig">start door</span><br /><span class="fig">5.20 cove</span><br /><span class="fig">right 3.80 cove</span>
                </p>
            </section>
            <section aria-label="Tape sheet" class="min-w-0">
                <TapeSheet :sheet="place.sheet" :title="place.name" :tall="610" />
            </section>
        </div>
    </JobFrame>
    <DialogBox :open="help" title="Words of the notation" reading @close="help = false">
        <dl class="space-y-2">
            <div
                v-for="[word, meaning] in [
                    ['start door', 'where the tape begins; up the page is the first heading'],
                    ['5.20 cove', 'a leg of 5.20 m with the run “cove” along it; 5,20 is the same'],
                    ['right 3.80 cove', 'turn right, then a leg; left and right take degrees: right 45 3.80'],
                    ['5.20 cove, gap 0.90 at 1.30 window', 'an opening of 0.90 m that begins 1.30 m into the leg; the run leaves it out'],
                    ['close', 'the walls are back at the start'],
                    ['# remark', 'kept, not read; a semicolon parts clauses on one line'],
                ]" :key="word" class="grid grid-cols-[1fr_1.4fr] gap-4"
            >
                <dt class="fig">{{ word }}</dt>
                <dd class="text-ink2">{{ meaning }}</dd>
            </div>
        </dl>
    </DialogBox>
    <DialogBox :open="describing" title="The job" @close="describing = false">
        <form class="space-y-3" @submit.prevent="keepDescription()">
            <label class="block">Job <input v-model="about.name" class="field" maxlength="80" /></label>
            <label class="block">Client <input v-model="about.client" class="field" maxlength="80" /></label>
            <label class="block">Room or place <input v-model="about.place" class="field" maxlength="60" /></label>
            <p v-if="store.message.value" role="alert" class="text-stop">{{ store.message.value }}</p>
            <button class="press">Keep</button>
        </form>
    </DialogBox>
</template>
