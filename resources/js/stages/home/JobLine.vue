<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { said } from '@/lib/clock';
import { goToStep, guide, isDull, resumeGuide, startGuide, STEPS } from '@/lib/guide';
import { ask, inWords } from '@/lib/http';
import { inLine } from './line';
import TakeAlong from './TakeAlong.vue';
import type { JobCard, JobSummary } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';
import StageStrip from '@/ui/StageStrip.vue';

/** A job in the list. What its stages say is asked for where the list did not have it at hand, one job after the other. */
const props = defineProps<{ job: JobCard; archived: boolean }>();
const emit = defineEmits<{ moved: [] }>();
const worked = shallowRef<JobSummary | null>(null);
const summary = computed(() => props.job.summary ?? worked.value);
const offered = computed(() => guide.value.state === 'new' && isDull(summary.value?.next));
const paused = computed(() => guide.value.state === 'paused' && guide.value.job === props.job.id);
const message = ref('');
const deleting = ref(false);
const name = ref('');

onMounted(() => {
    if (!props.job.summary) {
        void inLine(() =>
            trying(async () => {
                worked.value = await ask<JobSummary>('GET', `/jobs/${props.job.id}/summary`);
            }),
        );
    }
});
async function trying(work: () => Promise<void>): Promise<void> {
    message.value = '';
    try {
        await work();
    } catch (error) {
        message.value = inWords(error);
    }
}
const move = (what: 'archive' | 'back') =>
    trying(async () => {
        await ask('POST', `/jobs/${props.job.id}/${what}`);
        emit('moved');
    });
const remove = () =>
    trying(async () => {
        await ask('DELETE', `/jobs/${props.job.id}`, { name: name.value });
        deleting.value = false;
        emit('moved');
    });
</script>

<template>
    <article class="border-b border-rule py-5">
        <div class="flex flex-wrap items-baseline gap-x-3">
            <h2 class="text-lg font-semibold">
                <Link
                    :href="`/jobs/${job.id}/${summary ? (summary.next?.stage ?? 'handover') : 'survey'}`"
                    class="hover:underline"
                    >{{ job.name }}</Link
                >
            </h2>
            <span class="text-ink2">{{ job.client }}</span>
            <span class="ml-auto text-ink2"
                >revision <span class="fig">{{ job.revision }}</span>,
                {{ said(job.changed, { day: 'numeric', month: 'short', year: 'numeric' }) }}</span
            >
            <TakeAlong v-if="!archived" :job="job.id" :name="job.name" />
            <template v-if="archived"
                ><button type="button" class="act" :aria-label="`Restore ${job.name}`" @click="move('back')">
                    Restore</button
                ><button type="button" class="act" :aria-label="`Delete ${job.name}`" @click="deleting = true">
                    Delete
                </button></template
            >
            <button
                v-else
                type="button"
                class="text-ink2 hover:text-ink hover:underline"
                :aria-label="`Archive ${job.name}`"
                @click="move('archive')"
            >
                Archive
            </button>
        </div>
        <p v-if="message && !deleting" role="alert" class="text-stop">{{ message }}</p>
        <template v-if="summary">
            <StageStrip class="mt-2" :stages="summary.stages" :job="job.id" small />
            <p class="mt-2">
                <template v-if="summary.next"
                    >Next:
                    <Link
                        class="act"
                        :href="`/jobs/${job.id}/${summary.next.stage}${summary.next.place ? '#' : ''}${summary.next.place}`"
                        :data-guide="guide.job === job.id ? 'next' : undefined"
                        >{{ summary.next.title }}</Link
                    ></template
                >
                <template v-else
                    >Nothing open. <Link class="act" :href="`/jobs/${job.id}/handover`">Hand over</Link></template
                >
                <span v-if="summary.waits.length" class="ml-4 text-ink2"
                    >Waits: {{ summary.waits.slice(0, 3).join('; ')
                    }}{{ summary.waits.length > 3 ? ` and ${summary.waits.length - 3} more` : '' }}</span
                >
            </p>
            <p v-if="offered" class="mt-2 flex flex-wrap items-baseline gap-x-4 border-l-4 border-ember pl-3">
                New here? A guide fixes this problem in {{ STEPS.length }} steps.
                <button type="button" class="act" @click="startGuide(job.id, summary.next?.place ?? '')">
                    Start the guide
                </button>
                <button type="button" class="act" @click="goToStep(STEPS.length)">Not now</button>
            </p>
            <p v-else-if="paused" class="mt-2 flex flex-wrap items-baseline gap-x-4 border-l-4 border-ember pl-3">
                First steps: {{ guide.step + 1 }} of {{ STEPS.length }}.
                <button type="button" class="act" @click="resumeGuide()">Resume the guide</button>
            </p>
        </template>
        <p v-else class="mt-2 h-[58px] text-ink2">Loading …</p>
        <DialogBox :open="deleting" :title="`Delete ${job.name}`" @close="deleting = false">
            <form class="space-y-3" @submit.prevent="remove()">
                <p>
                    For 30 days it can be brought back from the archive. Then its plan, history, photos, ticks and
                    quotes are deleted for good; a backup made earlier still has them.
                </p>
                <label class="block"
                    >Type its name to confirm
                    <input v-model="name" class="field" required maxlength="200" :placeholder="job.name"
                /></label>
                <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
                <button class="press">Delete this job</button>
            </form>
        </DialogBox>
    </article>
</template>
