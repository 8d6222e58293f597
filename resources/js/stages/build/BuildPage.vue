<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import MoveStrip from './MoveStrip.vue';
import StepLine from './StepLine.vue';
import VisitsBox from './VisitsBox.vue';
import { ask, inWords } from '@/lib/http';
import { provideScreen } from '@/lib/screen';
import { useMoving } from './moving';
import { useTicked } from './ticked';
import { useTicks, type Note, type Tick } from '@/lib/ticks';
import DayChart from './DayChart.vue';
import DayOverview from './DayOverview.vue';
import NowNext from './NowNext.vue';
import type { Answer, Visit } from '@/types/generated/responses';
import { todayHere } from '@/lib/clock';
import { dayWords, hoursOf } from '@/lib/hours';

const props = defineProps<{ answer: Answer }>();
const store = provideScreen(props.answer);
const build = computed(() => store.desk.value.build);
const chosen = ref('');
const refused = ref('');
const visiting = ref(false);
const url = (what: string) => `/jobs/${props.answer.job}/${what}`;
const box = useTicks(props.answer.job, () => {
    const page = store.beside();
    return { known: page.known, take: (answer) => page.take(answer as Answer) };
});
const moving = useMoving(
    props.answer.job,
    () => build.value,
    (message) => (refused.value = message),
);
const steps = computed(() => new Map((build.value?.steps ?? []).map((s) => [s.id, s])));
const { days, stayed, tick, thaw } = useTicked(
    () => build.value ?? null,
    (step, done, minutes) => box.press(step, done, minutes),
    store.takeBack,
);
const first = build.value?.ahead ?? [];
/** Steps before the first day. A row that was ticked here stays, as on the days. */
const ahead = computed(() =>
    [...new Set([...first, ...(build.value?.ahead ?? [])])].filter(
        (id) => steps.value.has(id) && (!isDone(id) || stayed.value.has(id)),
    ),
);
const copied = ref('');
async function copy(text: string): Promise<void> {
    // Without the permission to copy, the text on the page is marked by hand.
    copied.value = await navigator.clipboard.writeText(text).then(
        () => 'Copied.',
        () => 'Not copied: mark the text and copy it.',
    );
}
/** Refused ticks and entries, with their step or part. */
const refusedTicks = computed(() =>
    box.refused.value.map((one) => {
        const { step } = one.body as Tick;
        return { ...one, of: one.kind === 'note' ? (one.body as Note).place : (steps.value.get(step)?.title ?? step) };
    }),
);
// After a refusal the page is out of date: another person may have been first.
watch(
    () => box.refused.value.length,
    (now, before) => now > before && void store.reload(),
);
const finished = computed(() => (build.value?.steps ?? []).filter((s) => s.done && !stayed.value.has(s.id)));
const clock = (minute: number) => hoursOf(build.value?.begins ?? 8, minute);
const said = (day: string) =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
const at = (time: string) => `${dayWords(time.slice(0, 10))} ${time.slice(11)}`;
const isDone = (step: string) => box.last(step)?.done ?? steps.value.get(step)?.done ?? false;
const took = (step: string) => box.last(step)?.minutes ?? steps.value.get(step)?.taken ?? 0;
const visits = computed(() =>
    (build.value?.visits ?? [])
        .map(
            (v) =>
                `${at(`${v.from} `).trim()}${v.days ? `, ${v.days} ${v.days === 1 ? 'day' : 'days'}` : ' on'}, ${v.people === 1 ? 'one person' : 'two people'}`,
        )
        .join('; '),
);

async function send(what: string, body: object): Promise<boolean> {
    try {
        store.answer.value = await ask<Answer>('POST', url(`build/${what}`), body);
        moving.drop();
        thaw();
        refused.value = '';
        return true;
    } catch (error) {
        refused.value = inWords(error);
        return false;
    }
}
async function keepVisits(list: Visit[], weekends: boolean): Promise<void> {
    visiting.value = !(await send('visits', { visits: list, weekends }));
}
async function keepMove(): Promise<void> {
    if (moving.aim.value && moving.allowed.value) {
        await send('move', { ...moving.aim.value, keep: true });
    }
}
/** The day whose steps are shown as a picture; empty: all days. */
const shownDay = ref('');
const today = todayHere();
const workDays = computed(() => (build.value?.days ?? []).map((d) => d.day));
/** Today, or the next day with work; after the last one that. */
const nearest = computed(() => workDays.value.find((d) => d >= today) ?? workDays.value.at(-1) ?? '');
function goDay(by: number): void {
    const now = workDays.value.indexOf(shownDay.value);
    showDay(
        now < 0 ? nearest.value : (workDays.value[Math.max(0, Math.min(workDays.value.length - 1, now + by))] ?? ''),
    );
}
function showDay(day: string): void {
    moving.drop();
    shownDay.value = day;
}
/** Opens or closes a row of the list; a picture of a day follows to its day. */
function toggle(step: string, day: string): void {
    chosen.value = chosen.value === step ? '' : step;
    shownDay.value &&= day;
}
async function choose(step: string, focus = true): Promise<void> {
    chosen.value = step;
    shownDay.value &&= build.value?.slots.find((s) => s.id === step)?.day ?? shownDay.value;
    await nextTick();
    const line = document.querySelector<HTMLElement>(`[data-step="${step}"]`);
    line?.scrollIntoView({ block: 'nearest' });
    if (focus) {
        line?.querySelector<HTMLElement>('input')?.focus();
    }
}
const wait = (step: string, after: string, on: boolean) => after && send('wait', { step, after, on });
const shortcuts = [
    { key: '[', what: 'Day before, as a picture', act: () => goDay(-1) },
    { key: ']', what: 'Next day, as a picture', act: () => goDay(1) },
    { key: 't', what: 'Today, or the next day with work', act: () => showDay(nearest.value) },
    { key: 'a', what: 'All days', act: () => showDay('') },
    { key: 'v', what: 'Visits', act: () => (visiting.value = true) },
    { key: 'c', what: 'As a calendar', act: () => window.open(url('build.ics'), '_blank') },
    { key: 'p', what: 'Day sheets to print', act: () => window.open(url('day-sheets.pdf'), '_blank') },
    {
        key: 'n',
        what: 'Go to the next step to do',
        act: () =>
            void choose(
                ahead.value.find((id) => !isDone(id)) ?? build.value?.slots.find((s) => !isDone(s.id))?.id ?? '',
            ),
    },
];
onMounted(() => {
    const asked = new URLSearchParams(window.location.search).get('step');
    if (asked) {
        void choose(asked);
    }
});
</script>

<template>
    <JobFrame :shortcuts="shortcuts" @go="choose">
        <p v-if="!build || build.steps.length === 0" class="text-ink2">
            Nothing to do yet: feed a run at Wire, then the order of the work is shown here.
        </p>
        <template v-else>
            <div class="mb-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
                <span>{{ visits }}</span>
                <button type="button" class="act" @click="visiting = true">Visits <kbd>V</kbd></button>
                <span v-if="build.end" class="text-ink2"
                    >finished <span class="fig text-ink">{{ at(build.end) }}</span></span
                >
                <span class="ml-auto flex gap-x-4"
                    ><a class="act" :href="url('day-sheets.pdf')" target="_blank">Day sheets <kbd>P</kbd></a
                    ><a v-if="build.slots.length" class="act" :href="url('build.ics')">Calendar <kbd>C</kbd></a></span
                >
            </div>
            <p v-for="one in refusedTicks" :key="one.id" role="alert" class="mb-2 text-stop">
                {{ one.of }}: {{ one.refused }}
                <button type="button" class="act" @click="box.drop(one)">Discard</button>
            </p>
            <p v-if="refused && !visiting" role="alert" class="text-stop">{{ refused }}</p>
            <template v-if="build.slots.length">
                <NowNext :build="build" :done="isDone" :today="today" class="mb-3" @choose="choose($event, false)" />
                <div class="max-sm:hidden">
                    <p class="mb-1 flex flex-wrap items-baseline gap-x-5">
                        <button type="button" :class="shownDay ? 'act' : 'font-semibold'" @click="showDay('')">
                            All days <kbd>A</kbd>
                        </button>
                        <button type="button" class="act" @click="showDay(nearest)">
                            {{ nearest === today ? 'Today' : 'Next day of work' }} <kbd>T</kbd>
                        </button>
                        <template v-if="shownDay">
                            <button type="button" class="act" aria-label="Day before" @click="goDay(-1)">
                                ← <kbd>[</kbd>
                            </button>
                            <span class="font-semibold">{{ dayWords(shownDay) }}</span>
                            <button type="button" class="act" aria-label="Next day" @click="goDay(1)">
                                → <kbd>]</kbd>
                            </button>
                        </template>
                    </p>
                    <DayOverview v-if="!shownDay" :build="build" :today="today" @open="showDay" />
                    <template v-else>
                        <DayChart
                            :build="build"
                            :day="shownDay"
                            :chosen="chosen"
                            :aim="moving.aim.value"
                            :broken="(moving.cost.value?.broken.length ?? 0) > 0"
                            @choose="choose($event, false)"
                            @nudge="moving.nudge"
                            @aim="moving.to"
                            @keep="keepMove()"
                            @drop="moving.drop()"
                        />
                        <p class="mt-1 text-[13px] text-ink2">
                            Thick border: a delay here delays the end. Hatched: drying. Arrow keys move a step and show
                            the cost; <kbd>Enter</kbd> saves it.
                        </p>
                    </template>
                </div>
            </template>
            <MoveStrip
                v-if="moving.aim.value && steps.get(moving.aim.value.step)"
                :step="steps.get(moving.aim.value.step)!"
                :aim="moving.aim.value"
                :cost="moving.cost.value"
                :clock="clock"
                :said="said"
                @keep="keepMove()"
                @drop="moving.drop()"
            />
            <section v-if="ahead.length" class="mt-4" aria-labelledby="ahead">
                <h2 id="ahead" class="font-semibold">Before the first day</h2>
                <ol>
                    <StepLine
                        v-for="id in ahead"
                        :key="id"
                        :build="build"
                        :step="steps.get(id)!"
                        when="by phone or message"
                        :open="false"
                        :done="isDone(id)"
                        :taken="took(id)"
                        :waiting="box.last(id) !== undefined"
                        @took="(minutes) => box.press(id, true, minutes)"
                        @tick="(done, minutes) => tick(id, steps.get(id)!.title, done, minutes)"
                    />
                </ol>
                <details v-if="build.message" class="mt-1 text-[13px]">
                    <summary class="act inline-block cursor-pointer">Message to send</summary>
                    <p class="max-w-prose whitespace-pre-line border-l-4 border-rule2 pl-3">{{ build.message }}</p>
                    <button type="button" class="act" @click="copy(build.message)">Copy it</button>
                    <span role="status" class="ml-2 text-ink2">{{ copied }}</span>
                </details>
            </section>
            <section v-if="build.waits.length" class="mt-4" aria-labelledby="waits">
                <h2 id="waits" class="font-semibold">Waits</h2>
                <ul>
                    <li v-for="one in build.waits" :key="one.step + one.part" class="border-b border-rule2 py-1">
                        <span class="fig text-ink2">{{ at(one.from) }} – {{ at(one.until) }}</span>
                        {{ one.part ? `${one.part} is on the way` : `Curing after “${steps.get(one.step)?.title}”`
                        }}<span class="text-ink2"
                            >{{ one.part ? `, first for “${steps.get(one.step)?.title}”` : '' }}.
                            {{
                                one.meanwhile.length
                                    ? `Meanwhile: ${one.meanwhile
                                          .slice(0, 4)
                                          .map((id) => steps.get(id)?.title)
                                          .join(
                                              '; ',
                                          )}${one.meanwhile.length > 4 ? ` and ${one.meanwhile.length - 4} more` : ''}.`
                                    : 'Nothing can be done meanwhile: go and come back.'
                            }}</span
                        >
                    </li>
                </ul>
            </section>
            <section v-for="day in days" :key="day.day" :aria-label="said(day.day)" class="mt-4">
                <h2 class="font-semibold">
                    {{ said(day.day) }}
                    <span v-if="day.visit === null" class="font-normal text-ink2">not on a visit yet</span>
                    <span v-else-if="build.visits.length > 1" class="font-normal text-ink2"
                        >visit {{ day.visit + 1 }}</span
                    >
                </h2>
                <ol>
                    <StepLine
                        v-for="slot in day.slots"
                        :key="`${slot.id}-${slot.from}`"
                        :build="build"
                        :step="steps.get(slot.id)!"
                        :at-time="slot"
                        :when="`${clock(slot.from)}–${clock(slot.to)}`"
                        :open="chosen === slot.id"
                        :done="isDone(slot.id)"
                        :taken="took(slot.id)"
                        :waiting="box.last(slot.id) !== undefined"
                        @choose="toggle(slot.id, day.day)"
                        @took="(minutes) => box.press(slot.id, true, minutes)"
                        @tick="(done, minutes) => tick(slot.id, steps.get(slot.id)!.title, done, minutes)"
                        @wait="(after, on) => wait(slot.id, after, on)"
                        @move="(day, from) => moving.to({ step: slot.id, day, from, person: slot.people[0] ?? 0 })"
                        @back="send('move', { step: slot.id, back: true, keep: true })"
                    />
                </ol>
            </section>
            <section v-if="finished.length" class="mt-5" aria-labelledby="done">
                <h2 id="done" class="font-semibold">Done</h2>
                <ol>
                    <StepLine
                        v-for="step in finished"
                        :key="step.id"
                        :build="build"
                        :step="step"
                        :when="at(step.at)"
                        :open="false"
                        :done="isDone(step.id)"
                        :taken="took(step.id)"
                        :waiting="box.last(step.id) !== undefined"
                        @took="(minutes) => box.press(step.id, true, minutes)"
                        @tick="(done, minutes) => tick(step.id, step.title, done, minutes)"
                    />
                </ol>
            </section>
            <VisitsBox
                :open="visiting"
                :build="build"
                :refused="refused"
                @close="visiting = false"
                @keep="keepVisits"
            />
        </template>
    </JobFrame>
</template>
