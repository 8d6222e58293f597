<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import type { Term } from '@/lib/glossary';
import TermPicture from '@/pictures/TermPicture.vue';

/** A mark beside a term; it opens the explanation with a small picture. */
defineProps<{ term: Term; up?: boolean }>();
const PANEL =
    'panel absolute z-30 w-72 whitespace-normal p-4 text-left text-base max-sm:fixed max-sm:inset-x-3 max-sm:bottom-3 ' +
    'max-sm:top-auto max-sm:mb-0 max-sm:w-auto';
</script>

<template>
    <Popover as="span" class="relative ml-1 inline-block">
        <PopoverButton
            class="inline-flex h-4 w-4 items-center justify-center rounded-full border border-ink3 text-[10px] leading-none text-ink2"
        >
            <span aria-hidden="true">i</span><span class="sr-only">What is {{ term.term }}?</span>
        </PopoverButton>
        <PopoverPanel tabindex="0" :class="[PANEL, up ? 'bottom-full left-0 mb-2' : 'left-0 top-full mt-2']">
            <h3 class="font-semibold first-letter:uppercase">{{ term.term }}</h3>
            <p class="mt-1">{{ term.text }}</p>
            <TermPicture :term="term.term" />
        </PopoverPanel>
    </Popover>
</template>
