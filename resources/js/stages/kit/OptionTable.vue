<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, ref, watch } from 'vue';
import { ask } from '@/lib/http';
import { onlyNewest } from '@/lib/newest';
import { useScreen, type Payload } from '@/lib/screen';
import type { Figure, NeedSet, OptionColumn, OptionQuestion, Options, OptionWish } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import NeedsBox from './NeedsBox.vue';
import ReachMark from './ReachMark.vue';
import SeverityMark from '@/ui/SeverityMark.vue';

/** Options of a run as columns with the same rows; where they differ the row is lit, the best of it marked. */
const props = defineProps<{ run: string }>();
const { answer, change } = useScreen();
const cards = ref<OptionColumn[]>([]);
const name = ref('');
/** The run that the cards are of. */
const of = ref('');
const asked = ref<OptionQuestion[]>([]);
const needs = ref<OptionQuestion[]>([]);
const sets = ref<NeedSet[]>([]);
const busy = ref(false);
const message = ref('');
const hear = onlyNewest<Options>(
    (found) => {
        cards.value = found.options;
        name.value = found.name;
        of.value = found.run;
        asked.value = found.asked;
        needs.value = found.needs;
        sets.value = found.sets;
        message.value = '';
        busy.value = false;
    },
    (why) => ((message.value = why), (busy.value = false)),
);

function look(): Promise<void> {
    busy.value = true;
    return hear(ask<Options>('GET', `/jobs/${answer.value.job}/options/${props.run}`));
}
watch(
    () => [props.run, answer.value.revision],
    ([run], [before]) => {
        // Cards of another run must not be adopted for this one while its own are calculated.
        if (run !== before) {
            cards.value = [];
        }
        void look();
    },
);
void look();

const ROWS: {
    key: 'load' | 'darkest' | 'evenness' | 'joints' | 'boxes' | 'quote' | 'cost' | 'hours' | 'energy';
    label: string;
    lead: string;
}[] = [
    { key: 'load', label: 'Load', lead: 'least' },
    { key: 'darkest', label: 'Darkest light', lead: 'brightest' },
    { key: 'evenness', label: 'Evenness', lead: 'most even' },
    { key: 'joints', label: 'Joints', lead: 'fewest' },
    { key: 'boxes', label: 'Kit to hide', lead: 'fewest' },
    { key: 'quote', label: 'Quote changes by', lead: 'least' },
    { key: 'cost', label: 'Parts and work', lead: 'least' },
    { key: 'hours', label: 'Hours', lead: 'fewest' },
    { key: 'energy', label: 'A year', lead: 'least' },
];
const wished = (card: OptionColumn, key: string) => card.wish[key as keyof OptionWish];
const lit = computed(
    () =>
        new Set<string>([
            ...ROWS.map((r) => r.key).filter((k) => new Set(cards.value.map((c) => c[k]?.text)).size > 1),
            ...asked.value.map((a) => a.key).filter((k) => new Set(cards.value.map((c) => wished(c, k))).size > 1),
        ]),
);
const reachRows = computed(() => cards.value.find((c) => c.reach.length)?.reach.map((r) => r.label) ?? []);
const figure = (card: OptionColumn, key: (typeof ROWS)[number]['key']): Figure | null => card[key];

const set = (wishes: OptionWish[]) => change({ kind: 'SetOptions', run: props.run, options: wishes });

function require(n: number, key: string, value: string): void {
    const wishes = cards.value.map((c) => ({ ...c.wish }));
    const wish = wishes[n];
    if (wish) {
        Object.assign(wish, { [key]: typeof wish[key as keyof OptionWish] === 'number' ? Number(value) : value });
        void set(wishes);
    }
}
const drop = (n: number) => set(cards.value.filter((_, i) => i !== n).map((c) => c.wish));
const add = () =>
    set([...cards.value.map((c) => c.wish), { ...(cards.value[cards.value.length - 1]?.wish as OptionWish) }]);
/** The worst of the points to read, for the mark beside their number. */
const worst = (card: OptionColumn) =>
    (['stop', 'watch', 'open'] as const).find((s) => card.findings.some((f) => f.severity === s)) ?? 'open';
const take = (card: OptionColumn) => card.take && change(card.take as Payload);
</script>

<template>
    <div>
        <div class="flex items-baseline gap-4">
            <h2 class="font-semibold">Options for {{ name }}</h2>
            <span v-if="busy" class="text-ink2" role="status">Solving …</span>
            <button v-if="cards.length < 8" type="button" class="act ml-auto" @click="add()">Add an option</button>
        </div>
        <NeedsBox :key="run" :needs="needs" :sets="sets" :wishes="cards.map((c) => c.wish)" class="mt-2" />
        <p v-if="message" role="alert" class="mt-2 text-stop">{{ message }}</p>
        <div class="mt-2 overflow-x-auto" tabindex="0" aria-label="Options">
            <table v-if="cards.length" class="options" :class="{ stale: busy }" :data-options="busy ? undefined : of">
                <thead>
                    <tr>
                        <th><span class="sr-only">Requirements and results</span></th>
                        <th v-for="(card, n) in cards" :key="n" scope="col">
                            <span class="flex items-baseline justify-between"
                                ><span class="font-head text-lg">{{ String.fromCharCode(65 + n) }}</span>
                                <button
                                    v-if="cards.length > 1"
                                    type="button"
                                    class="font-normal text-ink2"
                                    :aria-label="`Remove option ${String.fromCharCode(65 + n)}`"
                                    @click="drop(n)"
                                >
                                    Remove
                                </button></span
                            >
                            <template v-if="card.take && !busy">
                                <button type="button" class="press my-1" @click="take(card)">
                                    Choose {{ String.fromCharCode(65 + n) }}
                                </button>
                                <span v-if="card.findings.length" class="flex items-center gap-1 font-normal">
                                    <SeverityMark :severity="worst(card)" class="shrink-0" />
                                    {{ card.findings.length }} to read before you buy
                                </span>
                            </template>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="question in asked" :key="question.key" :class="{ lit: lit.has(question.key) }">
                        <th scope="row">{{ question.label }}</th>
                        <td v-for="(card, n) in cards" :key="n">
                            <select
                                class="pick"
                                :value="wished(card, question.key)"
                                :aria-label="`${question.label} of option ${String.fromCharCode(65 + n)}`"
                                @change="require(n, question.key, ($event.target as HTMLSelectElement).value)"
                            >
                                <option v-for="{ value, text } in question.choices" :key="value" :value="value">
                                    {{ text }}
                                </option>
                            </select>
                        </td>
                    </tr>
                </tbody>
                <tbody>
                    <tr class="kit">
                        <th scope="row">Kit</th>
                        <td v-for="(card, n) in cards" :key="n">
                            <p v-if="card.refused" class="text-stop">{{ card.refused }}</p>
                            <p v-if="card.prepare">
                                <Link :href="`/shelf?prepare=${encodeURIComponent(card.prepare)}`" class="act"
                                    >Add one on the shelf</Link
                                >
                            </p>
                            <p v-for="piece in card.kit" :key="piece">{{ piece }}</p>
                        </td>
                    </tr>
                    <tr v-for="row in ROWS" :key="row.key" :class="{ lit: lit.has(row.key) }">
                        <th scope="row">{{ row.label }}</th>
                        <td v-for="(card, n) in cards" :key="n" :class="{ lead: card.best.includes(row.key) }">
                            <FigureText
                                v-if="figure(card, row.key)"
                                :figure="figure(card, row.key)!"
                                :signed="row.key === 'quote'"
                                :right="n > cards.length / 2"
                            />
                            <span v-else class="text-ink2">{{ card.refused ? '' : 'not stated' }}</span>
                            <span v-if="card.best.includes(row.key)" class="ml-1 text-[11px]">{{ row.lead }}</span>
                        </td>
                    </tr>
                </tbody>
                <tbody>
                    <tr v-for="label in reachRows" :key="label">
                        <th scope="row">{{ label }}</th>
                        <td v-for="(card, n) in cards" :key="n">
                            <ReachMark
                                v-for="way in card.reach.filter((r) => r.label === label)"
                                :key="way.label"
                                :reach="way.reach"
                                :text="way.text"
                            />
                        </td>
                    </tr>
                </tbody>
                <tbody>
                    <tr class="kit">
                        <th scope="row">Before you buy</th>
                        <td v-for="(card, n) in cards" :key="n">
                            <details v-for="(finding, i) in card.findings" :key="i">
                                <summary class="flex gap-1">
                                    <SeverityMark :severity="finding.severity" class="mt-0.5 shrink-0" />
                                    {{ finding.title }}
                                </summary>
                                <p class="text-ink2">{{ finding.detail }}</p>
                            </details>
                        </td>
                    </tr>
                </tbody>
            </table>
        </div>
    </div>
</template>

<style scoped>
.options {
    border-collapse: collapse;
    font-size: 13px;
    line-height: 18px;
}
.options.stale {
    opacity: 0.6;
}
.options th,
.options td {
    text-align: left;
    vertical-align: top;
    padding: 3px 8px;
    border-bottom: 1px solid var(--rule-2);
    min-width: 134px;
    max-width: 170px;
}
.options tbody + tbody tr:first-child > * {
    border-top: 1px solid var(--ink);
}
.options th[scope='row'],
.options thead th:first-child {
    position: sticky;
    left: 0;
    z-index: 1;
    min-width: 96px;
    max-width: 96px;
    background: var(--paper);
    font-weight: 450;
    color: var(--ink-2);
}
.options thead th {
    border-bottom: 3px solid var(--copper);
}
.lit td {
    background: var(--sheet);
}
.lead {
    font-weight: 650;
    box-shadow: inset 3px 0 var(--ember);
}
.kit td p + p,
.kit details + details {
    margin-top: 3px;
}
.pick {
    width: 100%;
    background: transparent;
    border-bottom: 1.5px dotted var(--ink-3);
}
.pick option {
    color: var(--ink);
    background: var(--sheet);
}
summary {
    list-style: none;
}
</style>
