<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { readNumber } from '@/lib/number';
import { useScreen, type Payload } from '@/lib/screen';
import type { QuoteMove, Terms } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import QuoteLines from '@/ui/QuoteLines.vue';

/** Terms of the quote. The effect of a change is shown before saving. */
const props = defineProps<{ job: number; terms: Terms }>();
const emit = defineEmits<{ kept: [] }>();
const { change, message } = useScreen();

type Key = 'hourRate' | 'markUp' | 'tax' | 'travelMinutes' | 'travelCost' | 'validDays' | 'deposit';
const FIELDS: { key: Key; name: string; unit: string; times: number }[] = [
    { key: 'hourRate', name: 'Hourly rate', unit: '', times: 1 },
    { key: 'markUp', name: 'Margin on parts', unit: '%', times: 100 },
    { key: 'tax', name: 'Tax', unit: '%', times: 100 },
    { key: 'travelMinutes', name: 'Travel time', unit: 'min', times: 1 },
    { key: 'travelCost', name: 'Cost per trip', unit: '', times: 1 },
    { key: 'deposit', name: 'Deposit', unit: '%', times: 100 },
    { key: 'validDays', name: 'Quote valid for', unit: 'days', times: 1 },
];
const typed = ref<Record<string, string>>({});
const currency = ref('');
const rates = ref('');
const again = ref(true);
const conditions = ref('');
const moved = ref<QuoteMove | null>(null);
const refused = ref('');

watch(
    () => props.terms,
    (t) => {
        typed.value = Object.fromEntries(FIELDS.map((f) => [f.key, String(Number((t[f.key] * f.times).toFixed(4)))]));
        currency.value = t.currency;
        rates.value = t.rates.map((r) => `${r.currency} ${r.rate}`).join('; ');
        again.value = t.again;
        conditions.value = t.conditions;
        moved.value = null;
        refused.value = '';
    },
    { immediate: true },
);

/** Rates as written: “USD 0.92; CHF 1,05”; the first that cannot be read when there is one. */
function readRates(text: string): { currency: string; rate: number }[] | string {
    const read = [];
    for (const part of text
        .split(';')
        .map((p) => p.trim())
        .filter(Boolean)) {
        const [, code, number] = /^([a-z]{3})\s+(\S+)$/i.exec(part) ?? [];
        const rate = readNumber(number ?? '');
        if (!code || !rate) {
            return part;
        }
        read.push({ currency: code.toUpperCase(), rate });
    }
    return read;
}

/** The change that the form asks for, or why it cannot be read. */
const wanted = computed<Payload | string>(() => {
    const terms: Payload = {
        kind: 'SetTerms',
        currency: currency.value.trim().toUpperCase(),
        again: again.value,
        conditions: conditions.value.trim(),
    };
    for (const field of FIELDS) {
        const number = readNumber(typed.value[field.key] ?? '');
        if (number === null) {
            return `${field.name}: “${typed.value[field.key]}” is not a number. Type one such as 40 or 4,5.`;
        }
        terms[field.key] = number / field.times;
    }
    const other = readRates(rates.value);
    if (typeof other === 'string') {
        return `“${other}” is not a rate. Type the value of one unit of the other currency, such as USD 0.92; CHF 1.05.`;
    }
    return { ...terms, rates: other };
});
const touched = computed(
    () =>
        again.value !== props.terms.again ||
        conditions.value.trim() !== props.terms.conditions ||
        currency.value !== props.terms.currency ||
        rates.value !== props.terms.rates.map((r) => `${r.currency} ${r.rate}`).join('; ') ||
        FIELDS.some((f) => readNumber(typed.value[f.key] ?? '') !== Number((props.terms[f.key] * f.times).toFixed(4))),
);

let round = 0;
const look = useDebounceFn(async () => {
    const mine = ++round;
    if (!touched.value || typeof wanted.value === 'string') {
        moved.value = null;
        refused.value = typeof wanted.value === 'string' ? wanted.value : '';
        return;
    }
    try {
        const found = await ask<QuoteMove>('POST', `/jobs/${props.job}/quotes/preview`, {
            stage: 'parts',
            change: wanted.value,
        });
        if (mine === round) {
            moved.value = found;
            refused.value = '';
        }
    } catch (error) {
        moved.value = mine === round ? null : moved.value;
        refused.value = inWords(error);
    }
}, 250);
watch([typed, currency, rates, again, conditions], () => void look(), { deep: true });

async function keep(): Promise<void> {
    if (typeof wanted.value === 'string') {
        refused.value = wanted.value;
    } else if (await change(wanted.value)) {
        emit('kept');
    } else {
        refused.value = message.value;
    }
}
</script>

<template>
    <form class="space-y-2" aria-label="Terms of the quote" @submit.prevent="keep()">
        <h3 class="font-semibold">Calculated from</h3>
        <label v-for="field in FIELDS" :key="field.key" class="grid grid-cols-[1fr_5rem_2.5rem] items-center gap-2">
            {{ field.name }}
            <input v-model="typed[field.key]" class="fig field" inputmode="decimal" :name="field.key" />
            <span class="text-ink2">{{ field.unit || terms.currency }}</span>
        </label>
        <label class="grid grid-cols-[1fr_5rem_2.5rem] items-center gap-2"
            >Currency <input v-model="currency" class="fig field" maxlength="3" name="currency"
        /></label>
        <label class="grid grid-cols-[1fr_8rem] items-center gap-2"
            >Exchange rates (value of one unit)
            <input v-model="rates" class="fig field" placeholder="USD 0.92" name="rates"
        /></label>
        <label class="flex items-center gap-2"
            ><input v-model="again" type="checkbox" class="accent-ember" name="again" />with a follow-up visit</label
        >
        <label class="block"
            >Conditions printed on the quote
            <textarea v-model="conditions" class="field mt-1" rows="3" maxlength="1000" name="conditions" />
        </label>
        <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
        <div v-if="moved" aria-live="polite" class="border-l-4 border-lit bg-sheet px-3 py-2">
            <p v-if="moved.lines.length === 0">The quote does not change.</p>
            <template v-else>
                <p>The quote would change by <FigureText :figure="moved.moves" signed right />.</p>
                <QuoteLines :lines="moved.lines" title="Line by line" />
            </template>
        </div>
        <button class="press" :disabled="!touched">Save terms</button>
    </form>
</template>
