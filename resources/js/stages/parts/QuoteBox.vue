<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import type { QuoteState } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

/** The quote as it would be now, and what has changed since the last one that was given. */
const props = defineProps<{ open: boolean; job: number; currency: string }>();
const emit = defineEmits<{ close: [] }>();
const state = ref<QuoteState | null>(null);
const message = ref('');

async function load(method: 'GET' | 'POST'): Promise<void> {
    try {
        state.value = await ask<QuoteState>(method, `/jobs/${props.job}/quotes`);
        message.value = '';
    } catch (error) {
        message.value = inWords(error);
    }
}
watch(
    () => props.open,
    (open) => open && void load('GET'),
);
</script>

<template>
    <DialogBox :open="open" title="Quote" @close="emit('close')">
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <div v-else-if="state" class="space-y-3">
            <p>
                As the job stands: <b class="fig text-lg font-semibold">{{ state.total.text }}</b> {{ currency }}.
            </p>
            <table class="w-full text-[13px]" data-figure="Quote">
                <caption class="sr-only">
                    How it comes to that:
                    {{
                        state.total.formula
                    }}
                </caption>
                <tbody>
                    <tr v-for="input in state.total.inputs" :key="input.symbol" class="border-b border-rule2">
                        <th scope="row" class="text-left font-normal">{{ input.meaning }}</th>
                        <td class="fig text-right">{{ input.text }}</td>
                    </tr>
                </tbody>
            </table>
            <p class="text-[13px] text-ink2">{{ state.total.assumption }}</p>
            <p v-if="state.unpriced.length" class="text-watch">
                Without a price, so not in it: {{ state.unpriced.join(', ') }}.
            </p>
            <div class="flex flex-wrap gap-3">
                <a class="press" :href="`/jobs/${job}/quote.pdf`" target="_blank">Open as PDF</a>
                <a class="quiet" :href="`/jobs/${job}/quote`" target="_blank">Open to print</a>
                <button type="button" class="quiet" @click="load('POST')">Note it as given</button>
            </div>
            <section v-if="state.given">
                <h3 class="font-semibold">
                    Given on {{ state.given.at }}, revision {{ state.given.revision }}:
                    <span class="fig">{{ state.given.total }}</span> {{ currency }}
                </h3>
                <p v-if="state.given.changes.length === 0">Nothing has changed since.</p>
                <table v-else class="mt-1 w-full text-[13px]">
                    <caption class="text-left text-ink2">
                        What has changed since
                    </caption>
                    <tbody>
                        <tr v-for="line in state.given.changes" :key="line.what" class="border-b border-rule2">
                            <th scope="row" class="text-left font-normal">{{ line.what }}</th>
                            <td class="fig text-right">{{ line.then }}</td>
                            <td class="fig text-right">{{ line.now }}</td>
                            <td class="fig w-20 text-right">{{ line.difference }}</td>
                        </tr>
                    </tbody>
                </table>
            </section>
        </div>
    </DialogBox>
</template>
