<script setup lang="ts">
import { nextTick, onBeforeUnmount, ref } from 'vue';

/** A form inside the list: save, remove or cancel, also by Esc; focus returns to its opener. */
defineProps<{ keep: string; there: boolean; refused?: string }>();
const emit = defineEmits<{ keep: []; out: []; leave: [] }>();
const form = ref<HTMLFormElement>();
onBeforeUnmount(() => {
    const host = form.value?.parentElement;
    const section = form.value?.closest('section');
    void nextTick(() => {
        const to = host?.isConnected ? host : section;
        to?.querySelector<HTMLElement>('button')?.focus();
    });
});
</script>

<template>
    <form
        ref="form"
        class="my-2 border-l-4 border-ember bg-sheet px-4 py-3"
        @submit.prevent="emit('keep')"
        @keydown.esc.stop.prevent="emit('leave')"
    >
        <slot />
        <p v-if="refused" role="alert" class="mt-2 text-stop">{{ refused }}</p>
        <div class="mt-3 flex gap-3">
            <button type="submit" class="press">{{ keep }}</button>
            <button v-if="there" type="button" class="quiet" @click="emit('out')">Remove</button>
            <button type="button" class="quiet" @click="emit('leave')">Cancel <kbd aria-hidden="true">Esc</kbd></button>
        </div>
    </form>
</template>
