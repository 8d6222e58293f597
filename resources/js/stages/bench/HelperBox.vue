<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import DialogBox from '@/ui/DialogBox.vue';
import FigureText from '@/ui/FigureText.vue';
import { ask, inWords } from '@/lib/http';
import { readNumber } from '@/lib/number';
import { useScreen } from '@/lib/screen';
import type { BenchChannel, BenchChoice, Helper } from '@/types/generated/responses';

/** Small circuits beside a board: a divider for a signal of more volts, a transistor for a channel. */
const props = defineProps<{
    open: boolean;
    job: number;
    run: string;
    transistors: BenchChoice[];
    channel: BenchChannel | null;
}>();
const emit = defineEmits<{ close: []; log: [words: string] }>();
const { change } = useScreen();
type Kind = 'divider' | 'switch';
const KINDS: { key: Kind; words: string; says: string }[] = [
    { key: 'divider', words: 'Signal to a pin', says: 'Two resistors between a signal and a pin that bears less.' },
    { key: 'switch', words: 'Pin to a channel', says: 'A transistor switches minus of a channel for a pin.' },
];
const FIELDS: Record<Kind, { key: string; words: string; unit: string }[]> = {
    divider: [
        { key: 'most', words: 'Signal, at most', unit: 'V' },
        { key: 'least', words: 'Signal when on, at least', unit: 'V' },
        { key: 'bears', words: 'The pin bears', unit: 'V' },
        { key: 'reads', words: 'The pin reads on from', unit: 'V' },
        { key: 'tolerance', words: 'Tolerance of the resistors', unit: '%' },
    ],
    switch: [
        { key: 'volts', words: 'Volts of the channel', unit: 'V' },
        { key: 'amps', words: 'Amps of the channel', unit: 'A' },
        { key: 'pin', words: 'Pin while it is on', unit: 'V' },
        { key: 'pinMilliamps', words: 'The pin gives, at most', unit: 'mA' },
        { key: 'ambient', words: 'Air around it', unit: '°C' },
    ],
};
const kind = ref<Kind>('divider');
const kit = ref(props.transistors[0]?.key ?? '');
const typed = ref<Record<string, string>>({
    most: '5',
    least: '4.5',
    bears: '3.3',
    reads: '2.5',
    tolerance: '5',
    volts: '',
    amps: '',
    pin: '3.3',
    pinMilliamps: '12',
    ambient: '30',
});
watch(
    () => props.open,
    (open) => {
        if (open && props.channel) {
            typed.value.volts = String(props.channel.volts);
            typed.value.amps = String(props.channel.amps);
        }
    },
);
const circuit = ref<Helper | null>(null);
const refused = ref('');
/** Done with the shown circuit: it is in the log, its transistor in the job. */
const saved = ref('');
watch([kind, typed, kit], () => (circuit.value = null), { deep: true });
watch(circuit, () => (saved.value = ''));
function log(): void {
    emit('log', circuit.value?.words ?? '');
    saved.value = 'It is in the log.';
}
async function addTransistor(): Promise<void> {
    const item = { kind: 'SetItem', item: null, kit: kit.value, place: props.channel?.place, count: 1, on: props.run };
    if (await change(item)) {
        saved.value = 'The transistor is among the other items of the job.';
    }
}
const whole = computed(
    () =>
        FIELDS[kind.value].every((f) => readNumber(typed.value[f.key] ?? '') !== null) &&
        (kind.value === 'divider' || kit.value !== ''),
);
async function send(): Promise<void> {
    const query = new URLSearchParams({ kind: kind.value });
    if (kind.value === 'switch') {
        query.set('kit', kit.value);
    }
    for (const f of FIELDS[kind.value]) {
        query.set(f.key, String(readNumber(typed.value[f.key] ?? '')));
    }
    try {
        circuit.value = await ask<Helper>('GET', `/jobs/${props.job}/bench/helper?${query}`);
        refused.value = '';
    } catch (error) {
        refused.value = inWords(error);
    }
}
const netlist = computed(() => `data:text/plain;charset=utf-8,${encodeURIComponent(circuit.value?.netlist ?? '')}`);
</script>

<template>
    <DialogBox :open="open" title="Helper circuits" wide @close="emit('close')">
        <form class="grid gap-3" @submit.prevent="send">
            <fieldset class="flex flex-wrap gap-x-5 gap-y-1">
                <legend class="sr-only">Circuit</legend>
                <label v-for="k in KINDS" :key="k.key"
                    ><input v-model="kind" type="radio" :value="k.key" class="mr-1.5" />{{ k.words }}</label
                >
            </fieldset>
            <p class="text-ink2">{{ KINDS.find((k) => k.key === kind)?.says }}</p>
            <p v-if="kind === 'switch' && channel" class="text-[13px] text-ink2">
                Volts and amps are those of one channel of {{ channel.name }} at full.
            </p>
            <label v-if="kind === 'switch'"
                >Transistor
                <select v-model="kit" class="field w-full">
                    <option v-for="t in transistors" :key="t.key" :value="t.key">{{ t.words }}</option>
                </select></label
            >
            <div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
                <label v-for="f in FIELDS[kind]" :key="f.key"
                    >{{ f.words }}, {{ f.unit }}
                    <input v-model="typed[f.key]" class="fig field w-full" inputmode="decimal"
                /></label>
            </div>
            <p v-if="refused" role="alert" class="border-l-4 border-stop px-3 py-1">{{ refused }}</p>
            <button type="submit" class="press justify-self-start" :disabled="!whole">Calculate</button>
        </form>
        <div v-if="circuit" role="status" class="mt-4 grid grid-cols-1 gap-3">
            <h3 class="font-semibold">{{ circuit.title }}</h3>
            <p v-for="stop in circuit.stops" :key="stop" class="border-l-4 border-stop px-3 py-1">
                <b>Does not hold:</b> {{ stop }}
            </p>
            <!-- eslint-disable-next-line vue/no-v-html (made by the core, its words escaped there) -->
            <div class="helper justify-self-start border border-rule bg-white" v-html="circuit.svg" />
            <ul class="flex flex-wrap gap-x-6 gap-y-1">
                <li v-for="figure in circuit.figures" :key="figure.label">
                    <span class="text-[12px] text-ink2">{{ figure.label }}</span> <FigureText :figure="figure" />
                </li>
            </ul>
            <p>Parts: {{ circuit.parts.join(', ') }}.</p>
            <ol class="list-decimal pl-5">
                <li v-for="lead in circuit.leads" :key="lead">{{ lead }}.</li>
            </ol>
            <p class="border-l-4 border-watch px-3 py-1 text-[13px]">{{ circuit.caution }}</p>
            <p class="flex flex-wrap items-baseline gap-x-5 gap-y-2">
                <button type="button" class="quiet" @click="log()">Add to log</button>
                <button v-if="kind === 'switch' && channel" type="button" class="quiet" @click="addTransistor()">
                    Add the transistor to the job
                </button>
                <a class="act" :href="netlist" download="helper.cir">Netlist for a simulator</a>
                <span role="status" class="text-lit">{{ saved }}</span>
            </p>
        </div>
    </DialogBox>
</template>

<style scoped>
.helper :deep(svg) {
    max-width: 100%;
    height: auto;
}
</style>
