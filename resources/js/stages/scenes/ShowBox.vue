<script setup lang="ts">
import { nextTick, ref } from 'vue';
import { useScreen } from '@/lib/screen';
import type { ScenesPicture } from '@/types/generated/responses';
import ShowEditor from './ShowEditor.vue';
import ShowScore from './ShowScore.vue';

/** Shows: each is drawn as its lights over the seconds. */
defineProps<{ board: ScenesPicture }>();
const { answer } = useScreen();
const open = ref<string | null>(null);
const box = ref<HTMLElement>();

async function set(show: string): Promise<void> {
    open.value = show;
    await nextTick();
    box.value?.querySelector<HTMLElement>('[data-first]')?.focus();
}
</script>

<template>
    <section ref="box" aria-labelledby="shows" class="mt-5">
        <h2 id="shows" class="flex items-baseline gap-4 text-lg font-semibold">
            Shows
            <button v-if="open !== ''" type="button" class="act text-[13px] font-normal" @click="set('')">
                New show
            </button>
        </h2>
        <ShowEditor v-if="open === ''" :show="null" :board="board" @close="open = null" />
        <p v-if="board.shows.length === 0 && open !== ''" class="text-ink2">
            No shows yet. A show plays scenes in turn, random colours, a colour that runs across the lights, or lights
            that follow sound.
        </p>
        <ul>
            <li v-for="show in board.shows" :key="show.id" class="border-b border-rule2 py-2">
                <div class="flex flex-wrap items-baseline gap-x-4">
                    <b>{{ show.name }}</b> <span class="text-[13px] text-ink2">{{ show.says }}</span>
                    <button
                        type="button"
                        class="act ml-auto text-[13px]"
                        :aria-label="`Edit: “${show.name}”`"
                        @click="set(show.id)"
                    >
                        Edit
                    </button>
                </div>
                <ShowScore :job="answer.job" :show="show.id" :revision="answer.revision" :name="show.name" />
                <ShowEditor v-if="open === show.id" :show="show" :board="board" @close="open = null" />
            </li>
        </ul>
    </section>
</template>
