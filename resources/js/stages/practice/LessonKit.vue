<script setup lang="ts">
import { computed } from 'vue';
import DrawnKit from '@/stages/join/DrawnKit.vue';
import type { Act } from '@/lib/acts';
import type { JoinStep, PracticeAnswer } from '@/types/generated/responses';
import AppBox from './AppBox.vue';

/** Controls of a lesson: the drawn kit and the phone beside it. */
const props = defineProps<{ answer: PracticeAnswer; now: number; step: JoinStep | null }>();
const emit = defineEmits<{ act: [act: Act] }>();
const over = computed(() => props.answer.ended !== null);
</script>

<template>
    <div class="grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,1fr)_250px]">
        <DrawnKit
            :devices="answer.picture.devices"
            :now="now"
            :step="step"
            :inert="over"
            hands
            @act="(act) => emit('act', act)"
        />
        <AppBox
            :keys="answer.keys"
            :lines="answer.lines"
            :names="answer.lesson.names"
            :parts="answer.lesson.told ? [] : answer.parts"
            :inert="over"
            @act="(act) => emit('act', act)"
        />
    </div>
</template>
