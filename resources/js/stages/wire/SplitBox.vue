<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask } from '@/lib/http';
import { onlyNewest } from '@/lib/newest';
import { useScreen, type Payload } from '@/lib/screen';
import SplitSketch from './SplitSketch.vue';
import type { SplitRow, Splits } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';
import FigureText from '@/ui/FigureText.vue';

/** The ways to split a run, each solved and priced before anything is kept. */
const props = defineProps<{ run: string; how: string }>();
const emit = defineEmits<{ close: []; beside: [change: object] }>();
const { answer, change } = useScreen();
const parts = ref(2);
const found = ref<Splits | null>(null);
const message = ref('');
const COLUMNS = [
    { id: 'amps', name: 'Highest current in a tail' },
    { id: 'drop', name: 'Voltage drop in the cables' },
    { id: 'evenness', name: 'Evenness' },
    { id: 'joints', name: 'Joints' },
    { id: 'units', name: 'Kit to hide' },
    { id: 'quote', name: 'Quote' },
] as const;

const hear = onlyNewest<Splits | null>(
    (now) => (found.value = now),
    (why) => (message.value = why),
);
function look(): Promise<void> {
    message.value = '';
    return hear(
        props.run
            ? ask<Splits>('GET', `/jobs/${answer.value.job}/splits/${props.run}?parts=${parts.value}`)
            : Promise.resolve(null),
    );
}
watch(() => [props.run, parts.value], look);

const title = computed(() => `Split ${found.value?.name ?? ''}`.trim());
/** Figures of the current layout, to highlight differences. */
const drawn = computed(() => found.value?.ways.find((w) => w.how === 'now'));
const differs = (way: SplitRow, column: (typeof COLUMNS)[number]['id']) =>
    way.how !== 'now' && way[column]?.text !== drawn.value?.[column]?.text;

async function take(payload: object): Promise<void> {
    if (await change(payload as Payload)) {
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="run !== ''" :title="title" wide @close="emit('close')">
        <label class="mb-3 flex items-center gap-2"
            >Compare splits
            <select v-model.number="parts" class="pick !w-20">
                <option v-for="n in (found?.most ?? 2) - 1" :key="n" :value="n + 1">{{ n + 1 }}</option>
            </select>
            <span class="text-[13px] text-ink2"
                >Calculated at full with nominal values. Nothing is saved until you use one.</span
            >
        </label>
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <p v-else-if="!found" role="status">Calculating each split …</p>
        <div v-if="found">
            <table class="stack w-full text-left" role="table">
                <thead role="rowgroup">
                    <tr class="border-b border-rule align-bottom text-[13px]" role="row">
                        <th scope="col" role="columnheader" class="py-1 pr-4 font-normal text-ink2">Way</th>
                        <th
                            v-for="column in COLUMNS"
                            :key="column.id"
                            scope="col"
                            role="columnheader"
                            class="py-1 pr-4 font-normal text-ink2"
                        >
                            {{ column.name }}
                        </th>
                        <td></td>
                    </tr>
                </thead>
                <tbody role="rowgroup">
                    <tr
                        v-for="way in found.ways"
                        :key="way.how"
                        role="row"
                        class="border-b border-rule2 align-top"
                        :class="way.how === how ? 'bg-rule2' : ''"
                        :data-split="way.how"
                    >
                        <th scope="row" role="rowheader" class="py-2 pr-4 font-normal">
                            <span :class="way.how === 'now' ? '' : 'font-semibold'">{{ way.label }}</span>
                            <SplitSketch v-if="!way.refused" :parts="way.sketch" />
                            <p v-for="stop in way.stops" :key="stop" class="text-[13px] text-stop">Stops: {{ stop }}</p>
                        </th>
                        <td v-if="way.refused" role="cell" :colspan="COLUMNS.length + 1" class="py-2 text-ink2">
                            {{ way.refused }}
                        </td>
                        <template v-else>
                            <td
                                v-for="column in COLUMNS"
                                :key="column.id"
                                role="cell"
                                :data-label="column.name"
                                class="py-2 pr-4"
                                :class="differs(way, column.id) ? 'font-semibold' : ''"
                            >
                                <template v-if="column.id === 'quote' && way.how === 'now'">–</template>
                                <FigureText
                                    v-else-if="way[column.id]"
                                    :figure="way[column.id]!"
                                    :signed="column.id === 'quote'"
                                />
                                <template v-else>–</template>
                            </td>
                            <td role="cell" class="whitespace-nowrap py-2 text-right">
                                <template v-if="way.take">
                                    <button type="button" class="press" @click="take(way.take)">Use it</button>
                                    <button
                                        type="button"
                                        class="act mt-1 block w-full text-right text-[13px]"
                                        @click="emit('beside', way.take)"
                                    >
                                        Compare
                                    </button>
                                </template>
                            </td>
                        </template>
                    </tr>
                </tbody>
            </table>
        </div>
    </DialogBox>
</template>
