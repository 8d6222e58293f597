<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { SupplyRow } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

/** The supplies of the job: average and peak, what their instructions say, blocks of a battery. */
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
        <table class="stack w-full text-left" role="table">
            <thead role="rowgroup" class="text-xs text-ink2">
                <tr role="row" class="border-b border-rule">
                    <th role="columnheader" class="py-1 font-normal">Supply</th>
                    <th role="columnheader" class="font-normal">Where</th>
                    <th role="columnheader" class="pr-4 text-right font-normal">Average</th>
                    <th role="columnheader" class="pr-6 text-right font-normal">Peak</th>
                    <th role="columnheader" class="font-normal">Details</th>
                </tr>
            </thead>
            <tbody role="rowgroup">
                <tr v-for="supply in supplies" role="row" :key="supply.id" class="border-b border-rule2 align-top">
                    <th scope="row" role="rowheader" class="py-1 font-normal">
                        <b class="fig font-semibold">{{ supply.id.toUpperCase() }}</b> {{ supply.name }}
                    </th>
                    <td role="cell" data-label="Where">{{ supply.where || '–' }}</td>
                    <td role="cell" data-label="Average" class="pr-4 text-right">
                        <FigureText v-if="supply.average" :figure="supply.average" up right />
                    </td>
                    <td role="cell" data-label="Peak" class="pr-6 text-right">
                        <FigureText v-if="supply.peak" :figure="supply.peak" up right />
                    </td>
                    <td role="cell" class="max-w-[420px] text-[13px] text-ink2">
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
                                >in parallel
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
                        <p v-if="supply.bank">
                            Fed from <span class="fig">{{ supply.bank.toUpperCase() }}</span><template
                                v-if="supply.draw"
                                >: <FigureText :figure="supply.draw" up right /> when it is empty</template
                            >.
                        </p>
                        <p v-if="supply.standby">
                            With the light off, standby and self-discharge: lasts
                            <FigureText :figure="supply.standby" up right />.
                        </p>
                        <table v-if="supply.states.length" class="my-1">
                            <caption class="sr-only">
                                {{
                                    supply.id.toUpperCase()
                                }}
                                at low, nominal and charging volts
                            </caption>
                            <thead>
                                <tr>
                                    <td></td>
                                    <th v-for="of in supply.states" :key="of.state" class="pr-5 text-left font-normal">
                                        {{ of.state }}
                                    </th>
                                </tr>
                            </thead>
                            <tbody class="text-ink">
                                <tr>
                                    <th class="pr-4 text-left font-normal text-ink2">Volts</th>
                                    <td v-for="of in supply.states" :key="of.state" class="pr-5">
                                        <FigureText :figure="of.volts" up right />
                                    </td>
                                </tr>
                                <tr v-if="supply.states.some((s) => s.amps)">
                                    <th class="pr-4 text-left font-normal text-ink2">Gives</th>
                                    <td v-for="of in supply.states" :key="of.state" class="pr-5">
                                        <FigureText v-if="of.amps" :figure="of.amps" up right />
                                    </td>
                                </tr>
                                <tr v-if="supply.states.some((s) => s.darkest)">
                                    <th class="pr-4 text-left font-normal text-ink2">Darkest</th>
                                    <td v-for="of in supply.states" :key="of.state" class="pr-5">
                                        <FigureText v-if="of.darkest" :figure="of.darkest" up right />
                                    </td>
                                </tr>
                            </tbody>
                        </table>
                        <p v-if="supply.plate">Nameplate <FigureText :figure="supply.plate" up right />.</p>
                        <p v-for="note in supply.notes" :key="note">{{ note }}</p>
                    </td>
                </tr>
            </tbody>
        </table>
    </section>
</template>
