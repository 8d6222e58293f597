<script setup lang="ts">
import { reactive, ref, watch } from 'vue';
import { useScreen } from '@/lib/screen';
import type { WirePicture } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

/** A scene: its name and how bright each channel is in it, in percent. */
const props = defineProps<{ open: boolean; scene: string; wire: WirePicture }>();
const emit = defineEmits<{ close: [] }>();
const { change, look } = useScreen();
const name = ref('');
const levels = reactive<Record<string, string[]>>({});
const refused = ref('');

watch(
    () => props.open,
    (open) => {
        const of = props.wire.scenes.find((s) => s.id === props.scene);
        name.value = open ? (of?.name ?? '') : name.value;
        for (const row of props.wire.dimmed) {
            const duties = of?.levels.find((l) => l.of === row.id)?.duties;
            levels[row.id] = row.channels.map((_, n) => String(Math.round(100 * (duties?.[n] ?? 0))));
        }
        refused.value = '';
    },
);

async function keep(none = false): Promise<void> {
    const wanted = props.wire.dimmed.map((row) => ({
        of: row.id,
        duties: (levels[row.id] ?? []).map((p) =>
            none ? 0 : Math.min(100, Math.max(0, Number(p.replace(',', '.')) || 0)) / 100,
        ),
    }));
    if (!none && wanted.every((l) => l.duties.every((d) => d === 0))) {
        refused.value = 'Nothing is lit in it. Set a level above 0, or take the scene out.';
        return;
    }
    if (await change({ kind: 'SetScene', scene: props.scene || null, name: name.value, levels: wanted })) {
        if (none) {
            await look('');
        }
        emit('close');
    }
}
</script>

<template>
    <DialogBox :open="open" :title="scene ? 'Change the scene' : 'New scene'" @close="emit('close')">
        <form class="space-y-3" @submit.prevent="keep()">
            <label class="block"
                >Name, as people will say it <input v-model="name" class="field" maxlength="40" required
            /></label>
            <fieldset v-for="row in wire.dimmed" :key="row.id">
                <legend class="font-semibold">{{ row.name }}</legend>
                <span class="flex flex-wrap gap-x-4 gap-y-1">
                    <label v-for="(channel, n) in row.channels" :key="channel" class="flex items-baseline gap-2"
                        >{{ channel }}
                        <input v-model="levels[row.id]![n]" class="fig field !w-16 !py-0.5" inputmode="decimal" />
                        %</label
                    >
                </span>
            </fieldset>
            <p class="text-[13px] text-ink2">
                Each number is the on-time of a channel. The level in an app goes through the dimming curve of the
                light, which is set at Scenes.
            </p>
            <p v-if="refused" role="alert" class="text-stop">{{ refused }}</p>
            <div class="flex gap-3">
                <button type="submit" class="press">Save scene</button
                ><button v-if="scene" type="button" class="quiet" @click="keep(true)">Remove</button>
            </div>
        </form>
    </DialogBox>
</template>
