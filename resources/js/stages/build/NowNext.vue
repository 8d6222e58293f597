<script setup lang="ts">
import { computed } from 'vue';
import type { BuildPicture } from '@/types/generated/responses';
import { dayWords, hoursOf } from '@/lib/hours';

/** On a phone: the current step, the next one, and the waits. */
const props = defineProps<{ build: BuildPicture; done: (step: string) => boolean; today: string }>();
const emit = defineEmits<{ choose: [step: string] }>();
const left = computed(() => props.build.slots.filter((s) => !props.done(s.id)));
const when = (day: string, minute: number) =>
    `${day === props.today ? 'today' : dayWords(day)}, ${hoursOf(props.build.begins, minute)}`;
const two = computed(() =>
    ['Now', 'Next'].flatMap((label, n) => {
        const slot = left.value[n];
        return slot ? [{ label: n === 0 && slot.day > props.today ? 'First' : label, slot }] : [];
    }),
);
const titles = computed(() => new Map(props.build.steps.map((s) => [s.id, s.title])));
</script>

<template>
    <dl v-if="two.length" class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 sm:hidden">
        <template v-for="{ label, slot } in two" :key="label">
            <dt class="pt-2 text-[13px] text-ink2">{{ label }}</dt>
            <dd>
                <button type="button" class="min-h-11 text-left" @click="emit('choose', slot.id)">
                    <span class="block font-semibold">{{ slot.title }}</span>
                    <span class="text-[13px] text-ink2">{{ slot.place }}, {{ when(slot.day, slot.from) }}</span>
                </button>
            </dd>
        </template>
        <template v-for="one in build.waits" :key="one.step + one.part">
            <dt class="text-[13px] text-ink2">Waits</dt>
            <dd class="text-[13px]">
                {{ one.part ? `${one.part} is on the way` : `Curing after “${titles.get(one.step)}”` }}, until
                {{ dayWords(one.until.slice(0, 10)) }}
            </dd>
        </template>
    </dl>
</template>
