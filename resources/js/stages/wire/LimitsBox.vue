<script setup lang="ts">
import { ref, watch } from 'vue';
import { readNumber } from '@/lib/number';
import { useScreen } from '@/lib/screen';
import type { Limits } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { desk, change, message } = useScreen();
/** Shares are shown in per cent, except evenness, which is a share by custom. */
const FIELDS: { key: keyof Limits; name: string; unit: string; times: number }[] = [
    { key: 'drop', name: 'Voltage drop in the cables, at most', unit: '% of nominal volts', times: 100 },
    { key: 'headroom', name: 'Supply headroom, at least', unit: '% of its rating', times: 100 },
    { key: 'evenness', name: 'Evenness, at least', unit: '', times: 1 },
    { key: 'seam', name: 'Brightness step at a seam, at most', unit: '%', times: 100 },
    { key: 'cableCelsius', name: 'Conductor temperature', unit: '°C', times: 1 },
];
const typed = ref<Record<string, string>>({});
const refused = ref('');

watch(
    () => props.open,
    () => {
        typed.value = Object.fromEntries(
            FIELDS.map((f) => [f.key, String(Number((desk.value.limits[f.key] * f.times).toFixed(4)))]),
        );
        refused.value = '';
    },
);

async function keep(): Promise<void> {
    const limits: Record<string, number> = {};
    for (const field of FIELDS) {
        const number = readNumber(typed.value[field.key] ?? '');
        if (number === null) {
            refused.value = `“${typed.value[field.key]}” is not a number. ${field.name}: type one such as ${desk.value.limits[field.key] * field.times}.`;
            return;
        }
        limits[field.key] = number / field.times;
    }
    if (await change({ kind: 'SetLimits', ...limits })) {
        emit('close');
    } else {
        refused.value = message.value;
    }
}
</script>

<template>
    <DialogBox :open="open" title="Limits of this job" @close="emit('close')">
        <form class="space-y-2" @submit.prevent="keep()">
            <label v-for="field in FIELDS" :key="field.key" class="grid grid-cols-[1fr_5rem_9rem] items-center gap-3">
                {{ field.name }}
                <input v-model="typed[field.key]" class="fig field" inputmode="decimal" :name="field.key" />
                <span class="text-ink2">{{ field.unit }}</span>
            </label>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <button class="press">Save limits</button>
        </form>
    </DialogBox>
</template>
