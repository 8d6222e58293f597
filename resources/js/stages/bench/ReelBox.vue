<script setup lang="ts">
import { computed, ref } from 'vue';
import DialogBox from '@/ui/DialogBox.vue';
import { ask, inWords } from '@/lib/http';
import { readNumber } from '@/lib/number';
import type { BenchReel } from '@/types/generated/responses';

/** One strip off the reel, fed at its start, everything on: its rails for all jobs of the crew, offered to the shelf. */
const props = defineProps<{ open: boolean; job: number; strips: { id: string; name: string }[] }>();
const emit = defineEmits<{ close: [] }>();
const kit = ref(props.strips[0]?.id ?? '');
const typed = ref({ length: '', amps: '', startVolts: '', endVolts: '' });
const reel = ref<BenchReel | null>(null);
const refused = ref('');
const FIELDS = [
    { key: 'length', words: 'Length, m' },
    { key: 'amps', words: 'Amps at its start' },
    { key: 'startVolts', words: 'Volts at its start' },
    { key: 'endVolts', words: 'Volts at its end' },
] as const;
const whole = computed(() => FIELDS.every((f) => readNumber(typed.value[f.key]) !== null) && kit.value !== '');
async function send(keep: boolean): Promise<void> {
    try {
        const numbers = Object.fromEntries(FIELDS.map((f) => [f.key, readNumber(typed.value[f.key])]));
        reel.value = await ask<BenchReel>('POST', `/jobs/${props.job}/bench/reel`, {
            kit: kit.value,
            ...numbers,
            keep,
        });
        refused.value = '';
    } catch (error) {
        refused.value = inWords(error);
    }
}
</script>

<template>
    <DialogBox :open="open" title="Measure a reel" @close="emit('close')">
        <form class="grid gap-3" @submit.prevent="send(false)">
            <p class="text-ink2">
                Lay out one strip from the reel, feed it at its start through its own leads, and run it at full for a
                minute. Measure at the pads themselves. Unroll the strip first: lit on the reel it overheats.
            </p>
            <label
                >Strip
                <select v-model="kit" class="field w-full">
                    <option v-for="s in strips" :key="s.id" :value="s.id">{{ s.name }}</option>
                </select></label
            >
            <div class="grid grid-cols-2 gap-3">
                <label v-for="f in FIELDS" :key="f.key"
                    >{{ f.words }} <input v-model="typed[f.key]" class="field w-full" inputmode="decimal"
                /></label>
            </div>
            <p v-if="refused" role="alert" class="border-l-4 border-stop px-3 py-1">{{ refused }}</p>
            <button type="submit" class="press justify-self-start" :disabled="!whole">Calculate rail resistance</button>
            <div v-if="reel" role="status" class="border-l-4 border-lit px-3 py-1">
                <p>
                    + rail <b class="fig">{{ (1000 * reel.plus).toFixed(1) }} mΩ/m</b> (was
                    {{ (1000 * reel.wasPlus).toFixed(1) }}), returns
                    <b class="fig">{{ (1000 * reel.returnRail).toFixed(1) }} mΩ/m</b> (was
                    {{ (1000 * reel.wasReturn).toFixed(1) }}).
                </p>
                <p v-if="reel.kept">Saved on the shelf. Jobs with the old entry are offered the new one.</p>
                <button v-else type="button" class="press mt-1" @click="send(true)">Save to the shelf</button>
            </div>
        </form>
    </DialogBox>
</template>
