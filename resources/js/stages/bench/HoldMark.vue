<script setup lang="ts">
/** A part of the wiring's picture that a probe can be held to: by mouse, thumb or keys. */
defineProps<{ label?: string; held: boolean }>();
const emit = defineEmits<{ hold: [] }>();
</script>

<template>
    <g
        tabindex="0"
        role="button"
        class="hold"
        :aria-label="label"
        :aria-pressed="held"
        @click="emit('hold')"
        @keydown.enter.space.prevent="emit('hold')"
    >
        <slot />
    </g>
</template>

<style scoped>
.hold {
    cursor: pointer;
}
.hold:focus-visible {
    outline: 2px solid var(--ember);
    outline-offset: 1px;
}
</style>
