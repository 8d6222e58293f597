<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import JobFrame from '@/controls/JobFrame.vue';
import { ask, Refusal } from '@/lib/http';
import { provideDesk } from '@/lib/desk';
import WorkLanes from '@/pictures/WorkLanes.vue';
import type { Answer, BuildSlot } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer }>();
const store = provideDesk(props.answer);
const build = computed(() => store.desk.value.build);
const chosen = ref('');
const refused = ref('');
const days = computed(() => build.value?.days.map((day) => ({ day, slots: build.value?.slots.filter((s) => s.day === day) ?? [] })) ?? []);
const clock = (minute: number) => `${String((build.value?.begins ?? 8) + Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
const said = (day: string) => new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

async function send(what: string, body: object): Promise<void> {
    try {
        store.answer.value = await ask<Answer>('POST', `/jobs/${props.answer.job}/build/${what}`, body);
        refused.value = '';
    } catch (error) {
        refused.value = error instanceof Refusal ? error.message : String(error);
    }
}
const tick = (slot: BuildSlot, done: boolean, minutes: number) => send('tick', { step: slot.id, done, minutes });
const visit = (people: number, start: string) => send('visit', { people, start });
async function choose(step: string): Promise<void> {
    chosen.value = step;
    await nextTick();
    document.querySelector<HTMLElement>(`[data-step="${step}"] input`)?.focus();
}
const shortcuts = [
    { key: 'c', what: 'As a calendar', act: () => window.open(`/jobs/${props.answer.job}/build.ics`, '_blank') },
    { key: 'p', what: 'Print the day sheets', act: () => window.print() },
    { key: 'n', what: 'Go to the next step to do', act: () => void choose(build.value?.slots.find((s) => !s.done)?.id ?? '') },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts" @go="choose">
        <p v-if="!build || build.slots.length === 0" class="text-ink2">Nothing to do yet: feed a run at Wire, then the order of the work stands here.</p>
        <template v-else>
            <form class="mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-2" @submit.prevent>
                <fieldset class="flex gap-3">
                    <legend class="sr-only">How many people</legend>
                    <label v-for="n in [1, 2]" :key="n" class="flex items-center gap-2"><input type="radio" name="people" class="accent-ember" :checked="build.people === n" @change="visit(n, build.start)" />{{ n === 1 ? 'one person' : 'two people' }}</label>
                </fieldset>
                <label>from <input type="date" class="fig border-b border-ink3 bg-transparent" :value="build.start" @change="visit(build.people, ($event.target as HTMLInputElement).value)" /></label>
                <a class="act ml-auto" :href="`/jobs/${answer.job}/build.ics`">As a calendar <kbd>C</kbd></a>
                <span class="text-[13px] text-ink2">heavy edge: delays the end; hatched: cures</span>
            </form>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <WorkLanes :build="build" :chosen="chosen" @choose="choose" />
            <section v-for="{ day, slots } in days" :key="day" :aria-label="said(day)" class="mt-4">
                <h2 class="font-semibold">{{ said(day) }}</h2>
                <ol>
                    <li v-for="slot in slots" :key="slot.id" :data-step="slot.id" class="grid grid-cols-[32px_1fr] items-baseline gap-x-3 sm:grid-cols-[28px_110px_1fr_120px] border-b border-rule2 py-1.5" :class="{ 'bg-sheet': chosen === slot.id }">
                        <input type="checkbox" class="row-span-3 size-7 self-center accent-ember sm:row-span-1 sm:size-5" :checked="slot.done" :aria-label="`${slot.title} is done`" @change="tick(slot, ($event.target as HTMLInputElement).checked, slot.taken || slot.minutes)" />
                        <span class="fig text-ink2">{{ clock(slot.from) }}–{{ clock(slot.to) }}</span>
                        <span>
                            <span :class="slot.done ? 'text-ink2 line-through' : 'font-semibold'">{{ slot.title }}</span> <span class="text-ink2">{{ slot.place }}{{ slot.people.length > 1 ? ', two people' : '' }}</span>
                            <span v-if="slot.critical" class="ml-2 text-[12px] text-ember">delays the end</span>
                            <span class="block text-[13px] text-ink2">{{ slot.why }}{{ slot.tools.length ? ` Bring: ${slot.tools.join(', ')}.` : '' }}{{ slot.wait ? ` Then it cures ${slot.wait / 60} h.` : '' }}</span>
                            <span v-if="slot.caution" class="block border-l-4 border-watch pl-2 text-[13px]">{{ slot.caution }}</span>
                            <span v-for="part in slot.waits" :key="part" class="block text-[13px] text-stop">Waits for {{ part }}</span>
                        </span>
                        <label class="whitespace-nowrap text-[13px] text-ink2 sm:text-right">{{ slot.done ? 'took' : 'about' }}
                            <input class="fig field !w-14 !py-0 text-right" inputmode="numeric" :value="slot.taken || slot.minutes" :disabled="!slot.done" :aria-label="`Minutes that ${slot.title} took`" @change="tick(slot, true, Number(($event.target as HTMLInputElement).value) || slot.minutes)" /> min
                        </label>
                    </li>
                </ol>
            </section>
        </template>
    </JobFrame>
</template>
