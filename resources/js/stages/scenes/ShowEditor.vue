<script setup lang="ts">
import { reactive, ref } from 'vue';
import { useScreen } from '@/lib/screen';
import type { ScenesPicture, ShowPicture } from '@/types/generated/responses';
import EditFrame from './EditFrame.vue';

/** A show: scenes with their times, or lights that change every so many seconds. */
const props = defineProps<{ show: ShowPicture | null; board: ScenesPicture }>();
const emit = defineEmits<{ close: [] }>();
const { change } = useScreen();
const form = reactive({
    name: props.show?.name ?? '',
    kind: props.show?.kind ?? 'list',
    steps: (props.show?.steps ?? []).map((s) => ({ scene: s.scene, hold: String(s.hold), fade: String(s.fade) })),
    lights: [...(props.show?.lights ?? [])],
    every: String(props.show?.every ?? 5),
    way: props.show?.way ?? 'forth',
    rounds: String(props.show?.rounds ?? 0),
    leader: props.show?.leader ?? '',
});
const refused = ref('');
const number = (text: string) => Number(text.replace(',', '.')) || 0;
const nameOf = (id: string) => props.board.dims.find((d) => d.id === id)?.name ?? id;

function step(): void {
    const scene = props.board.scenes[form.steps.length % Math.max(1, props.board.scenes.length)];
    if (scene) {
        form.steps.push({ scene: scene.id, hold: '20', fade: '2' });
    }
}
async function keep(none = false): Promise<void> {
    const list = form.kind === 'list';
    if (!none && (list ? form.steps.length : form.lights.length) === 0) {
        refused.value = list ? 'Add a scene to it.' : 'Choose the lights that play in it.';
        return;
    }
    const kept = await change({
        kind: 'SetShow',
        show: props.show?.id ?? null,
        name: form.name,
        as: form.kind,
        steps:
            none || !list
                ? []
                : form.steps.map((s) => ({ scene: s.scene, hold: number(s.hold), fade: number(s.fade) })),
        lights: none || list ? [] : form.lights,
        every: number(form.every) || 5,
        way: form.way,
        rounds: Math.round(number(form.rounds)),
        leader: list ? '' : form.leader,
    });
    if (kept) {
        emit('close');
    }
}
</script>

<template>
    <EditFrame
        keep="Save show"
        :there="!!show"
        :refused="refused"
        @keep="keep()"
        @out="keep(true)"
        @leave="emit('close')"
    >
        <div class="flex flex-wrap items-baseline gap-x-5 gap-y-2">
            <label class="flex items-baseline gap-2"
                >Name <input v-model="form.name" class="field !w-44" maxlength="40" required data-first
            /></label>
            <label class="flex items-baseline gap-2"
                >Kind
                <select v-model="form.kind" class="pick">
                    <option v-for="k in board.showKinds" :key="k.key" :value="k.key">{{ k.says }}</option>
                </select></label
            >
            <label class="flex items-baseline gap-2"
                >Rounds <input v-model="form.rounds" class="fig field !w-14" inputmode="numeric" />
                <span class="text-[13px] text-ink2">0 repeats without end</span></label
            >
        </div>
        <template v-if="form.kind === 'list'">
            <ol class="mt-2">
                <li v-for="(s, n) in form.steps" :key="n" class="flex flex-wrap items-baseline gap-x-3 py-1">
                    <label class="flex items-baseline gap-2"
                        >{{ n + 1 }}.
                        <select v-model="s.scene" class="pick" :aria-label="`Scene ${n + 1}`">
                            <option v-for="scene in board.scenes" :key="scene.id" :value="scene.id">
                                {{ scene.name }}
                            </option>
                        </select></label
                    >
                    <label class="flex items-baseline gap-2"
                        >fades in over <input v-model="s.fade" class="fig field !w-16" inputmode="decimal" /> s</label
                    >
                    <label class="flex items-baseline gap-2"
                        >and lasts <input v-model="s.hold" class="fig field !w-16" inputmode="decimal" /> s</label
                    >
                    <button
                        type="button"
                        class="act"
                        :aria-label="`Remove step ${n + 1}`"
                        @click="form.steps.splice(n, 1)"
                    >
                        out
                    </button>
                </li>
            </ol>
            <button v-if="board.scenes.length" type="button" class="quiet" @click="step()">Add a scene</button>
            <p v-else class="text-ink2">Add a scene first: a show plays scenes.</p>
        </template>
        <div v-else class="mt-2 space-y-2">
            <fieldset class="flex flex-wrap gap-x-4 gap-y-1">
                <legend class="mb-1">Lights, in the order in which it runs</legend>
                <label v-for="d in board.dims" :key="d.id" class="flex items-center gap-1"
                    ><input v-model="form.lights" type="checkbox" :value="d.id" /> {{ d.name }}</label
                >
            </fieldset>
            <div class="flex flex-wrap items-baseline gap-x-5 gap-y-2">
                <label class="flex items-baseline gap-2"
                    >A change every <input v-model="form.every" class="fig field !w-16" inputmode="decimal" /> s</label
                >
                <label v-if="form.kind === 'wash'" class="flex items-baseline gap-2"
                    >Direction
                    <select v-model="form.way" class="pick">
                        <option v-for="w in board.ways" :key="w.key" :value="w.key">{{ w.says }}</option>
                    </select></label
                >
                <label class="flex items-baseline gap-2"
                    >Leader
                    <select v-model="form.leader" class="pick">
                        <option value="">none: all start together</option>
                        <option v-for="l in form.lights" :key="l" :value="l">{{ nameOf(l) }}</option>
                    </select></label
                >
            </div>
            <p v-if="form.kind === 'sound'" class="text-[13px] text-ink2">
                Sound comes from a phone (and stops when the phone leaves) or from a microphone in the leader. It
                follows the bass and needs enough volume: set its sensitivity with the music on.
            </p>
        </div>
    </EditFrame>
</template>
