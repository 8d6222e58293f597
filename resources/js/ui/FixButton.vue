<script setup lang="ts">
import { ref, watch } from 'vue';
import { fixCost } from '@/lib/fixCost';
import { person } from '@/lib/person';
import { useScreen } from '@/lib/screen';
import type { Fix } from '@/types/generated/responses';

/** A fix of an open point; under the pointer or in focus it shows the change of the quote. */
const props = defineProps<{ fix: Fix }>();
const emit = defineEmits<{ mend: [fix: Fix] }>();
const { answer } = useScreen();
const cost = ref('');

async function look(): Promise<void> {
    const of = answer.value.revision;
    const said = await fixCost(answer.value.job, of, props.fix);
    if (of === answer.value.revision) {
        cost.value = said;
    }
}
watch(
    () => answer.value.revision,
    () => (cost.value = ''),
);
</script>

<template>
    <span v-if="person()?.plans !== false" class="inline-flex flex-wrap items-baseline gap-x-2">
        <button type="button" class="act" @click="emit('mend', fix)" @pointerenter="look" @focus="look">
            {{ fix.label }}
        </button>
        <span v-if="cost" class="fig text-[13px] text-ink2">{{ cost }}</span>
    </span>
</template>
