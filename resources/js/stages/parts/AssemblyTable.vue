<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { MakingRow, PartsPicture } from '@/types/generated/responses';

/** How each run is made up: what may be joined, its profile and diffuser, how it is sealed, when it is cut. */
const props = defineProps<{ parts: PartsPicture }>();
const { change } = useScreen();
type Field = 'strip' | 'profile' | 'diffuser' | 'length' | 'seal' | 'cut';
const JOINTS: [string, string][] = [
    ['needed', 'joined where longer than stock'],
    ['saving', 'joined wherever it saves one'],
    ['never', 'in one piece'],
];

function choices(row: MakingRow): { field: Field; label: string; of: [string, string][] }[] {
    const kit = (list: { id: string; name: string }[], usual: string): [string, string][] => [
        ['', `as fits: ${usual}`],
        ...list.map((k): [string, string] => [k.id, k.name]),
    ];
    return [
        { field: 'strip', label: 'Strip', of: JOINTS },
        ...(row.inProfile
            ? [
                  { field: 'profile' as const, label: 'Profile', of: kit(props.parts.profiles, row.usualProfile) },
                  { field: 'diffuser' as const, label: 'Diffuser', of: kit(props.parts.diffusers, row.usualDiffuser) },
                  { field: 'length' as const, label: 'Both', of: JOINTS },
              ]
            : []),
        {
            field: 'seal',
            label: 'Ends',
            of: [
                ['', `as usual: ${row.usualSeal}`],
                ['silicone', 'silicone, a day to cure'],
                ['glue', 'hot glue and tape'],
            ],
        },
        {
            field: 'cut',
            label: 'Cut',
            of: [
                ['', `as usual: ${row.usualCut}`],
                ['after', 'after fixing, from the unfed end'],
                ['before', 'to measure, before'],
            ],
        },
    ];
}
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
            <label v-for="one in choices(row)" :key="one.field" class="whitespace-nowrap text-ink2"
                >{{ one.label }}
                <select
                    class="pick !max-w-none text-ink"
                    :data-field="one.field"
                    :value="row[one.field]"
                    :aria-label="`${row.name}: ${one.label}`"
                    @change="
                        change({
                            kind: 'SetMaking',
                            run: row.run,
                            [one.field]: ($event.target as HTMLSelectElement).value,
                        })
                    "
                >
                    <option v-for="[id, name] in one.of" :key="id" :value="id">{{ name }}</option>
                </select>
            </label>
        </li>
    </ul>
</template>
