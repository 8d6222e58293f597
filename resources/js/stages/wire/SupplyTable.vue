<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { SupplyRow } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

/** The supplies of the job: average and peak, what their leaflets say, blocks of a battery. */
defineProps<{ supplies: SupplyRow[]; words: string }>();
const { change } = useScreen();

function blocks(supply: SupplyRow, which: 'series' | 'parallel', field: HTMLInputElement): void {
    const count = Number(field.value);
    void change({
        kind: 'SetBlocks',
        supply: supply.id,
        series: supply.series,
        parallel: supply.parallel,
        [which]: count,
    }).then((kept) => {
        if (!kept) {
            field.value = String(supply[which]);
        }
    });
}
</script>

<template>
    <section v-if="supplies.length" aria-labelledby="supplies" class="mb-6">
        <h2 id="supplies" class="mb-1 font-semibold">
            Supplies <span class="font-normal text-ink2">{{ words }}</span>
        </h2>
        <table class="w-full text-left">
            <thead class="text-xs text-ink2">
                <tr class="border-b border-rule">
                    <th class="py-1 font-normal">Supply</th>
                    <th class="font-normal">Where</th>
                    <th class="pr-4 text-right font-normal">Average</th>
                    <th class="pr-6 text-right font-normal">Peak</th>
                    <th class="font-normal">To know</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="supply in supplies" :key="supply.id" class="border-b border-rule2 align-top">
                    <th scope="row" class="py-1 font-normal">
                        <b class="fig font-semibold">{{ supply.id.toUpperCase() }}</b> {{ supply.name }}
                    </th>
                    <td>{{ supply.where || '–' }}</td>
                    <td class="pr-4 text-right">
                        <FigureText v-if="supply.average" :figure="supply.average" up right />
                    </td>
                    <td class="pr-6 text-right"><FigureText v-if="supply.peak" :figure="supply.peak" up right /></td>
                    <td class="max-w-[420px] text-[13px] text-ink2">
                        <p v-if="supply.battery" class="text-ink">
                            <label
                                >Blocks in series
                                <input
                                    class="fig field !w-14 !py-0"
                                    inputmode="numeric"
                                    :value="supply.series"
                                    @change="blocks(supply, 'series', $event.target as HTMLInputElement)"
                            /></label>
                            <label class="ml-3"
                                >side by side
                                <input
                                    class="fig field !w-14 !py-0"
                                    inputmode="numeric"
                                    :value="supply.parallel"
                                    @change="blocks(supply, 'parallel', $event.target as HTMLInputElement)"
                            /></label>
                            <span v-if="supply.runTime" class="ml-3"
                                >lasts <FigureText :figure="supply.runTime" up right
                            /></span>
                        </p>
                        <p v-for="note in supply.notes" :key="note">{{ note }}</p>
                    </td>
                </tr>
            </tbody>
        </table>
    </section>
</template>
