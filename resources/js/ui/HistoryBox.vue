<script setup lang="ts">
import { ref, watch } from 'vue';
import { said } from '@/lib/clock';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { History } from '@/types/generated/responses';
import DialogBox from './DialogBox.vue';

const props = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { answer } = useScreen();
const lines = ref<History['history']>([]);
const earlier = ref(false);
const refused = ref('');
const time = (at: string) => said(at, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

watch(
    () => props.open,
    async (open) => {
        if (open) {
            lines.value = [];
            await more();
        }
    },
);
/** The page of revisions before the last that is shown. */
async function more(): Promise<void> {
    const last = lines.value.at(-1)?.number;
    try {
        const page = await ask<History>(
            'GET',
            `/jobs/${answer.value.job}/history${last === undefined ? '' : `?before=${last}`}`,
        );
        lines.value = [...lines.value, ...page.history];
        earlier.value = page.earlier;
        refused.value = '';
    } catch (error) {
        refused.value = inWords(error);
    }
}
</script>

<template>
    <DialogBox :open="open" title="History" reading @close="emit('close')">
        <ol>
            <li
                v-for="line in lines"
                :key="line.number"
                class="grid grid-cols-[3ch_1fr_auto] gap-3 border-t border-rule2 py-1.5"
            >
                <span class="fig text-right text-ink2">{{ line.number }}</span>
                <span>{{ line.words }}</span>
                <span class="text-right text-ink2">{{ line.who ?? 'by command' }}, {{ time(line.at) }}</span>
            </li>
        </ol>
        <p v-if="refused" role="alert" class="mt-2 text-stop">{{ refused }}</p>
        <button v-if="earlier" type="button" class="quiet mt-3" @click="more()">Show earlier revisions</button>
    </DialogBox>
</template>
