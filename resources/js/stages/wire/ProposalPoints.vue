<script setup lang="ts">
import type { ProposalAnswer } from '@/types/generated/responses';

/** Open points of a job after a proposal is taken. */
defineProps<{ proposal: ProposalAnswer }>();
</script>

<template>
    <p v-if="proposal.added.length" class="mb-2 text-watch">
        New open points of the job: {{ proposal.added.join('; ') }}.
    </p>
    <p v-if="proposal.stays.length" class="mb-2 text-watch">
        Open points of the proposed runs, with tolerances: {{ proposal.stays.join('; ') }}.
    </p>
</template>
