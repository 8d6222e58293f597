<script setup lang="ts">
import { computed, ref } from 'vue';
import { canTake, leaveHere, takeAlong, taken } from '@/lib/along';
import { inWords } from '@/lib/http';

/** Keeps a job on this device, so that its pages open without a signal. */
const props = defineProps<{ job: number; name: string }>();
const busy = ref(false);
const message = ref('');
const here = computed(() => taken.value.includes(props.job));
const label = computed(() => {
    const now = here.value ? 'On this device' : 'Take along';
    return busy.value ? 'Keeping …' : now;
});

async function press(): Promise<void> {
    busy.value = true;
    message.value = '';
    try {
        await (here.value ? leaveHere(props.job) : takeAlong(props.job));
    } catch (error) {
        message.value = inWords(error);
    } finally {
        busy.value = false;
    }
}
</script>

<template>
    <template v-if="canTake">
        <button
            type="button"
            class="text-ink2 hover:text-ink hover:underline"
            :aria-pressed="here"
            :aria-label="here ? `On this device: ${name}` : `Take along ${name}`"
            :disabled="busy"
            @click="press"
        >
            {{ label }}
        </button>
        <span v-if="message" role="alert" class="text-stop">{{ message }}</span>
    </template>
</template>
