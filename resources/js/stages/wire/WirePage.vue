<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, nextTick, ref, watch } from 'vue';
import BesideBox from './BesideBox.vue';
import CableTable from './CableTable.vue';
import FixtureTable from './FixtureTable.vue';
import JobFrame from '@/ui/JobFrame.vue';
import TermMark from '@/ui/TermMark.vue';
import LimitsBox from './LimitsBox.vue';
import PixelPlay from './PixelPlay.vue';
import ProposalBox from './ProposalBox.vue';
import SceneBox from './SceneBox.vue';
import SegmentBox from './SegmentBox.vue';
import SplitBox from './SplitBox.vue';
import SupplyTable from './SupplyTable.vue';
import { term } from '@/lib/glossary';
import { provideScreen, type Payload } from '@/lib/screen';
import LightKey from './LightKey.vue';
import Ribbon from './Ribbon.vue';
import RunOverview from './RunOverview.vue';
import type { Shown } from './ribbon';
import type { Answer } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideScreen(props.answer);
const { desk, change, preview } = store;
const runs = computed(() => desk.value.wire?.runs ?? []);
/** Runs that have a strip; the others are only named. */
const wired = computed(() => runs.value.filter((r) => r.strip));
const bare = computed(() => runs.value.filter((r) => !r.strip));
const longest = computed(() => Math.max(1, ...wired.value.map((r) => r.metres)));
/** Runs shown large: all of a few, else the first. */
const FEW = 2;
/** The run that a place belongs to: itself, or that of a feed, a cable, a supply or a controller. */
const runOf = (place: string) =>
    wired.value.find(
        (r) =>
            [r.id, r.supply?.id, r.controller?.id].includes(place) ||
            r.cables.some((c) => c.cable.id === place) ||
            r.feeds.some((f) => f.id === place),
    );
/** The run of the worst open point here; without one the first. */
const worst = () =>
    desk.value.findings
        .filter((f) => f.stage === 'wire')
        .map((f) => runOf(f.place))
        .find((r) => r !== undefined) ?? wired.value[0];
const open = ref<string[]>(
    wired.value.length <= FEW
        ? wired.value.map((r) => r.id)
        : [worst()].flatMap((r) => (r === undefined ? [] : [r.id])),
);
watch(
    open,
    (ids) => {
        store.open.value = ids.join(' ');
        if (wired.value.some((r) => r.thin && ids.includes(r.id))) {
            void store.reload();
        }
    },
    { immediate: true },
);
/** The run that the hand is at, or the first that is shown. */
const current = () =>
    document.activeElement?.closest<HTMLElement>('[data-run]')?.dataset.run ??
    wired.value.find((r) => open.value.includes(r.id))?.id ??
    wired.value[0]?.id;
const shown = ref<Shown>('light');
const views: { id: Shown; name: string; key: string }[] = [
    { id: 'light', name: 'Light', key: 'l' },
    { id: 'volts', name: 'Volts', key: 'v' },
    { id: 'amps', name: 'Amps', key: 'a' },
    { id: 'colour', name: 'Colour', key: 'c' },
];
const pattern = (run: string | undefined, at: 'ends' | 'middle') =>
    void change({ kind: 'FeedPattern', run, pattern: at });

const injection = term('power injection')!;
const limits = ref(false);
/** The run that a proposal is shown for. */
const proposed = ref('');
/** The run whose segments are shown. */
const segmenting = ref('');
function segment(run: string | undefined): void {
    segmenting.value = wired.value.find((r) => r.id === run && r.pixels > 0)?.id ?? '';
}
/** The run whose splits are shown, and the way that was asked for. */
const splitting = ref('');
const splitHow = ref('');
function split(run: string | undefined, how = ''): void {
    splitting.value = run ?? '';
    splitHow.value = how;
}
/** A scene's dialog, and the scene in it. */
const scening = ref(false);
const edited = ref('');
const beside = ref(false);
const besides = ref<object | null>(null);
const sceneName = computed(() => desk.value.wire?.scenes.find((s) => s.id === desk.value.wire?.scene)?.name ?? '');
const PINS = [
    { id: 'feeds', name: 'feeds' },
    { id: 'cables', name: 'cables' },
    { id: 'kit', name: 'kit' },
];
function pin(run: { id: string; pins: string[] }, what: string): void {
    void change({
        kind: 'PinRun',
        run: run.id,
        pins: run.pins.includes(what) ? run.pins.filter((p) => p !== what) : [...run.pins, what],
    });
}
function compare(with_: object | null): void {
    proposed.value = '';
    splitting.value = '';
    besides.value = with_;
    beside.value = true;
}

/** Goes to a feed, a cable's row or a run's ribbon. */
async function go(place: string): Promise<void> {
    const of = runOf(place);
    if (of && !open.value.includes(of.id)) {
        open.value = [...open.value, of.id];
    }
    await nextTick();
    if (of?.thin) {
        await store.reload();
        await nextTick();
    }
    if (of) {
        document.querySelector(`article[data-run="${of.id}"]`)?.scrollIntoView({ block: 'start' });
    }
    const feed = runs.value.flatMap((r) => r.feeds).find((f) => f.id === place || f.cable?.id === place);
    const field = document.querySelector<HTMLElement>(`[aria-label="Length of ${place.toUpperCase()} in metres"]`);
    const spot = feed ? `[data-feed="${feed.id}"]` : '[data-feed]';
    const within = !feed && of ? `[data-run="${of.id}"] ` : '';
    (field ?? document.querySelector<HTMLElement>(within + spot))?.focus();
}
const shortcuts = computed(() => [
    ...views.map((v) => ({ key: v.key, what: `Show ${v.name.toLowerCase()}`, act: () => (shown.value = v.id) })),
    { key: 'b', what: 'Feed both ends', act: () => pattern(current(), 'ends') },
    { key: 'm', what: 'Feed the middle', act: () => pattern(current(), 'middle') },
    { key: 'p', what: 'Propose the cheapest wiring', act: () => (proposed.value = current() ?? '') },
    { key: 's', what: 'Split or rejoin the run', act: () => split(current()) },
    { key: 'g', what: 'Segments of a pixel run', act: () => segment(current()) },
    { key: 't', what: 'Compare two layouts', act: () => compare(null) },
    { key: 'i', what: 'Limits of the job', act: () => (limits.value = true) },
    { key: 'f', what: 'Go to the first feed', act: () => document.querySelector<HTMLElement>('[data-feed]')?.focus() },
    {
        key: 'r',
        what: 'Go to the ribbon to read values along it',
        act: () => document.querySelector<HTMLElement>('.strip[role=slider]')?.focus(),
    },
]);
const SPLITS = [
    { how: 'parts', what: 'Split into halves or more parts' },
    { how: 'second', what: 'Split onto a second controller' },
    { how: 'zones', what: 'Split into zones, the + cut' },
    { how: 'repeater', what: 'Split behind a repeater' },
    { how: 'whole', what: 'Rejoin' },
];
const things = computed(() => [
    { what: 'Limits of the job', where: 'wire', act: () => (limits.value = true) },
    ...wired.value.flatMap((r) => [
        { what: 'Feed both ends', where: r.name, act: () => pattern(r.id, 'ends') },
        { what: 'Feed the middle', where: r.name, act: () => pattern(r.id, 'middle') },
        ...SPLITS.map((s) => ({ what: s.what, where: r.name, act: () => split(r.id, s.how) })),
        ...(r.pixels > 0 ? [{ what: `Segments of ${r.name}`, where: r.name, act: () => segment(r.id) }] : []),
    ]),
]);
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :things="things" @go="go">
        <p v-if="runs.length === 0" class="text-ink2">
            There is no run yet. Type wall notes at Survey, then choose a strip at Kit.
        </p>
        <div v-else class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
            <div role="group" aria-label="Curve" class="flex flex-wrap gap-x-4 gap-y-1">
                <button
                    v-for="v in views"
                    :key="v.id"
                    type="button"
                    :aria-pressed="shown === v.id"
                    :class="shown === v.id ? 'border-b-2 border-ember font-semibold' : 'text-ink2'"
                    @click="shown = v.id"
                >
                    {{ v.name }}
                </button>
                <label class="text-ink2"
                    >at
                    <select
                        class="pick"
                        aria-label="Scene"
                        :value="store.scene.value"
                        @change="store.look(($event.target as HTMLSelectElement).value)"
                    >
                        <option value="">all at full</option>
                        <option v-for="s in desk.wire?.scenes ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
                    </select></label
                >
                <button
                    v-if="desk.wire?.dimmed.length"
                    type="button"
                    class="text-ink2"
                    @click="((edited = store.scene.value), (scening = true))"
                >
                    {{ store.scene.value ? 'Change it' : 'New scene' }}
                </button>
                <button type="button" class="text-ink2" @click="compare(null)">Compare <kbd>T</kbd></button>
                <button type="button" class="text-ink2" @click="limits = true">Limits <kbd>I</kbd></button>
            </div>
            <LightKey class="ml-auto" :colours="wired[0]?.colours ?? []" />
        </div>
        <RunOverview v-if="wired.length > 1" v-model:open="open" :runs="wired" :longest="longest" />
        <article v-for="run in wired.filter((r) => open.includes(r.id))" :key="run.id" class="mb-6" :data-run="run.id">
            <p v-if="run.thin" role="status">Calculating …</p>
            <Ribbon
                v-else
                data-guide="ribbon"
                :run="run"
                :longest="longest"
                :shown="shown"
                @add="change({ kind: 'AddFeed', run: run.id, at: $event })"
                @aim="(feed, where) => preview({ kind: 'MoveFeed', feed, ...where })"
                @move="(feed, where) => change({ kind: 'MoveFeed', feed, ...where })"
                @remove="change({ kind: 'RemoveFeed', feed: $event })"
            />
            <p v-if="run.data !== ''" class="pb-2 text-[13px]">Data from {{ run.data }}</p>
            <PixelPlay v-if="run.pixels > 0" :run="run" />
            <p v-if="run.signals.length" class="pb-2 text-[13px]">
                Signal wires to {{ run.controller?.id.toUpperCase() }}: {{ run.signals.join(' · ') }}
            </p>
            <p v-if="run.segments.length" class="pb-2 text-[13px]">
                Segments:
                {{
                    run.segments
                        .map(
                            (s) =>
                                `${s.name}: ${s.first}–${s.last}` +
                                (s.reversed ? ', from its end' : '') +
                                (s.mirrored ? ', mirrored' : ''),
                        )
                        .join(' · ')
                }}
            </p>
            <div class="flex flex-wrap gap-3 pb-3">
                <button type="button" class="quiet" data-guide="ends" @click="pattern(run.id, 'ends')">
                    Feed both ends <kbd>B</kbd>
                </button>
                <button type="button" class="quiet" @click="pattern(run.id, 'middle')">
                    Feed the middle <kbd>M</kbd>
                </button>
                <span class="self-center"><TermMark :term="injection" /></span>
                <button type="button" class="quiet" @click="proposed = run.id">
                    Propose the cheapest <kbd>P</kbd>
                </button>
                <button type="button" class="quiet" @click="split(run.id)">
                    {{ run.split ? 'Split or rejoin' : 'Split' }} <kbd>S</kbd>
                </button>
                <button v-if="run.pixels > 0" type="button" class="quiet" @click="segment(run.id)">
                    Segments <kbd>G</kbd>
                </button>
                <button
                    v-for="tap in run.taps"
                    :key="tap.label"
                    type="button"
                    class="quiet"
                    @click="change(tap.change as Payload)"
                >
                    {{ tap.label }}
                </button>
                <span class="flex items-center gap-3 text-[13px] text-ink2"
                    >Proposals may not change
                    <label v-for="p in PINS" :key="p.id" class="flex items-center gap-1"
                        ><input
                            type="checkbox"
                            class="accent-ember"
                            :checked="run.pins.includes(p.id)"
                            @change="pin(run, p.id)"
                        />{{ p.name }}</label
                    >
                </span>
                <p class="text-[13px] leading-[30px] text-ink2">
                    Click the strip to add a feed. Drag a feed or use the arrow keys to move it; Delete removes it.
                </p>
            </div>
            <CableTable
                :of="run.name"
                :cables="run.cables"
                :options="desk.wire?.cables ?? []"
                :joints="desk.wire?.joints ?? []"
                :fuses="desk.wire?.fuses ?? []"
                :switches="desk.wire?.switches ?? []"
            />
        </article>
        <SupplyTable :supplies="desk.wire?.supplies ?? []" :words="sceneName ? `in “${sceneName}”` : 'all at full'" />
        <FixtureTable v-if="desk.wire" :wire="desk.wire" />
        <p v-if="bare.length" class="border-t border-rule pt-2 text-ink2">
            Without a strip yet: {{ bare.map((r) => `${r.name} ${r.length} m`).join(', ') }}.
            <Link :href="`/jobs/${store.answer.value.job}/kit`" class="act">Choose at Kit</Link>
        </p>
        <ProposalBox :run="proposed" :runs="wired" @close="proposed = ''" @beside="compare" />
        <SegmentBox :run="wired.find((r) => r.id === segmenting) ?? null" @close="segmenting = ''" />
        <SplitBox :run="splitting" :how="splitHow" @close="splitting = ''" @beside="compare" />
        <BesideBox :open="beside" :proposed="besides" @close="beside = false" />
        <SceneBox v-if="desk.wire" :open="scening" :scene="edited" :wire="desk.wire" @close="scening = false" />
        <LimitsBox :open="limits" @close="limits = false" />
    </JobFrame>
</template>
