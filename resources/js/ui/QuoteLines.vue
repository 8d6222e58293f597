<script setup lang="ts">
import type { ChangedLine } from '@/types/generated/responses';

/** Lines of two quotes that differ: how many before, how many after, and what that moves. */
defineProps<{ lines: ChangedLine[]; title: string }>();
</script>

<template>
    <table class="mt-1 w-full text-[13px]">
        <caption class="pb-1 text-left text-ink2">
            {{
                title
            }}
        </caption>
        <thead class="text-ink2">
            <tr class="border-b border-rule">
                <th class="text-left font-normal">Line</th>
                <th class="text-right font-normal">Before</th>
                <th class="text-right font-normal">After</th>
                <th class="w-24 text-right font-normal">Change</th>
            </tr>
        </thead>
        <tbody>
            <tr v-for="line in lines" :key="line.what" class="border-b border-rule2">
                <th scope="row" class="text-left font-normal">{{ line.what }}</th>
                <td class="fig whitespace-nowrap pl-3 text-right">{{ line.then }}</td>
                <td class="fig whitespace-nowrap pl-3 text-right">{{ line.now }}</td>
                <td class="fig pl-3 text-right">{{ line.difference }}</td>
            </tr>
        </tbody>
    </table>
</template>
