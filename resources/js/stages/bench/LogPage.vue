<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { router } from '@inertiajs/vue3';
import { computed, ref, watch } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import { ask, inWords } from '@/lib/http';
import { onlyNewest } from '@/lib/newest';
import { useTicks } from '@/lib/ticks';
import { provideScreen } from '@/lib/screen';
import type { Answer, LogLine, LogPage, LogImportCounts } from '@/types/generated/responses';
import StrikeOut from './StrikeOut.vue';

/** Everything that was done, read, seen and remarked, newest first, under its visits. */
const props = defineProps<{ answer: Answer; log: LogPage }>();
provideScreen(props.answer);
const log = ref(props.log);
const words = ref('');
const typed = refDebounced(words, 250);
const kind = ref('');
const part = ref('');
const page = ref(1);
const remark = ref('');
const message = ref('');
const said = ref('');
const picker = ref<HTMLInputElement>();
const field = ref<HTMLInputElement>();
const url = (what: string) => `/jobs/${props.answer.job}/${what}`;
const box = useTicks(props.answer.job, () => ({ take: () => void look() }));
const pages = computed(() => log.value.pages);
const days = computed(() => {
    const found = new Map<string, LogPage['lines']>();
    log.value.lines.forEach((l) => found.set(l.day, [...(found.get(l.day) ?? []), l]));
    return [...found].map(([day, lines]) => ({ day, lines, visit: lines[0]?.visit ?? 0 }));
});
const partName = computed(() => Object.fromEntries(log.value.parts.map((p) => [p.key, p.words])));
const long = (day: string) =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const hear = onlyNewest<LogPage>(
    (said) => ((log.value = said), (message.value = '')),
    (why) => (message.value = why),
);

function look(): Promise<void> {
    const query = new URLSearchParams({
        q: typed.value,
        kind: kind.value,
        part: part.value,
        page: String(page.value),
    });
    return hear(ask<LogPage>('GET', `${url('log/lines')}?${query.toString()}`));
}
watch([typed, kind, part], () => {
    page.value = 1;
    void look();
});
watch(page, () => void look());

const strike = (line: LogLine, reason: string) =>
    box.note({
        kind: 'strike',
        place: line.place,
        command: line.uuid,
        value: null,
        text: reason,
        by: '',
        sure: false,
        practice: null,
    });
async function note(): Promise<void> {
    if (remark.value.trim()) {
        await box.note({
            kind: 'remark',
            place: part.value,
            command: '',
            value: null,
            text: remark.value.trim(),
            by: '',
            sure: false,
            practice: null,
        });
        remark.value = '';
    }
}
async function take(): Promise<void> {
    const file = picker.value?.files?.[0];
    if (!file) {
        return;
    }
    const form = new FormData();
    form.append('file', file);
    try {
        const taken = await ask<LogImportCounts>('POST', url('log/import'), form);
        said.value = `${taken.new} new, ${taken.same} known already${taken.elsewhere ? `, ${taken.elsewhere} ticks, photos or joins left out` : ''}.`;
        message.value = '';
        await look();
    } catch (error) {
        message.value = inWords(error);
        said.value = '';
    }
    if (picker.value) {
        picker.value.value = '';
    }
}
const waits = (uuid: string) => box.notes.value.some((p) => p.body.command === uuid);
const shortcuts = [
    { key: 'f', what: 'Search the log', act: () => field.value?.focus() },
    { key: 'b', what: 'Back to the bench', act: () => router.visit(url('bench')) },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts">
        <div class="flex flex-wrap items-baseline gap-x-4">
            <h2 class="font-head text-2xl font-semibold">Log</h2>
            <span class="text-ink2">{{ log.total }} {{ log.total === 1 ? 'entry' : 'entries' }}</span>
            <span class="ml-auto flex flex-wrap gap-x-4">
                <a class="act" :href="url('bench')">Bench <kbd>B</kbd></a>
                <a class="act" :href="url('log.csv')">Export CSV</a>
                <button type="button" class="act" @click="picker?.click()">Import CSV</button>
                <input
                    ref="picker"
                    type="file"
                    accept=".csv,text/csv"
                    class="hidden"
                    aria-label="Log as CSV"
                    @change="take()"
                />
            </span>
        </div>
        <p v-if="message" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">{{ message }}</p>
        <p v-if="said" role="status" class="mt-2 border-l-4 border-lit bg-sheet px-3 py-1">{{ said }}</p>
        <div class="mt-3 flex flex-wrap gap-3">
            <input
                ref="field"
                v-model="words"
                type="search"
                class="field w-auto min-w-0 flex-1 basis-52"
                placeholder="Words, or who"
                aria-label="Search the log"
            />
            <select v-model="part" class="field w-auto" aria-label="Place or device">
                <option value="">everywhere</option>
                <option v-for="p in log.parts" :key="p.key" :value="p.key">{{ p.words }}</option>
            </select>
            <select v-model="kind" class="field w-auto" aria-label="Kind of entry">
                <option value="">everything</option>
                <option v-for="k in log.kinds" :key="k.key" :value="k.key">{{ k.words }}</option>
            </select>
        </div>
        <form class="mt-2 flex gap-3" @submit.prevent="note()">
            <input
                v-model="remark"
                class="field min-w-0 flex-1"
                maxlength="500"
                :placeholder="part ? `Remark about ${partName[part]}` : 'Remark'"
                aria-label="Remark"
            />
            <button type="submit" class="press" :disabled="!remark.trim()">Add to log</button>
        </form>
        <p v-if="box.notes.value.length" class="mt-2 text-watch">
            {{ box.notes.value.length }} on this device not sent yet.
        </p>
        <p v-if="log.total === 0" class="mt-4 text-ink2">
            {{
                words || kind || part
                    ? 'No log entry matches.'
                    : 'No entries yet. Tests, readings, ticks, photos and remarks are logged here with time and person.'
            }}
        </p>
        <section v-for="day in days" :key="day.day" class="mt-4" :aria-label="long(day.day)">
            <h3 class="font-semibold">
                {{ long(day.day) }}
                <span v-if="day.visit" class="font-normal text-ink2">visit {{ day.visit }}</span>
            </h3>
            <ol>
                <li
                    v-for="line in day.lines"
                    :key="line.id"
                    class="grid grid-cols-[48px_minmax(0,1fr)] items-baseline gap-x-3 border-b border-rule2 py-1 sm:grid-cols-[48px_84px_minmax(0,1fr)_140px]"
                >
                    <span class="fig text-ink2">{{ line.at }}</span>
                    <span class="text-[13px] text-ink2 max-sm:hidden">{{ line.kind }}</span>
                    <span class="min-w-0"
                        ><s v-if="line.struck">{{ line.words }}</s
                        ><template v-else>{{ line.words }}</template
                        ><a v-if="line.photo" class="act ml-2" :href="line.photo" target="_blank">Look</a>
                        <span v-if="line.struck" class="block text-[13px] text-ink2">{{ line.struck }}</span>
                        <StrikeOut
                            v-else-if="line.uuid && !waits(line.uuid)"
                            class="ml-2"
                            :label="line.words"
                            @strike="(reason) => strike(line, reason)"
                        />
                    </span>
                    <span class="text-[13px] text-ink2 max-sm:col-start-2">{{ line.who }}</span>
                </li>
            </ol>
        </section>
        <div v-if="pages > 1" class="mt-3 flex items-center gap-3">
            <button type="button" class="quiet" :disabled="page === 1" @click="page--">Newer</button>
            <span class="fig">{{ page }} of {{ pages }}</span>
            <button type="button" class="quiet" :disabled="page >= pages" @click="page++">Older</button>
        </div>
    </JobFrame>
</template>
