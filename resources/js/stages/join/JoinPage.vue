<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import { useMediaQuery } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import { provideScreen } from '@/lib/screen';
import { since } from '@/lib/hours';
import type { Act } from '@/lib/acts';
import type { Shortcut } from '@/lib/keys';
import type { Answer, JoinAnswer, JoinStart, StepAnswer } from '@/types/generated/responses';
import DrawnKit from './DrawnKit.vue';
import JoinBefore from './JoinBefore.vue';
import JoinStepCard from './JoinStepCard.vue';
import Lanes from './Lanes.vue';

import { audible, play } from './cues';
import { stepKeys } from './keys';
import { useLive, type Beginning } from './live';
import RunLog from './RunLog.vue';
import RunNotes from './RunNotes.vue';

const props = defineProps<{ answer: Answer; start: JoinStart; live: JoinAnswer | null }>();
const { answer, reload } = provideScreen(props.answer);
const runs = `/jobs/${props.answer.job}/join`;
const { live, now, message, pointer, slept, lost, sleepy, waiting, stuck, picture, settled, pressed, say, act, leave } =
    useLive(
        { act: (run) => `${runs}/${run}`, look: (run) => `${runs}/${run}`, ahead: (run) => `${runs}/${run}/ahead` },
        props.live,
    );
const begin = (how: Beginning) => say('POST', runs, how);
const skip = () => say('POST', `${runs}/${live.value?.run}/skip`);
const pace = (speed: number) => say('POST', `${runs}/${live.value?.run}/pace`, { speed });
const speed = computed(() => live.value?.speed ?? 1);
const step = computed(() => picture.value?.step);
/** A refused name or room is reported at its field. */
const atField = computed(() => step.value?.look === 'name' && ['/name', '/room'].includes(pointer.value));
const last = ref(1);
const wide = useMediaQuery('(min-width: 1024px)');
const site = computed(() => live.value?.site ?? false);
async function given(what: Act): Promise<void> {
    await act(what);
    if (what.kind === 'named' && waiting.value === 0 && !message.value) {
        await reload();
    }
}
const reply = ({ kind, device, text, key }: StepAnswer, typed = {}) =>
    given({ kind, device, text, ...typed, answer: key });

function pauseOrGo(): void {
    if (speed.value > 0) {
        last.value = speed.value;
    }
    void pace(speed.value > 0 ? 0 : last.value);
}
function hear(): void {
    audible.value = !audible.value;
    if (audible.value) {
        // Heard at once, and the browser takes the press as leave to make sounds.
        play('open');
    }
}
/** Back to where a run begins; this one stays in the record. */
function anew(): void {
    leave();
}
const shortcuts = computed<Shortcut[]>(() => {
    const at = step.value;
    if (!at) {
        return props.start.ready ? [{ key: 'b', what: 'Rehearse', act: () => void begin({ speed: 1 }) }] : [];
    }
    return [
        ...stepKeys(
            at,
            (answer) => void reply(answer),
            () => now.value,
        ),
        ...(site.value ? [] : [{ key: 'q', what: 'Skip the wait', act: () => void skip() }]),
        { key: ' ', what: 'Pause or go on', act: pauseOrGo },
        { key: 's', what: 'Sound and vibration', act: hear },
        { key: 'b', what: 'Start another run', act: anew },
    ];
});
const clock = computed(() => since(now.value));
watch(
    () => picture.value?.joined,
    (joined, before) => {
        if (site.value && joined !== undefined && before !== undefined && joined > before) {
            void reload();
        }
    },
);
watch(
    () => answer.value.revision,
    () => router.reload({ only: ['start'] }),
);
</script>

<template>
    <JobFrame :shortcuts="shortcuts" :slate="!picture">
        <RunNotes
            v-if="picture || message"
            :lost="lost"
            :waiting="waiting"
            :stuck="stuck"
            :slept="slept"
            :sleepy="sleepy && site"
            :message="atField ? '' : message"
            :site="site"
        />
        <p v-if="live && !picture" class="mb-3 border-l-4 border-rule bg-sheet px-3 py-2">
            The last run was recorded by an earlier version. It stays in the log. Start a new run here.
        </p>
        <JoinBefore v-if="!picture" :start="start" @begin="begin" />
        <p
            v-if="picture"
            class="mb-3 flex flex-wrap items-baseline gap-x-4 border-l-4 bg-sheet px-3 py-1.5"
            :class="site ? 'border-ember' : 'border-dusk'"
        >
            <span role="status">
                <b v-if="live?.event">{{ live.event }}. </b>
                <template v-if="site"
                    ><b>On site</b>{{ live?.hand ? `, with ${live.hand}` : '' }}. Do it on the real thing, say what you
                    saw.</template
                >
                <template v-else
                    ><b>Rehearsal</b> on simulated devices{{
                        ['', ', with a hidden fault'][live?.hidden ?? 0] ?? `, with ${live?.hidden} hidden faults`
                    }}. It joins nothing.</template
                ></span
            >
            <button type="button" class="act ml-auto" :aria-pressed="audible" @click="hear">
                Sound and vibration <span aria-hidden="true">{{ audible ? 'on' : 'off' }}</span> <kbd>S</kbd>
            </button>
        </p>
        <div v-if="picture" class="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(300px,420px)_minmax(0,1fr)]">
            <JoinStepCard
                :data-settled="settled"
                :pressed="pressed"
                :picture="picture"
                :now="now"
                :site="site"
                :onward="`/jobs/${answer.job}/handover`"
                :refused="atField ? { at: pointer.slice(1), message } : undefined"
                @act="given"
                @answer="reply"
            >
                <!-- On a phone the lamp is looked at above what is answered. -->
                <DrawnKit
                    v-if="!site && !wide"
                    class="mt-3"
                    :devices="picture.devices"
                    :now="now"
                    :step="step ?? null"
                    @act="given"
                />
            </JoinStepCard>
            <div class="min-w-0">
                <div class="mb-3 grid gap-4 border-b border-rule pb-3 md:grid-cols-[minmax(0,1fr)_210px]">
                    <DrawnKit
                        v-if="!site && wide"
                        :devices="picture.devices"
                        :now="now"
                        :step="step ?? null"
                        @act="given"
                    />
                    <section v-for="app in picture.apps" :key="app.hub" :aria-label="`App of ${app.label}`">
                        <h3 class="mb-1 text-[13px] text-ink2">App of {{ app.label }}</h3>
                        <button
                            v-if="app.searches && !site"
                            type="button"
                            class="quiet"
                            @click="given({ kind: 'tap', device: app.hub, text: 'search' })"
                        >
                            Search
                        </button>
                        <ul class="mt-2">
                            <li v-if="app.lines.length === 0" class="text-ink2">Empty list.</li>
                            <li v-for="line in app.lines" :key="line.name" class="flex items-center gap-3 py-0.5">
                                <b>{{ line.name }}</b>
                                <span class="fig text-[13px] text-ink2">{{ line.as || '?' }}</span>
                                <button
                                    v-if="!site"
                                    type="button"
                                    class="quiet !py-0.5"
                                    @click="given({ kind: 'tap', device: app.hub, text: `toggle ${line.name}` })"
                                >
                                    Switch
                                </button>
                            </li>
                        </ul>
                    </section>
                </div>
                <Lanes :lanes="picture.lanes" :now="now" :about="step?.device ?? ''" />
                <RunLog :lines="picture.log" />
            </div>
        </div>
        <template v-if="picture" #ledger>
            <footer
                class="flex min-h-[60px] flex-wrap items-center justify-between gap-x-6 border-t border-ink py-1"
                aria-label="Ledger"
            >
                <div>
                    <span class="block text-xs text-ink2">Joined</span><b class="fig text-xl">{{ picture.joined }}</b
                    ><span class="unit">of {{ picture.lights }}</span>
                </div>
                <div>
                    <span class="block text-xs text-ink2">Not seen</span><b class="fig text-xl">{{ picture.missed }}</b>
                </div>
                <div>
                    <span class="block text-xs text-ink2">Run clock</span><b class="fig text-xl">{{ clock }}</b>
                </div>
                <div v-if="speed === 0">
                    <span class="block text-xs text-ink2">Pace</span><b class="fig text-xl">paused</b>
                </div>
                <div class="flex flex-wrap gap-2">
                    <button type="button" class="quiet" @click="pauseOrGo()">
                        {{ speed === 0 ? 'Go on' : 'Pause' }} <kbd>Space</kbd>
                    </button>
                    <button v-if="!site" type="button" class="quiet" @click="skip()">Skip the wait <kbd>Q</kbd></button>
                    <button type="button" class="quiet" @click="anew()">New run <kbd>B</kbd></button>
                </div>
            </footer>
        </template>
    </JobFrame>
</template>
