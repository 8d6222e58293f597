<script setup lang="ts">
import { computed } from 'vue';
import type { BenchTest } from '@/types/generated/responses';

/** The tests of a run in their order, under the steps of the work that they belong to. */
const props = defineProps<{ tests: BenchTest[]; chosen: string; isDone: (test: BenchTest) => boolean }>();
const emit = defineEmits<{ choose: [id: string] }>();
const WHEN: Record<string, string> = {
    settings: 'Before mounting',
    loose: 'Loose in place',
    second: 'After joints and mounting',
};
const groups = computed(() => {
    const found = new Map<string, BenchTest[]>();
    for (const test of props.tests) {
        const when = WHEN[test.step.split('-')[0] ?? ''] ?? test.stepTitle;
        found.set(when, [...(found.get(when) ?? []), test]);
    }
    return [...found].map(([when, tests]) => ({ when, tests }));
});
</script>

<template>
    <nav aria-label="Tests" class="text-[14px]">
        <template v-for="group in groups" :key="group.when">
            <h3 class="mt-2 text-[12px] text-ink2 first:mt-0">{{ group.when }}</h3>
            <ol>
                <li v-for="test in group.tests" :key="test.id">
                    <button
                        type="button"
                        class="flex w-full items-baseline gap-2 border-l-2 py-0.5 pl-2 text-left"
                        :class="test.id === chosen ? 'border-ember bg-sheet font-semibold' : 'border-rule2'"
                        :aria-current="test.id === chosen ? 'step' : undefined"
                        @click="emit('choose', test.id)"
                    >
                        <svg viewBox="0 0 10 10" class="size-2.5 shrink-0" aria-hidden="true">
                            <circle v-if="!isDone(test)" cx="5" cy="5" r="4" fill="none" stroke="var(--ink-3)" />
                            <path v-else d="M1 5.5 4 8.5 9 1.5" fill="none" stroke="var(--lit)" stroke-width="1.8" />
                        </svg>
                        <span>{{ test.title }}</span><span class="sr-only"
                            >, {{ isDone(test) ? 'done' : 'not done' }}</span
                        >
                    </button>
                </li>
            </ol>
        </template>
    </nav>
</template>
