<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3';
import { computed } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import EmberMark from '@/ui/EmberMark.vue';
import { face, turnFace } from '@/lib/face';
import { since } from '@/lib/hours';
import { useKeys } from '@/lib/keys';
import type { LessonLine, PracticeHome } from '@/types/generated/responses';

/** The lessons as a path from easy to hard. */
const props = defineProps<{ home: PracticeHome }>();
const done = computed(() => props.home.lessons.filter((l) => l.state === 'passed' || l.state === 'clean').length);
const next = computed(() => props.home.lessons.find((l) => l.state === 'new' || l.state === 'tried'));
const words: Record<LessonLine['state'], string> = {
    new: 'not started',
    tried: 'tried',
    passed: 'passed',
    clean: 'passed without help',
};
const begin = (lesson: LessonLine) => router.post(`/practice/${lesson.key}`);
useKeys(() => [
    { key: 'b', what: 'Start the next lesson', act: () => next.value && begin(next.value) },
    { key: 'j', what: 'All jobs', act: () => router.visit('/') },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="Practice" />
    <div class="mx-auto flex min-h-full max-w-[1080px] flex-col px-4 pb-8 sm:px-6">
        <header class="flex h-[52px] items-center gap-4">
            <Link href="/" aria-label="All jobs"><EmberMark /></Link>
            <h1 class="text-xl font-semibold">Practice</h1>
            <span class="ml-auto text-ink2"
                ><b class="fig text-ink">{{ done }}</b> of
                <span class="fig">{{ home.lessons.length }}</span> passed</span
            >
            <button type="button" class="text-ink2" @click="turnFace()">
                {{ face === 'day' ? 'Night' : 'Day' }} <kbd>D</kbd>
            </button>
        </header>
        <ConnectionNote />
        <main>
            <p class="max-w-[72ch] border-t border-ink pt-4 text-ink2">
                Practise resets, joins and links on simulated devices, from easy to hard. You press, hold and carry the
                drawn kit yourself; at the end every control is pressed. Nothing here touches a job. A job of your own
                is rehearsed at its Join.
            </p>
            <ol class="path mt-4">
                <li v-for="l in home.lessons" :key="l.key" :class="l.state">
                    <span class="knot fig" aria-hidden="true">{{ l.number }}</span>
                    <div class="min-w-0 flex-1">
                        <h2 class="text-lg font-semibold">
                            {{ l.title }}
                            <span class="ml-2 text-[13px] font-normal text-ink2"
                                >{{ words[l.state] }}{{ l.best === null ? '' : `, best ${since(l.best)}`
                                }}{{ l.told ? '' : ' · from the instructions alone' }}</span
                            >
                        </h2>
                        <p class="text-ink2">{{ l.teaches }}</p>
                    </div>
                    <div class="flex shrink-0 items-center gap-2">
                        <Link v-if="l.open" :href="`/practice/runs/${l.open}`" class="quiet">Go on</Link>
                        <button type="button" :class="l.key === next?.key ? 'press' : 'quiet'" @click="begin(l)">
                            {{ l.tries || l.open ? 'Again' : 'Begin' }}<span class="sr-only">: {{ l.title }}</span>
                            <kbd v-if="l.key === next?.key">B</kbd>
                        </button>
                    </div>
                </li>
            </ol>
        </main>
    </div>
</template>

<style scoped>
.path li {
    position: relative;
    display: flex;
    gap: 16px;
    align-items: flex-start;
    padding: 12px 0 12px 4px;
    border-bottom: 1px solid var(--rule-2);
}
/* The path from knot to knot. */
.path li:not(:last-child)::before {
    content: '';
    position: absolute;
    left: 19px;
    top: 44px;
    bottom: -14px;
    border-left: 2px solid var(--rule);
}
.knot {
    display: grid;
    place-items: center;
    width: 32px;
    height: 32px;
    flex: none;
    border: 2px solid var(--ink-3);
    border-radius: 50%;
    background: var(--paper);
    z-index: 1;
    font-weight: 600;
}
.passed .knot {
    border-color: var(--lit);
}
.clean .knot {
    border-color: var(--ink);
    background: var(--glow);
    color: var(--on-glow);
}
@media (max-width: 640px) {
    .path li {
        flex-wrap: wrap;
    }
    .path li > div:last-child {
        padding-left: 48px;
    }
}
</style>
