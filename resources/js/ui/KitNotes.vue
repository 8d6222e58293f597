<script setup lang="ts">
import type { CrewNote } from '@/types/generated/responses';

/** Notes of the crew about kit of this job, from earlier ones. */
defineProps<{ notes: CrewNote[] }>();
</script>

<template>
    <aside v-if="notes.length" aria-label="Notes of the crew about this kit" class="mb-3 border-l-4 border-ember pl-3">
        <p v-for="note in notes" :key="note.id" class="text-[13.5px]">
            {{ note.kit }}: <b>{{ note.says }}</b>
            <span class="text-ink2">{{ note.day }}{{ note.by ? `, ${note.by}` : '' }}</span>
        </p>
    </aside>
</template>
