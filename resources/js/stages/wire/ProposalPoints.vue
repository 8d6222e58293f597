<script setup lang="ts">
import type { ProposalAnswer } from '@/types/generated/responses';

/** Open points that a job has once a proposal is taken. */
defineProps<{ proposal: ProposalAnswer }>();
</script>

<template>
    <p v-if="proposal.stays.length" class="mb-2 text-watch">
        Stays open with it, within the tolerances: {{ proposal.stays.join('; ') }}.
    </p>
    <p v-if="proposal.elsewhere.length" class="mb-2 text-watch">
        New open points of the job with it: {{ proposal.elsewhere.join('; ') }}.
    </p>
</template>
