<script setup lang="ts">
defineProps<{ severity: string }>();
const said: Record<string, string> = { stop: 'Must be fixed', watch: 'Check it', open: 'Undecided' };
const INKS: Record<string, string> = { stop: 'text-stop', watch: 'text-watch' };
</script>

<template>
    <svg
        viewBox="0 0 16 16"
        class="size-4 shrink-0"
        role="img"
        :aria-label="said[severity]"
        :class="INKS[severity] ?? 'text-dusk'"
    >
        <path v-if="severity === 'stop'" d="M8 1.5 15 14.5H1z" fill="currentColor" />
        <template v-else-if="severity === 'watch'">
            <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" stroke-width="2" />
            <path d="M8 2a6 6 0 0 1 0 12z" fill="currentColor" />
        </template>
        <rect v-else x="2.5" y="2.5" width="11" height="11" fill="none" stroke="currentColor" stroke-width="2" />
    </svg>
</template>
