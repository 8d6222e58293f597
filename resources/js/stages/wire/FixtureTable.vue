<script setup lang="ts">
import { ref } from 'vue';
import CableTable from './CableTable.vue';
import { useScreen, type Payload } from '@/lib/screen';
import type { WirePicture, FixtureRow } from '@/types/generated/responses';

/** Fixtures: how many of which kind where, what dims or feeds them. */
const props = defineProps<{ wire: WirePicture }>();
const { change } = useScreen();
const kit = ref('');
const place = ref('');
const count = ref('1');

async function add(): Promise<void> {
    if (
        await change({
            kind: 'SetFixture',
            fixture: null,
            kit: kit.value,
            place: place.value || props.wire.places[0]?.id,
            count: Number(count.value),
        })
    ) {
        kit.value = '';
        count.value = '1';
    }
}
async function number(row: FixtureRow, field: HTMLInputElement): Promise<void> {
    // An empty field is no number; only a typed 0 removes them.
    if (
        field.value.trim() === '' ||
        !(await change({
            kind: 'SetFixture',
            fixture: row.id,
            kit: row.kit,
            place: row.placeId,
            count: Number(field.value),
        }))
    ) {
        field.value = String(row.count);
    }
}
function choose(row: FixtureRow, field: HTMLSelectElement): void {
    const choice = row.choices[Number(field.value)];
    if (choice) {
        void change(choice.change as Payload);
    }
    field.value = '';
}
</script>

<template>
    <section aria-labelledby="fixtures" class="mb-6">
        <h2 id="fixtures" class="mb-1 font-semibold">Fixtures</h2>
        <table v-if="wire.fixtures.length" class="stack w-full text-left" role="table">
            <thead role="rowgroup" class="text-xs text-ink2">
                <tr role="row" class="border-b border-rule">
                    <th role="columnheader" class="py-1 font-normal">Fixtures</th>
                    <th role="columnheader" class="font-normal">Place</th>
                    <th role="columnheader" class="font-normal">Number</th>
                    <th role="columnheader" class="text-right font-normal">Together</th>
                    <th role="columnheader" class="pl-6 font-normal">Dimmed by</th>
                    <th role="columnheader" class="font-normal">On</th>
                </tr>
            </thead>
            <tbody role="rowgroup">
                <tr role="row" v-for="row in wire.fixtures" :key="row.id" class="border-b border-rule2">
                    <th scope="row" role="rowheader" class="whitespace-nowrap py-1 pr-4 font-normal">
                        <b class="fig font-semibold">{{ row.id.toUpperCase() }}</b> {{ row.name }}
                    </th>
                    <td role="cell" data-label="Place" class="pr-4">{{ row.place }}</td>
                    <td role="cell" data-label="Number">
                        <input
                            class="fig field !w-16 !py-0.5"
                            inputmode="numeric"
                            :value="row.count"
                            :aria-label="`Number of ${row.id.toUpperCase()}; 0 removes them`"
                            @change="number(row, $event.target as HTMLInputElement)"
                        />
                    </td>
                    <td role="cell" data-label="Together" class="fig text-right">{{ row.watts }} W</td>
                    <td role="cell" data-label="Dimmed by" class="whitespace-nowrap pl-6 pr-4">{{ row.dim }}</td>
                    <td role="cell" data-label="On">
                        <span v-if="row.note" class="block text-[13px] text-ink2">{{ row.note }}</span>
                        {{ row.on || 'nothing yet'
                        }}<span v-if="row.volts" class="fig text-ink2"> {{ row.volts }} V</span>
                        <select
                            v-if="row.choices.length"
                            class="pick ml-2 w-24"
                            :aria-label="`Supply or module of ${row.id.toUpperCase()}`"
                            @change="choose(row, $event.target as HTMLSelectElement)"
                        >
                            <option value="">{{ row.on ? 'change' : 'choose' }} …</option>
                            <option v-for="(choice, n) in row.choices" :key="choice.label" :value="n">
                                {{ choice.label }}
                            </option>
                        </select>
                    </td>
                </tr>
            </tbody>
        </table>
        <CableTable
            class="mt-3"
            of="fixtures"
            :cables="wire.fixtureCables"
            :options="wire.cables"
            :joints="wire.joints"
            :fuses="wire.fuses"
            :switches="wire.switches"
        />
        <form class="mt-2 flex flex-wrap items-baseline gap-3" @submit.prevent="add">
            <label>Add <input v-model="count" class="fig field !w-14 !py-0.5" inputmode="numeric" /></label>
            <label class="sr-only" for="fixture-kit">Fixture</label>
            <select id="fixture-kit" v-model="kit" class="pick" required>
                <option value="">choose a fixture …</option>
                <option v-for="option in wire.fixtureKit" :key="option.id" :value="option.id">{{ option.name }}</option>
            </select>
            <label class="sr-only" for="fixture-place">Place</label>
            <select id="fixture-place" v-model="place" class="pick" required>
                <option value="">place …</option>
                <option v-for="option in wire.places" :key="option.id" :value="option.id">{{ option.name }}</option>
            </select>
            <button type="submit" class="quiet !py-0.5">Add</button>
            <span class="text-[13px] text-ink2">Work on mains is for a licensed person; local codes decide.</span>
        </form>
    </section>
</template>
