<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import { provideScreen } from '@/lib/screen';
import { useLive } from './live';
import type { Shortcut } from '@/lib/keys';
import JoinStepCard from './JoinStepCard.vue';
import Lanes from './Lanes.vue';
import StandIn from './StandIn.vue';
import type { Answer, JoinAnswer } from '@/types/generated/responses';
import { since } from '@/lib/hours';

const props = defineProps<{ answer: Answer; live: JoinAnswer | null }>();
const { desk, reload } = provideScreen(props.answer);
const { live, now, message, pointer, picture, begin, pace, skip, act, leave } = useLive(props.answer.job, props.live);
const speed = computed(() => live.value?.speed ?? 1);
const ready = computed(() => desk.value.joinable);
/** A name or room that was refused is told at its field. */
const atField = computed(() => picture.value?.step.kind === 'name' && ['/name', '/room'].includes(pointer.value));
const last = ref(1);
const phone = ref('');
const site = computed(() => live.value?.site ?? false);
const device = computed(() => {
    const p = picture.value;
    return (
        p?.devices.find((d) => d.id === p.step.device) ??
        p?.devices.find((d) => !p.list.some((l) => l.device === d.id)) ??
        p?.devices[0]
    );
});

function press(times: number, of = device.value?.id ?? ''): void {
    void act({ kind: 'press', device: of, presses: times });
}
function hand(kind: string): void {
    const step = picture.value?.step;
    void act({ kind, device: kind === 'search' ? (picture.value?.lanes[0]?.id ?? '') : (step?.device ?? '') });
}
function power(on: boolean, of = device.value?.id ?? ''): void {
    void act({ kind: on ? 'power-on' : 'power-off', device: of });
}
function pauseOrGo(): void {
    if (speed.value > 0) {
        last.value = speed.value;
    }
    void pace(speed.value > 0 ? 0 : last.value);
}
/** Back to where a run begins; this one stays in the record. */
function anew(): void {
    leave();
}
async function name(given: { name: string; room: string }): Promise<void> {
    if (await act({ kind: 'named', device: picture.value?.step.device ?? '', ...given })) {
        await reload();
    }
}
const shortcuts = computed<Shortcut[]>(() => {
    const step = picture.value?.step;
    if (!step) {
        return [{ key: 'b', what: 'Begin the run', act: () => void begin(1) }];
    }
    const { yes, no } = step;
    return [
        { key: 'p', shift: false, what: 'Press the key once', act: () => press(1) },
        {
            key: 'p',
            shift: true,
            what: 'Press the key as often as asked',
            act: () => press(device.value?.presses ?? 1),
        },
        { key: 'o', what: 'Switch the controller on or off', act: () => power(!device.value?.powered) },
        { key: 's', what: 'Search in the hub’s app', act: () => hand('search') },
        { key: 't', what: 'Switch the light in the app', act: () => hand('toggle') },
        ...(yes ? [{ key: 'y', what: 'Saw that', act: () => hand(yes) }] : []),
        ...(no ? [{ key: 'n', what: 'Saw nothing', act: () => hand(no) }] : []),
        ...(step.answers.includes('saw-other')
            ? [{ key: 'x', what: 'Saw another pattern', act: () => hand('saw-other') }]
            : []),
        ...(site.value ? [] : [{ key: 'q', what: 'Skip the wait', act: () => void skip() }]),
        { key: ' ', what: 'Pause or go on', act: pauseOrGo },
        { key: 'b', what: 'Leave this run for another', act: anew },
    ];
});
const clock = computed(() => since(now.value));
watch(
    () => picture.value?.done,
    (done, before) => {
        if (done && before === false) {
            void reload();
        }
    },
);
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :slate="!picture">
        <p v-if="message && !atField" role="alert" class="mb-3 border-l-4 border-stop bg-sheet px-3 py-2">
            {{ message }}
        </p>
        <div v-if="!picture" class="max-w-xl">
            <h2 class="text-2xl font-semibold">Join on site, or rehearse it first</h2>
            <p class="mt-2 text-ink2">
                The controllers and the hub of this job, as simulated devices that behave as their leaflets say. Each
                window runs out as it will on site, and waiting can be skipped. Rehearse once before the visit: it costs
                two minutes.
            </p>
            <p v-if="!ready" class="mt-3 border-l-4 border-watch bg-sheet px-3 py-2">
                Choose a controller and a hub at Kit first: their leaflets say how they join.
            </p>
            <form v-if="ready" class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent="begin(1, true, phone)">
                <label
                    >Phone in the hand
                    <input v-model="phone" class="field w-56" maxlength="80" placeholder="whose, which" />
                </label>
                <button type="submit" class="press">Join on site</button>
                <span class="basis-full text-[13px] text-ink2"
                    >You do it on the real thing and say what you saw. Only this joins anything.</span
                >
            </form>
            <div v-if="ready" class="mt-4 flex flex-wrap gap-3">
                <button type="button" class="quiet" @click="begin(1)">Rehearse <kbd>B</kbd></button>
            </div>
        </div>
        <p
            v-if="picture"
            class="mb-3 border-l-4 bg-sheet px-3 py-1.5"
            :class="site ? 'border-ember' : 'border-dusk'"
            role="status"
        >
            <template v-if="site"
                ><b>On site</b>{{ live?.hand ? `, with ${live.hand}` : '' }}. Do it on the real thing, say what you
                saw.</template
            >
            <template v-else><b>Rehearsal</b> against stand-ins. Nothing that happens here is joined.</template>
        </p>
        <div v-if="picture" class="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(300px,400px)_minmax(0,1fr)]">
            <JoinStepCard
                :picture="picture"
                :now="now"
                :refused="atField ? { at: pointer.slice(1), message } : undefined"
                @hand="hand"
                @press="press(device?.presses ?? 1)"
                @power="power(true)"
                @name="name"
                @listed="(as) => act({ kind: 'found', device: picture?.step.device ?? '', name: as })"
                :site="site"
            />
            <div class="min-w-0">
                <Lanes :lanes="picture.lanes" :now="now" />
                <div class="mt-3 grid gap-4 border-t border-rule pt-3 md:grid-cols-[minmax(0,1fr)_190px]">
                    <section v-if="!site" aria-label="Drawn kit">
                        <h3 class="mb-1 text-[13px] text-ink2">The kit, as stand-ins</h3>
                        <StandIn
                            v-for="d in picture.devices"
                            :key="d.id"
                            :device="d"
                            :now="now"
                            @power="power($event, d.id)"
                            @press="press($event, d.id)"
                        />
                    </section>
                    <section aria-label="Phone">
                        <h3 class="mb-1 text-[13px] text-ink2">The hub’s app</h3>
                        <button type="button" class="quiet" @click="hand('search')">Search <kbd>S</kbd></button>
                        <ul class="mt-2">
                            <li v-if="picture.list.length === 0" class="text-ink2">The list is empty.</li>
                            <li v-for="light in picture.list" :key="light.device" class="flex items-center gap-3">
                                <b>{{ light.name }}</b>
                                <button
                                    type="button"
                                    class="quiet !py-0.5"
                                    @click="act({ kind: 'toggle', device: light.device })"
                                >
                                    Switch <kbd>T</kbd>
                                </button>
                            </li>
                        </ul>
                    </section>
                </div>
                <section aria-labelledby="log" class="mt-3 border-t border-rule pt-2">
                    <h3 id="log" class="mb-1 text-[13px] text-ink2">Log</h3>
                    <ol class="max-h-[168px] overflow-y-auto" tabindex="0" aria-labelledby="log">
                        <li
                            v-for="(entry, n) in [...picture.log].reverse()"
                            :key="n"
                            class="grid grid-cols-[5ch_1fr] gap-2 leading-5"
                            :class="{ 'font-semibold text-watch': entry.kind === 'missed' }"
                        >
                            <span class="fig text-ink2">{{ entry.at }}</span>{{ entry.text }}
                        </li>
                    </ol>
                </section>
            </div>
        </div>
        <template v-if="picture" #ledger>
            <footer
                class="flex min-h-[60px] flex-wrap items-center justify-between gap-x-6 border-t border-ink py-1"
                aria-label="Ledger"
            >
                <div>
                    <span class="block text-xs text-ink2">Joined and named</span
                    ><b class="fig text-xl">{{ picture.named }}</b
                    ><span class="unit">of {{ picture.devices.length }}</span>
                </div>
                <div>
                    <span class="block text-xs text-ink2">Windows missed</span
                    ><b class="fig text-xl">{{ picture.missed }}</b>
                </div>
                <div>
                    <span class="block text-xs text-ink2">Run clock</span><b class="fig text-xl">{{ clock }}</b>
                </div>
                <div v-if="speed === 0">
                    <span class="block text-xs text-ink2">Pace</span><b class="fig text-xl">paused</b>
                </div>
                <div class="flex gap-2">
                    <button type="button" class="quiet" @click="pauseOrGo()">
                        {{ speed === 0 ? 'Go on' : 'Pause' }} <kbd>Space</kbd>
                    </button>
                    <button v-if="!site" type="button" class="quiet" @click="skip()">Skip the wait <kbd>Q</kbd></button>
                    <button type="button" class="quiet" @click="anew()">Other run <kbd>B</kbd></button>
                </div>
            </footer>
        </template>
    </JobFrame>
</template>
