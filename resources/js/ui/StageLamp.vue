<script setup lang="ts">
defineProps<{ state: 'unlit' | 'glowing' | 'lit' }>();
</script>

<template>
    <!-- Empty ring, half disc, full disc: the state is told by shape as well as by colour. -->
    <svg viewBox="0 0 14 14" class="size-3.5 shrink-0" aria-hidden="true">
        <circle cx="7" cy="7" r="5.4" fill="none" stroke="currentColor" stroke-width="1.8" />
        <path v-if="state === 'glowing'" d="M7 1.6a5.4 5.4 0 0 0 0 10.8z" fill="currentColor" />
        <circle v-if="state === 'lit'" cx="7" cy="7" r="5.4" fill="currentColor" />
    </svg>
</template>
