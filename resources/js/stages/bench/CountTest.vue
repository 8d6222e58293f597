<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { BenchCount } from '@/types/generated/responses';
import { OFF_THE_END } from './bench';

/** Set a count, say where the light ends: the count is stepped to, or it is something else that ends it. */
const props = defineProps<{ count: BenchCount; practice: boolean; waits: boolean }>();
const emit = defineEmits<{ lit: [set: number, last: number]; ask: [set: number]; mended: [] }>();
const last = ref('');
const set = computed(() => props.count.set ?? props.count.expected);
const asking = computed(() => props.count.verdict === 'asking');
const ends = computed(() => {
    let sum = 0;
    return props.count.sections.map((n) => ({ first: sum + 1, last: (sum += n) }));
});
const wide = computed(() => Math.max(props.count.expected, 1));
const lit = computed(() => props.count.tries.at(-1)?.lit ?? null);
watch(
    () => props.count,
    () => (last.value = ''),
);
function tell(): void {
    if (/^\d+$/.test(last.value.trim())) {
        emit('lit', set.value, Number(last.value));
    }
}
</script>

<template>
    <div>
        <svg
            viewBox="0 0 640 44"
            class="w-full max-w-2xl"
            role="img"
            :aria-label="`Pieces of ${count.sections.join(', ')} pixels`"
        >
            <g v-for="(piece, n) in ends" :key="n">
                <rect
                    :x="((piece.first - 1) / wide) * 620 + 10 + (n ? 2 : 0)"
                    y="6"
                    :width="((piece.last - piece.first + 1) / wide) * 620 - (n ? 2 : 0)"
                    height="14"
                    fill="var(--sheet)"
                    stroke="var(--ink-3)"
                />
                <text :x="((piece.first - 1) / wide) * 620 + 12" y="36" class="fig" font-size="11" fill="var(--ink-2)">
                    {{ piece.first }}–{{ piece.last }}
                </text>
            </g>
            <rect
                v-if="lit !== null"
                x="10"
                y="8"
                :width="((lit < 0 ? wide : lit) / wide) * 620"
                height="10"
                fill="var(--glow)"
            />
        </svg>
        <ul v-if="count.tries.length" class="mt-1 flex flex-wrap gap-x-4 text-[13px] text-ink2">
            <li v-for="(t, n) in count.tries" :key="n">
                <span class="fig">{{ t.set }}</span> set:
                {{ t.lit < 0 ? 'runs off the end' : `lit to ${t.lit}` }}
            </li>
        </ul>
        <p v-if="waits" class="mt-2 text-watch">One answer is not sent yet (no signal).</p>
        <form v-else-if="asking" class="mt-2 flex flex-wrap items-end gap-3" @submit.prevent="tell()">
            <p class="w-full text-lg">
                Set the count to <b class="fig">{{ set }}</b>. Which is the last pixel that lights?
            </p>
            <button type="button" class="press" @click="emit('lit', set, set)">All {{ set }} light</button>
            <button type="button" class="quiet" @click="emit('lit', set, OFF_THE_END)">Effects run past the end</button>
            <label class="flex items-center gap-2"
                >Ends at pixel
                <input v-model="last" inputmode="numeric" class="field w-20" aria-label="The last pixel that lights" />
            </label>
            <button type="submit" class="quiet" :disabled="!/^\d+$/.test(last.trim())">This one</button>
            <button v-if="practice" type="button" class="quiet" @click="emit('ask', set)">
                Set {{ set }} on the simulated device
            </button>
        </form>
        <div
            v-else
            class="mt-2 border-l-4 bg-sheet px-3 py-2"
            :class="count.verdict === 'count' ? 'border-lit' : 'border-stop'"
            role="status"
        >
            <b>{{ count.says }}.</b> {{ count.todo }}
            <div class="mt-2 flex gap-3">
                <button type="button" class="press" @click="emit('mended')">
                    {{ count.verdict === 'count' ? 'Count once more' : 'Done: count again' }}
                </button>
            </div>
        </div>
    </div>
</template>
