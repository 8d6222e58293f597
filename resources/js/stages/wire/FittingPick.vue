<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { CableOption, WireCable } from '@/types/generated/responses';

/** Joint, fuse or switch of a cable: an entry of the shelf, or none. */
defineProps<{
    cable: WireCable;
    what: 'joint' | 'fuse' | 'switch';
    label: string;
    none: string;
    options: CableOption[];
}>();
const { change } = useScreen();
</script>

<template>
    <select
        class="pick"
        :value="cable[what]"
        :aria-label="`${label} ${cable.id.toUpperCase()}`"
        @change="change({ kind: 'SetCable', cable: cable.id, [what]: ($event.target as HTMLSelectElement).value })"
    >
        <option value="">{{ none }}</option>
        <option v-for="option in options" :key="option.id" :value="option.id">{{ option.label }}</option>
    </select>
</template>
