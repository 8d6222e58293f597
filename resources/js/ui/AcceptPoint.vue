<script setup lang="ts">
import { nextTick, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { Finding } from '@/types/generated/responses';

/** Accepts an open point once a reason is given: it leaves the open points and stays on the record and the sheet. */
const props = defineProps<{ finding: Finding }>();
const { answer, message, reload } = useScreen();
const open = ref(false);
const reason = ref('');
const field = ref<HTMLInputElement>();
const button = ref<HTMLButtonElement>();

async function begin(): Promise<void> {
    open.value = true;
    await nextTick();
    field.value?.focus();
}
async function close(): Promise<void> {
    open.value = false;
    await nextTick();
    button.value?.focus();
}
async function accept(): Promise<void> {
    try {
        await ask('POST', `/jobs/${answer.value.job}/accept`, {
            uuid: uuid(),
            key: props.finding.key,
            reason: reason.value.trim(),
        });
        reason.value = '';
        await reload();
    } catch (error) {
        message.value = inWords(error);
    }
}
</script>

<template>
    <button
        v-if="!open"
        ref="button"
        type="button"
        class="text-[13px] text-ink2 underline decoration-rule underline-offset-4"
        :aria-label="`Accept: ${finding.title}`"
        @click="begin()"
    >
        Accept …
    </button>
    <form v-else class="mt-1 flex w-full flex-wrap gap-2" @submit.prevent="accept()" @keydown.esc.stop="close()">
        <input
            ref="field"
            v-model="reason"
            class="field w-auto min-w-0 flex-1 basis-44 py-0.5"
            maxlength="300"
            placeholder="Reason, for the record"
            :aria-label="`Reason for accepting: ${finding.title}`"
        />
        <button type="submit" class="press" :disabled="!reason.trim()">Accept</button>
        <button type="button" class="quiet" @click="close()">Cancel</button>
    </form>
</template>
