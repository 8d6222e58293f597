<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import type { QuoteState } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';
import FigureText from '@/ui/FigureText.vue';
import QuoteLines from '@/ui/QuoteLines.vue';
import QuoteTerms from './QuoteTerms.vue';

/** The current quote, and the changes since the last one sent. */
const props = defineProps<{ open: boolean; job: number; currency: string }>();
const emit = defineEmits<{ close: [] }>();
const state = ref<QuoteState | null>(null);
const message = ref('');
const groups = computed(() => [
    { name: 'Parts', lines: state.value?.parts ?? [] },
    { name: 'Work', lines: state.value?.work ?? [] },
]);

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
    <DialogBox :open="open" title="Quote" wide @close="emit('close')">
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <div v-else-if="state" class="grid gap-6 sm:grid-cols-[3fr_2fr]">
            <div class="space-y-3">
                <p>
                    Current quote:
                    <b class="text-lg font-semibold"><FigureText :figure="state.total" /></b>
                </p>
                <table class="w-full text-[13px]">
                    <caption class="sr-only">
                        Quote lines
                    </caption>
                    <tbody v-for="group in groups" :key="group.name">
                        <tr class="border-b border-rule">
                            <th scope="colgroup" colspan="3" class="pt-2 text-left font-semibold">{{ group.name }}</th>
                        </tr>
                        <tr v-for="line in group.lines" :key="line.what" class="border-b border-rule2">
                            <th scope="row" class="text-left font-normal">{{ line.what }}</th>
                            <td class="fig whitespace-nowrap text-right">{{ line.count }}</td>
                            <td class="fig w-24 text-right">{{ line.amount }}</td>
                        </tr>
                    </tbody>
                    <tbody>
                        <tr>
                            <th scope="row" class="pt-2 text-left font-normal text-ink2">Net</th>
                            <td></td>
                            <td class="fig pt-2 text-right">{{ state.net }}</td>
                        </tr>
                        <tr>
                            <th scope="row" class="text-left font-normal text-ink2">Tax</th>
                            <td></td>
                            <td class="fig text-right">{{ state.tax }}</td>
                        </tr>
                    </tbody>
                </table>
                <p v-if="state.unpriced.length" class="text-watch">
                    No price, not included: {{ state.unpriced.join(', ') }}.
                </p>
                <div class="flex flex-wrap gap-3">
                    <a class="press" :href="`/jobs/${job}/quote.pdf`" target="_blank">Open PDF</a>
                    <a class="quiet" :href="`/jobs/${job}/quote`" target="_blank">Print view</a>
                    <button type="button" class="quiet" @click="load('POST')">Mark as sent</button>
                </div>
                <section v-if="state.given">
                    <h3 class="font-semibold">
                        Sent on {{ state.given.at }}, revision {{ state.given.revision }}:
                        <span class="fig">{{ state.given.total }}</span> {{ currency }}
                    </h3>
                    <p v-if="state.given.changes.length === 0">No changes since.</p>
                    <QuoteLines v-else :lines="state.given.changes" title="Changes since" />
                </section>
            </div>
            <QuoteTerms :job="job" :terms="state.terms" @kept="load('GET')" />
        </div>
    </DialogBox>
</template>
