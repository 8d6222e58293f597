<script setup lang="ts">
import { ref, watch } from 'vue';
import type { BuildPicture, Visit } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

/** The visits of a job: from which day, for how many days, with how many people. */
const props = defineProps<{ open: boolean; build: BuildPicture; refused: string }>();
const emit = defineEmits<{ close: []; keep: [visits: Visit[], weekends: boolean] }>();
const visits = ref<Visit[]>([]);
const weekends = ref(false);

watch(
    () => props.open,
    () => {
        visits.value = props.build.visits.map((v) => ({ ...v }));
        weekends.value = props.build.weekends;
    },
);
function add(): void {
    const last = visits.value.at(-1);
    const next = new Date(`${last?.from ?? props.build.next}T12:00:00Z`);
    next.setUTCDate(next.getUTCDate() + 7);
    // One that went on as long as it took ends where the next begins.
    visits.value = [
        ...visits.value.map((v) => (v.days === 0 ? { ...v, days: 1 } : v)),
        { from: next.toISOString().slice(0, 10), days: 0, people: last?.people ?? 1 },
    ];
}
</script>

<template>
    <DialogBox :open="open" title="Visits" @close="emit('close')">
        <form @submit.prevent="emit('keep', visits, weekends)">
            <div
                v-for="(visit, n) in visits"
                :key="n"
                class="grid grid-cols-[1fr_110px_130px_auto] items-end gap-3 border-b border-rule2 py-2"
            >
                <label>From <input v-model="visit.from" type="date" class="fig field" required /></label>
                <label
                    >Days of work
                    <input
                        v-model.number="visit.days"
                        type="number"
                        min="0"
                        max="60"
                        class="fig field"
                        :aria-describedby="`days-${n}`"
                /></label>
                <label
                    >People
                    <select v-model.number="visit.people" class="pick w-full">
                        <option :value="1">one</option>
                        <option :value="2">two</option>
                    </select></label
                >
                <button
                    type="button"
                    class="act"
                    :disabled="visits.length === 1"
                    :aria-label="`Remove the visit from ${visit.from}`"
                    @click="visits.splice(n, 1)"
                >
                    Remove
                </button>
                <p :id="`days-${n}`" class="col-span-4 text-[13px] text-ink2">
                    {{ ['As many days as it takes.', 'One day.'][visit.days] ?? `${visit.days} days of work.` }}
                </p>
            </div>
            <p class="mt-2"><button type="button" class="act" @click="add()">Add visit</button></p>
            <label class="mt-2 flex items-center gap-2"
                ><input v-model="weekends" type="checkbox" class="accent-ember" />include Saturdays and Sundays</label
            >
            <p v-if="refused" role="alert" class="mt-2 text-stop">{{ refused }}</p>
            <button class="press mt-3">Save visits</button>
        </form>
    </DialogBox>
</template>
