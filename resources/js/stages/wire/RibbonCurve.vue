<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed } from 'vue';
import { ROW, useRibbon, type Shown } from './ribbon';

const props = defineProps<{ shown: Exclude<Shown, 'colour'>; reading: number | null }>();
const { run, x } = useRibbon();

const series = computed<{ name: string; values: number[]; dash?: string }[]>(() => {
    if (props.shown === 'light') {
        return [{ name: 'light', values: run.value.light }];
    }
    return props.shown === 'amps'
        ? [{ name: '+ rail', values: run.value.amps }]
        : run.value.volts.map((values, n) => ({
              name: run.value.channels[n] ?? '',
              values,
              dash: n > 0 ? '5 3' : undefined,
          }));
});
const axis = { light: 'light (1 = full)', volts: 'volts across a group', amps: 'amps in the + rail' };
const limit = computed(() =>
    props.shown === 'light' && run.value.light.length ? run.value.evennessLimit * Math.max(...run.value.light) : null,
);
const y = computed(() => {
    const all = [
        ...series.value.flatMap((s) => s.values),
        ...(props.shown === 'light' ? run.value.spread.flat() : []),
        ...(limit.value === null ? [] : [limit.value]),
    ];
    const low = Math.min(...all, Infinity);
    const high = Math.max(...all, -Infinity);
    const room = Math.max((high - low) * 0.08, props.shown === 'amps' ? 0.2 : 0.02);
    return scaleLinear([low - room, high + room], [ROW.curve + ROW.curveHeight, ROW.curve]).nice(4);
});
const ticks = computed(() => y.value.ticks(4));
const format = computed(() => y.value.tickFormat(4));

function at(values: number[], n: number): number {
    return x.value(((n + 0.5) * run.value.metres) / values.length);
}
function path(values: number[]): string {
    return (
        line<number>(
            (_, n) => at(values, n),
            (v) => y.value(v),
        )(values) ?? ''
    );
}
const band = computed(() => {
    const [low = [], high = []] = run.value.spread;
    return props.shown === 'light' && low.length
        ? (area<number>(
              (_, n) => at(low, n),
              (v) => y.value(v),
              (_, n) => y.value(high[n] ?? 0),
          )(low) ?? '')
        : '';
});
const read = computed(() => {
    const values = series.value[0]?.values ?? [];
    if (props.reading === null || values.length === 0) {
        return null;
    }
    const n = Math.min(values.length - 1, Math.floor((props.reading / run.value.metres) * values.length));
    const unit = { light: ' of full', volts: ' V', amps: ' A' }[props.shown];
    const decimals = props.shown === 'light' ? 2 : 2;
    return {
        x: x.value(props.reading),
        text: `${props.reading.toFixed(2)} m: ${series.value.map((s) => (s.values[n] ?? 0).toFixed(decimals)).join(' / ')}${unit}`,
    };
});
</script>

<template>
    <g v-if="run.light.length">
        <g class="fig scale">
            <g v-for="tick in ticks" :key="tick">
                <path :d="`M${x(0)},${y(tick)}H${x(run.metres)}`" stroke="var(--rule)" />
                <text :x="x(0) - 7" :y="y(tick) + 4" text-anchor="end">{{ format(tick) }}</text>
            </g>
        </g>
        <path v-if="band" :d="band" fill="var(--dusk-2)" opacity="0.55" />
        <path
            v-for="s in series"
            :key="s.name"
            :d="path(s.values)"
            fill="none"
            stroke="var(--ember)"
            stroke-width="2"
            :stroke-dasharray="s.dash"
        />
        <g v-if="limit !== null">
            <path
                :d="`M${x(0)},${y(limit)}H${x(run.metres)}`"
                stroke="var(--stop)"
                stroke-width="1.4"
                stroke-dasharray="2 3"
            />
            <text :x="x(run.metres) - 4" :y="y(limit) - 5" text-anchor="end" class="note text-stop"
                >limit {{ run.evennessLimit.toFixed(2) }} of the brightest</text
            >
        </g>
        <text :x="x(0)" :y="ROW.curve + ROW.curveHeight + 18" class="note text-ink2">
            {{ axis[shown] }}{{ band ? '; shaded: strip copper ±10 %, supply ±1 %' : ''
            }}{{ series.length > 1 ? `; solid ${series[0]?.name}, dashed ${series[1]?.name}` : '' }}
        </text>
        <text v-if="read" :x="Math.min(read.x + 8, x(run.metres) - 150)" :y="ROW.curve + 12" class="fig note read">{{
            read.text
        }}</text>
    </g>
</template>

<style scoped>
.scale {
    font-size: 11px;
    color: var(--ink-2);
}
.note {
    font-size: 12px;
}
.read {
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
}
</style>
