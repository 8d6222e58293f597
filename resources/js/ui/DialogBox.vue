<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';

/** One that is only read takes the focus itself, so that the keys scroll it. */
defineProps<{ open: boolean; title: string; reading?: boolean; wide?: boolean }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
    <Dialog :open="open" class="relative z-50" @close="emit('close')">
        <div class="fixed inset-0 bg-[#1b121f]/50" aria-hidden="true" />
        <div class="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
            <DialogPanel
                class="panel relative flex max-h-[76vh] w-full flex-col p-5"
                :class="wide ? 'max-w-4xl' : 'max-w-lg'"
            >
                <DialogTitle class="pr-24 font-head text-lg font-semibold">{{ title }}</DialogTitle>
                <div class="-mx-1 mt-3 min-h-0 overflow-y-auto px-1 pb-1" :tabindex="reading ? 0 : -1"><slot /></div>
                <!-- Last in the order of focus: a dialog with a form begins at its first field. -->
                <button type="button" class="absolute right-5 top-5 text-ink2 hover:text-ink" @click="emit('close')">
                    Close <kbd>Esc</kbd>
                </button>
            </DialogPanel>
        </div>
    </Dialog>
</template>
