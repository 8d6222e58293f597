<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { MixedColour, SceneDim, SceneLight } from '@/types/generated/responses';

/** One light of a scene: how bright, and a white or a colour where its channels can. What its channels do for it the core says. */
const props = defineProps<{ dim: SceneDim; light: SceneLight | undefined }>();
const emit = defineEmits<{ mixed: [of: string, mixed: MixedColour] }>();
const { answer } = useScreen();
const level = ref(Math.round(100 * (props.light?.level ?? 0)));
const fresh = props.dim.white ? 'white' : 'plain';
const way = ref<'asis' | 'plain' | 'white' | 'colour'>(props.light ? 'asis' : fresh);
const kelvin = ref(props.dim.white ? Math.max(props.dim.white.least, Math.min(props.dim.white.most, 3000)) : 3000);
const colour = ref(props.light?.colour || '#ffb46b');
const shown = ref(props.light?.colour ?? '');
const note = ref('');
const ways = [
    { key: 'asis', says: 'as it is', can: () => props.light !== undefined },
    { key: 'plain', says: 'all channels', can: () => true },
    { key: 'white', says: 'white', can: () => props.dim.white !== null },
    { key: 'colour', says: 'colour', can: () => props.dim.colours },
] as const;
let asking = false;
let again = false;

/** One request in flight; the newest supersedes. */
async function mix(): Promise<void> {
    if (asking) {
        again = true;
        return;
    }
    asking = true;
    try {
        const mixed = await ask<MixedColour>('POST', `/jobs/${answer.value.job}/mix`, {
            of: props.dim.id,
            level: level.value / 100,
            kelvin: way.value === 'white' ? kelvin.value : null,
            colour: way.value === 'colour' ? colour.value : null,
            duties: way.value === 'asis' ? (props.light?.duties ?? null) : null,
        });
        shown.value = mixed.colour;
        note.value = mixed.note;
        emit('mixed', props.dim.id, mixed);
    } catch (error) {
        note.value = inWords(error);
    }
    asking = false;
    if (again) {
        again = false;
        await mix();
    }
}
watch([way, kelvin, colour], () => void mix());
</script>

<template>
    <fieldset class="border-b border-rule2 py-2">
        <legend class="float-left mr-4 w-40 font-semibold">{{ dim.name }}</legend>
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
            <label class="flex items-center gap-2"
                ><span class="sr-only">{{ dim.name }}, level in percent</span>
                <input v-model.number="level" type="range" min="0" max="100" class="w-36" @input="mix()" />
                <span class="fig w-12 text-right">{{ level }}<span class="unit">%</span></span></label
            >
            <span v-if="dim.white || dim.colours" class="flex gap-3">
                <template v-for="w in ways" :key="w.key">
                    <label v-if="w.can()" class="flex items-center gap-1"
                        ><input v-model="way" type="radio" :name="`way-${dim.id}`" :value="w.key" /> {{ w.says }}</label
                    >
                </template>
            </span>
            <label v-if="way === 'white' && dim.white" class="flex items-center gap-2"
                ><span class="sr-only">{{ dim.name }}, white in kelvin</span>
                <input
                    v-model.number="kelvin"
                    type="range"
                    :min="dim.white.least"
                    :max="dim.white.most"
                    step="50"
                    class="w-28"
                />
                <span class="fig">{{ kelvin }}<span class="unit">K</span></span></label
            >
            <label v-if="way === 'colour' && dim.colours"
                ><span class="sr-only">{{ dim.name }}, colour</span>
                <input v-model="colour" type="color" class="h-6 w-10"
            /></label>
            <span
                v-if="shown && level > 0"
                class="inline-block h-4 w-10 border border-rule"
                :style="{ background: shown }"
                role="img"
                :aria-label="`seen as ${shown}`"
            />
        </div>
        <p v-if="note" role="status" class="text-[13px] text-ink2">{{ note }}</p>
    </fieldset>
</template>
