<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, nextTick, ref, watch } from 'vue';
import type { JoinPicture, StepAnswer } from '@/types/generated/responses';
import type { Act } from '@/lib/acts';
import { useCues } from './cues';
import { early, LETTERS } from './keys';
import SignalBars from '@/pictures/SignalBars.vue';

const props = defineProps<{
    picture: JoinPicture;
    now: number;
    /** On real devices: hands do the step there, and the new list entry is typed. */
    site: boolean;
    /** A lesson: the drawn kit is worked by hand, and lights have no room. */
    lesson?: boolean;
    refused?: { at: string; message: string };
    /** Key of the answer being sent. */
    pressed?: string;
    /** Next page after everything is done. */
    onward?: string;
}>();
const emit = defineEmits<{ act: [act: Act]; answer: [answer: StepAnswer, typed?: { text: string; room?: string }] }>();
const step = computed(() => props.picture.step);
const left = computed(() => (step.value.to === null ? null : step.value.to - props.now));
/** Lamp patterns to look for: two where a reset and its join follow each other. */
const patterns = computed(() => [step.value.expect, step.value.then].filter((signal) => signal !== null));
/** Seconds until the window opens. */
const opens = computed(() => Math.max(0, (step.value.from ?? 0) - props.now));
/** Share of the window that is left, or of the wait before it; null without one. */
const shownFrom = ref(props.now);
const rest = computed(() => {
    const { from, to } = step.value;
    if (opens.value > 0 && from !== null) {
        return Math.min(1, opens.value / Math.max(0.1, from - shownFrom.value));
    }
    return from === null || to === null || to <= from ? null : Math.max(0, Math.min(1, (to - props.now) / (to - from)));
});
const tooEarly = (answer: StepAnswer) => Math.ceil(early(step.value, answer, props.now));
useCues(
    () => step.value,
    () => props.now,
);
const given = ref({ name: '', room: '' });
const first = ref<HTMLInputElement>();
const listedAs = ref('');
const typed = computed(() => step.value.answers.find((a) => a.typed));
const plain = computed(() => step.value.answers.filter((a) => !a.typed));
/** The expected answer stands out, and so does the only one. */
const main = (answer: StepAnswer) =>
    ['expected', 'yes'].includes(answer.key) || (answer.key === 'work' && step.value.look === 'hand');

watch(
    () => step.value.key,
    async () => {
        shownFrom.value = props.now;
        if (step.value.look === 'name') {
            given.value = { name: step.value.name, room: step.value.room };
            await nextTick();
            first.value?.focus();
        }
        listedAs.value = '';
    },
    { immediate: true },
);
function send(text: string, room?: string): void {
    if (typed.value) {
        emit('answer', typed.value, { text, room });
    }
}
</script>

<template>
    <section
        aria-labelledby="step"
        aria-live="polite"
        :data-step="step.key"
        class="self-start lg:sticky lg:top-2 lg:max-h-screen lg:overflow-y-auto"
    >
        <p class="fig text-[13px] text-ink2">
            {{ picture.through }} of {{ picture.tasks }} done<template v-if="step.where"> · {{ step.where }}</template>
        </p>
        <h2 id="step" class="mt-1 text-[21px] font-semibold leading-7 sm:text-2xl sm:leading-8">{{ step.title }}</h2>
        <p v-if="step.alert" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-2">{{ step.alert }}</p>
        <p class="mt-2 text-ink2">{{ step.why }}</p>
        <p v-if="step.caution" class="mt-2 border-l-4 border-ember pl-3 text-[13px]">
            <b>Caution.</b> {{ step.caution }}
        </p>
        <p v-if="opens > 0" class="mt-2" aria-live="off">
            <span class="fig text-[44px] leading-[52px] text-dusk">{{ opens.toFixed(1) }}</span>&nbsp;<span
                class="text-ink2"
                >s to wait</span
            >
        </p>
        <p v-else-if="left !== null && left > 0" class="mt-2" aria-live="off">
            <span class="fig text-[44px] leading-[52px] text-ember">{{ left.toFixed(1) }}</span>&nbsp;<span
                class="text-ink2"
                >s {{ step.left }}</span
            >
        </p>
        <p v-else-if="left !== null" class="mt-2 text-[20px] text-watch">Time is up</p>
        <!-- The rest of the window, or of the wait before it. -->
        <div v-if="rest !== null" class="mt-1 h-1.5 bg-rule" aria-hidden="true">
            <div
                class="h-full"
                :class="opens > 0 ? 'bg-dusk' : 'bg-ember'"
                :style="{ width: `${(100 * rest).toFixed(1)}%` }"
            />
        </div>
        <button
            v-if="step.stops"
            type="button"
            class="act"
            @click="emit('act', { kind: step.stops.kind, device: step.stops.device, text: step.stops.text })"
        >
            {{ step.stops.label }}
        </button>
        <div v-if="patterns.length" class="mt-3 flex flex-wrap gap-x-6 gap-y-2">
            <figure v-for="(pattern, n) in patterns" :key="n">
                <SignalBars :times="pattern.times" :words="pattern.words" />
                <figcaption class="mt-1 text-ink2">
                    {{ patterns.length === 1 ? 'You should see' : ['First', 'Second: it has joined'][n] }}:
                    <b class="text-ink">{{ pattern.words }}</b>
                </figcaption>
            </figure>
        </div>
        <p v-if="!step.expect && step.expects" class="mt-3">
            You should see: <b>{{ step.expects }}</b>
        </p>
        <p v-if="picture.says" class="mt-2 border-l-4 border-dusk bg-sheet px-3 py-1.5">{{ picture.says }}</p>
        <ul v-if="picture.measured.length" class="mt-3 space-y-1" aria-label="Measured at the end">
            <li v-for="line in picture.measured" :key="line" class="border-l-4 border-dusk bg-sheet px-3 py-1">
                {{ line }}
            </li>
        </ul>
        <div v-if="picture.causes.length" class="mt-3">
            <h3 class="text-[13px] text-ink2">Possible causes</h3>
            <ol>
                <li v-for="cause in picture.causes" :key="cause.says" class="flex items-center gap-2 leading-6">
                    <span
                        class="inline-block h-2 shrink-0 bg-copper"
                        :style="{
                            width: `${Math.max(2, cause.share * 72)}px`,
                            marginRight: `${72 - Math.max(2, cause.share * 72)}px`,
                        }"
                    />
                    <span class="fig w-[5ch] shrink-0 text-right text-[13px]"
                        >{{ Math.round(cause.share * 100) }} %</span
                    >
                    {{ cause.says }}
                </li>
            </ol>
            <p v-if="picture.excluded.length" class="mt-1 text-[13px] text-ink2">
                Excluded by the last answer: {{ picture.excluded.join('; ') }}.
            </p>
        </div>
        <slot />
        <div class="mt-4 grid gap-2">
            <div
                v-if="step.tries.length && !site"
                class="flex flex-wrap gap-2"
                role="group"
                aria-label="Use the control"
            >
                <button
                    v-for="attempt in step.tries"
                    :key="attempt.text"
                    type="button"
                    class="quiet big"
                    @click="emit('act', { kind: attempt.kind, device: attempt.device, text: attempt.text })"
                >
                    {{ attempt.label }}
                </button>
            </div>
            <form v-if="typed && step.look === 'list'" class="space-y-2" @submit.prevent="send(listedAs)">
                <label class="block"
                    >Name in the app’s list
                    <input v-model="listedAs" class="field" name="listed" maxlength="80" placeholder="Light 1" />
                </label>
                <button class="press big w-full" :disabled="!listedAs.trim()">{{ typed.label }}</button>
            </form>
            <button
                v-for="one in plain"
                :key="one.key"
                type="button"
                class="big"
                :class="main(one) ? 'press' : 'quiet'"
                :disabled="tooEarly(one) > 0"
                :aria-busy="pressed === one.key"
                @click="emit('answer', one)"
            >
                {{ one.label }}<template v-if="tooEarly(one) > 0">, in {{ tooEarly(one) }} s</template
                ><template v-else-if="pressed === one.key"> …</template>
                <kbd>{{ LETTERS[one.key]?.toUpperCase() }}</kbd>
            </button>
            <form v-if="typed && step.look === 'name'" class="space-y-2" @submit.prevent="send(given.name, given.room)">
                <label class="block"
                    >Name for voice control, at most {{ step.letters }} letters
                    <input
                        ref="first"
                        v-model="given.name"
                        class="field"
                        maxlength="80"
                        name="name"
                        :aria-invalid="refused?.at === 'name'"
                        aria-describedby="name-said"
                /></label>
                <p v-if="refused?.at === 'name'" id="name-said" role="alert" class="text-stop">{{ refused.message }}</p>
                <label v-if="!lesson" class="block"
                    >Room
                    <input
                        v-model="given.room"
                        class="field"
                        maxlength="80"
                        name="room"
                        :aria-invalid="refused?.at === 'room'"
                        aria-describedby="room-said"
                /></label>
                <p v-if="refused?.at === 'room'" id="room-said" role="alert" class="text-stop">{{ refused.message }}</p>
                <button class="press big w-full">{{ typed.label }}</button>
            </form>
            <Link v-if="step.look === 'end' && onward" :href="onward" class="press big text-center">Hand over</Link>
        </div>
        <p v-if="step.ifNot && step.answers.length > 1" class="mt-3 text-[13px] text-ink2">
            <b>If not:</b> {{ step.ifNot }}
        </p>
        <ul v-if="picture.found.length" class="mt-3 text-[13px]" aria-label="Found and fixed">
            <li v-for="found in picture.found" :key="found">Found and fixed: {{ found }}.</li>
        </ul>
    </section>
</template>

<style scoped>
.big {
    display: flex;
    justify-content: space-between;
    align-items: center;
    min-height: 44px;
    padding: 8px 16px;
    font-size: 15px;
    font-weight: 600;
    text-align: left;
}
.big:disabled {
    color: var(--ink-2);
    background: transparent;
    border-style: dashed;
}
</style>
