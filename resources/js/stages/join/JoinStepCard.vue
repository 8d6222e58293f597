<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, nextTick, ref, watch } from 'vue';
import { useScreen } from '@/lib/screen';
import type { JoinPicture } from '@/types/generated/responses';
import SignalBars from './SignalBars.vue';

const props = defineProps<{
    picture: JoinPicture;
    now: number;
    /** With real devices: what comes into the list is said. */
    site: boolean;
    refused?: { at: string; message: string };
}>();
const emit = defineEmits<{
    hand: [kind: string];
    press: [];
    power: [];
    name: [given: { name: string; room: string }];
    listed: [as: string];
}>();
const { answer } = useScreen();
const step = computed(() => props.picture.step);
const left = computed(() => (step.value.to === null ? null : step.value.to - props.now));
const given = ref({ name: '', room: '' });
const first = ref<HTMLInputElement>();
const listedAs = ref('');

watch(
    () => step.value.kind,
    async (kind) => {
        if (kind === 'name') {
            await nextTick();
            first.value?.focus();
        }
    },
    { immediate: true },
);
const window = {
    reset: 'of the hub’s search left',
    'look-reset': 'left to listen',
    'look-joined': 'left to listen',
    appear: 'until the list has it at the latest',
} as Record<string, string>;
</script>

<template>
    <section aria-labelledby="step" aria-live="polite">
        <p class="fig text-[13px] text-ink2">{{ step.where }}</p>
        <h2 id="step" class="mt-1 text-[28px] font-semibold leading-8">{{ step.title }}</h2>
        <p v-if="step.alert" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-2">{{ step.alert }}</p>
        <p class="mt-2 text-ink2">{{ step.why }}</p>
        <p v-if="step.caution" class="mt-2 border-l-4 border-ember pl-3 text-[13px]">
            <b>Caution.</b> {{ step.caution }}
        </p>
        <p v-if="left !== null && left > 0" class="mt-2" aria-live="off">
            <span class="fig text-[44px] leading-[52px] text-ember">{{ left.toFixed(1) }}</span>{{ ' '
            }}<span class="text-ink2">s {{ window[step.kind] }}</span>
        </p>
        <p v-else-if="left !== null" class="mt-2 text-[20px] text-watch">The window is over</p>
        <figure v-if="step.expect" class="mt-3">
            <SignalBars :times="step.expect.times" :words="step.expect.words" />
            <figcaption class="mt-1 text-ink2">
                The strip {{ step.kind === 'reset' ? 'will then flash' : 'should flash' }}:
                <b class="text-ink">{{ step.expect.words }}</b>
            </figcaption>
        </figure>
        <div class="mt-4 grid gap-2">
            <button v-if="step.kind === 'power'" type="button" class="press big" @click="emit('power')">
                Switched on <kbd>O</kbd>
            </button>
            <button v-if="step.kind === 'search'" type="button" class="press big" @click="emit('hand', 'search')">
                Search <kbd>S</kbd>
            </button>
            <button v-if="step.kind === 'reset'" type="button" class="press big" @click="emit('press')">
                Pressed <kbd>Shift P</kbd>
            </button>
            <button v-if="step.kind === 'toggle'" type="button" class="press big" @click="emit('hand', 'toggle')">
                Switch it <kbd>T</kbd>
            </button>
            <template v-if="step.yes && step.no">
                <button type="button" class="press big" @click="emit('hand', step.yes)">
                    {{ step.kind === 'identify' ? 'Yes, that strip' : 'Saw that' }} <kbd>Y</kbd>
                </button>
                <button
                    v-if="step.answers.includes('saw-other')"
                    type="button"
                    class="quiet big"
                    @click="emit('hand', 'saw-other')"
                >
                    Saw another pattern <kbd>X</kbd>
                </button>
                <button type="button" class="quiet big" @click="emit('hand', step.no)">
                    {{ step.kind === 'identify' ? 'No, another one' : 'Saw nothing' }} <kbd>N</kbd>
                </button>
            </template>
            <form v-if="site && step.kind === 'appear'" class="space-y-2" @submit.prevent="emit('listed', listedAs)">
                <label class="block"
                    >The app lists it as <input v-model="listedAs" class="field" name="listed" placeholder="Light 1" />
                </label>
                <button class="press big w-full" :disabled="!listedAs.trim()">It is in the list</button>
            </form>
            <form v-if="step.kind === 'name'" class="space-y-2" @submit.prevent="emit('name', given)">
                <label class="block"
                    >Name that people will say, at most {{ picture.letters }} letters
                    <input
                        ref="first"
                        v-model="given.name"
                        class="field"
                        name="name"
                        :aria-invalid="refused?.at === 'name'"
                        aria-describedby="name-said"
                /></label>
                <p v-if="refused?.at === 'name'" id="name-said" role="alert" class="text-stop">{{ refused.message }}</p>
                <label class="block"
                    >Room
                    <input
                        v-model="given.room"
                        class="field"
                        name="room"
                        :aria-invalid="refused?.at === 'room'"
                        aria-describedby="room-said"
                /></label>
                <p v-if="refused?.at === 'room'" id="room-said" role="alert" class="text-stop">{{ refused.message }}</p>
                <button class="press big w-full">Name it</button>
            </form>
            <Link v-if="step.kind === 'done'" :href="`/jobs/${answer.job}/handover`" class="press big text-center"
                >Hand over</Link
            >
        </div>
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
</style>
