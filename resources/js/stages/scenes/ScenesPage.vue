<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import JobFrame from '@/ui/JobFrame.vue';
import { ask, inWords } from '@/lib/http';
import type { Shortcut } from '@/lib/keys';
import { provideScreen } from '@/lib/screen';
import type { Answer, ScenesPicture, SpokenCommand } from '@/types/generated/responses';
import AnswerBoard from './AnswerBoard.vue';
import ReachMap from './ReachMap.vue';
import PowerBox from './PowerBox.vue';
import SceneList from './SceneList.vue';
import ShowBox from './ShowBox.vue';
import StartsBox from './StartsBox.vue';

const props = defineProps<{ answer: Answer }>();
const { desk, answer, change } = provideScreen(props.answer);
const scenes = computed(() => desk.value.scenes as ScenesPicture);
const said = ref('');
const field = ref<HTMLInputElement>();
const spoken = ref<SpokenCommand | null>(null);
const message = ref('');
/** Levels of the simulated lights after the voice command, by light. */
const levels = computed(() => Object.fromEntries((spoken.value?.answers ?? []).map((a) => [a.light, a])));

async function say(): Promise<void> {
    if (!said.value.trim()) {
        return;
    }
    try {
        spoken.value = await ask<SpokenCommand>('POST', `/jobs/${answer.value.job}/say`, { said: said.value });
        message.value = '';
    } catch (error) {
        message.value = inWords(error);
    }
}
watch(
    () => answer.value.revision,
    () => (spoken.value = null),
);
function rename(light: string, name: string): void {
    const of = scenes.value.lights.find((l) => l.id === light);
    void change({ kind: 'NameLight', controller: light, name, room: of?.room ?? '' });
}
const shortcuts = computed<Shortcut[]>(() => [
    { key: 'v', what: 'Try a voice command', act: () => void nextTick(() => field.value?.focus()) },
    { key: 'a', what: 'Control matrix', act: () => (tab.value = 0) },
    { key: 'c', what: 'Scenes and shows', act: () => (tab.value = 1) },
    { key: 'b', what: 'Automation', act: () => (tab.value = 2) },
    { key: 'r', what: 'Reach', act: () => (tab.value = 3) },
    { key: 'n', what: 'New scene or trigger', act: make },
]);
const TABS = ['Control matrix', 'Scenes and shows', 'Automation', 'Reach'];
const tab = ref(0);
const list = ref<InstanceType<typeof SceneList>>();
const starts = ref<InstanceType<typeof StartsBox>>();
function make(): void {
    tab.value = tab.value === 2 ? 2 : 1;
    void nextTick(() => (tab.value === 2 ? starts.value : list.value)?.make());
}
</script>

<template>
    <JobFrame :shortcuts="shortcuts">
        <form class="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-ink pb-2" @submit.prevent="say()">
            <label class="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3"
                ><b class="text-lg">Try a voice command</b>
                <input
                    ref="field"
                    v-model="said"
                    class="min-w-[240px] flex-1 bg-transparent py-1 text-[17px] outline-none focus:border-b-2 focus:border-ember"
                    placeholder="all but the bar, 30 %"
                    maxlength="300"
            /></label>
            <button class="quiet">Try it</button>
            <kbd aria-hidden="true">V</kbd>
        </form>
        <p v-if="message" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">{{ message }}</p>
        <p v-if="spoken" role="status" class="mt-2">
            {{ spoken.understood ? 'Understood: ' : '' }}<b>{{ spoken.words }}</b>
            <template v-if="spoken.trouble"> {{ spoken.trouble }}</template>
            <template v-if="spoken.note"> {{ spoken.note }}</template>
            <span v-for="a in spoken.answers.filter((one) => !one.answers)" :key="a.light" class="ml-2"
                >{{ a.name }} cannot do that: {{ a.why }}.</span
            >
        </p>
        <TabGroup :selected-index="tab" @change="tab = $event">
            <TabList class="mt-3 flex flex-wrap gap-x-6 border-b border-rule">
                <Tab v-for="name in TABS" :key="name" v-slot="{ selected }" as="template">
                    <button
                        class="border-b-[3px] px-1 pb-1 pt-2"
                        :class="selected ? 'border-ember font-semibold' : 'border-transparent text-ink2'"
                    >
                        {{ name }}
                    </button>
                </Tab>
            </TabList>
            <TabPanels class="mt-2">
                <TabPanel :tabindex="-1">
                    <p v-if="scenes.lights.length === 0" class="mt-2 text-ink2">
                        No light of this job can be joined yet. Choose controllers, and what controls them, at Kit. Then
                        this page shows which control works which light.
                    </p>
                    <AnswerBoard v-else :board="scenes" :levels="levels" @change="change" @starts="tab = 2" />
                    <section aria-labelledby="heard" class="mt-5">
                        <h2 id="heard" class="text-lg font-semibold">Names for voice control</h2>
                        <p v-if="scenes.names.length === 0" class="text-ink2">
                            {{
                                scenes.lights.some((l) => l.named)
                                    ? 'No name sounds like another, is too long for its app or is reserved by assistants.'
                                    : 'Lights are named when they join. The names are checked here.'
                            }}
                        </p>
                        <ul>
                            <li v-for="clash in scenes.names" :key="clash.title" class="border-b border-rule2 py-1.5">
                                <b>{{ clash.title }}.</b> {{ clash.detail }}
                                <button
                                    v-if="clash.instead"
                                    type="button"
                                    class="act"
                                    @click="rename(clash.light, clash.instead)"
                                >
                                    Call it “{{ clash.instead }}”
                                </button>
                            </li>
                        </ul>
                    </section>
                </TabPanel>
                <TabPanel :tabindex="-1">
                    <SceneList ref="list" :board="scenes" />
                    <ShowBox :board="scenes" />
                </TabPanel>
                <TabPanel :tabindex="-1">
                    <StartsBox ref="starts" :board="scenes" />
                    <PowerBox :power="scenes.power" />
                </TabPanel>
                <TabPanel :tabindex="-1">
                    <p v-if="scenes.reach.length === 0" class="mt-2 text-ink2">
                        No light of this job joins by radio yet.
                    </p>
                    <p v-if="scenes.wifi" class="mt-1">{{ scenes.wifi }}</p>
                    <section v-for="way in scenes.reach" :key="way.title" class="mt-3">
                        <h2 class="text-lg font-semibold">{{ way.title }}</h2>
                        <ReachMap :reach="way" />
                        <ul class="mt-1">
                            <li v-for="line in way.lines.slice(1).filter((l) => !/ hops?$/.test(l))" :key="line">
                                {{ line }}
                            </li>
                        </ul>
                    </section>
                </TabPanel>
            </TabPanels>
        </TabGroup>
    </JobFrame>
</template>
