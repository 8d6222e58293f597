<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { readNumber } from '@/lib/number';
import type { BenchMeter, BenchReading } from '@/types/generated/responses';
import ReadingBands from './ReadingBands.vue';
import WiringPicture from './WiringPicture.vue';

/** Meter position, reading, fault probabilities, and the most useful next reading. */
const props = defineProps<{ meter: BenchMeter; practice: boolean; waits: number }>();
const emit = defineEmits<{
    read: [spot: string, command: string, value: number, sure: boolean];
    ask: [spot: string, command: string, take: (value: number) => void];
    mended: [fault: string, words: string];
    strike: [row: BenchReading, reason: string];
}>();
const part = ref('');
const metres = ref<number | null>(null);
const spot = ref('');
const command = ref('full');
const value = ref('');
const elsewhere = ref('');
const field = ref<HTMLInputElement>();
const here = computed(() =>
    props.meter.spots.filter((s) => s.of === part.value && (metres.value === null ? true : s.metres === metres.value)),
);
const chosen = computed(() => props.meter.spots.find((s) => s.id === spot.value));
const unit = computed(() => chosen.value?.unit ?? 'V');
const isRun = computed(() => props.meter.wiring.runs.some((r) => r.id === part.value));
const signed = (text: string): number | null => {
    const minus = /^[-−]/.test(text.trim());
    const n = readNumber(text.trim().replace(/^[-−]/, ''));
    if (n === null) {
        return null;
    }
    return minus ? -n : n;
};

async function hold(at: string, pad: number | null): Promise<void> {
    part.value = at;
    metres.value = pad;
    spot.value = here.value[0]?.id ?? '';
    await nextTick();
    field.value?.focus();
}
function goNext(): void {
    const next = props.meter.next;
    if (next) {
        const at = props.meter.spots.find((s) => s.id === next.spot);
        part.value = at?.of ?? '';
        metres.value = at?.metres ?? null;
        spot.value = next.spot;
        command.value = next.command;
        void nextTick(() => field.value?.focus());
    }
}
function another(): void {
    const at = readNumber(elsewhere.value);
    if (at !== null) {
        spot.value = `${part.value}@${at.toFixed(2)}:1`;
        void nextTick(() => field.value?.focus());
    }
}
function keep(): void {
    const read = signed(value.value);
    if (read !== null && spot.value) {
        emit('read', spot.value, command.value, read, false);
        value.value = '';
    }
}
const again = (row: BenchReading, read: number) => emit('read', row.spot, row.command, read, true);
watch(
    () => props.meter.wiring,
    (now) => {
        if (!part.value) {
            part.value = now.devices[0]?.id ?? '';
            spot.value = here.value[0]?.id ?? '';
        }
    },
    { immediate: true },
);
const percent = (share: number) => `${Math.round(100 * share)} %`;
defineExpose({ goNext });
const edge = computed(() => {
    if (!props.meter.sure) {
        return 'border-watch';
    }
    return props.meter.belief[0]?.class === 'none' ? 'border-lit' : 'border-stop';
});
</script>

<template>
    <section aria-labelledby="meter">
        <div class="flex flex-wrap items-baseline gap-x-3">
            <h3 id="meter" class="font-head text-lg font-semibold">Meter reading</h3>
            <span class="text-[13px] text-ink2"
                >Shaded: expected for good wiring, {{ meter.tolerances }}. Line across the mark: meter error,
                {{ meter.off }}.</span
            >
        </div>
        <WiringPicture :meter="meter" :part="part" :metres="metres" class="mt-2" @hold="hold" />
        <form class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2" @submit.prevent="keep()">
            <label class="min-w-0 flex-1 basis-64"
                ><span class="block text-[13px] text-ink2">Meter at {{ part.toUpperCase() }}</span>
                <select v-model="spot" class="field w-full">
                    <option v-for="s in here" :key="s.id" :value="s.id">{{ s.words }}</option>
                    <option v-if="spot && !here.some((s) => s.id === spot)" :value="spot">{{ spot }}</option>
                </select></label
            >
            <label v-if="isRun"
                ><span class="block text-[13px] text-ink2">or at</span>
                <input v-model="elsewhere" class="field w-16" inputmode="decimal" placeholder="m" @change="another()"
            /></label>
            <label
                ><span class="block text-[13px] text-ink2">Command</span>
                <select v-model="command" class="field">
                    <option v-for="c in meter.commands" :key="c.key" :value="c.key">{{ c.words }}</option>
                </select></label
            >
            <label
                ><span class="block text-[13px] text-ink2">Reading, {{ unit }}</span>
                <input ref="field" v-model="value" class="field w-24" inputmode="decimal" data-read
            /></label>
            <button type="submit" class="press" :disabled="signed(value) === null || !spot">Save reading</button>
            <button
                v-if="practice"
                type="button"
                class="quiet"
                @click="emit('ask', spot, command, (shown) => (value = String(Number(shown.toFixed(4)))))"
            >
                Read the simulated meter
            </button>
        </form>
        <p v-if="waits" class="mt-2 text-watch">{{ waits }} on this device not sent yet (no signal).</p>
        <ReadingBands
            v-if="meter.rows.length"
            class="mt-3"
            :rows="meter.rows"
            @meant="again"
            @sure="(row) => again(row, row.value)"
            @strike="(row, reason) => emit('strike', row, reason)"
        />
        <p v-if="meter.refused" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-2">
            {{ meter.refused }}
        </p>
        <div v-if="meter.belief.length" class="mt-3 border-l-4 bg-sheet px-3 py-2" :class="edge" role="status">
            <ol>
                <li v-for="(one, n) in meter.belief" :key="one.class" :class="n ? 'text-ink2' : ''">
                    <span class="fig inline-block w-14">{{ percent(one.share) }}</span>
                    <component :is="n ? 'span' : 'b'">{{ one.words }}</component>{{
                        one.size && one.share > 0.3 ? `, ${one.size}` : ''
                    }}
                </li>
            </ol>
            <p v-if="meter.open.length" class="mt-1 text-[14px] text-ink2">
                Still possible after the readings so far: {{ meter.open.join('; ') }}.
            </p>
            <template v-if="meter.pairs.length">
                <p class="mt-1">Two faults that explain the readings. Fix one, then read again.</p>
                <ul v-for="(pair, n) in meter.pairs" :key="n" class="mt-1 border-t border-rule2 pt-1">
                    <li v-for="fault in pair" :key="fault.class" class="mb-1">
                        <b>{{ fault.words }}.</b> Supply off. {{ fault.mend }}
                        <button type="button" class="quiet" @click="emit('mended', fault.class, fault.words)">
                            Fixed: read again
                        </button>
                    </li>
                </ul>
            </template>
            <template v-else-if="meter.belief[0]!.class === 'several' && !meter.next">
                <p class="mt-1">
                    Work from the supply outwards. Switch the supply off, fix the cause of the first reading outside its
                    band, then read again.
                </p>
                <button type="button" class="press mt-2" @click="emit('mended', 'several', 'one of several faults')">
                    Fixed: read again
                </button>
            </template>
            <template v-if="meter.acts && meter.belief[0]!.mend">
                <p v-if="!meter.sure" class="mt-1">
                    {{
                        meter.next
                            ? 'Not certain yet. Fix the likeliest, or take another reading.'
                            : 'No further reading separates these. Fix the likeliest first.'
                    }}
                </p>
                <p class="mt-1">Supply off. {{ meter.belief[0]!.mend }}</p>
                <button
                    type="button"
                    class="press mt-2"
                    @click="emit('mended', meter.belief[0]!.class, meter.belief[0]!.words)"
                >
                    Fixed: read again
                </button>
            </template>
            <p v-if="!meter.sure && meter.next" class="mt-1">
                Next, the most useful reading:
                <button type="button" class="act" @click="goNext()">{{ meter.next.words }}</button>
                <kbd class="max-sm:hidden">R</kbd>
                <span class="block text-[14px] text-ink2">{{
                    meter.next.expects.map((e) => `${e.text} if ${e.words}`).join('; ')
                }}</span>
            </p>
        </div>
        <p v-if="meter.calibrated" class="mt-2 text-[14px] text-ink2">
            Predicted from readings: rails <span class="fig text-ink">{{ meter.calibrated.rails.now }}</span> against
            the shelf (was {{ meter.calibrated.rails.was }}), supply
            <span class="fig text-ink">{{ meter.calibrated.supplies.now }}</span> (was
            {{ meter.calibrated.supplies.was }}). Outlined: the band from readings.
            <span v-for="joint in meter.calibrated.joints" :key="joint" class="block">{{ joint }}</span>
        </p>
        <p v-else class="mt-2 text-[14px] text-ink2">Predicted from shelf.</p>
    </section>
</template>
