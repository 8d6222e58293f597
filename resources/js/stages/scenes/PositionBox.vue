<script setup lang="ts">
import { ref } from 'vue';
import { useScreen } from '@/lib/screen';
import type { Position } from '@/types/generated/responses';

/** Location of the job, for sunrise and sunset. */
const props = defineProps<{ position: Position | null }>();
const { change } = useScreen();
const latitude = ref(props.position ? String(props.position.latitude) : '');
const longitude = ref(props.position ? String(props.position.longitude) : '');
const zone = ref(props.position?.zone ?? '');
const road = ref(props.position?.road ?? false);
const refused = ref('');
const number = (text: string) => Number(text.replace(',', '.').replace('−', '-'));

async function keep(): Promise<void> {
    const [north, east] = [number(latitude.value), number(longitude.value)];
    if (!latitude.value.trim() || !longitude.value.trim() || Number.isNaN(north) || Number.isNaN(east)) {
        refused.value = 'Type both in degrees, such as 54.2 and −1.5: south and west are below 0.';
        return;
    }
    refused.value = '';
    await change({ kind: 'SetPosition', latitude: north, longitude: east, zone: zone.value, road: road.value });
}
</script>

<template>
    <form class="mt-4 space-y-2" @submit.prevent="keep()">
        <h3 class="font-semibold">Location of the job</h3>
        <div class="flex flex-wrap gap-x-4 gap-y-2">
            <label>Degrees north <input v-model="latitude" class="fig field !w-24" inputmode="decimal" /></label>
            <label>Degrees east <input v-model="longitude" class="fig field !w-24" inputmode="decimal" /></label>
        </div>
        <label class="block"
            >Time zone <input v-model="zone" class="field !w-56" placeholder="as the crew" maxlength="60"
        /></label>
        <label class="flex items-center gap-2"
            ><input v-model="road" type="checkbox" /> The vehicle uses public roads</label
        >
        <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
        <button class="quiet">Save location</button>
    </form>
</template>
