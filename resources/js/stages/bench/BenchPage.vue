<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import { computed, ref, watch } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import { pressedOnce } from '@/lib/once';
import { provideScreen } from '@/lib/screen';
import type { Note, Tick } from '@/lib/ticks';
import type { Answer, BenchAnswer } from '@/types/generated/responses';
import { useBench } from './bench';
import ColourTest from './ColourTest.vue';
import CountTest from './CountTest.vue';
import MatrixTest from './MatrixTest.vue';
import MeterPanel from './MeterPanel.vue';
import PracticeBox from './PracticeBox.vue';
import HelperBox from './HelperBox.vue';
import ReelBox from './ReelBox.vue';
import TestList from './TestList.vue';

const props = defineProps<{ answer: Answer; looked: BenchAnswer }>();
const store = provideScreen(props.answer);
const { bench, practice, refused, busy, box, choose, note, practise, leave, simulation, isDone } = useBench(
    props.answer.job,
    store,
    props.looked,
);
const tests = computed(() => bench.value.tests);
const chosen = ref('');
const by = ref('');
const practising = ref(false);
const measuring = ref(false);
const helping = ref(false);
const remark = ref('');
const panel = ref<InstanceType<typeof MeterPanel>>();
const run = computed(() => bench.value.runs.find((r) => r.id === bench.value.run));
const at = computed(() =>
    Math.max(
        0,
        tests.value.findIndex((t) => t.id === chosen.value),
    ),
);
const test = computed(() => tests.value[at.value]);
const waiting = computed(() => box.notes.value.filter((p) => p.body.place.startsWith(bench.value.run)));
/** Refused entries and ticks of tests; a step of the timetable is shown at Build. */
const refusedHere = computed(() =>
    box.refused.value
        .filter((e) => e.kind === 'note' || (e.body as Tick).step.includes('/'))
        .map((e) => ({ ...e, place: e.kind === 'note' ? `${(e.body as Note).place}: ` : '' })),
);
const waitingReadings = computed(() => box.notes.value.filter((p) => p.body.kind === 'reading').length);
watch(
    () => bench.value.run,
    () => {
        chosen.value = (tests.value.find((t) => !isDone(t)) ?? tests.value[0])?.id ?? '';
        by.value = bench.value.commander;
    },
    { immediate: true },
);

function step(by: number): void {
    chosen.value = tests.value[Math.min(Math.max(at.value + by, 0), tests.value.length - 1)]?.id ?? '';
}
const once = pressedOnce();
/** The test whose open findings are shown before it is passed. */
const asked = ref('');
/** `thumb`: pressed on the page, where a second press may be a bounce; a key does not bounce. */
function tick(done: boolean, thumb = false): void {
    if (test.value) {
        if (done && !practice.value && test.value.open.length && asked.value !== test.value.id) {
            asked.value = test.value.id;
            return;
        }
        asked.value = '';
        // The next test takes the place of this one: a second press right after the first is not meant for it.
        if (done && thumb && !once('pass')) {
            return;
        }
        const { id, minutes } = test.value;
        // A practice is not part of the work: nothing is ticked.
        if (!practice.value) {
            store.takeBack.value = done
                ? { words: `Tick: ${test.value.title}`, act: () => void box.press(id, false, minutes) }
                : null;
            void box.press(id, done, minutes);
        }
        if (done) {
            step(1);
        }
    }
}
const seen = (colour: number, set: number) =>
    note({ kind: 'colour', place: bench.value.run, command: `colour:${colour + 1}`, value: set, by: by.value });
async function askColour(colour: number): Promise<void> {
    const shows = await simulation({ ask: 'colour', number: colour });
    if (shows !== null) {
        await seen(colour, shows);
    }
}
const lit = (set: number, last: number) =>
    note({ kind: 'count', place: bench.value.run, command: `count:${set}`, value: last, by: by.value });
async function askCount(set: number): Promise<void> {
    const shows = await simulation({ ask: 'count', number: set });
    if (shows !== null) {
        await lit(set, shows);
    }
}
async function askMeter(spot: string, command: string, take: (value: number) => void): Promise<void> {
    const shows = await simulation({ ask: 'reading', spot, command });
    if (shows !== null) {
        take(shows);
    }
}
const mended = (fault: string, words: string, place = bench.value.run) =>
    note({ kind: 'mend', place, command: fault, text: words });
async function remarked(): Promise<void> {
    if (remark.value.trim()) {
        await note({
            kind: 'remark',
            place: bench.value.run,
            command: test.value?.id ?? '',
            text: remark.value.trim(),
        });
        remark.value = '';
    }
}
/** The test did not end as expected: it is an open point until it is passed or something is fixed. */
async function failed(): Promise<void> {
    const one = test.value;
    if (!one || practice.value) {
        return;
    }
    if (isDone(one)) {
        tick(false);
    }
    await note({
        kind: 'fail',
        place: bench.value.run,
        command: one.id,
        text: `${one.title}: ${remark.value.trim() || 'not as expected'}`,
    });
    remark.value = '';
    panel.value?.goNext();
}
const shortcuts = [
    { key: '[', what: 'The test before', act: () => step(-1) },
    { key: ']', what: 'The next test', act: () => step(1) },
    { key: 't', what: 'Pass the test', act: () => tick(true) },
    { key: 'n', what: 'Not so: the test did not end as expected', act: () => void failed() },
    { key: 'r', what: 'The most useful reading', act: () => panel.value?.goNext() },
    { key: 'p', what: 'Practise on simulated wiring', act: () => (practising.value = true) },
    { key: 'm', what: 'Measure a reel', act: () => (measuring.value = true) },
    { key: 'e', what: 'Helper circuits', act: () => (helping.value = true) },
    { key: 'l', what: 'Log of the job', act: () => router.visit(`/jobs/${props.answer.job}/log`) },
];
const things = computed(() =>
    tests.value.map((t) => ({ what: t.title, where: run.value?.name ?? '', act: () => (chosen.value = t.id) })),
);
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :things="things" @go="(place) => place && choose(place)">
        <p v-if="bench.runs.length === 0" class="text-ink2">
            Nothing to test yet. Feed a run at Wire, then its tests are listed here in order.
        </p>
        <template v-else>
            <nav aria-label="Runs" class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
                <button
                    v-for="one in bench.runs"
                    :key="one.id"
                    type="button"
                    class="border-b-2 pb-0.5"
                    :class="one.id === bench.run ? 'border-ember font-semibold' : 'border-transparent text-ink2'"
                    :aria-current="one.id === bench.run ? 'true' : undefined"
                    :title="one.says || one.place"
                    @click="choose(one.id)"
                >
                    {{ one.name }} <span class="fig text-[12.5px] text-ink2">{{ one.done }}/{{ one.tests }}</span
                    ><span v-if="one.says" class="text-stop">
                        ▲<span class="sr-only">{{ one.says }}</span></span
                    >
                </button>
                <span class="ml-auto flex gap-x-4">
                    <button type="button" class="act" @click="practising = true">
                        Practise <kbd class="max-sm:hidden">P</kbd>
                    </button>
                    <button type="button" class="act" @click="measuring = true">
                        Measure a reel <kbd class="max-sm:hidden">M</kbd>
                    </button>
                    <button type="button" class="act" @click="helping = true">
                        Helper circuits <kbd class="max-sm:hidden">E</kbd>
                    </button>
                    <a class="act" :href="`/jobs/${answer.job}/log`">Log <kbd class="max-sm:hidden">L</kbd></a>
                </span>
            </nav>
            <p v-if="practice" role="status" class="mt-2 border-l-4 border-dusk bg-sheet px-3 py-1.5">
                <b>Practice.</b>
                {{
                    practice.whole
                        ? 'Every fault is found and fixed.'
                        : 'The simulated wiring has a fault. Nothing here changes the job.'
                }}
                <button type="button" class="act ml-2" @click="leave()">End the practice</button>
            </p>
            <p v-if="refused" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">{{ refused }}</p>
            <p v-for="one in refusedHere" :key="one.id" role="alert" class="mt-2 text-stop">
                {{ one.place }}{{ one.refused }}
                <button type="button" class="act" @click="box.drop(one)">Discard</button>
            </p>
            <div class="mt-3 grid gap-x-7 lg:grid-cols-[188px_minmax(0,1fr)]">
                <TestList
                    class="max-lg:hidden"
                    :tests="tests"
                    :chosen="test?.id ?? ''"
                    :is-done="isDone"
                    @choose="(id) => (chosen = id)"
                />
                <div v-if="test" class="min-w-0">
                    <div class="flex flex-wrap items-baseline gap-x-4">
                        <h2 class="font-head text-2xl font-semibold">
                            {{ run?.name }}, {{ test.title.toLowerCase() }}
                        </h2>
                        <span class="text-ink2">test {{ at + 1 }} of {{ tests.length }}</span>
                        <select
                            class="field w-full py-0.5 lg:hidden"
                            aria-label="Test"
                            :value="test.id"
                            @change="chosen = ($event.target as HTMLSelectElement).value"
                        >
                            <option v-for="t in tests" :key="t.id" :value="t.id">
                                {{ isDone(t) ? '✓ ' : '' }}{{ t.title }}
                            </option>
                        </select>
                        <span class="ml-auto flex gap-x-3 text-ink2 max-sm:hidden">
                            <button type="button" @click="step(-1)">earlier <kbd>[</kbd></button>
                            <button type="button" @click="step(1)">next <kbd>]</kbd></button>
                        </span>
                    </div>
                    <p class="mt-1 border-l-4 border-watch pl-2 text-[14px]">{{ test.caution }}</p>
                    <dl class="mt-2 grid gap-x-4 gap-y-0.5 sm:grid-cols-[64px_minmax(0,1fr)]">
                        <dt class="text-ink2">Do</dt>
                        <dd>{{ test.do }}</dd>
                        <dt class="text-ink2">Expect</dt>
                        <dd>{{ test.see }}</dd>
                        <dt class="text-ink2">If not</dt>
                        <dd class="text-ink2">{{ test.otherwise }}</dd>
                        <dt class="text-ink2">Using</dt>
                        <dd>
                            <select
                                v-if="['colours', 'order', 'count'].includes(test.asks)"
                                v-model="by"
                                class="field max-w-full py-0.5"
                                aria-label="Sent from"
                            >
                                <option v-for="c in bench.commanders" :key="c.key" :value="c.key">{{ c.words }}</option>
                            </select>
                            <template v-else>{{ test.by }}</template>
                        </dd>
                    </dl>
                    <ColourTest
                        v-if="test.asks === 'colours' && bench.colours"
                        class="mt-3"
                        :colours="bench.colours"
                        :practice="practice !== null"
                        :waits="waiting.map((p) => p.body.command)"
                        @seen="seen"
                        @ask="askColour"
                        @mended="mended(bench.colours!.mends, bench.colours!.verdict)"
                        @anew="mended('anew', 'asked anew')"
                    />
                    <MatrixTest
                        v-if="test.asks === 'matrix' && bench.matrix"
                        class="mt-3"
                        :matrix="bench.matrix"
                        :practice="practice !== null"
                    />
                    <CountTest
                        v-if="test.asks === 'count' && bench.count"
                        class="mt-3"
                        :count="bench.count"
                        :practice="practice !== null"
                        :waits="waiting.some((p) => p.body.kind === 'count')"
                        @lit="lit"
                        @ask="askCount"
                        @mended="mended(bench.count!.mends, bench.count!.says)"
                    />
                    <div
                        v-if="asked === test.id && test.open.length"
                        role="alert"
                        class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2"
                    >
                        <b>Open findings at this test:</b>
                        <ul class="list-disc pl-5">
                            <li v-for="one in test.open" :key="one">{{ one }}</li>
                        </ul>
                        <p class="mt-2 flex gap-3">
                            <button type="button" class="quiet" @click="tick(true, true)">Pass anyway</button>
                            <button type="button" class="quiet" @click="asked = ''">Cancel</button>
                        </p>
                    </div>
                    <div v-else class="mt-3 flex flex-wrap items-center gap-3">
                        <button type="button" class="press" @click="tick(true, true)">
                            Pass <kbd class="max-sm:hidden">T</kbd>
                        </button>
                        <button v-if="!practice" type="button" class="quiet" @click="failed()">
                            Not so <kbd class="max-sm:hidden">N</kbd>
                        </button>
                        <button v-if="isDone(test)" type="button" class="quiet" @click="tick(false)">
                            Undo the tick
                        </button>
                        <span v-if="isDone(test)" class="text-lit">✓ done {{ test.at }}</span>
                        <span v-else-if="test.failed" class="text-stop max-sm:basis-full">✕ {{ test.failed }}</span>
                        <form class="flex min-w-0 flex-1 gap-2 max-sm:basis-full" @submit.prevent="remarked()">
                            <input
                                v-model="remark"
                                class="field min-w-0 flex-1"
                                placeholder="Remark, or what you saw instead"
                                aria-label="Remark for the log"
                                maxlength="500"
                            />
                            <button type="submit" class="quiet" :disabled="!remark.trim()">Add to log</button>
                        </form>
                    </div>
                    <div class="mt-3 flex justify-between sm:hidden">
                        <button type="button" class="quiet" @click="step(-1)">Earlier</button>
                        <button type="button" class="quiet" @click="step(1)">Next</button>
                    </div>
                    <MeterPanel
                        v-if="bench.meter"
                        :key="bench.run"
                        ref="panel"
                        class="mt-5 border-t border-rule pt-3"
                        :class="{ 'max-sm:hidden': test.asks !== 'read' && test.asks !== 'tick' }"
                        :meter="bench.meter"
                        :practice="practice !== null"
                        :waits="waitingReadings"
                        @read="
                            (spot, command, value, sure) =>
                                note({ kind: 'reading', place: spot, command, value, sure, by })
                        "
                        @ask="askMeter"
                        @mended="(fault, words) => mended(fault, words)"
                        @strike="
                            (row, reason) => note({ kind: 'strike', place: row.spot, command: row.uuid, text: reason })
                        "
                    />
                    <p v-if="busy" class="mt-2 text-[13px] text-ink2" role="status">Calculating …</p>
                </div>
            </div>
        </template>
        <HelperBox
            :open="helping"
            :job="answer.job"
            :run="bench.run"
            :transistors="bench.transistors"
            :channel="bench.channel"
            @close="helping = false"
            @log="(words) => note({ kind: 'remark', place: bench.run, command: test?.id ?? '', text: words })"
        />
        <ReelBox :open="measuring" :job="answer.job" :strips="bench.strips" @close="measuring = false" />
        <PracticeBox :open="practising" @close="practising = false" @begin="practise" />
    </JobFrame>
</template>
