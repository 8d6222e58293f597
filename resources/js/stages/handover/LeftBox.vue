<script setup lang="ts">
import { computed, ref } from 'vue';
import { ask, inWords } from '@/lib/http';
import FactForm from './FactForm.vue';
import type { LeftBehind, IssuedSheet } from '@/types/generated/responses';

/** Facts recorded before hand-over: topics shown, app and firmware versions, place of the backups, notes for the next job. */
const props = defineProps<{ job: number; sheet: IssuedSheet }>();
const emit = defineEmits<{ said: [left: LeftBehind] }>();
const message = ref('');
const note = ref({ entry: props.sheet.kits[0]?.id ?? '', says: '' });
const of = (kind: string) => props.sheet.facts.filter((f) => f.kind === kind);
const given = computed(() => Object.fromEntries(of('lesson').map((f) => [f.about, f])));

async function send(path: string, body: object = {}): Promise<boolean> {
    try {
        emit('said', await ask<LeftBehind>('POST', `/jobs/${props.job}/${path}`, body));
        message.value = '';
        return true;
    } catch (error) {
        message.value = inWords(error);
        return false;
    }
}
function lesson(key: string): void {
    const is = given.value[key];
    void (is ? send(`left/${is.id}/forget`) : send('left', { kind: 'lesson', about: key, says: '' }));
}
async function keep(kind: string, form: { about: string; says: string }): Promise<void> {
    if (await send('left', { kind, ...form })) {
        form.about = '';
        form.says = '';
    }
}
async function keepNote(): Promise<void> {
    if (await send('kit-notes', note.value)) {
        note.value.says = '';
    }
}
</script>

<template>
    <details class="mb-3 max-w-[860px] border border-rule bg-sheet px-4 py-2">
        <summary class="cursor-pointer py-1 font-semibold">
            Before you leave: what to show, versions, backups, notes
        </summary>
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <h3 class="mt-2 font-semibold">Show the client</h3>
        <ul>
            <li v-for="line in sheet.lesson" :key="line.key" class="py-0.5">
                <label class="flex items-baseline gap-2"
                    ><input type="checkbox" :checked="!!given[line.key]" @change="lesson(line.key)" />
                    <span
                        >{{ line.says }}
                        <span v-if="given[line.key]" class="text-[13px] text-ink2"
                            >{{ given[line.key]!.day }}, {{ given[line.key]!.by }}</span
                        ></span
                    ></label
                >
            </li>
        </ul>
        <div class="grid gap-x-8 md:grid-cols-2">
            <FactForm
                title="Apps and firmware, as seen today"
                label="Version"
                about="app of the hub"
                says=""
                :facts="of('version')"
                @keep="keep('version', $event)"
                @forget="send(`left/${$event}/forget`)"
            />
            <FactForm
                title="Where settings are backed up"
                label="Where"
                about="board of the band"
                says="never a password"
                :facts="of('backup')"
                @keep="keep('backup', $event)"
                @forget="send(`left/${$event}/forget`)"
            />
        </div>
        <form @submit.prevent="keepNote()">
            <h3 class="mt-3 font-semibold">Notes for the next job with this kit</h3>
            <p class="text-[13px] text-ink2">Only for the crew: shown on every job with this kit, not printed.</p>
            <ul>
                <li v-for="n in sheet.notes" :key="n.id" class="text-[13px]">
                    {{ n.kit }}: <b>{{ n.says }}</b> {{ n.day }}, {{ n.by }}
                    <button
                        type="button"
                        class="act"
                        :aria-label="`Remove the note about ${n.kit}`"
                        @click="send(`kit-notes/${n.id}/forget`)"
                    >
                        out
                    </button>
                </li>
            </ul>
            <div class="mt-1 flex flex-wrap items-baseline gap-2">
                <label
                    >Of
                    <select v-model="note.entry" class="pick">
                        <option v-for="k in sheet.kits" :key="k.id" :value="k.id">{{ k.name }}</option>
                    </select></label
                >
                <label class="min-w-0 flex-1"
                    ><span class="sr-only">Note</span
                    ><input v-model="note.says" class="field" maxlength="400" placeholder="Note"
                /></label>
                <button class="quiet">Save</button>
            </div>
        </form>
    </details>
</template>
