<script setup lang="ts">
import { ref, watch } from 'vue';
import DialogBox from '@/ui/DialogBox.vue';
import { useScreen } from '@/lib/screen';
import type { WireRun } from '@/types/generated/responses';

/** Divides a run of pixels into segments, each a light of its own in scenes and in the board. */
const props = defineProps<{ run: WireRun | null }>();
const emit = defineEmits<{ close: [] }>();
const { change } = useScreen();
type Row = { id: string; name: string; first: string; last: string; reversed: boolean; mirrored: boolean };
const rows = ref<Row[]>([]);
const parts = ref('2');
watch(
    () => props.run,
    (run) => {
        rows.value = (run?.segments ?? []).map((s) => ({ ...s, first: String(s.first), last: String(s.last) }));
    },
);
/** The next free pixels, to the end. */
function add(): void {
    const first = Math.max(0, ...rows.value.map((r) => Number(r.last) || 0)) + 1;
    rows.value.push({
        id: '',
        name: '',
        first: String(Math.min(first, props.run?.pixels ?? 1)),
        last: String(props.run?.pixels ?? 1),
        reversed: false,
        mirrored: false,
    });
}
async function send(more: object): Promise<boolean> {
    const segments = rows.value.map((r) => ({ ...r, first: Number(r.first) || 1, last: Number(r.last) || 1 }));
    return change({ kind: 'SetSegments', run: props.run?.id, segments, ...more });
}
/** The server divides; names stay where there were some. */
async function divide(): Promise<void> {
    rows.value = rows.value.filter((r) => r.name.trim() !== '');
    await send({ parts: Number(parts.value) || 0 });
}
async function save(): Promise<void> {
    if (await send({})) {
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="run !== null" :title="`Segments of ${run?.name ?? ''}`" wide @close="emit('close')">
        <form v-if="run" class="grid grid-cols-1 gap-3" @submit.prevent="save">
            <p class="text-ink2">
                {{ run.pixels }} pixels, counted from the start of the run. Each segment is a light of its own in scenes
                and in the board. Nothing is cut: copper and feeds stay as they are.
            </p>
            <div class="flex flex-wrap items-baseline gap-3">
                <label>Equal parts <input v-model="parts" class="fig field !w-14" inputmode="numeric" /></label>
                <button type="button" class="quiet" @click="divide">Divide</button>
                <button type="button" class="quiet" @click="add">Add a segment</button>
            </div>
            <ul v-if="rows.length" class="grid gap-2">
                <li
                    v-for="(row, n) in rows"
                    :key="n"
                    class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule2 pb-2"
                >
                    <input
                        v-model="row.name"
                        class="field !w-auto min-w-40 flex-1"
                        :aria-label="`Name of segment ${n + 1}`"
                    />
                    <span class="whitespace-nowrap"
                        >pixels
                        <input
                            v-model="row.first"
                            class="fig field !w-16"
                            inputmode="numeric"
                            :aria-label="`First pixel of segment ${n + 1}`"
                        />
                        to
                        <input
                            v-model="row.last"
                            class="fig field !w-16"
                            inputmode="numeric"
                            :aria-label="`Last pixel of segment ${n + 1}`"
                        />
                    </span>
                    <label><input v-model="row.reversed" type="checkbox" class="mr-1" />from its end</label>
                    <label><input v-model="row.mirrored" type="checkbox" class="mr-1" />mirrored</label>
                    <button
                        type="button"
                        class="act ml-auto"
                        :aria-label="`Remove segment ${n + 1}`"
                        @click="rows.splice(n, 1)"
                    >
                        Remove
                    </button>
                </li>
            </ul>
            <p v-else class="text-ink2">No segments: the run is one light.</p>
            <button type="submit" class="press justify-self-start">Save segments</button>
        </form>
    </DialogBox>
</template>
