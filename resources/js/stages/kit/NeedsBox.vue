<script setup lang="ts">
import { computed, ref } from 'vue';
import { useScreen, type Payload } from '@/lib/screen';
import type { NeedSet, OptionQuestion, OptionWish } from '@/types/generated/responses';

/** Three questions before any kit is chosen; three answers compare the suitable options. */
const props = defineProps<{ needs: OptionQuestion[]; sets: NeedSet[]; wishes: OptionWish[] }>();
const { change } = useScreen();
type Key = 'colour' | 'by' | 'light';
const pressed = ref<Partial<Record<Key, string>>>({});

/** Answers that all compared options share. */
const common = computed(() => {
    const of = (key: Key) => {
        const values = new Set(props.wishes.map((w) => w[key]));
        return values.size === 1 ? [...values][0] : undefined;
    };
    // The default options are no answer of the user.
    return of('by') ? { colour: of('colour'), by: of('by'), light: of('light') } : {};
});
const answers = computed<Partial<Record<Key, string>>>(() => ({ ...common.value, ...pressed.value }));
const chosen = computed(() =>
    props.sets.find(
        (s) => s.colour === answers.value.colour && s.by === answers.value.by && s.light === answers.value.light,
    ),
);
function answer(key: string, value: string | number): void {
    pressed.value = { ...pressed.value, [key]: String(value) };
    if (chosen.value?.set) {
        void change(chosen.value.set as Payload);
    }
}
</script>

<template>
    <div v-if="needs.length" class="border-y border-rule2 py-2">
        <div v-for="question in needs" :key="question.key" class="flex flex-wrap items-baseline gap-x-2 gap-y-1 py-0.5">
            <span class="w-24 text-ink2">{{ question.label }}</span>
            <span class="flex flex-wrap gap-1" role="group" :aria-label="question.label">
                <button
                    v-for="choice in question.choices"
                    :key="choice.value"
                    type="button"
                    class="chip"
                    :aria-pressed="answers[question.key as Key] === choice.value"
                    @click="answer(question.key, choice.value)"
                >
                    {{ choice.text }}
                </button>
            </span>
        </div>
        <p v-if="chosen?.none" class="mt-1 text-watch" role="status">{{ chosen.none }}</p>
        <p v-else-if="!chosen" class="mt-1 text-[13px] text-ink2">
            Three answers show the options that suit. Without them, these are the usual ones.
        </p>
    </div>
</template>
