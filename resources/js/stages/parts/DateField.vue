<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';

/** A date typed digit by digit: it is emitted on blur, Enter or a pause, not while half typed. */
const props = defineProps<{ value: string; label: string }>();
const emit = defineEmits<{ day: [day: string] }>();
const REST = 1500;
const typed = ref(props.value);
let timer: ReturnType<typeof setTimeout> | undefined;

watch(
    () => props.value,
    (value) => (typed.value = value),
);
function give(): void {
    clearTimeout(timer);
    if (typed.value !== props.value) {
        emit('day', typed.value);
    }
}
function rest(): void {
    clearTimeout(timer);
    timer = setTimeout(give, REST);
}
onBeforeUnmount(() => clearTimeout(timer));
</script>

<template>
    <input
        v-model="typed"
        type="date"
        class="fig border-b border-ink3 bg-transparent"
        :aria-label="label"
        @change="rest()"
        @keydown="rest()"
        @blur="give()"
        @keydown.enter="give()"
    />
</template>
