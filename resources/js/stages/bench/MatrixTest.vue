<script setup lang="ts">
import { computed } from 'vue';
import { useScreen, type Payload } from '@/lib/screen';
import type { BenchMatrix, MatrixAnswer, MatrixCell } from '@/types/generated/responses';

/** Position of single lit pixels of a matrix, and the resulting order of the data. */
const props = defineProps<{ matrix: BenchMatrix; practice: boolean }>();
const { change } = useScreen();

/** Units of a cell in the large picture, and in that of an answer. */
const CELL = 10;
/** Above this a grid is only a frame: its lines would fill it. */
const MOST = 60;
const wide = computed(() => props.matrix.columns * CELL);
const high = computed(() => props.matrix.rows * CELL);
const grid = computed(() => Math.max(props.matrix.columns, props.matrix.rows) <= MOST);
const middle = (at: number) => at * CELL + CELL / 2;
const path = computed(() =>
    props.matrix.lines
        .flatMap(({ from, to }) => [from, to])
        .map((c) => `${middle(c.column)},${middle(c.row)}`)
        .join(' '),
);
const first = computed<MatrixCell | undefined>(() => props.matrix.lines[0]?.from);
/** A lit pixel that can be seen in a large matrix, too. */
const dot = computed(() => Math.max(CELL / 2, Math.max(wide.value, high.value) / 14));
const noted = (answer: MatrixAnswer) => void change(answer.note as Payload);
</script>

<template>
    <div>
        <p class="text-[13px] text-ink2">Matrix: {{ matrix.says }}</p>
        <template v-if="matrix.question">
            <p class="mt-2 text-lg" role="status">{{ matrix.question.asks }}</p>
            <p v-if="practice" class="mt-1 text-watch">
                The simulated bench has no matrix: enter the result of the real one.
            </p>
            <div class="mt-2 flex flex-wrap gap-3" role="group" :aria-label="matrix.question.asks">
                <button
                    v-for="answer in matrix.question.answers"
                    :key="answer.words"
                    type="button"
                    class="quiet flex min-h-11 items-center gap-3"
                    @click="noted(answer)"
                >
                    <svg
                        :viewBox="`-1 -1 ${wide + 2} ${high + 2}`"
                        class="h-12 w-16 shrink-0"
                        aria-hidden="true"
                        focusable="false"
                    >
                        <rect
                            :width="wide"
                            :height="high"
                            fill="var(--paper)"
                            stroke="var(--ink-3)"
                            vector-effect="non-scaling-stroke"
                        />
                        <circle
                            v-for="cell in answer.lit"
                            :key="`${cell.column} ${cell.row}`"
                            :cx="Math.min(Math.max(middle(cell.column), dot), Math.max(wide - dot, dot))"
                            :cy="Math.min(Math.max(middle(cell.row), dot), Math.max(high - dot, dot))"
                            :r="dot"
                            fill="var(--glow)"
                            stroke="var(--ink)"
                            vector-effect="non-scaling-stroke"
                        />
                    </svg>
                    {{ answer.words }}
                </button>
            </div>
        </template>
        <svg
            v-else
            :viewBox="`-1 -1 ${wide + 2} ${high + 2}`"
            class="mt-2 max-h-72 w-full max-w-xl"
            preserveAspectRatio="xMinYMid meet"
            role="img"
            :aria-label="`Way of the data: ${matrix.says}`"
        >
            <rect
                :width="wide"
                :height="high"
                fill="var(--paper)"
                stroke="var(--ink-3)"
                vector-effect="non-scaling-stroke"
            />
            <g v-if="grid" stroke="var(--rule-2)" stroke-width="0.5">
                <line v-for="n in matrix.columns - 1" :key="`c${n}`" :x1="n * CELL" :x2="n * CELL" y1="0" :y2="high" />
                <line v-for="n in matrix.rows - 1" :key="`r${n}`" :y1="n * CELL" :y2="n * CELL" x1="0" :x2="wide" />
            </g>
            <polyline
                :points="path"
                fill="none"
                stroke="var(--ink-2)"
                stroke-width="1.5"
                vector-effect="non-scaling-stroke"
            />
            <g v-if="first">
                <circle
                    :cx="middle(first.column)"
                    :cy="middle(first.row)"
                    :r="CELL / 2"
                    fill="var(--glow)"
                    stroke="var(--ink)"
                />
                <text
                    v-if="grid"
                    :x="middle(first.column)"
                    :y="middle(first.row) + 2.2"
                    text-anchor="middle"
                    class="fig"
                    font-size="6"
                    fill="var(--ink)"
                >
                    1
                </text>
            </g>
        </svg>
        <p v-if="!matrix.question" class="mt-2 text-[13px] text-ink2">
            Enter this order in the board before any effect is set.
        </p>
        <button
            v-if="matrix.lines.length || matrix.question?.pixel !== 1"
            type="button"
            class="quiet mt-2"
            @click="change(matrix.again as Payload)"
        >
            Look again
        </button>
    </div>
</template>
