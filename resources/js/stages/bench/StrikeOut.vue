<script setup lang="ts">
import { nextTick, ref } from 'vue';

/** Strikes out a log entry once a reason is given. The entry stays in the log. */
defineProps<{ label: string }>();
const emit = defineEmits<{ strike: [reason: string] }>();
const open = ref(false);
const reason = ref('');
const field = ref<HTMLInputElement>();
const button = ref<HTMLButtonElement>();

async function ask(): Promise<void> {
    open.value = true;
    await nextTick();
    field.value?.focus();
}
async function close(): Promise<void> {
    open.value = false;
    reason.value = '';
    await nextTick();
    button.value?.focus();
}
async function strike(): Promise<void> {
    if (reason.value.trim()) {
        emit('strike', reason.value.trim());
        await close();
    }
}
</script>

<template>
    <button
        v-if="!open"
        ref="button"
        type="button"
        class="text-[13px] text-ink2 underline decoration-rule underline-offset-4"
        :aria-label="`Strike out ${label}`"
        @click="ask()"
    >
        Strike out
    </button>
    <form v-else class="mt-1 flex flex-wrap gap-2" @submit.prevent="strike()" @keydown.esc.stop="close()">
        <input
            ref="field"
            v-model="reason"
            class="field w-auto min-w-0 flex-1 basis-44 py-0.5"
            maxlength="500"
            placeholder="Reason, such as: misread"
            :aria-label="`Reason for striking out ${label}`"
        />
        <button type="submit" class="press" :disabled="!reason.trim()">Strike out</button>
        <button type="button" class="quiet" @click="close()">Cancel</button>
    </form>
</template>
