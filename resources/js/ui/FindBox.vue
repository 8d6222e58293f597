<script setup lang="ts">
import {
    Combobox,
    ComboboxInput,
    ComboboxOption,
    ComboboxOptions,
    Dialog,
    DialogPanel,
    DialogTitle,
} from '@headlessui/vue';
import { computed, ref } from 'vue';

/** `also` has other words by which it is found. */
export type Doable = { what: string; where: string; also?: string; act: () => void };

const props = defineProps<{ open: boolean; things: Doable[] }>();
const emit = defineEmits<{ close: [] }>();
const words = ref('');
const found = computed(() => {
    const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
    return props.things
        .filter((t) => asked.every((w) => `${t.what} ${t.where} ${t.also ?? ''}`.toLowerCase().includes(w)))
        .slice(0, 9);
});

function close(): void {
    words.value = '';
    emit('close');
}

function take(thing: Doable | null): void {
    if (thing) {
        close();
        thing.act();
    }
}
</script>

<template>
    <Dialog :open="open" class="relative z-50" @close="close()">
        <div class="fixed inset-0 bg-[#1b121f]/50" aria-hidden="true" />
        <div class="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
            <!-- Before the list, which would only clear the text at the first press. -->
            <DialogPanel class="panel w-full max-w-lg p-4" @keydown.esc.capture="close()">
                <DialogTitle class="mb-2 font-head font-semibold">Find or run</DialogTitle>
                <Combobox :model-value="null" @update:model-value="take">
                    <ComboboxInput
                        class="field"
                        placeholder="A stage, a fix, an action"
                        aria-label="Find or run"
                        @change="words = $event.target.value"
                    />
                    <ComboboxOptions static class="mt-2">
                        <ComboboxOption
                            v-for="thing in found"
                            :key="thing.what + thing.where"
                            v-slot="{ active }"
                            :value="thing"
                        >
                            <span
                                class="flex justify-between gap-4 rounded px-2 py-1.5"
                                :class="{ 'bg-rule2': active }"
                            >
                                {{ thing.what }} <span class="text-ink2">{{ thing.where }}</span>
                            </span>
                        </ComboboxOption>
                        <li v-if="found.length === 0" class="px-2 py-1.5 text-ink2">Nothing found.</li>
                    </ComboboxOptions>
                </Combobox>
            </DialogPanel>
        </div>
    </Dialog>
</template>
