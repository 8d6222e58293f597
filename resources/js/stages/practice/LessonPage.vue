<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3';
import { useMediaQuery } from '@vueuse/core';
import { computed, nextTick, ref } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import EmberMark from '@/ui/EmberMark.vue';
import JoinStepCard from '@/stages/join/JoinStepCard.vue';
import Lanes from '@/stages/join/Lanes.vue';
import RunLog from '@/stages/join/RunLog.vue';
import RunNotes from '@/stages/join/RunNotes.vue';
import { stepKeys } from '@/stages/join/keys';
import { useLive } from '@/stages/join/live';
import type { Act } from '@/lib/acts';
import { since } from '@/lib/hours';
import { useKeys } from '@/lib/keys';
import type { PracticeAnswer, StepAnswer } from '@/types/generated/responses';
import LessonKit from './LessonKit.vue';
import LeafletBox from './LeafletBox.vue';
import ReplayBar from './ReplayBar.vue';
import ScoreCard from './ScoreCard.vue';

const props = defineProps<{ first: PracticeAnswer }>();
const runs = '/practice/runs';
const { live, now, message, pointer, slept, lost, sleepy, waiting, stuck, picture, pressed, say, act } =
    useLive<PracticeAnswer>({ act: (run) => `${runs}/${run}`, look: (run) => `${runs}/${run}/look` }, props.first);
const answer = computed(() => live.value ?? props.first);
const lesson = computed(() => answer.value.lesson);
const over = computed(() => answer.value.ended !== null);
const wide = useMediaQuery('(min-width: 1024px)');
const step = computed(() => picture.value?.step);
/** The step that the guide tells, in lessons that have one. */
const told = computed(() => (lesson.value.told ? (step.value ?? null) : null));
const confirming = ref(false);
const sure = ref<HTMLButtonElement>();
const outcome = ref<InstanceType<typeof ScoreCard>>();

/** The keyboard goes on at the question that takes the place of the button. */
async function ready(): Promise<void> {
    confirming.value = true;
    await nextTick();
    sure.value?.focus();
}

const give = (what: Act) => void act(what);
/** The hands of a lesson have done it themselves, on the drawn kit. */
const reply = ({ kind, device, text, key }: StepAnswer, typed = {}) =>
    give({ kind: kind === 'work' ? 'done' : kind, device, text, ...typed, answer: key });
async function end(): Promise<void> {
    if (await say('POST', `${runs}/${answer.value.run}/end`)) {
        await nextTick();
        outcome.value?.focus();
    }
}
const skip = () => void say('POST', `${runs}/${answer.value.run}/skip`);
const pace = () => void say('POST', `${runs}/${answer.value.run}/pace`, { speed: answer.value.speed === 0 ? 1 : 0 });
const again = () => router.post(`/practice/${lesson.value.key}`);
const onward = () => router.post(`/practice/${lesson.value.next}`);
const look = (at: number) => void say('GET', `${runs}/${answer.value.run}/look?at=${at.toFixed(1)}`);
useKeys(() => {
    if (over.value) {
        return [
            { key: 'b', what: 'Start again', act: again },
            ...(answer.value.score?.passed && lesson.value.next
                ? [{ key: 'g', what: 'Next lesson', act: onward }]
                : []),
        ];
    }
    return [
        ...(lesson.value.told && step.value ? stepKeys(step.value, reply, () => now.value) : []),
        { key: 'q', what: 'Skip the wait', act: skip },
        { key: 'p', what: 'Pause or go on', act: pace },
    ];
});
</script>

<template>
    <Head :title="lesson.title" />
    <div class="mx-auto flex min-h-full max-w-[1280px] flex-col px-4 pb-6 sm:px-6">
        <header class="flex min-h-[52px] flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink">
            <Link href="/" aria-label="All jobs"><EmberMark /></Link>
            <Link href="/practice" class="text-ink2 hover:underline">Practice</Link>
            <h1 class="text-xl font-semibold">
                <span class="fig">{{ lesson.number }}</span> {{ lesson.title }}
            </h1>
            <span class="fig ml-auto text-xl" aria-label="Run clock">{{ since(now) }}</span>
            <template v-if="!over">
                <button type="button" class="quiet" @click="pace()">
                    {{ answer.speed === 0 ? 'Go on' : 'Pause' }} <kbd>P</kbd>
                </button>
                <button type="button" class="quiet" @click="skip()">Skip the wait <kbd>Q</kbd></button>
            </template>
            <button v-else type="button" class="press" @click="again()">Start again <kbd>B</kbd></button>
        </header>
        <ConnectionNote />
        <div class="pt-3">
            <RunNotes
                :lost="lost"
                :waiting="waiting"
                :stuck="stuck"
                :slept="slept"
                :sleepy="sleepy && !over"
                :message="message"
                :site="false"
            />
        </div>
        <main v-if="picture" class="grid gap-x-8 gap-y-4 pt-1 lg:grid-cols-[minmax(300px,430px)_minmax(0,1fr)]">
            <div class="min-w-0">
                <div v-if="answer.score">
                    <ScoreCard ref="outcome" :score="answer.score" @turning="look" />
                    <button
                        v-if="answer.score.passed && lesson.next"
                        type="button"
                        class="press mt-4 !min-h-[44px]"
                        @click="onward()"
                    >
                        Next lesson: {{ lesson.nextTitle }} <kbd>G</kbd>
                    </button>
                </div>
                <template v-else>
                    <p class="text-ink2">{{ lesson.teaches }}</p>
                    <p class="mt-2 border-l-4 border-ember pl-3"><b>Must work at the end:</b> {{ lesson.goal }}</p>
                    <JoinStepCard
                        v-if="lesson.told && !picture.done"
                        class="mt-4"
                        :picture="picture"
                        :now="now"
                        :site="false"
                        lesson
                        :pressed="pressed"
                        :refused="pointer === '/name' ? { at: 'name', message } : undefined"
                        @act="give"
                        @answer="reply"
                    >
                        <!-- On a phone the lamp is looked at above what is answered. -->
                        <LessonKit v-if="!wide" class="mt-3" :answer="answer" :now="now" :step="told" @act="give" />
                    </JoinStepCard>
                    <LessonKit v-else-if="!wide" class="mt-4" :answer="answer" :now="now" :step="null" @act="give" />
                    <div class="mt-4 flex flex-wrap gap-2">
                        <button v-if="!confirming" type="button" class="quiet !min-h-[44px]" @click="ready()">
                            Finished: test every control
                        </button>
                        <template v-else>
                            <button ref="sure" type="button" class="press !min-h-[44px]" @click="end()">
                                Test every control now
                            </button>
                            <button type="button" class="quiet !min-h-[44px]" @click="confirming = false">
                                Not yet
                            </button>
                        </template>
                    </div>
                </template>
                <LeafletBox
                    v-if="!lesson.told || over"
                    class="mt-5"
                    :leaflets="answer.leaflets"
                    :open="wide && !over"
                />
            </div>
            <div class="min-w-0">
                <ReplayBar v-if="answer.ended !== null" :at="picture.now" :end="answer.ended" @at="look" />
                <LessonKit v-if="wide || over" :answer="answer" :now="now" :step="over ? null : told" @act="give" />
                <Lanes class="mt-3" :lanes="picture.lanes" :now="now" :about="told?.device ?? ''" />
                <RunLog :lines="picture.log" />
            </div>
        </main>
    </div>
</template>
