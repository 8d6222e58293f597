<script setup lang="ts">
import { ref, watch } from 'vue';
import { ask, Refusal } from '@/lib/http';
import { useDesk, type Payload } from '@/lib/desk';
import type { Proposal, ProposedWay } from '@/types/generated/responses';
import DialogBox from './DialogBox.vue';
import FigureText from './FigureText.vue';

/** The planner's proposal for a run: the cheapest that holds every limit, why nothing cheaper does, two others. */
const props = defineProps<{ run: string }>();
const emit = defineEmits<{ close: [] }>();
const { answer, change } = useDesk();
const proposal = ref<Proposal | null>(null);
const message = ref('');

watch(() => props.run, async (run) => {
    proposal.value = null;
    message.value = '';
    if (run) {
        try {
            proposal.value = await ask<Proposal>('GET', `/jobs/${answer.value.job}/proposal/${run}`);
        } catch (error) {
            message.value = error instanceof Refusal ? error.message : String(error);
        }
    }
});

async function take(way: ProposedWay): Promise<void> {
    if (await change(way.take as Payload)) {
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="run !== ''" title="Cheapest feeds and cables" @close="emit('close')">
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
        <p v-else-if="!proposal" role="status">Solving one layout after the other, cheapest first …</p>
        <div v-else class="space-y-4">
            <section v-if="proposal.found" class="border-l-4 border-lit bg-sheet px-3 py-2">
                <p><b class="font-semibold">{{ proposal.found.label }}</b></p>
                <p><FigureText :figure="proposal.found.cost" />, <span class="fig">{{ proposal.found.joints }}</span> joints, evenness <span class="fig">{{ proposal.found.evenness }}</span></p>
                <button type="button" class="press mt-2" @click="take(proposal.found)">Take it</button>
            </section>
            <section v-else class="border-l-4 border-stop bg-sheet px-3 py-2">
                <p><b class="font-semibold">Nothing that was tried holds every limit.</b> {{ proposal.broken.join('; ') }}</p>
                <template v-if="proposal.nearest">
                    <p class="mt-1">Nearest: {{ proposal.nearest.label }}, <FigureText :figure="proposal.nearest.cost" /></p>
                    <button type="button" class="act mt-1" @click="take(proposal.nearest)">Take the nearest</button>
                </template>
            </section>
            <section v-if="proposal.cheaper.length">
                <h3 class="font-semibold">Why nothing cheaper</h3>
                <p v-for="way in proposal.cheaper" :key="way.label" class="border-b border-rule2 py-1 text-[13px]">
                    <FigureText :figure="way.cost" /> {{ way.label }}: <span class="text-stop">{{ way.broken.join('; ') }}</span>
                </p>
            </section>
            <section v-if="proposal.alternatives.length">
                <h3 class="font-semibold">Or</h3>
                <p v-for="other in proposal.alternatives" :key="other.name" class="border-b border-rule2 py-1 text-[13px]">
                    {{ other.name }}: {{ other.way.label }}, <FigureText :figure="other.way.cost" />, evenness <span class="fig">{{ other.way.evenness }}</span> <button type="button" class="act ml-2" @click="take(other.way)">Take it</button>
                </p>
            </section>
            <p class="text-[13px] text-ink2"><span class="fig">{{ proposal.solved }}</span> layouts were solved, each dearer than the one before; nothing below <FigureText :figure="proposal.bound" /> holds. Lengths that are reckoned should be measured.</p>
        </div>
    </DialogBox>
</template>
