<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import MiniRibbon from './MiniRibbon.vue';
import type { Desk, WireRun } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

/** Two layouts side by side: the current one, and an earlier or proposed one. */
const props = defineProps<{ open: boolean; proposed: object | null }>();
const emit = defineEmits<{ close: [] }>();
const { answer, desk, scene } = useScreen();
type Line = { number: number; words: string };
const history = ref<Line[]>([]);
const number = ref(0);
const other = ref<Desk | null>(null);
const message = ref('');

async function said<T>(work: Promise<T>): Promise<T | null> {
    try {
        message.value = '';
        return await work;
    } catch (error) {
        message.value = inWords(error);
        return null;
    }
}
async function earlier(of: number): Promise<void> {
    other.value =
        (
            await said(
                ask<{ desk: Desk }>('GET', `/jobs/${answer.value.job}/beside/${of}?stage=wire&scene=${scene.value}`),
            )
        )?.desk ?? null;
}
watch(
    () => props.open,
    async (open) => {
        other.value = null;
        if (open && props.proposed) {
            other.value =
                (
                    await said(
                        ask<{ desk: Desk }>('POST', `/jobs/${answer.value.job}/preview`, {
                            stage: 'wire',
                            scene: scene.value,
                            change: props.proposed,
                        }),
                    )
                )?.desk ?? null;
        } else if (open) {
            history.value =
                (await said(ask<{ history: Line[] }>('GET', `/jobs/${answer.value.job}/history`)))?.history.slice(1) ??
                [];
            number.value = history.value[0]?.number ?? 0;
            if (number.value) {
                await earlier(number.value);
            }
        }
    },
);
const runs = computed(() => {
    const mine = desk.value.wire?.runs.filter((r) => r.strip) ?? [];
    const theirs = other.value?.wire?.runs.filter((r) => r.strip) ?? [];
    const names = [...new Set([...mine, ...theirs].map((r) => r.id))];
    return names.map((id) => ({ id, mine: mine.find((r) => r.id === id), theirs: theirs.find((r) => r.id === id) }));
});
const longest = computed(() => Math.max(1, ...runs.value.flatMap((r) => [r.mine?.metres ?? 0, r.theirs?.metres ?? 0])));
const figures = computed(() => {
    const mine = desk.value.ledger;
    const theirs = other.value?.ledger ?? [];
    return [...new Set([...mine, ...theirs].map((f) => f.label))].map((label) => ({
        label,
        mine: mine.find((f) => f.label === label),
        theirs: theirs.find((f) => f.label === label),
    }));
});
const even = (run: WireRun | undefined) => run?.evenness?.text ?? '–';
const stops = (of: Desk | null) => of?.findings.filter((f) => f.severity === 'stop').length ?? 0;
</script>

<template>
    <DialogBox :open="open" title="Compare two layouts" wide @close="emit('close')">
        <label v-if="!proposed && history.length" class="mb-3 block"
            >Compare with the current layout
            <select v-model.number="number" class="pick ml-2 !max-w-[560px]" @change="earlier(number)">
                <option v-for="line in history" :key="line.number" :value="line.number">
                    {{ line.number }}, after: {{ line.words }}
                </option>
            </select>
        </label>
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <p v-else-if="!proposed && history.length === 0">There is no earlier revision yet. Change something first.</p>
        <table v-if="other" class="w-full text-left">
            <thead>
                <tr class="border-b border-rule">
                    <td></td>
                    <th class="py-1">Current layout</th>
                    <th>{{ proposed ? 'As proposed' : `As in revision ${number}` }}</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="run in runs" :key="run.id" class="border-b border-rule2 align-top">
                    <th scope="row" class="py-1 pr-4 font-normal">{{ (run.mine ?? run.theirs)?.name }}</th>
                    <td v-for="(of, n) in [run.mine, run.theirs]" :key="n" class="py-1 pr-6">
                        <template v-if="of">
                            <MiniRibbon :name="`${run.id}-${n}`" :run="of" :longest="longest" :width="300" />
                            <span class="text-[13px] text-ink2"
                                >even <span class="fig text-ink">{{ even(of) }}</span>, fed at
                                <span class="fig">{{ of.feeds.length }}</span>,
                                {{ of.supply?.id.toUpperCase() ?? 'no supply' }}
                                {{ of.controller?.id.toUpperCase() ?? '' }}</span
                            >
                        </template>
                        <template v-else>–</template>
                    </td>
                </tr>
                <tr v-for="figure in figures" :key="figure.label" class="border-b border-rule2">
                    <th scope="row" class="py-0.5 pr-4 text-left font-normal">{{ figure.label }}</th>
                    <td
                        v-for="(of, n) in [figure.mine, figure.theirs]"
                        :key="n"
                        class="fig"
                        :class="figure.mine?.text !== figure.theirs?.text ? 'font-semibold' : ''"
                    >
                        {{ of ? `${of.text} ${of.unit}` : '–' }}
                    </td>
                </tr>
                <tr>
                    <th scope="row" class="py-0.5 text-left font-normal">Stops the job</th>
                    <td class="fig">{{ stops(desk) }}</td>
                    <td class="fig">{{ stops(other) }}</td>
                </tr>
            </tbody>
        </table>
    </DialogBox>
</template>
