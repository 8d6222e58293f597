<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { useScreen } from '@/lib/screen';
import type { ProposalAnswer } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import ClashingRuns from './ClashingRuns.vue';
import ProposalPoints from './ProposalPoints.vue';
import ProposedWay from './ProposedWay.vue';
import { useProposal } from './proposal';

/** “Why not this”: one choice of the user is kept to, planned again, and its price shown beside the best. */
const props = defineProps<{ best: ProposalAnswer; runs: string[]; keep: string[] }>();
const emit = defineEmits<{ take: [change: object] }>();
const { answer } = useScreen();
const { state, message, begin, stop, forget } = useProposal(() => answer.value.job);
const wish = ref('');
const asked = ref('');
const busy = computed(() => state.value?.state === 'waiting' || state.value?.state === 'running');
const other = computed(() => state.value?.proposal ?? null);
watch(
    () => props.best,
    () => forget(),
);

const result = useTemplateRef<HTMLElement>('result');
watch(other, async (answered) => {
    await nextTick();
    if (answered) {
        // Its place is below the edge of the dialog.
        result.value?.scrollIntoView({ block: 'nearest' });
    }
});

function price(): void {
    asked.value = props.best.wishes.find((w) => w.key === wish.value)?.words ?? '';
    begin(props.runs, props.keep, wish.value);
}
</script>

<template>
    <section class="text-[13px]">
        <h3 class="text-base font-semibold">Why not another choice</h3>
        <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="price">
            <label class="flex min-w-0 flex-wrap items-center gap-2"
                >With
                <select v-model="wish" required class="field w-auto max-w-full">
                    <option value="" disabled>choose …</option>
                    <option v-for="one in best.wishes" :key="one.key" :value="one.key">{{ one.words }}</option>
                </select></label
            >
            <button type="submit" class="quiet" :disabled="busy">See its price</button>
        </form>
        <p v-if="message" role="alert" class="mt-1 text-stop">{{ message }}</p>
        <p v-else-if="busy" role="status" class="mt-1">
            Planning again, <span class="fig">{{ state?.solved }}</span> layouts so far.
            <button type="button" class="act" @click="stop">Stop</button>
        </p>
        <div v-if="other" ref="result">
            <div
                v-if="other.found && other.clashes.length === 0"
                class="mt-1 border-l-4 border-dusk bg-sheet px-3 py-2"
            >
                <p>
                    <b class="font-semibold first-letter:uppercase">{{ asked }}</b><template v-if="best.found"
                        >; the proposal costs <FigureText :figure="best.found.cost" /></template
                    >.
                </p>
                <ProposedWay :way="other.found" short />
                <ProposalPoints :proposal="other" />
                <button type="button" class="act" @click="emit('take', other.found.take)">Use this choice</button>
            </div>
            <ClashingRuns
                v-for="clash in other.clashes"
                :key="clash.run"
                class="mt-1"
                :clash="clash"
                :with="asked"
                @take="emit('take', $event)"
            />
        </div>
    </section>
</template>
