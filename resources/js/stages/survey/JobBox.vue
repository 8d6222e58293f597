<script setup lang="ts">
import { ref, watch } from 'vue';
import { readNumber } from '@/lib/number';
import { useScreen } from '@/lib/screen';
import type { Terms } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ open: boolean; terms: Terms }>();
const emit = defineEmits<{ close: [] }>();
const { desk, change, message } = useScreen();
const form = ref({
    name: '',
    client: '',
    length: 'metric',
    wire: 'mm2',
    currency: '',
    hourRate: '',
    hoursADay: '',
    markUp: '',
    tax: '',
    rates: '',
});
const refused = ref('');

watch(
    () => props.open,
    () => {
        const t = props.terms;
        form.value = {
            name: desk.value.job,
            client: desk.value.client,
            length: t.length,
            wire: t.wire,
            currency: t.currency,
            hourRate: String(t.hourRate),
            hoursADay: String(t.hoursADay),
            markUp: String(Math.round(1e4 * t.markUp) / 100),
            tax: String(Math.round(1e4 * t.tax) / 100),
            rates: t.rates.map((r) => `${r.currency} ${r.rate}`).join('; '),
        };
        refused.value = '';
    },
);

/** Rates as written: “USD 0.92; CHF 1,05”; the first that cannot be read when there is one. */
function readRates(text: string): { currency: string; rate: number }[] | string {
    const rates = [];
    for (const part of text
        .split(';')
        .map((p) => p.trim())
        .filter(Boolean)) {
        const [, currency, number] = /^([a-z]{3})\s+(\S+)$/i.exec(part) ?? [];
        const rate = readNumber(number ?? '');
        if (!currency || !rate) {
            return part;
        }
        rates.push({ currency: currency.toUpperCase(), rate });
    }
    return rates;
}

async function keep(): Promise<void> {
    const { name, client, length, wire, currency } = form.value;
    const [hourRate, hoursADay, markUp, tax] = [
        readNumber(form.value.hourRate),
        readNumber(form.value.hoursADay),
        readNumber(form.value.markUp),
        readNumber(form.value.tax),
    ];
    if (hourRate === null || hoursADay === null || markUp === null || tax === null) {
        const { hourRate: a, hoursADay: b, markUp: c, tax: d } = form.value;
        refused.value = `“${hourRate === null ? a : hoursADay === null ? b : markUp === null ? c : d}” is no number. Write one such as 40 or 4,5.`;
        return;
    }
    const rates = readRates(form.value.rates);
    if (typeof rates === 'string') {
        refused.value = `“${rates}” is no rate. Write what one of the other currency is worth, such as USD 0.92; CHF 1.05.`;
        return;
    }
    const done =
        (await change({ kind: 'DescribeJob', name, client })) &&
        (await change({
            kind: 'SetTerms',
            length,
            wire,
            currency: currency.toUpperCase(),
            hourRate,
            hoursADay,
            markUp: markUp / 100,
            tax: tax / 100,
            rates,
        }));
    if (done) {
        emit('close');
    } else {
        refused.value = message.value;
    }
}
</script>

<template>
    <DialogBox :open="open" title="The job" @close="emit('close')">
        <form class="space-y-3" @submit.prevent="keep()">
            <label class="block">Job <input v-model="form.name" class="field" maxlength="80" /></label>
            <label class="block">Client <input v-model="form.client" class="field" maxlength="80" /></label>
            <fieldset class="flex flex-wrap gap-x-5 gap-y-1">
                <legend class="sr-only">Lengths</legend>
                <label><input v-model="form.length" type="radio" value="metric" /> metres</label>
                <label><input v-model="form.length" type="radio" value="imperial" /> feet and inches</label>
            </fieldset>
            <fieldset class="flex flex-wrap gap-x-5 gap-y-1">
                <legend class="sr-only">Wire sizes</legend>
                <label><input v-model="form.wire" type="radio" value="mm2" /> mm²</label>
                <label><input v-model="form.wire" type="radio" value="awg" /> AWG</label>
            </fieldset>
            <div class="grid grid-cols-3 gap-3">
                <label class="block">Currency <input v-model="form.currency" class="fig field" maxlength="3" /></label>
                <label class="block"
                    >An hour costs <input v-model="form.hourRate" class="fig field" inputmode="decimal"
                /></label>
                <label class="block"
                    >On parts, % <input v-model="form.markUp" class="fig field" inputmode="decimal"
                /></label>
                <label class="block">Tax, % <input v-model="form.tax" class="fig field" inputmode="decimal" /></label>
                <label class="block"
                    >Lit, hours a day <input v-model="form.hoursADay" class="fig field" inputmode="decimal"
                /></label>
                <label class="block"
                    >One of others is <input v-model="form.rates" class="fig field" placeholder="USD 0.92"
                /></label>
            </div>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <button class="press">Keep</button>
        </form>
    </DialogBox>
</template>
