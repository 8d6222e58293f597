<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import type { BenchMeter } from '@/types/generated/responses';
import HoldMark from './HoldMark.vue';

/** Supplies, controllers, cables and runs as connected: every part can be probed. */
const props = defineProps<{ meter: BenchMeter; part: string; metres: number | null }>();
const emit = defineEmits<{ hold: [part: string, metres: number | null] }>();
const narrow = useMediaQuery('(max-width: 639px)');
const LEFT = computed(() => (narrow.value ? 12 : 268));
const WIDE = computed(() => (narrow.value ? 336 : 372));
const ROW = 74;
const BOX = 84;
/** Metres of copper have no scale here: tails turn in lanes, so that none crosses another's mark. */
const LANE = 14;
const wiring = computed(() => props.meter.wiring);
const of = (kind: string) => wiring.value.devices.filter((d) => d.kind === kind);
const tails = computed(() =>
    wiring.value.runs.map((run) =>
        wiring.value.cables.filter((c) => c.run === run.id).sort((a, b) => (a.at ?? 0) - (b.at ?? 0)),
    ),
);
const devicesHigh = computed(() => Math.max(of('supply').length, of('controller').length) * (narrow.value ? 48 : ROW));
const tops = computed(() => {
    let y = narrow.value ? devicesHigh.value + 12 : 26;
    return wiring.value.runs.map((_, n) => {
        const lanes = (tails.value[n]?.length ?? 0) * LANE;
        const top = narrow.value ? y + lanes + 16 : y;
        y += (narrow.value ? 52 : 44) + lanes + 16;
        return top;
    });
});
const height = computed(() =>
    Math.max(
        (tops.value.at(-1) ?? 0) + 34 + (narrow.value ? 0 : (tails.value.at(-1)?.length ?? 0) * LANE),
        devicesHigh.value + 4,
    ),
);
const places = computed(() => {
    const at = new Map<string, { x: number; y: number }>();
    (['supply', 'controller'] as const).forEach((kind) =>
        of(kind).forEach((d, n) =>
            at.set(d.id, {
                x: (kind === 'supply' ? 8 : 132) + (narrow.value && kind === 'controller' ? 40 : 0),
                y: narrow.value ? 4 + n * 48 : 14 + n * ROW,
            }),
        ),
    );
    return at;
});
const along = (run: { length: number }, metres: number) =>
    LEFT.value + (metres / Math.max(run.length, 0.01)) * WIDE.value;
const cables = computed(() =>
    wiring.value.cables.map((cable) => {
        const from = places.value.get(cable.from);
        const x = from ? from.x + BOX : 240;
        const y = from ? from.y + 17 : 30;
        const n = wiring.value.runs.findIndex((r) => r.id === cable.run);
        const run = wiring.value.runs[n];
        if (run && cable.at !== null) {
            const k = tails.value[n]?.findIndex((c) => c.id === cable.id) ?? 0;
            const top = tops.value[n] ?? 0;
            const end = along(run, cable.at);
            const lane = narrow.value ? top - 16 - (k + 1) * LANE + 6 : top + 34 + k * LANE;
            const chip = Math.min(Math.max(end, LEFT.value + 12), LEFT.value + WIDE.value - 16);
            const turn = narrow.value ? Math.min(x + 10 + k * 5, 352) : 244 + (k % 3) * 6;
            return {
                cable,
                d: `M${x} ${y}H${turn}V${lane}H${end}V${top + (narrow.value ? 2 : 18)}`,
                at: { x: chip, y: lane },
            };
        }
        const to = places.value.get(cable.to) ?? { x: 232, y: y - 17 };
        return {
            cable,
            d: `M${x} ${y}H${(x + to.x) / 2}V${to.y + 17}H${to.x}`,
            at: { x: (x + to.x) / 2, y: (y + to.y + 17) / 2 },
        };
    }),
);
const pads = computed(() =>
    wiring.value.runs.flatMap((run, n) =>
        [...new Set(props.meter.spots.filter((s) => s.of === run.id && s.metres !== null).map((s) => s.metres!))].map(
            (m) => ({
                run: run.id,
                metres: m,
                x: along(run, m),
                y: (tops.value[n] ?? 0) + 10,
                verdict: props.meter.rows
                    .filter((r) => r.stands && r.spot.startsWith(`${run.id}@${m.toFixed(2)}`))
                    .at(-1)?.verdict,
            }),
        ),
    ),
);
const held = (part: string, metres: number | null = null) =>
    props.part === part && (metres === null || props.metres === metres);
const INK = { inside: 'var(--lit)', doubtful: 'var(--watch)', outside: 'var(--stop)', open: 'var(--ink-3)' };
</script>

<template>
    <svg
        :viewBox="`0 0 ${narrow ? 360 : 660} ${height}`"
        class="w-full max-w-3xl select-none"
        aria-label="Wiring: choose a meter position"
        role="group"
    >
        <path
            v-for="one in cables"
            :key="one.cable.id"
            :d="one.d"
            fill="none"
            :stroke="held(one.cable.id) ? 'var(--ember)' : 'var(--ink-3)'"
            :stroke-width="held(one.cable.id) ? 3 : 1.6"
        />
        <g v-for="(run, n) in wiring.runs" :key="run.id">
            <text :x="LEFT" :y="tops[n]! - 4" font-size="12" fill="var(--ink-2)">{{ run.name }} · {{ run.said }}</text>
            <rect
                v-for="(piece, k) in run.pieces"
                :key="k"
                :x="
                    along(
                        run,
                        run.pieces.slice(0, k).reduce((a, b) => a + b, 0),
                    ) + (k ? 2 : 0)
                "
                :y="tops[n]! + 2"
                :width="(piece / run.length) * WIDE - (k ? 2 : 0)"
                height="16"
                fill="var(--glow)"
                stroke="var(--ink-3)"
                stroke-width="0.8"
            />
            <HoldMark
                :label="`rails, joints of ${run.name}`"
                :held="held(run.id) && metres === null"
                @hold="emit('hold', run.id, null)"
            >
                <rect :x="LEFT + WIDE - 92" :y="tops[n]! - 15" width="92" height="14" fill="transparent" />
                <text :x="LEFT + WIDE" :y="tops[n]! - 4" text-anchor="end" font-size="11.5" fill="var(--ember)">
                    rails, joints
                </text>
            </HoldMark>
        </g>
        <HoldMark
            v-for="device in wiring.devices"
            :key="device.id"
            :held="held(device.id)"
            @hold="emit('hold', device.id, null)"
        >
            <rect
                :x="places.get(device.id)!.x"
                :y="places.get(device.id)!.y"
                width="84"
                height="34"
                rx="2"
                fill="var(--sheet)"
                :stroke="held(device.id) ? 'var(--ember)' : 'var(--ink)'"
                :stroke-width="held(device.id) ? 2.5 : 1.2"
            />
            <text
                :x="places.get(device.id)!.x + 42"
                :y="places.get(device.id)!.y + 15"
                class="fig"
                text-anchor="middle"
                font-size="12.5"
                fill="var(--ink)"
            >
                {{ device.id.toUpperCase() }}
            </text>
            <text
                :x="places.get(device.id)!.x + 42"
                :y="places.get(device.id)!.y + 28"
                text-anchor="middle"
                font-size="10.5"
                fill="var(--ink-2)"
            >
                {{ device.kind }}
            </text>
        </HoldMark>
        <HoldMark
            v-for="one in cables"
            :key="`chip-${one.cable.id}`"
            :label="`${one.cable.id.toUpperCase()}, cable and its joints`"
            :held="held(one.cable.id)"
            @hold="emit('hold', one.cable.id, null)"
        >
            <rect
                :x="one.at.x - 15"
                :y="one.at.y - 8"
                width="30"
                height="16"
                rx="8"
                fill="var(--paper)"
                :stroke="held(one.cable.id) ? 'var(--ember)' : 'var(--copper)'"
            />
            <text :x="one.at.x" :y="one.at.y + 4" class="fig" text-anchor="middle" font-size="10.5" fill="var(--ink)">
                {{ one.cable.id.toUpperCase() }}
            </text>
        </HoldMark>
        <HoldMark
            v-for="pad in pads"
            :key="`${pad.run}@${pad.metres}`"
            :label="`pads at ${pad.metres.toFixed(2)} m of ${pad.run}${pad.verdict ? `, read, ${pad.verdict}` : ''}`"
            :held="held(pad.run, pad.metres)"
            @hold="emit('hold', pad.run, pad.metres)"
        >
            <rect :x="pad.x - 8" :y="pad.y - 12" width="16" height="24" fill="transparent" />
            <path v-if="pad.verdict === 'doubtful'" :d="`M${pad.x} ${pad.y - 6}l6 11h-12z`" :fill="INK.doubtful" />
            <rect
                v-else-if="pad.verdict === 'outside'"
                :x="pad.x - 5"
                :y="pad.y - 5"
                width="10"
                height="10"
                :fill="INK.outside"
            />
            <circle
                v-else
                :cx="pad.x"
                :cy="pad.y"
                :r="pad.verdict ? 5 : 4"
                :fill="pad.verdict ? INK[pad.verdict] : 'var(--copper)'"
                stroke="#2a1a22"
                stroke-width="0.6"
            />
            <circle
                v-if="held(pad.run, pad.metres)"
                :cx="pad.x"
                :cy="pad.y"
                r="9"
                fill="none"
                stroke="var(--ember)"
                stroke-width="2"
            />
        </HoldMark>
    </svg>
</template>
