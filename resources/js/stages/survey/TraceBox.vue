<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { TraceAnswer } from '@/types/generated/responses';
import LegsPicture from './LegsPicture.vue';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ place: string; near: string }>();
const emit = defineEmits<{ close: [] }>();
const { answer, reload } = useScreen();
const trace = ref<TraceAnswer | null>(null);
const message = ref('');
const safe = ref(false);
const busy = ref(false);
const open = computed(() => props.near !== '');
const url = (what: string) => `/jobs/${answer.value.job}/traces${what}`;

async function say(path: string, body: object): Promise<boolean> {
    busy.value = true;
    try {
        trace.value = await ask<TraceAnswer>('POST', url(path), body);
        message.value = '';
        return true;
    } catch (error) {
        message.value = inWords(error);
        return false;
    } finally {
        busy.value = false;
    }
}

watch(open, (now) => {
    trace.value = null;
    safe.value = false;
    message.value = '';
    if (now) {
        void say('', { place: props.place, near: props.near });
    }
});

const hear = (tone: boolean) => say(`/${trace.value?.id}`, { asked: trace.value?.asked, tone });
const back = () => say(`/${trace.value?.id}`, { back: true });

async function record(): Promise<void> {
    if (await say(`/${trace.value?.id}/record`, {})) {
        await reload();
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="open" :title="`Trace the legs from ${near}`" @close="emit('close')">
        <div v-if="trace && !safe && trace.asked === 0">
            <p>
                Traced are {{ trace.legs.join(', ') }}. Every leg is disconnected at both ends; you stay at
                {{ near }} with the tester and number the loose ends there 1 to {{ trace.legs.length }} with tape.
            </p>
            <p class="mt-3 border-l-4 border-watch bg-sheet px-3 py-2">{{ trace.caution }}</p>
            <button type="button" class="press mt-4" @click="safe = true">Everything is off and disconnected</button>
        </div>
        <div v-else-if="trace?.step">
            <LegsPicture :trace="trace" />
            <p class="mt-2" :class="{ 'text-ink2': trace.step.same }">
                {{ trace.step.same ? 'The links stay as they are: ' : 'Link all cores at the far end of '
                }}<b>{{ trace.step.link.join(', ') }}</b
                >{{ trace.step.open.length ? '; open are ' : '.'
                }}<span v-if="trace.step.open.length">{{ trace.step.open.join(', ') }}.</span>
            </p>
            <p class="mt-2 text-lg">
                At {{ near }} put the tester on cores <b class="fig">{{ trace.step.cores[0] }}</b> and
                <b class="fig">{{ trace.step.cores[1] }}</b> of end
                <b class="fig text-2xl text-ember">{{ trace.step.end }}</b>.
            </p>
            <div class="mt-3 grid grid-cols-2 gap-3">
                <button type="button" class="big" :disabled="busy" @click="hear(true)">Tone</button>
                <button type="button" class="big" :disabled="busy" @click="hear(false)">No tone</button>
            </div>
            <p class="mt-3 flex justify-between text-ink2">
                <span
                    >Measured so far: <span class="fig">{{ trace.asked }}</span></span
                >
                <button v-if="trace.asked" type="button" class="act" :disabled="busy" @click="back()">
                    Undo the last answer
                </button>
            </p>
        </div>
        <div v-else-if="trace && trace.found.length">
            <p>
                Found with <span class="fig">{{ trace.asked }}</span> measurements. Write the names on the ends now.
            </p>
            <table class="mt-2 w-full text-left">
                <thead class="text-xs text-ink2">
                    <tr>
                        <th class="font-normal">End</th>
                        <th class="font-normal">is leg</th>
                        <th class="font-normal">and</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="end in trace.ends" :key="end.number" class="border-t border-rule2">
                        <th scope="row" class="fig py-1 text-lg font-semibold">{{ end.number }}</th>
                        <td class="text-lg font-semibold">{{ end.legs.join(' or ') || 'none of them' }}</td>
                        <td>{{ end.legs.map((leg) => trace?.found.find((f) => f.leg === leg)?.text).join('; ') }}</td>
                    </tr>
                </tbody>
            </table>
            <p class="mt-4 flex flex-wrap gap-4">
                <button type="button" class="press" :disabled="busy" @click="record()">Add to the notes</button>
                <button type="button" class="act" :disabled="busy" @click="back()">Undo the last answer</button>
            </p>
        </div>
        <div v-else-if="trace">
            <p>
                These answers fit no cable with so few faults. Several legs may be broken or joined, or one answer may
                be wrong.
            </p>
            <button type="button" class="act mt-3" :disabled="busy" @click="back()">Undo the last answer</button>
        </div>
        <p v-if="message" role="alert" class="mt-3 text-stop">{{ message }}</p>
    </DialogBox>
</template>

<style scoped>
.big {
    min-height: 64px;
    border: 2px solid var(--ink);
    border-radius: 4px;
    font-size: 18px;
    font-weight: 600;
    background: var(--sheet);
}
.big:hover {
    background: var(--rule-2);
}
</style>
