<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Act } from '@/lib/acts';
import { litAt } from './live';
import HandKey from './HandKey.vue';
import type { JoinDevice } from '@/types/generated/responses';

const props = defineProps<{
    device: JoinDevice;
    now: number;
    lights: JoinDevice[];
    /** Keys are pressed and held like keys; else an entire gesture is one press. */
    hands?: boolean;
}>();
const emit = defineEmits<{ act: [act: Act] }>();
const GLOWS: Record<string, string> = { wrong: 'var(--dusk-2)' };
const shown = computed(() => {
    const signal = props.device.signal;
    return signal ? litAt(signal.times, props.now - signal.from) : null;
});
/** A key is held until its lamp lights, and it does. */
const glows = ref(false);
const lit = computed(
    () =>
        props.device.powered &&
        (glows.value ||
            (shown.value ?? (props.device.shines ? props.device.lit && props.device.looks !== 'nothing' : false))),
);
/** Its own lamp: for a light it only shows power. */
const lamp = computed(() => (props.device.shines ? props.device.powered : lit.value));
/** A light's fault, shown and drawn when no signal runs. */
const odd = computed(() => (lit.value && shown.value === null ? props.device.looks : 'expected'));
const words: Record<string, string> = { wrong: 'wrong colours', part: 'a part stays dark', dim: 'dull' };
const said = computed(() => {
    if (!lit.value) {
        return 'dark';
    }
    const level = Math.round(props.device.level * 100);
    return words[odd.value] ?? (shown.value === null && level < 95 ? `${level} %` : 'lit');
});
const zone = ref(1);
const near = ref('');
const away = ref(props.device.held[0]?.metres ?? 0);

function bring(): void {
    if (near.value) {
        emit('act', { kind: 'near', device: props.device.id, text: `${near.value} ${away.value}` });
    }
}
function begin(name: string): void {
    if (name === 'zone') {
        emit('act', { kind: 'set', device: props.device.id, text: `zone ${zone.value}` });
    }
}

function key(name: string): string {
    return name === 'zone' ? `zone ${zone.value}` : name;
}
async function press(name: string, times: number): Promise<void> {
    if (name === 'zone') {
        emit('act', { kind: 'set', device: props.device.id, text: `zone ${zone.value}` });
    }
    for (let n = 0; n < times; n++) {
        emit('act', { kind: 'press', device: props.device.id, text: name });
    }
}
function hold(name: string, seconds: number): void {
    if (name === 'zone') {
        emit('act', { kind: 'set', device: props.device.id, text: `zone ${zone.value}` });
    }
    emit('act', { kind: 'hold', device: props.device.id, text: `${name} ${seconds.toFixed(1)}` });
}
</script>

<template>
    <!-- The drawn kit: a box with its lamp and keys; what drives a load has its strip beside it. -->
    <div class="border-b border-rule2 py-2" role="group" :aria-label="`Simulated ${device.label}`">
        <p class="text-[13px] text-ink2">{{ device.name }}</p>
        <svg
            :viewBox="device.shines ? '0 0 290 46' : '0 0 90 46'"
            preserveAspectRatio="xMinYMid meet"
            class="block h-[52px] max-w-full"
            role="img"
            :aria-label="`${device.label}, ${device.name}: ${device.shines ? 'strip' : 'lamp'} is ${lit ? 'lit' : 'dark'}`"
            :data-lit="lit"
        >
            <rect x="1" y="3" width="64" height="40" rx="4" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
            <text x="33" y="20" text-anchor="middle" class="fig text-[13px] font-bold">{{ device.label }}</text>
            <circle cx="22" cy="33" r="4" :fill="lamp ? 'var(--lit)' : 'none'" stroke="var(--ink)" />
            <circle cx="44" cy="33" r="5" fill="var(--rule)" stroke="var(--ink)" />
            <template v-if="device.shines">
                <path d="M65,23H86" stroke="var(--ink)" stroke-width="3" />
                <rect
                    x="86"
                    y="10"
                    width="200"
                    height="26"
                    rx="3"
                    :fill="lit ? (GLOWS[odd] ?? 'var(--glow)') : 'var(--rule-2)'"
                    :fill-opacity="odd === 'dim' ? 0.45 : 1"
                    stroke="var(--ink)"
                    stroke-width="1.5"
                />
                <rect v-if="odd === 'part'" x="186" y="11" width="99" height="24" fill="var(--rule-2)" />
                <path
                    v-for="n in 9"
                    :key="n"
                    :d="`M${86 + n * 20},10v26`"
                    stroke="var(--copper)"
                    stroke-dasharray="3 3"
                />
                <text
                    x="186"
                    y="27"
                    text-anchor="middle"
                    class="text-[12px]"
                    :style="{ color: lit ? '#2c1a2f' : 'var(--ink-2)' }"
                >
                    {{ said }}
                </text>
            </template>
        </svg>
        <div class="mt-1 flex flex-wrap items-center gap-1.5">
            <button
                v-if="device.switched"
                type="button"
                class="quiet small"
                @click="emit('act', { kind: device.powered ? 'power-off' : 'power-on', device: device.id })"
            >
                {{ device.powered ? 'Off' : 'On' }}
            </button>
            <label v-if="device.zones > 0" class="flex items-center gap-1 text-[13px]"
                >Zone
                <select v-model.number="zone" class="pick" :aria-label="`Zone of ${device.label}`">
                    <option v-for="n in device.zones" :key="n" :value="n">{{ n }}</option>
                </select></label
            >
            <template v-if="device.held.length">
                <label class="flex items-center gap-1 text-[13px]"
                    >Hold to
                    <select v-model="near" class="pick" :aria-label="`${device.label} held to`" @change="bring()">
                        <option value="">nothing</option>
                        <option v-for="l in lights" :key="l.id" :value="l.id">{{ l.label }}</option>
                    </select></label
                >
                <select v-if="near" v-model.number="away" class="pick" aria-label="Distance" @change="bring()">
                    <option v-for="at in device.held" :key="at.words" :value="at.metres">{{ at.words }}</option>
                </select>
            </template>
        </div>
        <div class="mt-1 flex flex-wrap items-center gap-1.5">
            <template v-if="hands">
                <HandKey
                    v-for="k in device.keys"
                    :key="k.key"
                    :label="key(k.key)"
                    :of="device.label"
                    :lit="k.lit"
                    @lit="(on) => (glows = on)"
                    @begin="begin(k.key)"
                    @press="emit('act', { kind: 'press', device: device.id, text: k.key })"
                    @hold="(s) => emit('act', { kind: 'hold', device: device.id, text: `${k.key} ${s.toFixed(1)}` })"
                />
            </template>
            <template v-for="k in hands ? [] : device.keys" :key="k.key">
                <button
                    v-for="times in k.presses"
                    :key="`p${times}`"
                    type="button"
                    class="quiet small"
                    :disabled="!device.powered"
                    @click="press(k.key, times)"
                >
                    {{ key(k.key) }}{{ times > 1 ? ` ×${times}` : '' }}
                </button>
                <button
                    v-for="seconds in k.holds"
                    :key="`h${seconds}`"
                    type="button"
                    class="quiet small"
                    :disabled="!device.powered"
                    @click="hold(k.key, seconds)"
                >
                    hold {{ key(k.key) }} {{ seconds }} s
                </button>
            </template>
        </div>
    </div>
</template>

<style scoped>
.small {
    padding: 2px 8px;
    min-height: 28px;
}
/* A thumb needs more than a pointer. */
@media (max-width: 1023px) {
    .small,
    .pick {
        min-width: 44px;
        min-height: 44px;
    }
}
</style>
