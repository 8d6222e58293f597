<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue';
import { ask, Refusal, inWords } from '@/lib/http';
import SignalPlayer from '@/pictures/SignalPlayer.vue';
import type { EntryAnswer, Kind, Shift, JobUse, EntryUses } from '@/types/generated/responses';

/** An entry with all its fields, in the words of its CSV column; empty id for a new one. */
const props = defineProps<{ id: string; kind: string; kinds: Kind[]; prepared?: Record<string, string> }>();
const emit = defineEmits<{ kept: [id: string]; gone: []; copy: [cells: Record<string, string>] }>();
const cells = ref<Record<string, string>>({ kind: props.kind, id: '', name: '', ...props.prepared });
const uses = ref<EntryUses>({ total: 0, jobs: [] });
/** Changes by job, once previewed. */
const shifts = ref<Record<number, Shift>>({});
const message = ref('');
const at = ref('');
const busy = ref(false);
const form = ref<HTMLFormElement>();
const kind = computed(() => props.kinds.find((k) => k.kind === cells.value.kind));

/** The field that the message is about. */
const wrong = computed(() => kind.value?.fields.find((f) => at.value !== '' && at.value === f.key));

/** Whether a field describes joining. */
const leaflet = (field?: { key: string }) => field?.key.startsWith('profile.') ?? false;

function take(answer: EntryAnswer): void {
    cells.value = answer.cells as Record<string, string>;
    uses.value = answer.uses;
    shifts.value = {};
}

async function doing(work: () => Promise<void>): Promise<void> {
    busy.value = true;
    message.value = at.value = '';
    try {
        await work();
    } catch (error) {
        message.value = inWords(error);
        at.value = error instanceof Refusal ? (error.pointer.slice(1).split('/')[0] ?? '') : '';
        await nextTick();
        const field = form.value?.querySelector<HTMLElement>(`[name="${CSS.escape(at.value)}"]`);
        field?.scrollIntoView({ block: 'center' });
        field?.focus({ preventScroll: true });
    } finally {
        busy.value = false;
    }
}
onMounted(() => props.id && void doing(async () => take(await ask<EntryAnswer>('GET', `/shelf/entries/${props.id}`))));

const keep = () =>
    doing(async () => {
        const answer = await ask<EntryAnswer>('POST', '/shelf/entries', { cells: cells.value });
        take(answer);
        emit('kept', cells.value.id ?? '');
    });
/** The same under a name of its own, as a new entry. */
const copy = () => emit('copy', { ...cells.value, id: '', name: `${cells.value.name}, copy` });
const remove = () =>
    doing(async () => {
        await ask('DELETE', `/shelf/entries/${props.id}`);
        emit('gone');
    });
const look = (use: JobUse) =>
    doing(async () => {
        shifts.value = {
            ...shifts.value,
            [use.job]: await ask<Shift>('GET', `/shelf/entries/${props.id}/jobs/${use.job}`),
        };
    });
const update = (use: JobUse) =>
    doing(async () => {
        await ask('POST', `/jobs/${use.job}/change`, {
            base: use.revision,
            stage: 'kit',
            change: { kind: 'RefreshKit', kit: props.id },
        });
        take(await ask<EntryAnswer>('GET', `/shelf/entries/${props.id}`));
    });
</script>

<template>
    <form ref="form" @submit.prevent="keep()">
        <label v-if="!id" class="mb-2 block"
            >Kind
            <select v-model="cells.kind" class="field">
                <option v-for="k in kinds" :key="k.kind" :value="k.kind">{{ k.name }}</option>
            </select>
        </label>
        <label class="block"
            >Name
            <input
                v-model="cells.name"
                class="field font-semibold"
                name="name"
                maxlength="120"
                :aria-invalid="at === 'name'"
        /></label>
        <p class="fig mt-1 text-[12px] text-ink2">{{ id || 'gets an id from its name' }}</p>
        <div class="mt-2 space-y-1">
            <template v-for="(field, n) in kind?.fields" :key="field.key">
                <h3
                    v-if="leaflet(field) && !leaflet(kind?.fields[n - 1])"
                    class="border-b border-rule pb-1 pt-3 font-semibold"
                >
                    From its instructions
                </h3>
                <label
                    class="grid items-center gap-x-3"
                    :class="[
                        ['gesture', 'signal'].includes(field.type) ? '' : 'grid-cols-[1fr_190px]',
                        { 'text-stop': at === field.key },
                    ]"
                >
                    <span
                        >{{ field.label }}<span v-if="field.required" class="text-ink2"> *</span>{{ ' '
                        }}<span class="text-[12px] text-ink2">{{
                            [field.unit, field.hint, field.assumed ? `empty: ${field.assumed} is assumed` : '']
                                .filter(Boolean)
                                .join(', ')
                        }}</span></span
                    >
                    <select
                        v-if="field.type === 'choice' || field.type === 'flag'"
                        :value="cells[field.key] ?? ''"
                        class="field"
                        :name="field.key"
                        @change="cells[field.key] = ($event.target as HTMLSelectElement).value"
                    >
                        <option value="">not stated</option>
                        <option
                            v-for="choice in field.type === 'flag' ? ['yes', 'no'] : field.choices"
                            :key="choice"
                            :value="choice"
                        >
                            {{ choice }}
                        </option>
                    </select>
                    <input
                        v-else
                        v-model="cells[field.key]"
                        class="fig field"
                        :name="field.key"
                        :inputmode="field.type === 'number' ? 'decimal' : undefined"
                        :placeholder="
                            { choices: field.choices.join(' '), channels: 'name:W/m:#rrggbb | …' }[field.type] ?? ''
                        "
                        :aria-invalid="at === field.key"
                    />
                </label>
                <SignalPlayer v-if="field.type === 'signal'" :typed="cells[field.key] ?? ''" :label="field.label" />
            </template>
        </div>
        <div class="sticky bottom-0 mt-3 bg-paper py-2">
            <p v-if="message" role="alert" class="mb-2 border-l-4 border-stop bg-sheet px-3 py-2">
                <b v-if="wrong">{{ wrong.label }}:</b> {{ message }}
            </p>
            <p class="flex gap-5">
                <button class="press" :disabled="busy">{{ id ? 'Save entry' : 'Save to the shelf' }}</button>
                <button v-if="id" type="button" class="act" :disabled="busy" @click="copy()">Copy</button>
                <button v-if="id" type="button" class="act" :disabled="busy" @click="remove()">Delete</button>
            </p>
        </div>
    </form>
    <section v-if="id" aria-labelledby="uses" class="mt-4">
        <h2 id="uses" class="border-b border-rule pb-1 font-semibold">Jobs that use it</h2>
        <p v-if="uses.total === 0" class="mt-1 text-ink2">None.</p>
        <div v-for="use in uses.jobs" :key="use.job" class="border-b border-rule2 py-2">
            <p class="flex justify-between gap-3">
                <a :href="`/jobs/${use.job}/kit`" class="font-semibold hover:underline">{{ use.name }}</a>{{ ' '
                }}<span class="text-ink2">{{ use.moved ? 'has an older copy' : 'has this entry' }}</span>
            </p>
            <p v-if="use.moved && !shifts[use.job]">
                <button type="button" class="act mt-1" :disabled="busy" @click="look(use)">Preview the changes</button>
            </p>
            <template v-for="(shift, n) in shifts[use.job] ? [shifts[use.job]!] : []" :key="n">
                <table v-if="shift.figures.length" class="mt-1 w-full text-[13px]">
                    <thead class="text-left text-xs text-ink2">
                        <tr>
                            <th class="font-normal">Would change</th>
                            <th class="text-right font-normal">from</th>
                            <th class="text-right font-normal">to</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="moved in shift.figures" :key="moved.label" class="border-t border-rule2">
                            <td>{{ moved.label }}</td>
                            <td class="fig text-right">{{ moved.before }}</td>
                            <td class="fig text-right font-semibold">{{ moved.after }} {{ moved.unit }}</td>
                        </tr>
                    </tbody>
                </table>
                <p v-else class="mt-1 text-[13px] text-ink2">No figure changes.</p>
                <p v-for="title in shift.comes" :key="title" class="text-[13px] text-stop">New findings: {{ title }}</p>
                <p v-for="title in shift.goes" :key="title" class="text-[13px] text-lit">
                    Resolved findings: {{ title }}
                </p>
                <button type="button" class="act mt-1" :disabled="busy" @click="update(use)">
                    Use the new entry in this job
                </button>
            </template>
        </div>
        <p v-if="uses.total > uses.jobs.length" class="mt-1 text-ink2">
            And {{ uses.total - uses.jobs.length }} more. Jobs with an older copy are listed first.
        </p>
    </section>
</template>
