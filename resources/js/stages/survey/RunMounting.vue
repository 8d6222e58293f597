<script setup lang="ts">
import { ref, watch } from 'vue';
import { useScreen } from '@/lib/screen';
import type { SurveyRun } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';

const props = defineProps<{ run: SurveyRun; mountings: string[]; lights: { key: string; words: string }[] }>();
const { change } = useScreen();

const columns = ref('');
const rows = ref('');
const sizing = ref(false);
/** An order that was found stays with its size only. */
function noteMatrix(): void {
    void change({
        kind: 'NoteMatrix',
        run: props.run.id,
        columns: Number(columns.value) || 0,
        rows: Number(rows.value) || 0,
    });
}
watch(
    () => [props.run.columns, props.run.rows],
    ([across, down]) => {
        columns.value = across ? String(across) : '';
        rows.value = down ? String(down) : '';
        sizing.value = false;
    },
    { immediate: true },
);

const say = (word: string, on: boolean) => void change({ kind: 'NoteRun', run: props.run.id, word, on });
</script>

<template>
    <div class="border-b border-rule2 py-2">
        <p class="flex flex-wrap items-baseline gap-x-3">
            <b class="font-semibold">{{ run.name }}</b> <FigureText :figure="run.length" />
            <span v-if="run.apart" class="text-[13px] text-ink2">ends <FigureText :figure="run.apart" /> apart</span>
            <span v-if="run.height" class="text-[13px] text-ink2">up {{ run.height }}</span>
        </p>
        <p class="mt-1 flex flex-wrap gap-1" role="group" :aria-label="`Mounting of ${run.name}`">
            <button
                v-for="how in mountings"
                :key="how"
                type="button"
                class="chip"
                :aria-pressed="run.mounting.includes(how)"
                @click="say(how, !run.mounting.includes(how))"
            >
                {{ how }}
            </button>
            <span class="mx-1 border-l border-rule" />
            <button
                v-for="kind in lights"
                :key="kind.key"
                type="button"
                class="chip"
                :aria-pressed="run.light === kind.key"
                @click="say(kind.key, run.light !== kind.key)"
            >
                {{ kind.words }}
            </button>
        </p>
        <div v-if="run.pixels || run.matrix || run.fixed" class="mt-1 flex flex-wrap items-center gap-2 text-[13px]">
            <button type="button" class="chip" :aria-pressed="run.fixed" @click="say('fixed', !run.fixed)">
                direction fixed
            </button>
            <span v-if="run.matrix" class="text-ink2">Matrix: {{ run.matrix }}</span>
            <button
                v-if="!sizing"
                type="button"
                class="quiet"
                :aria-label="`${run.matrix ? 'Change' : 'Add'} matrix of ${run.name}`"
                @click="sizing = true"
            >
                {{ run.matrix ? 'Change matrix' : 'Add matrix' }}
            </button>
            <form v-else class="flex flex-wrap items-center gap-2" @submit.prevent="noteMatrix">
                <label class="flex items-center gap-2"
                    >Pixels across
                    <input v-model="columns" inputmode="numeric" class="field w-16" />
                </label>
                <label class="flex items-center gap-2"
                    >down <input v-model="rows" inputmode="numeric" class="field w-16" />
                </label>
                <span class="text-ink2">{{ run.pixels }} pixels in the run</span>
                <button type="submit" class="press">Save matrix</button>
                <button type="button" class="quiet" @click="sizing = false">Cancel</button>
            </form>
        </div>
    </div>
</template>
