<script setup lang="ts">
import { ref } from 'vue';
import DialogBox from '@/ui/DialogBox.vue';

/** Starts a practice: random faults, or faults entered by another person. */
defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: []; begin: [seed: number, faults: string[]] }>();
const seed = ref(String(Math.floor(Math.random() * 900) + 1));
const faults = ref('');
function begin(): void {
    emit(
        'begin',
        Number(seed.value) || 1,
        faults.value.split(/\s+/).filter((f) => f !== ''),
    );
    emit('close');
}
</script>

<template>
    <DialogBox :open="open" title="Practise on simulated wiring" @close="emit('close')">
        <form class="grid gap-3" @submit.prevent="begin()">
            <p class="text-ink2">
                The wiring of this job with a fault hidden in it. Lamps and meter are simulated; readings here are not
                saved to the job.
            </p>
            <label
                >Number of the practice
                <input v-model="seed" class="field w-24" inputmode="numeric" />
            </label>
            <label
                >Or enter faults for another person, one per line
                <textarea
                    v-model="faults"
                    maxlength="980"
                    class="field mt-1 h-24 w-full font-mono"
                    placeholder="joint@k2:to:1"
                    spellcheck="false"
                />
            </label>
            <button type="submit" class="press justify-self-start">Hide these faults</button>
        </form>
    </DialogBox>
</template>
