<script setup lang="ts">
import type { JoinLine } from '@/types/generated/responses';

/** The log of a run, newest first. */
defineProps<{ lines: JoinLine[] }>();
</script>

<template>
    <section aria-labelledby="log" class="mt-3 border-t border-rule pt-2">
        <h3 id="log" class="mb-1 text-[13px] text-ink2">Log</h3>
        <ol class="max-h-[168px] overflow-y-auto" tabindex="0" aria-labelledby="log">
            <li v-for="(entry, n) in [...lines].reverse()" :key="n" class="grid grid-cols-[5ch_1fr] gap-2 leading-5">
                <span class="fig text-ink2">{{ entry.at }}</span>{{ entry.text }}
            </li>
        </ol>
    </section>
</template>
