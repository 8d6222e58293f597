<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { useScreen } from '@/lib/screen';
import type { ScenesPicture } from '@/types/generated/responses';
import SceneEditor from './SceneEditor.vue';
import SmallRibbon from './SmallRibbon.vue';

/** The scenes, each as the light that will be seen on its runs and the amps that it takes; one is open to be set. */
const props = defineProps<{ board: ScenesPicture }>();
const { answer, reload } = useScreen();
/** The scene that is being set; empty is a new one, null none. */
const open = ref<string | null>(null);
const list = ref<HTMLElement>();
const longest = computed(() => Math.max(1, ...props.board.scenes.flatMap((s) => s.ribbons.map((r) => r.metres))));

/** A tried show is drawn beside its form. */
const shown = computed(() => {
    const kept = new Set((answer.value.desk.scenes as ScenesPicture).scenes.map((s) => s.id));
    const { scenes } = props.board;
    return [...scenes.filter((s) => !kept.has(s.id)), ...scenes.filter((s) => kept.has(s.id))];
});

async function set(scene: string): Promise<void> {
    open.value = scene;
    await nextTick();
    list.value?.querySelector<HTMLElement>('[data-first]')?.focus();
}
async function close(): Promise<void> {
    open.value = null;
    // The tried show is gone.
    await reload();
}
defineExpose({ make: () => set('') });
</script>

<template>
    <section ref="list" aria-labelledby="scenes">
        <h2 id="scenes" class="flex items-baseline gap-4 text-lg font-semibold">
            Scenes
            <button v-if="open !== ''" type="button" class="act text-[13px] font-normal" @click="set('')">
                New scene <kbd aria-hidden="true">N</kbd>
            </button>
        </h2>
        <SceneEditor v-if="open === ''" :scene="null" :dims="board.dims" @close="close" />
        <p v-if="board.scenes.length === 0 && open !== ''" class="text-ink2">
            No scenes yet. Add one: its light and current are shown while you set it.
        </p>
        <ul>
            <li v-for="scene in shown" :key="scene.id" class="border-b border-rule2 py-2">
                <div class="grid items-start gap-x-4 gap-y-1 sm:grid-cols-[130px_minmax(0,1fr)_auto]">
                    <span>
                        <b>{{ scene.name }}</b>
                        <span v-if="scene.fade > 0" class="block text-[12.5px] text-ink2"
                            >fades in over {{ scene.fade }} s</span
                        >
                        <button
                            v-if="open !== scene.id"
                            type="button"
                            class="act mt-1 block text-[13px]"
                            :aria-label="`Edit: “${scene.name}”`"
                            @click="set(scene.id)"
                        >
                            Edit
                        </button>
                    </span>
                    <div>
                        <ul>
                            <li
                                v-for="ribbon in scene.ribbons.filter((r) => r.level > 0)"
                                :key="ribbon.run"
                                class="grid grid-cols-[64px_minmax(0,auto)_1fr] items-center gap-x-3 text-[13px] sm:grid-cols-[88px_auto_1fr]"
                            >
                                <span class="truncate text-right">{{ ribbon.name }}</span>
                                <SmallRibbon :ribbon="ribbon" :longest="longest" :of="scene.id" />
                                <span class="fig">{{ Math.round(100 * ribbon.level) }}<span class="unit">%</span></span>
                            </li>
                        </ul>
                        <p v-if="scene.ribbons.some((r) => r.level === 0)" class="text-[13px] text-ink2">
                            <span class="inline-block w-[64px] text-right sm:w-[88px]">dark</span>
                            <span class="ml-3">{{
                                scene.ribbons
                                    .filter((r) => r.level === 0)
                                    .map((r) => r.name)
                                    .join(', ')
                            }}</span>
                        </p>
                    </div>
                    <span class="text-[13.5px] sm:text-right">
                        <span v-for="s in scene.supplies" :key="s.label" class="block whitespace-nowrap"
                            >{{ s.label }} <span class="fig">{{ s.amps.toFixed(2) }}<span class="unit">A</span></span>
                            <span class="text-ink2"
                                >, peak <span class="fig">{{ s.peak.toFixed(2) }}</span><span class="unit"
                                    >A</span
                                ></span
                            >
                        </span>
                        <span v-if="scene.standby > 0" class="block whitespace-nowrap text-ink2"
                            >standby of the others
                            <span class="fig">{{ scene.standby.toFixed(2) }}<span class="unit">A</span></span></span
                        >
                    </span>
                </div>
                <SceneEditor v-if="open === scene.id" :scene="scene" :dims="board.dims" @close="close" />
            </li>
        </ul>
        <template v-if="board.scenes.length && board.presets.kept.length">
            <h3 class="mt-4 font-semibold">Where scenes are stored</h3>
            <ul>
                <li v-for="keeper in board.presets.kept" :key="keeper.control">
                    {{ keeper.control }}
                    <span class="text-ink2">{{
                        keeper.room === null ? '(no limit given)' : `(${keeper.room} presets)`
                    }}</span>:
                    {{
                        keeper.scenes.length
                            ? keeper.scenes.map((s, n) => (keeper.room === null ? s : `${n + 1} ${s}`)).join(', ')
                            : 'none'
                    }}
                </li>
            </ul>
            <p v-if="board.presets.left.length">
                No control of all their lights has room for {{ board.presets.left.join(', ') }}: they are set light by
                light.
            </p>
        </template>
    </section>
</template>
