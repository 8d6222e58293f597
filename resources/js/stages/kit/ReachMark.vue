<script setup lang="ts">
defineProps<{ reach: 'all' | 'dims' | 'not'; text: string }>();
const SAID = { all: 'all of it', dims: 'dims only', not: 'no' };
</script>

<template>
    <details>
        <summary class="flex items-center gap-1.5" :class="reach === 'not' ? 'text-ink2' : ''">
            <svg viewBox="0 0 14 14" class="size-3.5 shrink-0" aria-hidden="true">
                <circle cx="7" cy="7" r="5.5" fill="none" stroke="currentColor" stroke-width="1.5" />
                <circle v-if="reach === 'all'" cx="7" cy="7" r="3.5" fill="var(--ember)" />
                <path v-else-if="reach === 'dims'" d="M7 3.5a3.5 3.5 0 0 0 0 7z" fill="var(--watch)" />
                <path v-else d="M4 10L10 4" stroke="currentColor" stroke-width="1.5" />
            </svg>
            {{ SAID[reach] }}
        </summary>
        <p class="text-ink2">{{ text }}</p>
    </details>
</template>

<style scoped>
summary {
    list-style: none;
}
</style>
