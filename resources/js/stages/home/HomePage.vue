<script setup lang="ts">
import { Head, Link, router, useForm } from '@inertiajs/vue3';
import { computed, onBeforeUnmount, ref } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import EmberMark from '@/ui/EmberMark.vue';
import DialogBox from '@/ui/DialogBox.vue';
import GuideCard from '@/ui/GuideCard.vue';
import { forgetTaken } from '@/lib/along';
import { face, turnFace } from '@/lib/face';
import { ask, inWords, Refusal } from '@/lib/http';
import { useKeys } from '@/lib/keys';
import { leaveFor } from '@/lib/past';
import { person } from '@/lib/person';
import JobLine from './JobLine.vue';
import type { Home } from '@/types/generated/responses';

const props = defineProps<Home>();
const words = ref(props.find);
const field = ref<HTMLInputElement>();
const heading = ref<HTMLElement>();
let typing: ReturnType<typeof setTimeout> | undefined;

/** Another page of the list; the typed search stays meanwhile. */
function list(change: { find?: string; archived?: boolean; page?: number }): void {
    clearTimeout(typing);
    const to = { find: words.value, archived: props.archived, page: 1, ...change };
    router.get(
        '/',
        {
            ...(to.find ? { find: to.find } : {}),
            ...(to.archived ? { archived: 1 } : {}),
            ...(to.page > 1 ? { page: to.page } : {}),
        },
        { preserveState: true, preserveScroll: to.page === props.page, replace: true },
    );
}
function typed(): void {
    clearTimeout(typing);
    typing = setTimeout(() => list({}), 250);
}
onBeforeUnmount(() => clearTimeout(typing));
/** The line that had the focus is gone from the list: the keyboard goes on at its head. */
const moved = () => router.reload({ onSuccess: () => heading.value?.focus() });
const user = computed(person);
const mayPlan = computed(() => user.value?.plans ?? false);
const opened = ref(false);
const form = useForm({
    name: '',
    client: '',
    place: '',
    kind: 'room',
    run: '',
    length: '',
    meets: false,
    power: 'outlet',
    battery: '',
    across: '',
    down: '',
});
/** Kinds of job, with the usual name of the run. */
const KINDS = [
    { key: 'shelf', words: 'a shelf', run: 'shelf' },
    { key: 'room', words: 'a room', run: 'cove' },
    { key: 'vehicle', words: 'a vehicle', run: 'rail' },
    { key: 'matrix', words: 'a light wall', run: 'wall' },
] as const;
const POWERS = [
    { key: 'outlet', words: 'an outlet' },
    { key: 'mains', words: 'the mains' },
    { key: 'battery', words: 'a battery' },
] as const;
/** A vehicle has no mains, and its battery is there already. */
const VEHICLE_POWERS = [
    { key: 'battery', words: 'its battery' },
    { key: 'key', words: 'its battery, live with the key only' },
] as const;
const powers = computed(() => (form.kind === 'vehicle' ? VEHICLE_POWERS : POWERS));
const onBattery = computed(() => form.power === 'battery' || form.power === 'key');
const kind = computed(() => KINDS.find((k) => k.key === form.kind)!);
function chooseKind(key: string): void {
    form.kind = key;
    // Usual values, until another is chosen.
    if (!powers.value.some((p) => p.key === form.power)) {
        form.power = powers.value[0].key;
    }
    form.meets = key === 'room' && form.meets;
}
/** With measured walls, or with a stated length. */
const taped = ref(true);
function beginJob(): void {
    form.transform((data) => ({
        ...data,
        ...(taped.value ? { run: '', length: '', power: '', kind: '' } : {}),
        run: taped.value ? '' : data.run || kind.value.run,
        battery: !taped.value && onBattery.value ? data.battery || '1 of 12 V' : '',
        ...(data.kind === 'matrix' ? {} : { across: '', down: '' }),
    })).post('/jobs');
}
const picker = ref<HTMLInputElement>();
const refusal = ref('');
const importing = ref(false);

async function bringBack(job: number): Promise<void> {
    try {
        await ask('POST', `/deleted/${job}/back`);
        refusal.value = '';
        moved();
    } catch (error) {
        refusal.value = inWords(error);
    }
}
async function signOut(): Promise<void> {
    try {
        const { to } = await ask<{ to: string }>('POST', '/sign-out');
        await forgetTaken();
        leaveFor(to);
    } catch (error) {
        refusal.value = inWords(error);
    }
}
async function importFile(): Promise<void> {
    const file = picker.value?.files?.[0];
    if (!file) {
        return;
    }
    const body = new FormData();
    body.append('file', file);
    importing.value = true;
    refusal.value = '';
    try {
        const { url } = await ask<{ url: string }>('POST', '/jobs/import', body);
        router.visit(url);
    } catch (error) {
        const at = error instanceof Refusal && error.pointer ? ` At ${error.pointer}.` : '';
        refusal.value = `${file.name} was not taken. ${error instanceof Error ? error.message : ''}${at}`;
    } finally {
        importing.value = false;
        if (picker.value) {
            picker.value.value = '';
        }
    }
}

useKeys(() => [
    ...(mayPlan.value
        ? [
              { key: 'n', what: 'New job', act: () => (opened.value = true) },
              { key: 's', what: 'Kit shelf', act: () => void router.visit('/shelf') },
              { key: 'i', what: 'Import', act: () => picker.value?.click() },
          ]
        : []),
    { key: '/', what: 'Search', act: () => field.value?.focus() },
    { key: 'p', what: 'Practice', act: () => router.visit('/practice') },
    { key: 'o', what: 'People', act: () => router.visit('/people') },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="Jobs" />
    <div class="mx-auto flex min-h-full max-w-[1080px] flex-col px-6">
        <header class="flex min-h-[52px] flex-wrap items-center gap-x-4">
            <EmberMark />
            <span class="font-head text-xl font-semibold">Ember Dusk</span>
            <span class="text-ink2 max-sm:order-last max-sm:w-full sm:ml-auto">{{ user?.name }}, {{ user?.crew }}</span>
            <button type="button" class="text-ink2 max-sm:ml-auto" @click="turnFace()">
                {{ face === 'day' ? 'Night' : 'Day' }} <kbd>D</kbd>
            </button>
            <button type="button" class="text-ink2" @click="signOut()">Sign out</button>
        </header>
        <ConnectionNote />
        <main class="pt-6">
            <div class="flex flex-wrap items-baseline gap-3 border-b border-ink pb-2">
                <h1 ref="heading" tabindex="-1" class="mr-auto text-2xl font-semibold outline-none">
                    Jobs of {{ user?.crew }}
                </h1>
                <input
                    ref="picker"
                    type="file"
                    accept=".json,application/json"
                    class="sr-only"
                    tabindex="-1"
                    aria-label="Job file"
                    @change="importFile()"
                />
                <Link href="/practice" class="quiet">Practice <kbd>P</kbd></Link>
                <Link v-if="mayPlan" href="/shelf" class="quiet">Kit shelf <kbd>S</kbd></Link>
                <Link href="/people" class="quiet">People <kbd>O</kbd></Link>
                <button v-if="mayPlan" type="button" class="quiet" :disabled="importing" @click="picker?.click()">
                    {{ importing ? 'Importing …' : 'Import a job file' }} <kbd>I</kbd>
                </button>
                <button v-if="mayPlan" type="button" class="press" @click="opened = true">New job <kbd>N</kbd></button>
            </div>
            <p v-if="refusal" role="alert" class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2">{{ refusal }}</p>
            <div
                v-if="pages > 1 || total > 5 || aside > 0 || archived || find"
                class="mt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1"
            >
                <label class="flex items-center gap-2 border-b border-ink3 text-ink2"
                    ><span class="sr-only">Search jobs by name or client</span>
                    <input
                        ref="field"
                        v-model="words"
                        class="w-64 bg-transparent py-1 text-ink outline-none"
                        placeholder="Name or client"
                        maxlength="100"
                        @input="typed()"
                        @keydown.enter="list({})"
                    /><kbd class="ml-1">/</kbd></label
                >
                <span role="status" class="text-ink2"
                    ><span class="fig">{{ total }}</span> {{ total === 1 ? 'job' : 'jobs'
                    }}{{ archived ? ' in the archive' : '' }}{{ find ? ` with “${find}”` : '' }}</span
                >
                <button v-if="archived || aside > 0" type="button" class="act" @click="list({ archived: !archived })">
                    {{ archived ? 'Back to open jobs' : 'Archive' }} <span class="fig">{{ aside }}</span>
                </button>
            </div>
            <p v-if="jobs.length === 0" class="mt-6 text-ink2">
                <template v-if="find">No job has “{{ find }}” in its name or client.</template>
                <template v-else-if="archived">The archive is empty.</template>
                <template v-else>No jobs yet. Press “New job” and start with a room.</template>
            </p>
            <JobLine
                v-for="job in jobs"
                :key="`${job.id}-${job.revision}`"
                :job="job"
                :archived="archived"
                @moved="moved()"
            />
            <section v-if="deleted.length" class="mt-6" aria-labelledby="deleted">
                <h2 id="deleted" class="font-semibold">Deleted</h2>
                <p
                    v-for="one in deleted"
                    :key="one.id"
                    class="flex flex-wrap items-baseline gap-x-4 border-b border-rule2 py-1.5"
                >
                    <span>{{ one.name }}</span><span class="text-ink2">{{ one.client }}</span>
                    <span class="ml-auto text-ink2"
                        >until <span class="fig">{{ one.until }}</span></span
                    >
                    <button type="button" class="act" @click="bringBack(one.id)">
                        Bring back<span class="sr-only"> {{ one.name }}</span>
                    </button>
                </p>
            </section>
            <nav v-if="pages > 1" aria-label="Pages" class="flex items-baseline gap-5 py-4">
                <button type="button" class="act" :disabled="page === 1" @click="list({ page: page - 1 })">
                    Earlier page
                </button>
                <span class="text-ink2"
                    >page <span class="fig">{{ page }}</span> of <span class="fig">{{ pages }}</span></span
                >
                <button type="button" class="act" :disabled="page === pages" @click="list({ page: page + 1 })">
                    Next page
                </button>
            </nav>
        </main>
        <footer class="mt-auto py-4 text-[13px]"><Link href="/about" class="text-ink2 underline">About</Link></footer>
    </div>
    <GuideCard page="home" />
    <DialogBox :open="opened" title="New job" @close="opened = false">
        <form class="space-y-3" @submit.prevent="beginJob">
            <label class="block"
                >Job <input v-model="form.name" class="field" required maxlength="80" placeholder="Lecture room cove"
            /></label>
            <p v-if="form.errors.name" role="alert" class="text-stop">{{ form.errors.name }}</p>
            <label class="block"
                >Client <input v-model="form.client" class="field" maxlength="80" placeholder="Observatory"
            /></label>
            <p v-if="form.errors.client" role="alert" class="text-stop">{{ form.errors.client }}</p>
            <label class="block"
                >First room or place
                <input v-model="form.place" class="field" :required="taped" maxlength="60" placeholder="Lecture room"
            /></label>
            <p v-if="form.errors.place" role="alert" class="text-stop">{{ form.errors.place }}</p>
            <fieldset class="flex gap-5">
                <legend class="sr-only">Walls</legend>
                <label class="flex items-center gap-2"
                    ><input v-model="taped" type="radio" :value="true" class="accent-ember" />measure the walls
                    now</label
                >
                <label class="flex items-center gap-2"
                    ><input v-model="taped" type="radio" :value="false" class="accent-ember" />measure the walls
                    later</label
                >
            </fieldset>
            <template v-if="!taped">
                <fieldset class="flex flex-wrap items-center gap-1">
                    <legend class="mb-1">What is it?</legend>
                    <button
                        v-for="one in KINDS"
                        :key="one.key"
                        type="button"
                        class="chip"
                        :aria-pressed="form.kind === one.key"
                        @click="chooseKind(one.key)"
                    >
                        {{ one.words }}
                    </button>
                </fieldset>
                <div class="grid grid-cols-2 gap-3">
                    <label class="block"
                        >Name of the run <input v-model="form.run" class="field" maxlength="24" :placeholder="kind.run"
                    /></label>
                    <label class="block"
                        >{{ form.kind === 'matrix' ? 'Strip in all rows, about (m)' : 'Length, about (m)' }}
                        <input v-model="form.length" class="fig field" required inputmode="decimal" placeholder="5.20"
                    /></label>
                </div>
                <p v-if="form.errors.run" role="alert" class="text-stop">{{ form.errors.run }}</p>
                <p v-if="form.errors.length" role="alert" class="text-stop">{{ form.errors.length }}</p>
                <div v-if="form.kind === 'matrix'" class="grid grid-cols-2 gap-3">
                    <label class="block"
                        >Pixels across
                        <input v-model="form.across" class="fig field" required inputmode="numeric" placeholder="14"
                    /></label>
                    <label class="block"
                        >Pixels down
                        <input v-model="form.down" class="fig field" required inputmode="numeric" placeholder="9"
                    /></label>
                </div>
                <p v-if="form.errors.across ?? form.errors.down" role="alert" class="text-stop">
                    {{ form.errors.across ?? form.errors.down }}
                </p>
                <label v-if="form.kind === 'room'" class="flex items-center gap-2"
                    ><input v-model="form.meets" type="checkbox" class="accent-ember" />closed loop</label
                >
                <fieldset class="flex flex-wrap items-center gap-x-5 gap-y-1">
                    <legend class="mb-1">Power from</legend>
                    <label v-for="one in powers" :key="one.key" class="flex items-center gap-2"
                        ><input v-model="form.power" type="radio" :value="one.key" class="accent-ember" />{{
                            one.words
                        }}</label
                    >
                    <input
                        v-if="onBattery"
                        v-model="form.battery"
                        maxlength="60"
                        class="fig field !w-40"
                        aria-label="Battery blocks"
                        :placeholder="form.kind === 'vehicle' ? '1 of 12 V, 60 Ah' : '1 of 12 V'"
                    />
                </fieldset>
                <p v-if="form.errors.battery" role="alert" class="text-stop">{{ form.errors.battery }}</p>
            </template>
            <button class="press" :disabled="form.processing">
                {{ taped ? 'Start the survey' : 'Choose the kit' }}
            </button>
        </form>
    </DialogBox>
</template>
