<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useScreen, type Payload } from '@/lib/screen';
import { useProposal } from './proposal';
import type { WireRun } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';
import FigureText from '@/ui/FigureText.vue';
import ProposalPoints from './ProposalPoints.vue';
import ProposedWay from './ProposedWay.vue';
import ClashingRuns from './ClashingRuns.vue';
import WishPrice from './WishPrice.vue';
import DrawnWay from './DrawnWay.vue';

/**
 * The planner's proposal: the cheapest wiring within every limit, the reasons against cheaper ones, the comparison with the current layout,
 * alternatives.
 */
const props = defineProps<{ run: string; runs: WireRun[] }>();
const emit = defineEmits<{ close: []; beside: [change: object] }>();
const { answer, change } = useScreen();
const { state, message, begin, stop, forget } = useProposal(() => answer.value.job);

type Scope = 'run' | 'place' | 'job';
const scope = ref<Scope>('place');
const keep = ref<string[]>([]);
const KEEP = [
    { id: 'feeds', name: 'where runs are fed' },
    { id: 'cables', name: 'sizes of cables' },
    { id: 'kit', name: 'supplies and controllers' },
];
const of = computed(() => props.runs.find((r) => r.id === props.run));
const chosen = computed(() =>
    props.runs
        .filter(
            (r) =>
                scope.value === 'job' || (scope.value === 'place' ? r.place === of.value?.place : r.id === props.run),
        )
        .map((r) => r.id),
);
const SCOPES = computed(() => [
    { id: 'run' as Scope, name: of.value?.name ?? '' },
    { id: 'place' as Scope, name: `all in ${of.value?.place ?? ''}` },
    { id: 'job' as Scope, name: 'the whole job' },
]);
const proposal = computed(() => state.value?.proposal ?? null);
const busy = computed(() => state.value?.state === 'waiting' || state.value?.state === 'running');

watch(
    () => props.run,
    () => forget(),
);

function toggle(id: string): void {
    keep.value = keep.value.includes(id) ? keep.value.filter((k) => k !== id) : [...keep.value, id];
}
/** The runs of the proposal that is shown. */
const asked = ref<string[]>([]);
function propose(): void {
    asked.value = chosen.value;
    begin(chosen.value, keep.value);
}
async function take(payload: object): Promise<void> {
    if (await change(payload as Payload)) {
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="run !== ''" title="Propose the cheapest wiring" wide @close="emit('close')">
        <div class="space-y-4">
            <form class="space-y-2" @submit.prevent="propose">
                <fieldset class="flex flex-wrap gap-x-5 gap-y-1">
                    <legend class="sr-only">Runs</legend>
                    <label v-for="s in SCOPES" :key="s.id" class="flex items-center gap-2"
                        ><input
                            v-model="scope"
                            type="radio"
                            name="scope"
                            :value="s.id"
                            :tabindex="s.id === scope ? 0 : -1"
                            class="accent-ember"
                        />{{ s.name }}</label
                    >
                </fieldset>
                <fieldset class="flex flex-wrap gap-x-5 gap-y-1">
                    <legend class="float-left mr-4 text-ink2">Do not change</legend>
                    <label v-for="k in KEEP" :key="k.id" class="flex items-center gap-2"
                        ><input
                            type="checkbox"
                            :checked="keep.includes(k.id)"
                            class="accent-ember"
                            @change="toggle(k.id)"
                        />{{ k.name }}</label
                    >
                </fieldset>
                <button type="submit" class="press" :disabled="busy">Find the cheapest</button>
            </form>
            <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
            <div v-else-if="busy" class="border-l-4 border-ember bg-sheet px-3 py-2">
                <p role="status">
                    {{
                        state?.state === 'waiting'
                            ? 'Waiting for the planner …'
                            : `Solving one layout after the other, cheapest first: ${state?.about}.`
                    }}
                    <span class="fig">{{ state?.solved }}</span> so far.
                </p>
                <button type="button" class="act mt-1" @click="stop">Stop and show the best so far</button>
            </div>
            <template v-if="proposal">
                <p v-if="proposal.stopped" class="text-watch">
                    Stopped: this layout meets the limits, but a cheaper one may exist.
                </p>
                <ClashingRuns v-for="clash in proposal.clashes" :key="clash.run" :clash="clash" @take="take" />
                <p v-if="proposal.nearest && proposal.clashes.length" class="flex flex-wrap items-baseline gap-1">
                    <button type="button" class="act" @click="take(proposal.nearest.take)">Use the nearest</button>
                    <FigureText :figure="proposal.nearest.cost" />
                </p>
                <section
                    v-if="proposal.found"
                    :class="
                        (proposal.whole || proposal.stopped) && !proposal.added.length ? 'border-lit' : 'border-watch'
                    "
                    class="border-l-4 bg-sheet px-3 py-2"
                >
                    <ProposalPoints :proposal="proposal" />
                    <p class="mb-2 flex flex-wrap gap-3">
                        <button type="button" class="press" @click="take(proposal.found.take)">Use it</button>
                        <button type="button" class="quiet" @click="emit('beside', proposal.found.take)">
                            Compare with the current layout
                        </button>
                    </p>
                    <ProposedWay :way="proposal.found" />
                </section>
                <DrawnWay v-if="proposal.drawn" :drawn="proposal.drawn" @repair="take" />
                <section v-if="proposal.cheaper.length && !proposal.drawn?.keep">
                    <h3 class="font-semibold">Why not cheaper</h3>
                    <p v-for="way in proposal.cheaper" :key="way.label" class="border-b border-rule2 py-1 text-[13px]">
                        <FigureText :figure="way.cost" /> {{ way.label }}:
                        <span class="text-stop">{{ way.broken.join(' ') }}</span>
                    </p>
                </section>
                <section v-if="proposal.alternatives.length">
                    <h3 class="font-semibold">Alternatives</h3>
                    <ul class="mt-1 grid gap-5 sm:grid-cols-3">
                        <li v-for="other in proposal.alternatives" :key="other.name" class="text-[13px]">
                            <b class="block font-semibold first-letter:uppercase">{{ other.name }}</b>
                            <template v-if="other.same">The proposal</template>
                            <template v-else>
                                <ProposedWay :way="other.way" short />
                                <p v-if="other.way.runs.length < (proposal.found?.runs.length ?? 0)" class="text-ink2">
                                    The other runs as proposed
                                </p>
                                <button type="button" class="act" @click="take(other.way.take)">
                                    Use {{ other.name }}
                                </button>
                            </template>
                        </li>
                    </ul>
                </section>
                <WishPrice v-if="proposal.wishes.length" :best="proposal" :runs="asked" :keep="keep" @take="take" />
                <p v-for="left in proposal.left" :key="left.run" class="text-[13px] text-ink2">
                    {{ left.run }} {{ left.why }}; it stays as it is.
                </p>
                <p class="text-[13px] text-ink2">
                    <span class="fig">{{ proposal.solved }}</span> layouts were calculated.
                    <template v-if="proposal.clashes.length === 0 && !proposal.drawn?.keep">
                        {{
                            proposal.gap
                                ? 'Lower bound of the cost:'
                                : 'No layout that meets the limits costs less than'
                        }}
                        <FigureText :figure="proposal.bound" />{{
                            proposal.gap ? `: at most ${proposal.gap} above the optimum` : ''
                        }}.
                    </template>
                    Measure the lengths that are only calculated.
                </p>
            </template>
        </div>
    </DialogBox>
</template>
