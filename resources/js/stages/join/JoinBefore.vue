<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed, ref, watch } from 'vue';
import { ask, inWords } from '@/lib/http';
import { useScreen } from '@/lib/screen';
import type { JoinStart } from '@/types/generated/responses';
import KitNotes from '@/ui/KitNotes.vue';
import type { Beginning } from './live';

const props = defineProps<{ start: JoinStart }>();
const emit = defineEmits<{ begin: [beginning: Beginning] }>();
const { answer, change } = useScreen();
const phone = ref('');
const timing = ref('search');
const trustsNew = ref(false);
/** As it was sent, until a tick has come back. */
const needs = ref(props.start.needs);
const message = ref('');
const fixed = ref(props.start.panels.filter((panel) => panel.fixed).map((panel) => panel.id));
const loss = ref(props.start.losses[0]?.key ?? '');
const lost = computed(() => props.start.losses.find((one) => one.key === loss.value));
watch(
    () => props.start.needs,
    (now) => (needs.value = now),
);

async function tick(key: string, there: boolean): Promise<void> {
    try {
        needs.value = (await ask<JoinStart>('POST', `/jobs/${answer.value.job}/join/needs`, { key, there })).needs;
        message.value = '';
    } catch (error) {
        message.value = inWords(error);
    }
}

function begin(site: boolean, hidden = 0, recovery = ''): void {
    emit('begin', {
        speed: 1,
        site,
        hand: phone.value,
        timing: timing.value,
        trustsNew: trustsNew.value,
        hidden,
        fixed: fixed.value,
        recovery,
    });
}
</script>

<template>
    <div class="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <section aria-labelledby="begin">
            <KitNotes :notes="start.notes" />
            <h2 id="begin" class="text-2xl font-semibold">Join on site, or rehearse first</h2>
            <p v-if="start.ready" class="mt-2 text-ink2">
                {{ start.steps }} steps: reset, join, link, name, and every control tried at the end.
                <template v-if="start.planned > 0">Build plans {{ start.planned }} min.</template> Hands alone need
                about {{ Math.ceil(start.minutes) }} min if all goes well.
            </p>
            <p v-else-if="!start.blocked.length" class="mt-3 border-l-4 border-watch bg-sheet px-3 py-2">
                Choose a controller, and a hub, remote or phone for it, at Kit first.
            </p>
            <ul v-if="start.blocked.length" class="mt-3 space-y-2" aria-label="Cannot be joined">
                <li v-for="b in start.blocked" :key="b.title" class="border-l-4 border-stop bg-sheet px-3 py-2">
                    <b>{{ b.title }}.</b> {{ b.detail }}
                </li>
            </ul>
            <template v-if="start.ready">
                <fieldset class="mt-4">
                    <legend class="text-[13px] text-ink2">Search and reset</legend>
                    <label class="mr-4 inline-flex items-center gap-2"
                        ><input v-model="timing" type="radio" value="search" /> search, then reset</label
                    >
                    <label class="mr-4 inline-flex items-center gap-2"
                        ><input v-model="timing" type="radio" value="reset" /> reset, then search</label
                    >
                    <label class="inline-flex items-center gap-2"
                        ><input v-model="timing" type="radio" value="early" /> reset early, power-cycle, tap</label
                    >
                </fieldset>
                <label class="mt-2 inline-flex items-center gap-2"
                    ><input v-model="trustsNew" type="checkbox" /> do not reset new kit unless it fails to join</label
                >
                <fieldset v-if="start.panels.length" class="mt-3">
                    <legend class="text-[13px] text-ink2">
                        On the wall already: each controller is then brought to the panel
                    </legend>
                    <label v-for="panel in start.panels" :key="panel.id" class="mr-4 inline-flex items-center gap-2"
                        ><input v-model="fixed" type="checkbox" :value="panel.id" /> {{ panel.label }}
                        <span class="text-ink2">{{ panel.name.toLowerCase() }}</span></label
                    >
                </fieldset>
                <form class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent="begin(true)">
                    <label
                        >Phone
                        <input v-model="phone" class="field w-56" maxlength="80" placeholder="whose, which" />
                    </label>
                    <button type="submit" class="press">Join on site</button>
                    <span class="basis-full text-[13px] text-ink2"
                        >For work on site: do each step on the real device and enter what you see. Rehearsals do not
                        count as joined.</span
                    >
                </form>
                <div class="mt-4 flex flex-wrap gap-3">
                    <button type="button" class="quiet" @click="begin(false)">Rehearse <kbd>B</kbd></button>
                    <button type="button" class="quiet" @click="begin(false, 1)">Rehearse with one hidden fault</button>
                    <button type="button" class="quiet" @click="begin(false, 2)">With two hidden faults</button>
                    <Link href="/practice" class="quiet">Practice lessons</Link>
                </div>
                <section v-if="start.losses.length" class="mt-6 border-t border-rule pt-3" aria-labelledby="again">
                    <h2 id="again" class="text-lg font-semibold">Join again after a loss or replacement</h2>
                    <label class="mt-2 block"
                        >Event
                        <select v-model="loss" class="field">
                            <option v-for="one in start.losses" :key="one.key" :value="one.key">{{ one.title }}</option>
                        </select>
                    </label>
                    <p v-if="lost" class="mt-1 text-[13px] text-ink2">{{ lost.says }}</p>
                    <div class="mt-2 flex flex-wrap gap-3">
                        <button type="button" class="quiet" @click="begin(true, 0, loss)">Recover on site</button>
                        <button type="button" class="quiet" @click="begin(false, 0, loss)">Rehearse recovery</button>
                    </div>
                </section>
            </template>
        </section>
        <section v-if="start.ready" aria-labelledby="needs">
            <h2 id="needs" class="text-lg font-semibold">Have ready before you start</h2>
            <p v-if="message" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">{{ message }}</p>
            <ul class="mt-2">
                <li v-for="need in needs" :key="need.key" class="border-b border-rule2 py-1.5">
                    <label class="flex items-start gap-2"
                        ><input
                            type="checkbox"
                            class="mt-1"
                            :checked="need.there"
                            @change="tick(need.key, ($event.target as HTMLInputElement).checked)"
                        />
                        <span
                            ><b>{{ need.what }}</b
                            ><br /><span class="text-[13px] text-ink2">{{ need.detail }}</span></span
                        ></label
                    >
                </li>
            </ul>
            <h2 class="mt-4 text-lg font-semibold">Used devices</h2>
            <p class="text-[13px] text-ink2">
                Used devices may still belong to another network. They are always reset first.
            </p>
            <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
                <label v-for="unit in start.units" :key="unit.id" class="inline-flex items-center gap-2"
                    ><input
                        type="checkbox"
                        :checked="unit.used"
                        @change="
                            change({
                                kind: 'MarkUsed',
                                unit: unit.item,
                                used: ($event.target as HTMLInputElement).checked,
                            })
                        "
                    />
                    {{ unit.label }} <span class="text-ink2">{{ unit.name.toLowerCase() }}</span></label
                >
            </div>
        </section>
    </div>
</template>
