<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed, ref, watch } from 'vue';
import KitNotes from '@/ui/KitNotes.vue';
import JobFrame from '@/ui/JobFrame.vue';
import OptionTable from './OptionTable.vue';
import ItemsBox from './ItemsBox.vue';
import OwnedBox from './OwnedBox.vue';
import SeverityMark from '@/ui/SeverityMark.vue';
import { provideScreen, type Payload } from '@/lib/screen';
import FixButton from '@/ui/FixButton.vue';
import FitBar from './FitBar.vue';
import KitChain from './KitChain.vue';
import type { Answer, Slot } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideScreen(props.answer);
const { desk, change } = store;
const runs = computed(() => desk.value.kit?.runs ?? []);
/** Shelf entries are listed for the selected run only. */
const at = ref(
    Math.max(
        0,
        runs.value.findIndex((r) => r.id === desk.value.kit?.inHand),
    ),
);
const run = computed(() => runs.value[Math.min(at.value, runs.value.length - 1)]);
watch(
    () => run.value?.id,
    (id) => {
        store.open.value = id ?? '';
        if (id !== desk.value.kit?.inHand) {
            void store.look(store.scene.value);
        }
    },
    { immediate: true },
);
const slots = computed<Slot[]>(() => (run.value && desk.value.kit ? [...run.value.slots, desk.value.kit.hub] : []));
/** The strip decides the demands on the rest, so it is chosen first. */
function undecided(): number {
    const free = slots.value.filter((s) => s.chosen === null && !s.optional);
    return Math.max(
        0,
        slots.value.findIndex((s) => s.slot === (free.find((f) => f.slot === 'strip') ?? free[0])?.slot),
    );
}
const open = ref(undecided());

function choose(slot: Slot, kit: string): void {
    void change({ kind: 'ChooseKit', run: slot.slot === 'hub' ? '' : run.value?.id, kit });
}

function go(place: string): void {
    if (desk.value.kit?.beside.items.some((i) => i.id === place)) {
        besides.value = true;
        return;
    }
    if (place === 'hub') {
        open.value = slots.value.length - 1;
        view.value = 'piece';
    } else {
        at.value = Math.max(
            0,
            runs.value.findIndex((r) => r.id === place),
        );
        open.value = undecided();
    }
}
const KEYS: Record<string, string> = {
    strip: 's',
    supply: 'p',
    controller: 'c',
    cable: 'b',
    hub: 'u',
    bank: 'a',
    switch: 'i',
};
const view = ref<'side' | 'piece'>(
    run.value && slots.value.every((s) => s.chosen === null || s.slot === 'hub') ? 'side' : 'piece',
);
const owning = ref(false);
const besides = ref(false);
const shortcuts = computed(() => [
    { key: 'o', what: 'Compare options', act: () => (view.value = 'side') },
    { key: 'k', what: 'Choose parts', act: () => (view.value = 'piece') },
    { key: 'w', what: 'Client’s own kit', act: () => (owning.value = true) },
    { key: 'e', what: 'Other items: sets, remotes, panels, plugs', act: () => (besides.value = true) },
    { key: 'n', what: 'Next run', act: () => (at.value = (at.value + 1) % Math.max(1, runs.value.length)) },
    ...slots.value.map((s, n) => ({
        key: KEYS[s.slot] ?? '',
        what: s.label,
        act: () => {
            view.value = 'piece';
            open.value = n;
        },
    })),
]);

/** All bars of a slot share one scale. */
const most = (slot: Slot) =>
    Math.max(0, ...slot.options.map((o) => Math.max(o.gauge?.offers ?? 0, o.gauge?.asks ?? 0)));

/** Up and down go from row to row. */
function step(event: KeyboardEvent): void {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by) {
        event.preventDefault();
        const rows = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('button.row')];
        rows[rows.indexOf(document.activeElement as HTMLElement) + by]?.focus();
    }
}
</script>

<template>
    <JobFrame :shortcuts="shortcuts" @go="go">
        <p v-if="!run" class="text-ink2">
            There is no run yet. Type wall notes at Survey; a word after a length names a run.
        </p>
        <template v-else>
            <div class="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
                <div v-if="runs.length > 1" class="flex flex-wrap gap-x-4" role="group" aria-label="Runs">
                    <button
                        v-for="(r, n) in runs"
                        :key="r.id"
                        type="button"
                        :aria-pressed="r.id === run.id"
                        :class="r.id === run.id ? 'border-b-2 border-ember font-semibold' : 'text-ink2'"
                        @click="at = n"
                    >
                        {{ r.name }}
                    </button>
                </div>
                <div class="ml-auto flex gap-2" role="group" aria-label="View">
                    <button type="button" class="chip" :aria-pressed="view === 'side'" @click="view = 'side'">
                        Compare options <kbd>O</kbd>
                    </button>
                    <button type="button" class="chip" :aria-pressed="view === 'piece'" @click="view = 'piece'">
                        Choose parts <kbd>K</kbd>
                    </button>
                    <button type="button" class="act ml-2" @click="besides = true">
                        Other items <span class="fig">{{ desk.kit?.beside.items.length ?? 0 }}</span> <kbd>E</kbd>
                    </button>
                    <button type="button" class="act ml-2" @click="owning = true">
                        Client’s own kit <span class="fig">{{ desk.kit?.owned.length ?? 0 }}</span>
                    </button>
                </div>
            </div>
            <KitNotes :notes="desk.kit?.notes ?? []" />
            <OptionTable v-if="view === 'side'" :run="run.id" />
            <TabGroup v-else :selected-index="open" @change="open = $event">
                <h2 class="font-semibold">
                    {{ run.name }}
                    <span class="font-normal text-ink2"
                        ><span class="fig">{{ run.length }}</span
                        >, from supply to strip</span
                    >
                </h2>
                <TabList class="mt-2">
                    <KitChain>
                        <Tab v-for="slot in slots" :key="slot.slot" v-slot="{ selected }" as="template">
                            <button class="link" :class="{ selected, hub: slot.slot === 'hub' }">
                                <span class="flex justify-between text-xs text-ink2"
                                    >{{ slot.label }}
                                    <span v-if="!slot.chosen && !slot.optional" class="font-semibold text-dusk"
                                        >to choose</span
                                    ><span v-else-if="!slot.chosen">optional</span></span
                                >
                                <span class="mt-0.5 block font-semibold leading-[18px]">{{
                                    slot.name ?? 'None chosen'
                                }}</span>
                            </button>
                        </Tab>
                    </KitChain>
                </TabList>
                <TabPanels class="mt-4">
                    <TabPanel v-for="slot in slots" :key="slot.slot" :tabindex="-1">
                        <h3 class="border-b border-rule pb-1 text-ink2">
                            {{ slot.label }}: <span class="fig">{{ slot.options.length }}</span> on the shelf. Problems
                            are shown on the right.
                        </h3>
                        <p v-if="slot.slot === 'hub' && slot.chosen" class="border-b border-rule2 py-2">
                            <button type="button" class="act" @click="change({ kind: 'RemoveHub' })">
                                Remove {{ slot.name }}
                            </button>
                        </p>
                        <p v-if="slot.together" class="border-b border-rule2 py-2">
                            <FixButton :fix="slot.together" @mend="(fix) => change(fix.change as Payload)" />
                        </p>
                        <p v-if="slot.share.length" class="flex flex-wrap gap-x-5 gap-y-1 border-b border-rule2 py-2">
                            <button
                                v-for="one in slot.share"
                                :key="one.with"
                                type="button"
                                class="act"
                                @click="change({ kind: 'ShareKit', run: run.id, with: one.with })"
                            >
                                {{ one.text }}
                            </button>
                        </p>
                        <ul @keydown="step">
                            <li v-for="option in slot.options" :key="option.id" class="border-b border-rule2">
                                <button
                                    type="button"
                                    class="row"
                                    :class="{ chosen: option.chosen }"
                                    :aria-pressed="option.chosen"
                                    @click="choose(slot, option.id)"
                                >
                                    <svg viewBox="0 0 20 20" class="mt-px size-5" aria-hidden="true">
                                        <circle
                                            cx="10"
                                            cy="10"
                                            r="7"
                                            fill="none"
                                            stroke="var(--ink-2)"
                                            stroke-width="1.5"
                                        />
                                        <circle v-if="option.chosen" cx="10" cy="10" r="4" fill="var(--ember)" />
                                    </svg>
                                    <span :class="option.chosen ? 'font-semibold' : ''">{{ option.name }}</span>
                                    <span>
                                        <span class="fig block text-[12.5px] text-ink2">{{
                                            option.facts.join(' · ')
                                        }}</span>
                                        <FitBar
                                            v-if="option.gauge"
                                            :gauge="option.gauge"
                                            :most="most(slot)"
                                            class="mt-1"
                                        />
                                    </span>
                                    <span v-if="option.verdict" class="flex gap-2 text-[13px]"
                                        ><SeverityMark :severity="option.severity ?? 'open'" class="mt-0.5" />
                                        {{ option.verdict }}</span
                                    >
                                    <span v-else-if="option.moved" class="act text-[13px]"
                                        >The shelf entry has changed: use the new one</span
                                    >
                                    <span v-else-if="option.chosen" class="text-[13px] text-lit">Chosen</span>
                                    <span v-else class="text-[13px] text-ink2">No problems found</span>
                                </button>
                            </li>
                        </ul>
                    </TabPanel>
                </TabPanels>
            </TabGroup>
        </template>
        <ItemsBox v-if="desk.kit" :open="besides" :beside="desk.kit.beside" @close="besides = false" />
        <OwnedBox :open="owning" :owned="desk.kit?.owned ?? []" @close="owning = false" />
    </JobFrame>
</template>

<style scoped>
.row {
    display: grid;
    grid-template-columns: 20px minmax(0, 1fr) minmax(0, 1.35fr) minmax(0, 1fr);
    gap: 12px;
    align-items: start;
    width: 100%;
    padding: 8px;
    text-align: left;
}
.row:hover,
.row.chosen {
    background: var(--sheet);
}
@media (max-width: 900px) {
    .row {
        grid-template-columns: 20px minmax(0, 1fr);
    }
    .row > :nth-child(n + 3) {
        grid-column: 2;
    }
}
.link {
    position: relative;
    text-align: left;
    padding: 8px 12px;
    min-height: 78px;
    display: flex;
    flex-direction: column;
    justify-content: flex-start;
    background: var(--sheet);
    border: 1px solid var(--rule);
    border-radius: 3px;
}
.link:hover {
    border-color: var(--ink-2);
}
.link.selected {
    border-color: var(--ink);
    box-shadow: inset 0 3px var(--ember);
}
.link:not(.hub, :first-child)::before {
    content: '';
    position: absolute;
    left: -17px;
    top: 50%;
    width: 16px;
    border-top: 3px solid var(--copper);
}
.link.hub {
    border-style: dashed;
}
</style>
