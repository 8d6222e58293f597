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
    hoursADay: '',
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
            hoursADay: String(t.hoursADay),
        };
        refused.value = '';
    },
);

async function keep(): Promise<void> {
    const { name, client, length, wire } = form.value;
    const hoursADay = readNumber(form.value.hoursADay);
    if (hoursADay === null) {
        refused.value = `“${form.value.hoursADay}” is not a number. Type one such as 4 or 4,5.`;
        return;
    }
    const done =
        (await change({ kind: 'DescribeJob', name, client })) &&
        (await change({ kind: 'SetTerms', length, wire, hoursADay }));
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
            <label class="block"
                >Lit, hours a day <input v-model="form.hoursADay" class="fig field" inputmode="decimal"
            /></label>
            <p class="text-[13px] text-ink2">
                Hourly rate, mark-up, tax, currency and travel are set with the quote, at Parts.
            </p>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <button class="press">Keep</button>
        </form>
    </DialogBox>
</template>
