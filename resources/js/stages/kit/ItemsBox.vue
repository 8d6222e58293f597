<script setup lang="ts">
import { watch } from 'vue';
import { useScreen } from '@/lib/screen';
import { useItemSearch } from './search';
import type { ItemRow, ItemsPicture } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';
import SeverityMark from '@/ui/SeverityMark.vue';

/** Other items of the job: sets, remotes, panels, plugs and the like, and their owners. */
const props = defineProps<{ open: boolean; beside: ItemsPicture }>();
const emit = defineEmits<{ close: [] }>();
const { answer, change, message } = useScreen();
const { words, found } = useItemSearch(answer.value.job);

watch(
    () => props.open,
    () => (words.value = ''),
);
const set = (item: ItemRow, to: Partial<Pick<ItemRow, 'place' | 'count' | 'on'>>) =>
    change({
        kind: 'SetItem',
        item: item.id,
        kit: item.kit,
        place: to.place ?? item.place,
        count: to.count ?? item.count,
        on: to.on ?? item.on,
    });
/** It goes with the first thing that it may go with; another is chosen in its line. */
const add = (kit: string, kind: string) =>
    change({
        kind: 'SetItem',
        kit,
        place: props.beside.places[0]?.id ?? '',
        count: 1,
        on: props.beside.goes.find((g) => g.kind === kind)?.with[0]?.id ?? '',
    });
</script>

<template>
    <DialogBox :open="open" title="Other items" wide @close="emit('close')">
        <p class="text-ink2">
            Sets, remotes, panels, bridges, assistants, phones, servers, boards, LED modules, plugs and forked leads.
            Each is listed in Parts, has a step in Build and is checked.
        </p>
        <table v-if="beside.items.length" class="mt-2 w-full text-left">
            <thead class="text-xs text-ink2">
                <tr class="border-b border-rule">
                    <th class="py-1 font-normal">What</th>
                    <th class="font-normal">Number</th>
                    <th class="font-normal">Place</th>
                    <th class="font-normal">Goes with</th>
                    <td></td>
                </tr>
            </thead>
            <tbody>
                <tr v-for="item in beside.items" :key="item.id" class="border-b border-rule2" :data-item="item.id">
                    <th scope="row" class="py-1 pr-3 font-normal">{{ item.name }}</th>
                    <td>
                        <input
                            class="fig field !w-16 !py-0.5"
                            inputmode="numeric"
                            :value="item.count"
                            :aria-label="`Number of ${item.name}`"
                            @change="set(item, { count: Number(($event.target as HTMLInputElement).value) || 1 })"
                        />
                    </td>
                    <td>
                        <select
                            class="pick"
                            :value="item.place"
                            :aria-label="`Place of ${item.name}`"
                            @change="set(item, { place: ($event.target as HTMLSelectElement).value })"
                        >
                            <option v-for="place in beside.places" :key="place.id" :value="place.id">
                                {{ place.name }}
                            </option>
                        </select>
                    </td>
                    <td>
                        <select
                            v-if="beside.goes.find((g) => g.kind === item.kind)"
                            class="pick"
                            :value="item.on"
                            :aria-label="`What ${item.name} goes with`"
                            @change="set(item, { on: ($event.target as HTMLSelectElement).value })"
                        >
                            <option value="">nothing yet</option>
                            <option
                                v-for="one in beside.goes.find((g) => g.kind === item.kind)?.with"
                                :key="one.id"
                                :value="one.id"
                            >
                                {{ one.name }}
                            </option>
                        </select>
                        <span v-else class="text-ink2">–</span>
                    </td>
                    <td class="text-right">
                        <button
                            type="button"
                            class="act"
                            :aria-label="`Remove ${item.name}`"
                            @click="set(item, { count: 0 })"
                        >
                            Remove
                        </button>
                    </td>
                </tr>
            </tbody>
        </table>
        <label class="mt-3 block"
            >Find it on the shelf <input v-model="words" maxlength="100" class="field" placeholder="remote, plug, set"
        /></label>
        <ul>
            <li v-for="entry in found" :key="entry.id" class="flex justify-between gap-3 border-b border-rule2 py-1">
                <span
                    >{{ entry.name
                    }}<span v-if="entry.misfit" class="flex items-start gap-1.5 text-[13px] text-ink2"
                        ><SeverityMark severity="watch" class="mt-0.5" />{{ entry.misfit }}</span
                    ></span
                >
                <button
                    type="button"
                    class="act shrink-0 self-start"
                    :aria-label="`Add ${entry.name}`"
                    @click="add(entry.id, entry.kind)"
                >
                    Add
                </button>
            </li>
        </ul>
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
    </DialogBox>
</template>
