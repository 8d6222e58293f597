<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Act } from '@/lib/acts';
import type { JoinDevice, JoinStep } from '@/types/generated/responses';
import SimulatedDevice from './SimulatedDevice.vue';

/** The simulated devices: those of the step, or all. */
const props = defineProps<{
    devices: JoinDevice[];
    now: number;
    /** Null without a current step: all are drawn. */
    step: JoinStep | null;
    hands?: boolean;
    inert?: boolean;
}>();
const emit = defineEmits<{ act: [act: Act] }>();
const whole = ref(false);
const lights = computed(() => props.devices.filter((d) => d.shines));
const about = computed(() => {
    const names = (props.step?.key ?? '').split(/[ /]/);
    return props.devices.filter((d) => names.includes(d.id) || d.id === props.step?.device);
});
const all = computed(() => whole.value || about.value.length === 0);
const drawn = computed(() => (all.value ? props.devices : about.value));
</script>

<template>
    <section aria-label="Drawn kit">
        <div class="flex items-baseline justify-between">
            <h3 class="text-[13px] text-ink2">Simulated kit</h3>
            <button
                v-if="about.length > 0 && about.length < devices.length"
                type="button"
                class="text-[13px] underline"
                @click="whole = !whole"
            >
                {{ all ? 'Only what the step is about' : `All ${devices.length}` }}
            </button>
        </div>
        <SimulatedDevice
            v-for="d in drawn"
            :key="d.id"
            :device="d"
            :now="now"
            :lights="lights"
            :hands="hands"
            :inert="inert"
            @act="(act) => emit('act', act)"
        />
    </section>
</template>
