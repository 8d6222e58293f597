<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { SurveyRun } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

const props = defineProps<{ run: SurveyRun; mountings: string[]; lights: { key: string; words: string }[] }>();
const { change } = useScreen();

const say = (word: string, on: boolean) => void change({ kind: 'NoteRun', run: props.run.id, word, on });
</script>

<template>
    <div class="border-b border-rule2 py-2">
        <p class="flex flex-wrap items-baseline gap-x-3">
            <b class="font-semibold">{{ run.name }}</b> <FigureText :figure="run.length" />
            <span v-if="run.apart" class="text-[13px] text-ink2">ends <FigureText :figure="run.apart" /> apart</span>
            <span v-if="run.height" class="text-[13px] text-ink2">up {{ run.height }}</span>
        </p>
        <p class="mt-1 flex flex-wrap gap-1" role="group" :aria-label="`Mounting of ${run.name}`">
            <button
                v-for="how in mountings"
                :key="how"
                type="button"
                class="chip"
                :aria-pressed="run.mounting.includes(how)"
                @click="say(how, !run.mounting.includes(how))"
            >
                {{ how }}
            </button>
            <span class="mx-1 border-l border-rule" />
            <button
                v-for="kind in lights"
                :key="kind.key"
                type="button"
                class="chip"
                :aria-pressed="run.light === kind.key"
                @click="say(kind.key, run.light !== kind.key)"
            >
                {{ kind.words }}
            </button>
        </p>
    </div>
</template>
