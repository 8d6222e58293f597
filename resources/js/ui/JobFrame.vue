<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3';
import { computed, onMounted, ref, watch } from 'vue';
import { face, turnFace } from '@/lib/face';
import { guide, GUIDE_KEY, guideStep, isDull, resumeGuide, startGuide } from '@/lib/guide';
import { said } from '@/lib/clock';
import { terms } from '@/lib/glossary';
import { singleKeys, turnKeys, useKeys, type Shortcut } from '@/lib/keys';
import { useScreen, type Payload } from '@/lib/screen';
import { person } from '@/lib/person';
import ConnectionNote from './ConnectionNote.vue';
import EmberMark from './EmberMark.vue';
import DialogBox from './DialogBox.vue';
import FindBox, { type Doable } from './FindBox.vue';
import GuideCard from './GuideCard.vue';
import GlossaryBox from './GlossaryBox.vue';
import HistoryBox from './HistoryBox.vue';
import LedgerRow from './LedgerRow.vue';
import SlateList from './SlateList.vue';
import StageStrip from './StageStrip.vue';

const props = withDefaults(defineProps<{ shortcuts?: Shortcut[]; things?: Doable[]; slate?: boolean }>(), {
    shortcuts: () => [],
    things: () => [],
    slate: true,
});
const emit = defineEmits<{ go: [place: string] }>();
const { desk, answer, status, message, over, stepOver, change, takeBack, undo, redo, fixesOf } = useScreen();
const shown = ref<'' | 'find' | 'keys' | 'history' | 'glossary'>('');
const sought = ref('');
function explain(term: string): void {
    sought.value = term;
    shown.value = 'glossary';
}
const user = computed(person);
const time = computed(() => said(answer.value.keptAt, { hour: '2-digit', minute: '2-digit' }));
/** Whether the role includes changes of plans, and stages with prices. */
const plans = person()?.plans !== false;
const stages = computed(() => desk.value.stages.filter((stage) => plans || !stage.priced));
/** The next change for Undo. */
const undoes = computed(() => takeBack.value?.words ?? (plans ? answer.value.undo : null));
const kept = computed(
    () =>
        ({
            kept: `Saved ${time.value} · revision ${answer.value.revision}`,
            keeping: 'Saving …',
            waiting: 'Not saved yet',
        })[status.value],
);

const frameKeys = computed<Shortcut[]>(() => [
    ...stages.value.map((s) => ({
        key: String(s.number),
        what: s.name,
        act: () => router.visit(`/jobs/${answer.value.job}/${s.id}`),
    })),
    { key: '/', what: 'Find or run', act: () => (shown.value = 'find') },
    { key: '?', what: 'This list of keys', act: () => (shown.value = 'keys') },
    { key: 'z', ctrl: true, shift: false, what: 'Undo', act: () => void undo() },
    { key: 'z', ctrl: true, shift: true, what: 'Redo', act: () => void redo() },
    { key: 'h', what: 'History', act: () => (shown.value = 'history') },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
    { key: 'j', what: 'All jobs', act: () => router.visit('/') },
]);
/** Key of the guide's card, for the list of keys. */
const guideKeys = computed<Omit<Shortcut, 'act'>[]>(() => (guideStep.value ? [GUIDE_KEY] : []));
useKeys(() => [...props.shortcuts, ...frameKeys.value]);

/** The guide, where this job has the problem that it fixes or has been begun with it. */
const firstSteps = computed<Doable[]>(() => {
    const run = desk.value.findings.find(isDull)?.place;
    if (guide.value.state === 'paused' && guide.value.job === answer.value.job) {
        return [{ what: 'Resume the first steps', where: 'help', act: resumeGuide }];
    }
    return run
        ? [{ what: 'First steps', where: 'help', also: 'guide tour', act: () => startGuide(answer.value.job, run) }]
        : [];
});
/** Other words by which a stage is found. */
const ALSO: Record<string, string> = {
    survey: 'measure walls room notes outlet box photo',
    kit: 'strip tape supply driver controller dimmer amplifier hub remote plug warm white',
    wire: 'feed cable voltage drop evenness propose scene',
    parts: 'buy order cut list quote price labels',
    build: 'steps days visits plan of work',
    bench: 'test meter fault colours count',
    join: 'pair reset link app hub',
    scenes: 'voice names control matrix timer',
    handover: 'sheet client print',
};
const doable = computed<Doable[]>(() => [
    ...props.things,
    ...desk.value.slate.flatMap((line) => {
        const { fix } = line;
        return fix && plans
            ? [{ what: fix.label, where: line.title, act: () => void change(fix.change as Payload) }]
            : [];
    }),
    ...(plans ? desk.value.findings : []).flatMap((f) =>
        (fixesOf(f) ?? []).map((fix) => ({
            what: fix.label,
            where: f.title,
            act: () => void change(fix.change as Payload),
        })),
    ),
    ...stages.value.map((s) => ({
        what: s.name,
        where: 'stage',
        also: ALSO[s.id],
        act: () => router.visit(`/jobs/${answer.value.job}/${s.id}`),
    })),
    ...(undoes.value ? [{ what: 'Undo', where: undoes.value, act: () => void undo() }] : []),
    ...(plans && answer.value.redo ? [{ what: 'Redo', where: answer.value.redo, act: () => void redo() }] : []),
    { what: 'History', where: 'job', act: () => (shown.value = 'history') },
    {
        what: 'Export the job file',
        where: 'job',
        act: () => (window.location.href = `/jobs/${answer.value.job}/export`),
    },
    {
        what: 'Export the circuit as SPICE',
        where: 'job',
        act: () => (window.location.href = `/jobs/${answer.value.job}/netlist`),
    },
    { what: 'Kit shelf', where: 'crew', act: () => router.visit('/shelf') },
    { what: 'Practice', where: 'crew', act: () => router.visit('/practice') },
    { what: 'All jobs', where: 'home', act: () => router.visit('/') },
    { what: 'Day or night', where: 'face', act: turnFace },
    ...firstSteps.value,
    { what: 'Glossary', where: 'help', act: () => explain('') },
    ...terms.map((one) => ({ what: one.term, where: 'glossary', also: one.also, act: () => explain(one.term) })),
]);
/** Letters of ids on screens, labels and paper, with their meaning. */
const LETTERS: [string, string][] = [
    ['S', 'supply, converter or battery'],
    ['C', 'controller or pixel board'],
    ['K', 'cable'],
    ['F', 'feed'],
    ['X', 'fixture'],
    ['J', 'splice'],
    ['H', 'hub'],
    ['M', 'dimming module'],
    ['R', 'remote'],
    ['P', 'outlet or spur'],
    ['B', 'box'],
    ['E', 'battery as surveyed'],
];
/** An address with a place, as on a label or of a finding on another stage, opens there. */
onMounted(() => {
    const place = window.location.hash.slice(1);
    if (place) {
        emit('go', place);
    }
});
const spoken = ref('');
const SPOKEN: Record<string, string> = { kept: 'Saved', waiting: 'Not saved yet' };
watch(status, (now) => (spoken.value = SPOKEN[now] ?? ''));
</script>

<template>
    <Head :title="`${desk.stages.find((s) => s.id === desk.stage)?.name ?? ''} · ${desk.job}`" />
    <div class="frame">
        <header class="no-print flex items-center gap-x-4 max-sm:flex-wrap">
            <Link href="/" aria-label="All jobs" class="shrink-0"><EmberMark /></Link>
            <h1 class="text-xl font-semibold max-sm:flex-1 max-sm:leading-6 sm:truncate">{{ desk.job }}</h1>
            <span class="hidden truncate text-ink2 lg:inline">{{ desk.client }}</span>
            <div class="ml-auto flex shrink-0 items-center gap-4 text-ink2 max-sm:w-full max-sm:justify-between">
                <button
                    type="button"
                    class="hidden w-52 justify-between border-b border-ink3 py-1 text-left text-ink2 md:flex"
                    @click="shown = 'find'"
                >
                    Find or run <kbd>/</kbd>
                </button>
                <button type="button" class="hidden sm:inline" :title="user?.name" @click="shown = 'history'">
                    {{ kept }}
                </button>
                <span class="text-[13px] sm:hidden">{{
                    { kept: 'Saved', keeping: 'Saving', waiting: 'Not saved' }[status]
                }}</span>
                <button
                    type="button"
                    :disabled="!undoes"
                    :title="undoes ?? 'Nothing to undo'"
                    :class="{ 'opacity-50': !undoes }"
                    @click="undo()"
                >
                    Undo <kbd class="hidden sm:inline" data-ctrl>Ctrl Z</kbd>
                </button>
                <button
                    v-if="plans"
                    type="button"
                    :disabled="!answer.redo"
                    :title="answer.redo ?? 'Nothing to redo'"
                    :class="{ 'opacity-50': !answer.redo }"
                    @click="redo()"
                >
                    Redo
                </button>
                <button type="button" @click="turnFace()">{{ face === 'day' ? 'Night' : 'Day' }}</button>
                <button type="button" aria-label="Keys and letters" @click="shown = 'keys'">
                    <kbd data-ctrl>?</kbd>
                </button>
            </div>
        </header>
        <StageStrip class="no-print" :stages="desk.stages" :job="answer.job" :here="desk.stage" />
        <ConnectionNote :job="answer.job" />
        <p v-if="!plans" class="no-print border-l-4 border-dusk bg-sheet px-3 py-1 text-[13px]">
            You read, rehearse, tick and log. Changes of the plan are for the other roles.
        </p>
        <p class="sr-only" role="status">{{ spoken }}</p>
        <p v-if="message" role="alert" class="message no-print">
            {{ message }}
            <button v-if="over" type="button" class="act ml-2" @click="stepOver()">Skip “{{ over.words }}”</button>
            <button
                type="button"
                class="act ml-2"
                @click="
                    message = '';
                    over = null;
                "
            >
                Understood
            </button>
        </p>
        <div class="body" :class="{ withslate: slate }">
            <main class="relative min-h-0 min-w-0 overflow-auto px-1 -mx-1"><slot /></main>
            <SlateList v-if="slate" class="no-print slate" @go="emit('go', $event)" />
        </div>
        <slot name="ledger"><LedgerRow :figures="desk.ledger" /></slot>
    </div>
    <GuideCard :page="desk.stage" :job="answer.job" :findings="desk.findings" />
    <FindBox :open="shown === 'find'" :things="doable" @close="shown = ''" />
    <GlossaryBox :open="shown === 'glossary'" :at="sought" @close="shown = ''" />
    <HistoryBox :open="shown === 'history'" @close="shown = ''" />
    <DialogBox :open="shown === 'keys'" title="Keys and letters" reading @close="shown = ''">
        <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <template v-for="key in [...shortcuts, ...frameKeys, ...guideKeys]" :key="key.what">
                <dt>
                    <kbd
                        >{{ key.ctrl ? 'Ctrl ' : '' }}{{ key.shift ? 'Shift ' : ''
                        }}{{ key.key === ' ' ? 'Space' : key.key.toUpperCase() }}</kbd
                    >
                </dt>
                <dd>{{ key.what }}</dd>
            </template>
        </dl>
        <label class="mt-3 flex items-center gap-2">
            <input type="checkbox" class="accent-ember" :checked="singleKeys === 'on'" @change="turnKeys()" />
            Keys without Ctrl work on this device
        </label>
        <h3 class="mt-4 border-t border-rule2 pt-3 font-semibold">Letters of ids</h3>
        <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <template v-for="[letter, means] in LETTERS" :key="letter">
                <dt class="fig font-semibold">{{ letter }}</dt>
                <dd>{{ means }}</dd>
            </template>
        </dl>
    </DialogBox>
</template>

<style scoped>
.frame {
    display: flex;
    flex-direction: column;
    height: 100%;
    padding: 0 24px;
}
header {
    min-height: 52px;
}
.message {
    margin-top: 8px;
    padding: 6px 12px;
    border-left: 4px solid var(--stop);
    background: var(--sheet);
}
.body {
    flex: 1;
    min-height: 0;
    display: grid;
    padding-top: 12px;
}
.body.withslate {
    grid-template-columns: minmax(0, 1fr) 292px;
}
.slate {
    border-left: 1px solid var(--rule);
    margin-left: 20px;
    padding-left: 20px;
}
@media (max-width: 900px) {
    .frame {
        height: auto;
        min-height: 100%;
        padding: 0 12px;
    }
    .body,
    .body.withslate {
        display: block;
    }
    .slate {
        border: 0;
        margin: 16px 0 0;
        padding: 0;
    }
}
@media print {
    .frame {
        height: auto;
        padding: 0;
    }
    .body {
        display: block;
    }
}
</style>
