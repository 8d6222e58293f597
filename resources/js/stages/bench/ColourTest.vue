<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { BenchColours } from '@/types/generated/responses';
import LeadsPicture from './LeadsPicture.vue';
import { MANY } from './bench';

/** One colour commanded, what lit pressed beside it; which to command next, and which leads to move. */
const props = defineProps<{ colours: BenchColours; practice: boolean; waits: string[] }>();
const emit = defineEmits<{ seen: [colour: number, set: number]; ask: [colour: number]; mended: []; anew: [] }>();
const picked = ref(new Set<number>());
const asking = ref<number | null>(null);
const answers = computed(() => new Map(props.colours.asked.map((a) => [a.colour, a])));
const now = computed(() => asking.value ?? props.colours.next);
watch(
    () => props.colours,
    () => {
        picked.value = new Set();
        asking.value = null;
    },
);

// Marks belong to the colour that is commanded.
watch(now, () => (picked.value = new Set()));

function toggle(colour: number): void {
    const next = new Set(picked.value);
    if (!next.delete(colour)) {
        next.add(colour);
    }
    picked.value = next;
}
const told = computed(() => [...picked.value].reduce((set, c) => set | (1 << c), 0));
</script>

<template>
    <div class="grid gap-x-6 gap-y-3 md:grid-cols-[minmax(0,1fr)_260px]">
        <ol>
            <li
                v-for="(name, n) in colours.names"
                :key="name"
                class="grid grid-cols-[minmax(0,1fr)] items-center gap-x-3 border-b border-rule2 py-2 sm:grid-cols-[150px_minmax(0,1fr)]"
                :class="{ 'bg-sheet': n === now }"
            >
                <span class="flex items-center gap-2">
                    <span
                        class="inline-block size-7 shrink-0 rounded-[3px] border border-ink"
                        :style="{ background: colours.css[n] }"
                        aria-hidden="true"
                    />
                    <span
                        ><b>{{ name }}</b> alone</span
                    >
                </span>
                <span v-if="answers.has(n) && n !== asking" class="flex flex-wrap items-baseline gap-x-3">
                    <span :class="answers.get(n)!.right ? 'text-lit' : 'text-stop'">{{
                        answers.get(n)!.right ? '✓ correct' : '✗ wrong'
                    }}</span>
                    <span>{{ answers.get(n)!.words }} lit</span>
                    <button type="button" class="act" @click="asking = n">Answer again</button>
                </span>
                <span v-else-if="waits.includes(`colour:${n + 1}`)" class="text-watch">not saved yet</span>
                <div
                    v-else-if="n === now"
                    class="flex flex-wrap items-end gap-1.5"
                    role="group"
                    :aria-label="`What lit when ${name} was commanded alone`"
                >
                    <button
                        v-for="(other, c) in colours.names"
                        :key="other"
                        type="button"
                        class="swatch"
                        :aria-pressed="picked.has(c)"
                        @click="toggle(c)"
                    >
                        <span
                            class="block size-8 rounded-[3px] border border-ink3"
                            :class="{ 'outline outline-2 outline-offset-2 outline-ember': picked.has(c) }"
                            :style="{ background: colours.css[c] }"
                            aria-hidden="true"
                        />
                        {{ other }}
                    </button>
                    <button v-if="colours.pixels" type="button" class="swatch" @click="emit('seen', n, MANY)">
                        <span class="block size-8 rounded-[3px] border border-ink3 many" aria-hidden="true" />
                        several at once
                    </button>
                    <button type="button" class="swatch" :disabled="picked.size > 0" @click="emit('seen', n, 0)">
                        <svg viewBox="0 0 32 32" class="size-8" aria-hidden="true">
                            <rect x="0.5" y="0.5" width="31" height="31" rx="3" fill="none" stroke="var(--ink-3)" />
                            <path d="M4 28 28 4" stroke="var(--ink-2)" />
                        </svg>
                        nothing
                    </button>
                    <button v-if="picked.size > 0" type="button" class="press ml-2" @click="emit('seen', n, told)">
                        These lit
                    </button>
                    <button v-if="practice" type="button" class="quiet ml-2" data-simulated @click="emit('ask', n)">
                        Command {{ name }} on the simulated device
                    </button>
                </div>
                <button v-else type="button" class="act justify-self-start" @click="asking = n">
                    Send the command
                </button>
            </li>
        </ol>
        <LeadsPicture v-if="colours.leads.length" :colours="colours" />
        <div class="md:col-span-2" role="status">
            <div
                v-if="colours.found"
                class="border-l-4 bg-sheet px-3 py-2"
                :class="colours.right ? 'border-lit' : 'border-stop'"
            >
                <b>{{ colours.verdict }}</b>
                <template v-if="!colours.right">
                    <ol class="mt-1 list-decimal pl-5">
                        <li v-for="move in colours.moves" :key="move">{{ move }}</li>
                    </ol>
                    <p class="mt-1 text-ink2">Switch the supply off before you move a lead.</p>
                    <button type="button" class="press mt-2" @click="emit('mended')">
                        Done: test the colours again
                    </button>
                </template>
            </div>
            <p v-else-if="colours.left === 0" class="border-l-4 border-watch bg-sheet px-3 py-2">
                These answers contradict each other: no way to connect the leads gives all of them. They stay in the
                log.
                <button type="button" class="act" @click="emit('anew')">Start the colours again</button>
            </p>
            <p v-else-if="colours.next !== null" class="text-ink2">
                Command <b class="text-ink">{{ colours.names[colours.next] }}</b> next: it tells most of the
                {{ colours.left }} ways that are left.
            </p>
        </div>
    </div>
</template>

<style scoped>
.swatch {
    display: flex;
    flex-direction: column;
    align-items: center;
    gap: 3px;
    min-width: 58px;
    min-height: 58px;
    padding: 4px;
    font-size: 12px;
}
.swatch:disabled {
    opacity: 0.45;
}
.many {
    background: conic-gradient(#d0342c 0 25%, #2f8f46 0 50%, #2f5fc4 0 75%, #f3ead2 0);
}
</style>
