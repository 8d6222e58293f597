<script setup lang="ts">
import { computed } from 'vue';

/** Keys for the notes on a touch screen: the pressed text is inserted at the caret. */
const props = defineProps<{ runs: string[] }>();
const emit = defineEmits<{ put: [text: string] }>();
const words = computed(() => [
    { show: 'right', put: 'right ' },
    { show: 'left', put: 'left ' },
    ...props.runs.slice(0, 4).map((run) => ({ show: run, put: ` ${run}` })),
    { show: ', gap', put: ', gap ' },
    { show: 'on', put: ' on ' },
    { show: 'at', put: ' at ' },
    { show: 'up', put: 'up ' },
    { show: 'down', put: 'down ' },
    { show: 'close', put: 'close' },
    { show: 'outlet', put: 'outlet ' },
    { show: 'box', put: 'box ' },
    { show: 'leg', put: 'leg ' },
    { show: 'run', put: 'run ' },
    { show: 'next line', put: '\n' },
]);
</script>

<template>
    <div class="keys" role="group" aria-label="What you can type">
        <button
            v-for="word in words"
            :key="word.show"
            type="button"
            class="fig"
            @pointerdown.prevent
            @click="emit('put', word.put)"
        >
            {{ word.show }}
        </button>
    </div>
</template>

<style scoped>
.keys {
    display: none;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 8px;
}
.keys button {
    min-height: 44px;
    min-width: 52px;
    padding: 0 10px;
    border: 1px solid var(--rule);
    border-radius: 3px;
    background: var(--sheet);
    font-size: 13px;
}
@media (pointer: coarse), (max-width: 760px) {
    .keys {
        display: flex;
    }
}
</style>
