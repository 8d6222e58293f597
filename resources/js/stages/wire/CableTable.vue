<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue';
import { ref } from 'vue';
import { readNumber } from '@/lib/number';
import { useScreen } from '@/lib/screen';
import type { CableOption, WireCable, WireWay } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import FittingPick from './FittingPick.vue';

defineProps<{
    /** Name of the run that the cables feed, or “fixtures”. */
    of: string;
    cables: WireWay[];
    options: CableOption[];
    joints: CableOption[];
    fuses: CableOption[];
    switches: CableOption[];
}>();
const { change } = useScreen();
const refused = ref<Record<string, string>>({});

async function setLength(cable: WireCable, field: HTMLInputElement): Promise<void> {
    const metres = readNumber(field.value);
    if (metres === null) {
        refused.value = { ...refused.value, [cable.id]: `“${field.value}” is not a length in metres, such as 3.20.` };
        return;
    }
    refused.value = { ...refused.value, [cable.id]: '' };
    const kept = metres.toFixed(2) === cable.length && !cable.reckoned;
    if (kept || !(await change({ kind: 'SetCable', cable: cable.id, length: metres }))) {
        field.value = cable.length;
    }
}
</script>

<template>
    <table v-if="cables.length" class="stack w-full text-left" role="table">
        <caption class="sr-only">
            Cables of
            {{
                of
            }}
        </caption>
        <thead role="rowgroup" class="text-xs text-ink2">
            <tr role="row" class="border-b border-rule">
                <th role="columnheader" class="py-1 font-normal">Cable</th>
                <th role="columnheader" class="font-normal">From, to</th>
                <th role="columnheader" class="font-normal">Kind</th>
                <th role="columnheader" class="font-normal">Length one way, m</th>
                <th role="columnheader" class="font-normal">Joints</th>
                <th role="columnheader" class="font-normal">Fuse, switch</th>
                <th role="columnheader" class="text-right font-normal">Highest current in a core</th>
                <th role="columnheader" class="text-right font-normal">Lost</th>
            </tr>
        </thead>
        <tbody role="rowgroup">
            <tr role="row" v-for="({ way, cable }, n) in cables" :key="cable.id" class="border-b border-rule2">
                <th scope="row" role="rowheader" class="fig py-1 font-semibold">{{ cable.id.toUpperCase() }}</th>
                <td role="cell" data-label="From, to" class="fig text-ink2">{{ way }}</td>
                <td role="cell" data-label="Kind">
                    <Listbox
                        as="div"
                        class="relative"
                        :model-value="cable.kit"
                        @update:model-value="change({ kind: 'SetCable', cable: cable.id, kit: $event })"
                    >
                        <ListboxButton
                            class="fig dotted"
                            :aria-label="`Kind of ${cable.id.toUpperCase()}: ${cable.label}`"
                            >{{ cable.label }}</ListboxButton
                        >
                        <ListboxOptions class="panel absolute bottom-full z-30 max-h-60 w-52 overflow-auto py-1">
                            <ListboxOption
                                v-for="option in options"
                                :key="option.id"
                                v-slot="{ active, selected }"
                                :value="option.id"
                            >
                                <span
                                    class="fig block px-3 py-0.5"
                                    :class="[active ? 'bg-rule2' : '', selected ? 'font-semibold' : '']"
                                    >{{ option.label }}{{ selected ? ', now' : '' }}</span
                                >
                            </ListboxOption>
                        </ListboxOptions>
                    </Listbox>
                </td>
                <td role="cell" data-label="Length one way, m">
                    <input
                        class="fig field !w-20 !py-0.5"
                        inputmode="decimal"
                        :value="cable.length"
                        :aria-label="`Length of ${cable.id.toUpperCase()} in metres`"
                        :aria-invalid="!!refused[cable.id]"
                        @change="setLength(cable, $event.target as HTMLInputElement)"
                    />
                    <span v-if="cable.existing" class="ml-2 text-[13px] text-ink2">existing</span>
                    <span v-else-if="cable.way" class="ml-2 text-[13px] text-watch"
                        >by its route: <FigureText :figure="cable.way"
                    /></span>
                    <span v-else-if="cable.reckoned" class="ml-2 text-[13px] text-watch">calculated</span>
                    <span v-if="refused[cable.id]" role="alert" class="ml-2 text-[13px] text-stop">{{
                        refused[cable.id]
                    }}</span>
                </td>
                <td role="cell" data-label="Joints">
                    <FittingPick
                        class="w-28"
                        :cable="cable"
                        what="joint"
                        label="Joints of"
                        :none="cable.joined"
                        :options="joints"
                    />
                </td>
                <td role="cell" data-label="Fuse, switch">
                    <FittingPick
                        v-if="cable.fusible"
                        class="fig"
                        :cable="cable"
                        what="fuse"
                        label="Fuse of"
                        none="none"
                        :options="fuses"
                    />
                    <!-- A switch sits at the beginning of the way. -->
                    <FittingPick
                        v-if="cable.fusible && (n === 0 || cable.switch)"
                        class="block w-28"
                        :cable="cable"
                        what="switch"
                        label="Switch in"
                        none="no switch"
                        :options="switches"
                    />
                </td>
                <td role="cell" data-label="Highest current in a core" class="text-right">
                    <FigureText v-if="cable.amps" :figure="cable.amps" up right />
                </td>
                <td role="cell" data-label="Lost" class="text-right">
                    <FigureText v-if="cable.drop" :figure="cable.drop" up right />
                </td>
            </tr>
        </tbody>
    </table>
</template>
