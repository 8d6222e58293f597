<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { PartsPicture } from '@/types/generated/responses';

/** Assembly of each run: what may be joined, its profile and diffuser, how it is sealed, when it is cut. */
defineProps<{ parts: PartsPicture }>();
const { change } = useScreen();
</script>

<template>
    <ul>
        <li
            v-for="row in parts.makings"
            :key="row.run"
            :data-making="row.run"
            class="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-rule2 py-1.5 text-[13px]"
        >
            <span class="w-full"
                ><b class="font-semibold">{{ row.name }}</b
                >{{ ' '
                }}<span class="text-ink2"
                    >{{ row.place }}{{ row.inProfile ? '' : ', without profile: that is said at Survey' }}</span
                ></span
            >
            <label v-for="one in row.fields" :key="one.field" class="whitespace-nowrap text-ink2"
                >{{ one.label }}
                <select
                    class="pick !max-w-none text-ink"
                    :data-field="one.field"
                    :value="one.value"
                    :aria-label="`${row.name}: ${one.label}`"
                    @change="
                        change({
                            kind: 'SetMaking',
                            run: row.run,
                            [one.field]: ($event.target as HTMLSelectElement).value,
                        })
                    "
                >
                    <option v-for="{ value, text } in one.choices" :key="value" :value="value">{{ text }}</option>
                </select>
            </label>
        </li>
    </ul>
</template>
