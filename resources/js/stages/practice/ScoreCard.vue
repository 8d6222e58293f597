<script setup lang="ts">
import { ref } from 'vue';
import { since } from '@/lib/hours';
import type { PracticeScore } from '@/types/generated/responses';

/** How a lesson went. */
defineProps<{ score: PracticeScore }>();
const emit = defineEmits<{ turning: [at: number] }>();
const heading = ref<HTMLElement>();
defineExpose({ focus: () => heading.value?.focus() });
const count = (n: number) => (n === 0 ? 'none' : String(n));
</script>

<template>
    <section aria-labelledby="score" role="status">
        <h2 id="score" ref="heading" tabindex="-1" class="text-[26px] font-semibold leading-8 outline-none">
            <template v-if="score.clean">Passed without help</template>
            <template v-else>{{ score.passed ? 'Passed' : 'Not passed yet' }}</template>
        </h2>
        <dl class="mt-3 grid grid-cols-[1fr_auto] gap-y-1">
            <dt>Controls that work</dt>
            <dd class="fig text-right">
                <b>{{ score.works }}</b> of {{ score.wanted }}
            </dd>
            <dt>Needless resets</dt>
            <dd class="fig text-right">{{ count(score.resets) }}</dd>
            <dt>Missed time windows</dt>
            <dd class="fig text-right">{{ count(score.missed) }}</dd>
            <dt>Names given before a look</dt>
            <dd class="fig text-right">{{ count(score.guesses) }}</dd>
            <dt>Presses that are no gesture</dt>
            <dd class="fig text-right">{{ count(score.useless) }}</dd>
            <dt>Time</dt>
            <dd class="fig text-right">
                {{ since(score.seconds) }} <span class="text-ink2">the guide {{ since(score.guide) }}</span>
            </dd>
        </dl>
        <ul v-if="score.lines.length" class="mt-3 space-y-1" aria-label="Not working">
            <li v-for="line in score.lines" :key="line" class="border-l-4 border-stop bg-sheet px-3 py-1">
                {{ line }}
            </li>
        </ul>
        <div v-if="score.turning" class="mt-4 border-l-4 border-ember pl-3">
            <h3 class="font-semibold">
                Turning point <span class="fig">{{ score.turning.clock }}</span>
            </h3>
            <p>{{ score.turning.says }}</p>
            <button type="button" class="quiet mt-2 !min-h-[44px]" @click="emit('turning', score.turning.at)">
                Show that moment
            </button>
        </div>
        <p v-if="score.mistake" class="mt-3 text-[13px] text-ink2"><b>About this lesson:</b> {{ score.mistake }}</p>
    </section>
</template>
