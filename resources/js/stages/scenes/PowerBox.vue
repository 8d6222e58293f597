<script setup lang="ts">
import { useScreen } from '@/lib/screen';
import type { PowerLight, PowerPicture } from '@/types/generated/responses';

/** Settings of each light: dimming curve and power-on behaviour. */
defineProps<{ power: PowerPicture }>();
const { change } = useScreen();
function set(light: PowerLight, with_: Partial<PowerLight>): void {
    const to = { ...light, ...with_ };
    void change({ kind: 'SetTuning', id: to.id, curve: to.curve, powerOn: to.powerOn, level: to.level });
}
const stored = (light: PowerLight) =>
    `Store it, wait ${light.keeps === null ? 'for the sign that it is stored' : `${light.keeps} s`}, ` +
    'cut the power, test with the phone off';
const picked = (event: Event) => (event.target as HTMLSelectElement).value;
const typed = (event: Event) =>
    Math.min(1, Math.max(0, Number((event.target as HTMLInputElement).value.replace(',', '.')) / 100 || 0));
</script>

<template>
    <section aria-labelledby="power" class="mt-6">
        <h2 id="power" class="text-lg font-semibold">Dimming and power-on behaviour</h2>
        <p v-if="power.lights.length === 0" class="text-ink2">No light of this job can be joined yet.</p>
        <table v-else class="mt-1 w-full text-[13.5px]">
            <thead>
                <tr class="text-left text-ink2">
                    <th scope="col" class="font-normal">light</th>
                    <th scope="col" class="font-normal">dims</th>
                    <th scope="col" class="font-normal">when power returns</th>
                    <th scope="col" class="font-normal">to store it</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="light in power.lights" :key="light.id" class="border-t border-rule2 align-baseline">
                    <th scope="row" class="py-1 pr-4 text-left font-normal">{{ light.name }}</th>
                    <td class="pr-4">
                        <select
                            class="pick"
                            :value="light.curve"
                            :aria-label="`${light.name}: how it dims`"
                            @change="set(light, { curve: picked($event) })"
                        >
                            <option v-for="c in power.curves" :key="c.key" :value="c.key">{{ c.says }}</option>
                        </select>
                    </td>
                    <td class="pr-4">
                        <select
                            class="pick"
                            :value="light.powerOn"
                            :aria-label="`${light.name}: when power returns`"
                            @change="set(light, { powerOn: picked($event) })"
                        >
                            <option v-for="c in power.states" :key="c.key" :value="c.key">{{ c.says }}</option>
                        </select>
                        <label v-if="light.powerOn === 'level'" class="ml-2"
                            ><span class="sr-only">{{ light.name }}, percent</span
                            ><input
                                class="fig field !w-14 !py-0"
                                :value="Math.round(100 * light.level)"
                                inputmode="numeric"
                                @change="set(light, { level: typed($event) })"
                            />
                            %</label
                        >
                        <span v-if="light.cut" class="block text-ink2">power cut by {{ light.cut }}</span>
                    </td>
                    <td class="text-ink2">
                        {{ light.powerOn === '' ? '' : stored(light) }}
                    </td>
                </tr>
            </tbody>
        </table>
        <p v-if="power.lights.some((l) => l.powerOn)" class="mt-1 text-[13px] text-ink2">
            Each setting is a step at Build and is printed on the hand-over sheet.
        </p>
    </section>
</template>
