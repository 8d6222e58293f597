<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { readNumber } from '@/lib/number';
import { useScreen } from '@/lib/screen';
import DialogBox from '@/ui/DialogBox.vue';
import type { StandingUnit, SurveyPlace } from '@/types/generated/responses';

/** Positions: every unit with its place, the boxes with their free room, and a form to place a unit. */
const props = defineProps<{ places: SurveyPlace[]; place: SurveyPlace; units: StandingUnit[] }>();
const { change, message } = useScreen();
const unit = ref<StandingUnit | null>(null);
const form = ref({ place: '', target: '', at: '', up: '' });
const refused = ref('');
const chosen = computed(() => props.places.find((p) => p.id === form.value.place));

function targetOf(stands: NonNullable<StandingUnit['stands']>): string {
    return stands.wall === null ? `spot ${stands.spot}` : `wall ${stands.wall}`;
}

function open(id: string): void {
    const found = props.units.find((u) => u.id === id) ?? null;
    const stands = found?.stands;
    unit.value = found;
    refused.value = '';
    form.value = {
        place: stands?.place ?? props.place.id,
        target: stands ? targetOf(stands) : '',
        at: stands && stands.wall !== null ? stands.at.toFixed(2) : '',
        up: stands?.up === null || stands?.up === undefined ? '' : stands.up.toFixed(2),
    };
}
defineExpose({ open });
watch(
    () => form.value.place,
    (now, before) => {
        if (before && now !== before && unit.value?.stands?.place !== now) {
            form.value.target = '';
        }
    },
);

async function put(): Promise<void> {
    const [what, name] = [form.value.target.slice(0, 4), form.value.target.slice(5)];
    const at = what === 'wall' ? readNumber(form.value.at) : 0;
    const up = form.value.up.trim() === '' ? null : readNumber(form.value.up);
    if (at === null || (form.value.up.trim() !== '' && up === null)) {
        refused.value = `“${at === null ? form.value.at : form.value.up}” is not a length in metres, such as 1.20.`;
        return;
    }
    const stands = {
        place: form.value.place,
        spot: what === 'spot' ? name : '',
        wall: what === 'wall' ? Number(name) : null,
        at,
        up,
    };
    if (unit.value && (await change({ kind: 'PlaceDevice', device: unit.value.id, stands }))) {
        unit.value = null;
    } else {
        refused.value = message.value;
    }
}

async function nowhere(): Promise<void> {
    if (unit.value && (await change({ kind: 'PlaceDevice', device: unit.value.id }))) {
        unit.value = null;
    }
}
</script>

<template>
    <section v-if="units.length" aria-labelledby="standing" class="min-w-0">
        <h2 id="standing" class="border-b border-rule pb-1 font-semibold">Positions of units</h2>
        <ul>
            <li
                v-for="u in units"
                :key="u.id"
                class="flex items-baseline gap-2 border-b border-rule2 py-1"
                :data-standing="u.id"
            >
                <b class="fig font-semibold">{{ u.id.toUpperCase() }}</b>
                <span class="min-w-0 flex-1 truncate" :title="u.name">{{ u.name }}</span>
                <span class="text-ink2">{{
                    u.stands
                        ? `${u.stands.place === place.id ? '' : `${places.find((p) => p.id === u.stands?.place)?.name}, `}${u.words}`
                        : 'not placed'
                }}</span>
                <button type="button" class="act" :aria-label="`Place ${u.id.toUpperCase()}`" @click="open(u.id)">
                    Place
                </button>
            </li>
        </ul>
        <p v-for="box in place.boxes" :key="box.name" class="mt-1 text-[13px] text-ink2">
            <b class="fig font-semibold text-ink">{{ box.name }}</b>{{
                box.holds.length ? ` holds ${box.holds.join(', ')}` : ' is empty'
            }}<template v-if="box.taken"
                >: <span class="fig text-ink">{{ box.taken }}</span> of its room, at most {{ box.most }}</template
            ><template v-else>; its size is not in the notes</template
            >{{ box.still.length ? `. Still fits: ${box.still.join(', ')}` : '' }}.
        </p>
    </section>
    <DialogBox :open="unit !== null" :title="`Position of ${unit?.id.toUpperCase() ?? ''}`" @close="unit = null">
        <form v-if="unit" class="space-y-3" @submit.prevent="put()">
            <p class="text-ink2">{{ unit.name }}</p>
            <label class="block"
                >Place
                <select v-model="form.place" class="field" name="place">
                    <option v-for="p in places" :key="p.id" :value="p.id">{{ p.name }}</option>
                </select></label
            >
            <label class="block"
                >At
                <select v-model="form.target" class="field" name="target">
                    <option value="" disabled>an outlet, a box, a wall …</option>
                    <option v-for="s in chosen?.sheet.spots ?? []" :key="s.name" :value="`spot ${s.name}`">
                        {{ s.name }}, {{ s.where || s.kind }}
                    </option>
                    <option v-for="w in chosen?.sheet.walls ?? []" :key="w.leg" :value="`wall ${w.leg}`">
                        wall {{ w.leg + 1 }}, {{ w.text }}
                    </option>
                </select></label
            >
            <div class="grid grid-cols-2 gap-3">
                <label v-if="form.target.startsWith('wall')" class="block"
                    >From the wall’s start, m <input v-model="form.at" class="fig field" inputmode="decimal" name="at"
                /></label>
                <label class="block"
                    >Above the floor, m <input v-model="form.up" class="fig field" inputmode="decimal" name="up"
                /></label>
            </div>
            <p class="text-[13px] text-ink2">
                Calculated cable lengths use this position, along the walls and up or down. Mains work is for a licensed
                person.
            </p>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <button class="press" :disabled="form.target === ''">Save position</button>
            <button v-if="unit.stands" type="button" class="quiet ml-3" @click="nowhere()">Remove from there</button>
        </form>
    </DialogBox>
</template>
