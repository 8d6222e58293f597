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
    const now = here.value ? 'Remove' : 'Take along';
    return busy.value ? 'Keeping …' : now;
});

async function press(): Promise<void> {
    if (busy.value) {
        return;
    }
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
        <span v-if="here" class="text-ink2">On this device</span>
        <!-- Not disabled while it works: the keyboard would lose its place. -->
        <button
            type="button"
            class="text-ink2 hover:text-ink hover:underline"
            :aria-label="here ? `Remove ${name} from this device` : `Take along ${name}`"
            :aria-disabled="busy"
            @click="press"
        >
            {{ label }}
        </button>
        <span v-if="message" role="alert" class="text-stop">{{ message }}</span>
    </template>
</template>
