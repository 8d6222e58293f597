<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed } from 'vue';
import { useScreen } from '@/lib/screen';
import type { PartRow, PartsPicture } from '@/types/generated/responses';
import DateField from './DateField.vue';
import FigureText from '@/ui/FigureText.vue';

/** Everything to buy and bring by group: reason, number, cost, state, and the step that waits for it. */
const props = defineProps<{ parts: PartsPicture; rows: PartRow[]; job: number }>();
const emit = defineEmits<{ mark: [part: PartRow, state: string, arrives: string] }>();
const { change, message } = useScreen();
const groups = computed(() =>
    [...new Set(props.rows.map((p) => p.group))].map((group) => ({
        group,
        rows: props.rows.filter((p) => p.group === group),
    })),
);
const said = (day: string) =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

async function spare(part: PartRow, field: HTMLInputElement): Promise<void> {
    const text = field.value.trim();
    const count = text === '' ? null : Number(text);
    if (Number.isNaN(count)) {
        message.value = `“${text}” is not a number of spares. Type one such as 4, or clear the field for the default.`;
        field.value = String(part.spare);
        return;
    }
    if (!(await change({ kind: 'SetSpare', kit: part.key, count }))) {
        field.value = String(part.spare);
    }
}
</script>

<template>
    <table class="stack mt-1 w-full text-left" role="table">
        <thead role="rowgroup" class="text-xs text-ink2">
            <tr role="row" class="border-b border-rule">
                <th role="columnheader" class="py-1 font-normal">Part</th>
                <th role="columnheader" class="pr-4 text-right font-normal">Planned</th>
                <th role="columnheader" class="pr-4 text-right font-normal">Spare</th>
                <th role="columnheader" class="pr-4 text-right font-normal">Buy</th>
                <th role="columnheader" class="pr-4 text-right font-normal">{{ parts.currency }}</th>
                <th role="columnheader" class="font-normal">Status</th>
            </tr>
        </thead>
        <tbody role="rowgroup" v-for="group in groups" :key="group.group">
            <tr role="row">
                <th colspan="6" scope="colgroup" class="pt-2 text-[13px] font-normal text-ink2">{{ group.group }}</th>
            </tr>
            <tr
                role="row"
                v-for="part in group.rows"
                :key="part.key"
                :data-part="part.key"
                class="border-b border-rule2 align-top"
            >
                <th scope="row" role="rowheader" class="py-1 pr-4 font-normal">
                    {{ part.name }}
                    <p v-if="part.why.length === 1" class="text-[13px] text-ink2">{{ part.why[0] }}</p>
                    <details v-else class="text-[13px] text-ink2">
                        <summary class="dotted w-fit cursor-pointer">for {{ part.why.length }} things</summary>
                        <ul>
                            <li v-for="why in part.why" :key="why">{{ why }}</li>
                        </ul>
                    </details>
                </th>
                <td role="cell" data-label="Planned" class="pr-4 text-right">
                    <FigureText :figure="part.asked" right />
                </td>
                <td role="cell" data-label="Spare" class="pr-4 text-right">
                    <input
                        class="fig w-10 border-b bg-transparent text-right"
                        :class="part.usual ? 'border-rule text-ink2' : 'border-ink3'"
                        inputmode="numeric"
                        :value="part.spare"
                        :aria-label="`Spare ${part.name}; empty for the default`"
                        :title="
                            part.usual
                                ? 'Default. Type another number to change it.'
                                : 'Changed here. Clear the field for the default.'
                        "
                        @change="spare(part, $event.target as HTMLInputElement)"
                    />
                </td>
                <td role="cell" data-label="Buy" class="pr-4 text-right"><FigureText :figure="part.buy" right /></td>
                <td role="cell" :data-label="parts.currency" class="pr-4 text-right">
                    <FigureText v-if="part.cost" :figure="{ ...part.cost, unit: '' }" right /><span
                        v-else
                        class="text-[13px] text-watch"
                        >{{ part.foreign ? `in ${part.foreign}, no rate` : 'no price' }}</span
                    >
                </td>
                <td role="cell" class="w-[236px]">
                    <select
                        class="pick"
                        :value="part.state"
                        :aria-label="`Status of ${part.name}`"
                        @change="emit('mark', part, ($event.target as HTMLSelectElement).value, part.arrives)"
                    >
                        <option v-for="state in parts.states" :key="state.id" :value="state.id">
                            {{ state.name }}
                        </option>
                    </select>
                    <span
                        v-if="part.state === 'ordered'"
                        class="ml-2 text-[13px]"
                        :class="part.late ? 'text-stop' : 'text-ink2'"
                        >{{ part.late ? 'late since' : 'comes' }}
                        <DateField
                            :value="part.arrives"
                            :label="`${part.name} comes on`"
                            @day="emit('mark', part, 'ordered', $event)"
                        />
                    </span>
                    <p v-if="part.by" class="text-[13px]" :class="part.tooLate ? 'text-stop' : 'text-ink2'">
                        {{
                            part.tooLate
                                ? `${part.lead} days on the way: delays the work, order today`
                                : `${part.lead} days on the way: order by ${said(part.by)}`
                        }}
                    </p>
                    <p v-if="part.steps.length && part.missing" class="text-[13px] text-ink2">
                        needed for
                        <Link class="act" :href="`/jobs/${job}/build?step=${part.steps[0]!.id}`">{{
                            part.steps[0]!.title
                        }}</Link>, {{ said(part.steps[0]!.day)
                        }}<template v-if="part.steps.length > 1"> and {{ part.steps.length - 1 }} more</template>
                    </p>
                </td>
            </tr>
        </tbody>
    </table>
</template>
