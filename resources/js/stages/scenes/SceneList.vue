<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { useScreen } from '@/lib/screen';
import type { BoardLight, ScenePicture } from '@/types/generated/responses';

/** The scenes, each as the light that will be seen and the amps that it takes. */
const props = defineProps<{ scenes: ScenePicture[]; lights: BoardLight[] }>();
const { answer } = useScreen();
const nameOf = (id: string) => props.lights.find((l) => l.id === id)?.name ?? id.toUpperCase();
const said = (scene: ScenePicture) =>
    scene.lights.map((l) => `${nameOf(l.of)} ${Math.round(100 * l.level)} %`).join(', ');
</script>

<template>
    <section aria-labelledby="scenes">
        <h2 id="scenes" class="flex items-baseline gap-4 text-lg font-semibold">
            Scenes <Link :href="`/jobs/${answer.job}/wire`" class="act text-[13px] font-normal">Set them at Wire</Link>
        </h2>
        <p v-if="scenes.length === 0" class="text-ink2">
            No scene yet. A scene is set at Wire, where its amps are solved with it.
        </p>
        <ul>
            <li
                v-for="scene in scenes"
                :key="scene.id"
                class="grid grid-cols-[minmax(0,1fr)_150px_auto_auto] items-center gap-3 border-b border-rule2 py-1.5"
            >
                <b>{{ scene.name }}</b>
                <span class="flex h-4 border border-rule" role="img" :aria-label="said(scene)">
                    <span
                        v-for="l in scene.lights"
                        :key="l.of"
                        class="flex-1"
                        :title="`${nameOf(l.of)} ${Math.round(100 * l.level)} %`"
                        :style="{ background: l.colour, opacity: l.level > 0 ? 0.35 + 0.65 * l.level : 1 }"
                    />
                </span>
                <span class="fig whitespace-nowrap text-right"
                    >{{ scene.peak === null ? '–' : scene.peak.toFixed(2) }}<span class="unit">A peak</span></span
                >
                <span class="fig whitespace-nowrap text-right"
                    >{{ scene.amps === null ? '–' : scene.amps.toFixed(2) }}<span class="unit">A</span></span
                >
            </li>
        </ul>
    </section>
</template>
