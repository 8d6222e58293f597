<script setup lang="ts">
import { Head, Link, router, useForm } from '@inertiajs/vue3';
import { computed, ref } from 'vue';
import ConnectionNote from '@/controls/ConnectionNote.vue';
import EmberMark from '@/controls/EmberMark.vue';
import DialogBox from '@/controls/DialogBox.vue';
import StageStrip from '@/controls/StageStrip.vue';
import { face, turnFace } from '@/lib/face';
import { ask, Refusal } from '@/lib/http';
import { useKeys } from '@/lib/keys';
import { person } from '@/lib/person';
import type { Home } from '@/types/generated/responses';

defineProps<Home>();
const user = computed(person);
const opened = ref(false);
const form = useForm({ name: '', client: '', place: '' });
const picker = ref<HTMLInputElement>();
const refusal = ref('');
const importing = ref(false);

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
    { key: 'n', what: 'New job', act: () => (opened.value = true) },
    { key: 's', what: 'Kit shelf', act: () => router.visit('/shelf') },
    { key: 'i', what: 'Import', act: () => picker.value?.click() },
    { key: 'd', what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="Jobs" />
    <div class="mx-auto flex min-h-full max-w-[1080px] flex-col px-6">
        <header class="flex h-[52px] items-center gap-4">
            <EmberMark />
            <span class="font-head text-xl font-semibold">Ember Dusk</span>
            <span class="ml-auto text-ink2">{{ user?.name }}, {{ user?.crew }}</span>
            <button type="button" class="text-ink2" @click="turnFace()">{{ face === 'day' ? 'Night' : 'Day' }} <kbd>D</kbd></button>
            <button type="button" class="text-ink2" @click="router.post('/sign-out')">Sign out</button>
        </header>
        <ConnectionNote />
        <main class="pt-6">
            <div class="flex flex-wrap items-baseline gap-3 border-b border-ink pb-2">
                <h1 class="mr-auto text-2xl font-semibold">Jobs of {{ user?.crew }}</h1>
                <input ref="picker" type="file" accept=".json,application/json" class="sr-only" tabindex="-1" aria-label="Job file" @change="importFile()" />
                <Link href="/shelf" class="quiet">Kit shelf <kbd>S</kbd></Link>
                <button type="button" class="quiet" :disabled="importing" @click="picker?.click()">{{ importing ? 'Importing …' : 'Import a job file' }} <kbd>I</kbd></button>
                <button type="button" class="press" @click="opened = true">New job <kbd>N</kbd></button>
            </div>
            <p v-if="refusal" role="alert" class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2">{{ refusal }}</p>
            <p v-if="jobs.length === 0" class="mt-6 text-ink2">No job yet. Begin with a room: “New job”, then type what the tape says.</p>
            <article v-for="job in jobs" :key="job.id" class="border-b border-rule py-5">
                <div class="flex flex-wrap items-baseline gap-x-3">
                    <h2 class="text-lg font-semibold"><Link :href="`/jobs/${job.id}/${job.next?.stage ?? 'handover'}`" class="hover:underline">{{ job.name }}</Link></h2>
                    <span class="text-ink2">{{ job.client }}</span>
                    <span class="ml-auto text-ink2">revision <span class="fig">{{ job.revision }}</span>, {{ new Date(job.changed).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }) }}</span>
                </div>
                <StageStrip class="mt-2" :stages="job.stages" :job="job.id" small />
                <p class="mt-2">
                    <template v-if="job.next">Next: <Link class="act" :href="`/jobs/${job.id}/${job.next.stage}`">{{ job.next.title }}</Link></template>
                    <template v-else>Everything is decided. <Link class="act" :href="`/jobs/${job.id}/handover`">Hand over</Link></template>
                    <span v-if="job.waits.length" class="ml-4 text-ink2">Waits: {{ job.waits.slice(0, 3).join('; ') }}{{ job.waits.length > 3 ? ` and ${job.waits.length - 3} more` : '' }}</span>
                </p>
            </article>
        </main>
    </div>
    <DialogBox :open="opened" title="New job" @close="opened = false">
        <form class="space-y-3" @submit.prevent="form.post('/jobs')">
            <label class="block">Job <input v-model="form.name" class="field" required maxlength="80" placeholder="Lecture room cove" /></label>
            <p v-if="form.errors.name" role="alert" class="text-stop">{{ form.errors.name }}</p>
            <label class="block">Client <input v-model="form.client" class="field" maxlength="80" placeholder="Observatory" /></label>
            <p v-if="form.errors.client" role="alert" class="text-stop">{{ form.errors.client }}</p>
            <label class="block">First room or place <input v-model="form.place" class="field" required maxlength="60" placeholder="Lecture room" /></label>
            <p v-if="form.errors.place" role="alert" class="text-stop">{{ form.errors.place }}</p>
            <button class="press" :disabled="form.processing">Begin the survey</button>
        </form>
    </DialogBox>
</template>
