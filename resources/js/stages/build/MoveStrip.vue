<script setup lang="ts">
import type { BuildStep, MoveCost, Pin } from '@/types/generated/responses';

/** A step that is being moved: target, cost, broken rules. */
defineProps<{
    step: BuildStep;
    aim: Pin;
    cost: MoveCost | null;
    clock: (minute: number) => string;
    said: (day: string) => string;
}>();
const emit = defineEmits<{ keep: []; drop: [] }>();
</script>

<template>
    <section class="mt-2 border-y border-rule bg-sheet px-3 py-2" aria-label="Moving a step">
        <p role="status">
            <b class="font-semibold">{{ step.title }}</b> to {{ said(aim.day) }},
            <span class="fig">{{ clock(aim.from) }}</span>
        </p>
        <template v-if="cost">
            <ul v-if="cost.broken.length" class="mt-1">
                <li v-for="rule in cost.broken" :key="rule" class="border-l-4 border-stop pl-2 text-stop">
                    {{ rule }}
                </li>
            </ul>
            <table v-else class="mt-1 text-[13px]">
                <tbody>
                    <tr v-for="row in cost.costs" :key="row.what">
                        <th scope="row" class="pr-4 text-left font-normal text-ink2">{{ row.what }}</th>
                        <td class="fig pr-2">{{ row.before }}</td>
                        <td class="fig" :class="{ 'font-semibold text-ember': row.before !== row.after }">
                            {{ row.before === row.after ? 'as before' : `then ${row.after}` }}
                        </td>
                    </tr>
                </tbody>
            </table>
        </template>
        <p class="mt-2 flex gap-3">
            <button type="button" class="press" :disabled="!cost || cost.broken.length > 0" @click="emit('keep')">
                Move here <kbd>Enter</kbd>
            </button>
            <button type="button" class="quiet" @click="emit('drop')">Cancel <kbd>Esc</kbd></button>
        </p>
    </section>
</template>
