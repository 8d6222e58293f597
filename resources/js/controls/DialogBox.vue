<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';

defineProps<{ open: boolean; title: string }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
    <Dialog :open="open" class="relative z-50" @close="emit('close')">
        <div class="fixed inset-0 bg-[#1b121f]/50" aria-hidden="true" />
        <div class="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
            <DialogPanel class="panel flex max-h-[76vh] w-full max-w-lg flex-col p-5">
                <div class="flex items-baseline justify-between gap-4">
                    <DialogTitle class="font-head text-lg font-semibold">{{ title }}</DialogTitle>
                    <button type="button" class="text-ink2 hover:text-ink" @click="emit('close')">Close <kbd>Esc</kbd></button>
                </div>
                <div class="mt-3 min-h-0 overflow-y-auto" tabindex="-1"><slot /></div>
            </DialogPanel>
        </div>
    </Dialog>
</template>
