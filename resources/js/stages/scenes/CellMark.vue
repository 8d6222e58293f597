<script setup lang="ts">
import type { BoardCell } from '@/types/generated/responses';

/** A cell of the answer board: its state by shape, not by colour alone. */
defineProps<{ state: BoardCell['state'] }>();
</script>

<template>
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
        <circle v-if="state === 'works'" cx="9" cy="9" r="7" fill="var(--ember)" />
        <g v-else-if="state === 'planned'">
            <circle cx="9" cy="9" r="6.2" fill="none" stroke="var(--ember)" stroke-width="1.6" />
            <path d="M9,2.8a6.2,6.2 0 0 0 0,12.4z" fill="var(--ember)" />
        </g>
        <circle v-else-if="state === 'open'" cx="9" cy="9" r="1.8" fill="var(--ink-3)" />
        <path v-else-if="state === 'cannot'" d="M3,13L13,3M7,15L15,7" stroke="var(--ink-3)" stroke-width="1.4" />
        <path v-else d="M9,2L16.5,15.5H1.5z" fill="var(--stop)" />
    </svg>
</template>
