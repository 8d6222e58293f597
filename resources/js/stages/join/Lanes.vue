<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import { useWidth } from '@/lib/width';
import type { JoinLane } from '@/types/generated/responses';

const props = defineProps<{ lanes: JoinLane[]; now: number; about: string }>();
const box = ref<HTMLElement>();
const width = useWidth(box, 700);
const LABEL = 96;
const TOP = 28;
const BACK = 60;
const AHEAD = 60;
const x = computed(() => scaleLinear([-BACK, AHEAD], [LABEL, width.value - 24]));
const ticks = computed(() => (width.value < 520 ? [-60, -30, 0, 30, 60] : [-60, -45, -30, -15, 0, 15, 30, 45, 60]));
/** Few devices get taller lanes. */
const each = computed(() => Math.max(54, Math.min(72, 280 / props.lanes.length)));
const height = computed(() => TOP + props.lanes.length * each.value + 6);
const clip = (t: number) => x.value(Math.max(-BACK, Math.min(AHEAD, t - props.now)));
const seen = (from: number, to: number) => to - props.now > -BACK && from - props.now < AHEAD;

/** Words of a lane's events, each in the row where it is not on the one before. */
function marks(lane: JoinLane): { x: number; row: number; text: string }[] {
    const ends = [-Infinity, -Infinity];
    return lane.marks
        .filter((m) => m.at - props.now > -BACK)
        .map((m) => {
            const at = clip(m.at);
            const row = at > (ends[0] ?? 0) ? 0 : 1;
            // If both rows are taken, the mark has no label: the log has it.
            if (at <= (ends[row] ?? 0)) {
                return { x: at, row, text: '' };
            }
            ends[row] = at + m.text.length * 6.6 + 10;
            return { x: at, row, text: m.text };
        });
}
</script>

<template>
    <div ref="box">
        <svg
            :width="width"
            :height="height"
            role="img"
            aria-label="Devices over time, one minute back and one minute ahead"
            class="block"
        >
            <g class="fig scale">
                <g v-for="t in ticks" :key="t">
                    <path
                        :d="`M${x(t)},${TOP - 4}V${height}`"
                        stroke="var(--rule)"
                        :stroke-dasharray="t === 0 ? undefined : '1 6'"
                    />
                    <text :x="x(t)" y="14" text-anchor="middle">
                        {{ t === 0 ? 'now' : `${t > 0 ? '+' : '−'}${Math.abs(t)} s` }}
                    </text>
                </g>
            </g>
            <g v-for="(lane, n) in lanes" :key="lane.id" :transform="`translate(0 ${TOP + n * each})`">
                <path v-if="lane.id === about" :d="`M0,4v${each - 12}`" stroke="var(--ember)" stroke-width="4" />
                <text x="8" y="20" class="fig font-semibold">{{ lane.label }}</text>
                <text x="8" y="37" class="note">{{ lane.note }}</text>
                <path :d="`M${x(-BACK)},15H${x(AHEAD)}`" stroke="var(--ink-2)" stroke-width="1.2" />
                <template v-for="(bar, b) in lane.bars" :key="b">
                    <g v-if="seen(bar.from, bar.to)" :class="bar.kind">
                        <rect
                            :x="clip(bar.from)"
                            y="3"
                            :width="Math.max(0, clip(bar.to) - clip(bar.from))"
                            height="24"
                            class="past"
                        />
                        <rect
                            v-if="bar.to > now"
                            :x="clip(Math.max(bar.from, now))"
                            y="3"
                            :width="Math.max(0, clip(bar.to) - clip(Math.max(bar.from, now)))"
                            height="24"
                            class="ahead"
                        />
                        <text
                            v-if="clip(bar.to) - clip(bar.from) > 56"
                            :x="clip(bar.to) - 6"
                            y="19"
                            text-anchor="end"
                            class="fig bartext"
                            :class="{ over: bar.to <= now }"
                        >
                            {{ bar.text }}
                        </text>
                    </g>
                </template>
                <g v-for="(mark, m) in marks(lane)" :key="m">
                    <circle :cx="mark.x" cy="15" r="4.5" fill="var(--paper)" stroke="var(--ink)" stroke-width="2" />
                    <text :x="mark.x + 2" :y="41 + mark.row * 13" class="note">{{ mark.text }}</text>
                </g>
                <path :d="`M0,${each - 4}H${width}`" stroke="var(--rule-2)" />
            </g>
            <path :d="`M${x(0)},${TOP - 6}V${height}`" stroke="var(--ember)" stroke-width="2" />
        </svg>
    </div>
</template>

<style scoped>
.scale {
    font-size: 11px;
    color: var(--ink-2);
}
.note {
    font-size: 12px;
    color: var(--ink-2);
}
.bartext {
    font-size: 12px;
}
.past {
    fill: var(--rule);
}
.search .ahead {
    fill: var(--dusk-2);
}
.listens .ahead {
    fill: var(--copper);
}
.listens .bartext:not(.over) {
    color: #2c1a2f;
    font-weight: 600;
}
</style>
