<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import { readNumber } from '@/lib/number';
import type { Answer, PartsPicture } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

/** Offcuts that are in the van: they are cut from before anything is bought. */
const props = defineProps<{ open: boolean; parts: PartsPicture; job: number }>();
const emit = defineEmits<{ close: [] }>();
const { answer } = useScreen();
const kit = ref('');
const length = ref('');
const count = ref('1');
const refused = ref('');
const kits = computed(() => props.parts.cuts.map((c) => ({ id: c.kit, name: c.name })));

async function send(method: 'POST' | 'DELETE', what: string, body?: object): Promise<boolean> {
    try {
        answer.value = await ask<Answer>(method, `/jobs/${props.job}/${what}`, body);
        refused.value = '';
        return true;
    } catch (error) {
        refused.value = inWords(error);
        return false;
    }
}
async function add(): Promise<void> {
    const metres = readNumber(length.value);
    if (metres === null) {
        refused.value = `“${length.value}” is not a length. Type metres, such as 1.35 or 1,35.`;
        return;
    }
    if (
        await send('POST', 'offcuts', { kit: kit.value || kits.value[0]?.id, metres, count: Number(count.value) || 1 })
    ) {
        length.value = '';
        count.value = '1';
    }
}
</script>

<template>
    <DialogBox :open="open" title="Offcuts in the van" @close="emit('close')">
        <form class="grid grid-cols-[1fr_90px_60px_auto] items-end gap-3" @submit.prevent="add()">
            <label
                >Of
                <select v-model="kit" class="pick w-full">
                    <option v-for="one in kits" :key="one.id" :value="kits[0]?.id === one.id ? '' : one.id">
                        {{ one.name }}
                    </option>
                </select></label
            >
            <label>Metres <input v-model="length" class="fig field" inputmode="decimal" /></label>
            <label>Times <input v-model="count" class="fig field" inputmode="numeric" /></label>
            <button class="press">Add</button>
        </form>
        <p v-if="refused" role="alert" class="mt-2 text-stop">{{ refused }}</p>
        <ul class="mt-3">
            <li v-for="one in parts.offcuts" :key="one.id" class="flex items-baseline gap-3 border-b border-rule2 py-1">
                <span class="fig w-16 text-right">{{ one.metres }}<span class="unit">m</span></span>
                <span class="flex-1">{{ one.name }}</span>
                <span v-if="one.packed" class="text-[13px] text-ink2">packed for this job</span>
                <button
                    type="button"
                    class="act"
                    :aria-label="`Used up: ${one.metres} m of ${one.name}`"
                    @click="send('DELETE', `offcuts/${one.id}`)"
                >
                    Used up
                </button>
            </li>
        </ul>
        <p v-if="parts.offcuts.length === 0" class="mt-2 text-ink2">
            None yet. Type the offcuts in the van, or press “Keep the offcut” under a bar: the next cut list uses them
            first.
        </p>
    </DialogBox>
</template>
