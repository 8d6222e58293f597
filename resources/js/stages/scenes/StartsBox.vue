<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { ScenesPicture } from '@/types/generated/responses';
import PositionBox from './PositionBox.vue';
import TriggerEditor from './TriggerEditor.vue';

/** Automation: today's times, everything that starts something, and which of two wins. */
const props = defineProps<{ board: ScenesPicture }>();
const starts = computed(() => props.board.starts);
const open = ref<string | null>(null);
const box = ref<HTMLElement>();
async function set(trigger: string): Promise<void> {
    open.value = trigger;
    await nextTick();
    box.value?.querySelector<HTMLElement>('[data-first]')?.focus();
}
defineExpose({ make: () => set('') });
</script>

<template>
    <div ref="box" class="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_340px]">
        <section aria-labelledby="starts">
            <h2 id="starts" class="flex items-baseline gap-4 text-lg font-semibold">
                Automation
                <button v-if="open !== ''" type="button" class="act text-[13px] font-normal" @click="set('')">
                    Add a trigger <kbd aria-hidden="true">N</kbd>
                </button>
            </h2>
            <TriggerEditor v-if="open === ''" :trigger="null" :board="board" @close="open = null" />
            <p v-if="starts.triggers.length === 0 && open !== ''" class="text-ink2">
                None yet. A time of day, the sun, presence, a push-button or a signal wire of a vehicle can start a
                scene or a show, or switch everything off.
            </p>
            <ul>
                <li v-for="t in starts.triggers" :key="t.id" class="border-b border-rule2 py-1.5">
                    <div class="flex flex-wrap items-baseline gap-x-3">
                        <span class="fig w-6 text-center" :title="`Priority ${t.priority}: the lower number wins`">{{
                            t.timed ? '' : t.priority
                        }}</span>
                        <span class="first-letter:uppercase">{{ t.words }}</span>
                        <span aria-hidden="true">→</span> <b>{{ t.says }}</b>
                        <span v-if="t.after" class="text-[13px] text-ink2">{{ t.after }} s on</span>
                        <button
                            type="button"
                            class="act ml-auto text-[13px]"
                            :aria-label="`Edit: ${t.words}`"
                            @click="set(t.id)"
                        >
                            Edit
                        </button>
                    </div>
                    <TriggerEditor v-if="open === t.id" :trigger="t" :board="board" @close="open = null" />
                </li>
            </ul>
            <template v-if="starts.table.length">
                <h3 class="mt-4 font-semibold">Priority</h3>
                <table class="mt-1 w-full text-[13.5px]">
                    <thead>
                        <tr class="text-left text-ink2">
                            <th scope="col" class="font-normal">both active</th>
                            <th scope="col" class="font-normal">then</th>
                        </tr>
                    </thead>
                    <tbody>
                        <tr v-for="row in starts.table" :key="row.on.join()" class="border-t border-rule2 align-top">
                            <th scope="row" class="py-1 pr-4 text-left font-normal">{{ row.on.join(' + ') }}</th>
                            <td class="py-1">
                                <span v-for="win in row.wins" :key="win.says" class="block"
                                    ><b>{{ win.says }}</b
                                    ><span v-if="win.fights" class="font-semibold text-stop"> fight</span>:
                                    {{ win.lights }}</span
                                >
                            </td>
                        </tr>
                    </tbody>
                </table>
            </template>
        </section>
        <section aria-labelledby="today">
            <h2 id="today" class="text-lg font-semibold">
                Today <span class="fig text-[13px] font-normal text-ink2">{{ starts.day }}</span>
            </h2>
            <p>{{ starts.sun || 'Location of the job is not known: no sunrise, no sunset.' }}</p>
            <ol class="mt-1">
                <li v-for="(line, n) in starts.agenda" :key="n" class="flex gap-3 border-b border-rule2 py-1">
                    <span class="fig w-14 shrink-0">{{ line.at }}</span>
                    <span
                        ><b>{{ line.says }}</b> <span class="text-[13px] text-ink2">{{ line.words }}</span></span
                    >
                </li>
            </ol>
            <p v-if="starts.agenda.length === 0" class="text-ink2">Nothing starts by time or sun today.</p>
            <p v-for="line in starts.not" :key="line" class="text-[13px]">{{ line }}</p>
            <PositionBox :position="starts.position" />
            <p class="mt-3 border-l-4 border-watch pl-3 text-[13px]">
                Never flash more than three times a second, and never near rotating machines. Lamps of a vehicle keep
                their legal colours on the road; stairs and ways out keep a control that needs no network.
            </p>
        </section>
    </div>
</template>
