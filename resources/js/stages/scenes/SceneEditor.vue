<script setup lang="ts">
import { reactive, ref, computed } from 'vue';
import { useScreen } from '@/lib/screen';
import type { MixedColour, SceneDim, ScenePicture } from '@/types/generated/responses';
import LightSetting from './LightSetting.vue';
import EditFrame from './EditFrame.vue';

/** A scene while it is set: each light by hand, the picture and the amps with every move; kept with one button. */
const props = defineProps<{ scene: ScenePicture | null; dims: SceneDim[] }>();
const emit = defineEmits<{ close: [] }>();
const { change, preview } = useScreen();
const name = ref(props.scene?.name ?? '');
const fade = ref(String(props.scene?.fade ?? 0));
const duties = reactive<Record<string, number[]>>(
    Object.fromEntries((props.scene?.lights ?? []).map((l) => [l.of, l.duties])),
);
const refused = ref('');
const seconds = computed(() => Number(fade.value.replace(',', '.')) || 0);
const payload = (none = false) => ({
    kind: 'SetScene',
    scene: props.scene?.id ?? null,
    name: name.value || 'New scene',
    fade: seconds.value,
    levels: none ? [] : Object.entries(duties).map(([of, d]) => ({ of, duties: d })),
});

function mixed(of: string, said: MixedColour): void {
    duties[of] = said.duties;
    refused.value = '';
    preview(payload());
}
async function keep(none = false): Promise<void> {
    if (!none && !Object.values(duties).some((d) => d.some((one) => one > 0))) {
        refused.value = 'Nothing is lit in it. Set a level above 0, or take the scene out.';
        return;
    }
    if (!none && !name.value.trim()) {
        refused.value = 'Type the name that people will say.';
        return;
    }
    if (await change(payload(none))) {
        emit('close');
    }
}
</script>

<template>
    <EditFrame
        keep="Save scene"
        :there="!!scene"
        :refused="refused"
        @keep="keep()"
        @out="keep(true)"
        @leave="emit('close')"
    >
        <div class="flex flex-wrap items-baseline gap-x-5 gap-y-2 border-b border-rule pb-2">
            <label class="flex items-baseline gap-2"
                >Name, as people will say it <input v-model="name" class="field !w-52" maxlength="40" data-first
            /></label>
            <label class="flex items-baseline gap-2"
                >Fades in over <input v-model="fade" class="fig field !w-16" inputmode="decimal" /> s</label
            >
        </div>
        <LightSetting
            v-for="dim in dims"
            :key="dim.id"
            :dim="dim"
            :light="scene?.lights.find((l) => l.of === dim.id)"
            @mixed="mixed"
        />
        <p v-if="dims.length === 0" class="py-2 text-ink2">
            Nothing of this job can be dimmed yet: choose strip and controllers at Kit.
        </p>
    </EditFrame>
</template>
