<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Act } from '@/lib/acts';
import type { AppKey, AppLine, InsidePart } from '@/types/generated/responses';

/** The apps of a lesson's kit on a drawn phone, and the things to inspect. */
const props = defineProps<{ keys: AppKey[]; lines: AppLine[]; names: string[]; parts: InsidePart[] }>();
const emit = defineEmits<{ act: [act: Act] }>();
const apps = computed(() => [...new Set([...props.keys, ...props.lines].map((k) => k.app))]);
const naming = ref('');
const name = ref('');
const at = ref('');
const devices = computed(() => [...new Set(props.parts.map((p) => p.device))]);

function named(line: AppLine): void {
    emit('act', { kind: 'tap', device: line.device, text: `name ${line.name}=${name.value.trim()}` });
    naming.value = name.value = '';
}
</script>

<template>
    <div class="min-w-0">
        <section v-for="app in apps" :key="app" class="phone" :aria-label="`App of ${app}`">
            <h3 class="mb-1 text-[13px] text-ink2">{{ app === 'phone' ? 'The lights’ app' : `App of ${app}` }}</h3>
            <div class="flex flex-wrap gap-1.5">
                <button
                    v-for="k in keys.filter((one) => one.app === app)"
                    :key="k.text"
                    type="button"
                    class="quiet !min-h-[40px]"
                    @click="emit('act', { kind: 'tap', device: k.device, text: k.text })"
                >
                    {{ k.label }}
                </button>
            </div>
            <ul class="mt-2">
                <li
                    v-for="line in lines.filter((l) => l.app === app)"
                    :key="line.name"
                    class="border-t border-rule2 py-1.5"
                >
                    <div class="flex flex-wrap items-center gap-2">
                        <b>{{ line.given || line.name }}</b>
                        <span v-if="line.given" class="text-[13px] text-ink2">{{ line.name }}</span>
                        <button
                            type="button"
                            class="quiet ml-auto"
                            @click="emit('act', { kind: 'tap', device: line.device, text: `toggle ${line.name}` })"
                        >
                            Switch
                        </button>
                        <button type="button" class="quiet" @click="naming = naming === line.name ? '' : line.name">
                            Name
                        </button>
                    </div>
                    <form v-if="naming === line.name" class="mt-1 flex gap-1.5" @submit.prevent="named(line)">
                        <input
                            v-model="name"
                            class="field"
                            list="names"
                            maxlength="40"
                            :aria-label="`Name of ${line.name}`"
                        />
                        <button class="press" :disabled="!name.trim()">Keep</button>
                    </form>
                </li>
            </ul>
        </section>
        <datalist id="names"><option v-for="n in names" :key="n" :value="n" /></datalist>
        <section v-if="parts.length" class="mt-3" aria-labelledby="inside">
            <h3 id="inside" class="text-[13px] text-ink2">Open the screen of a device</h3>
            <select v-model="at" class="pick mt-1" aria-label="Device to inspect">
                <option value="">choose</option>
                <option v-for="d in devices" :key="d" :value="d">
                    {{ d === 'phone' ? 'the phone' : d.toUpperCase() }}
                </option>
            </select>
            <ul v-if="at" class="mt-1">
                <li v-for="p in parts.filter((one) => one.device === at)" :key="p.code">
                    <button
                        type="button"
                        class="w-full border-b border-rule2 py-1.5 text-left text-[13px] hover:bg-sheet"
                        @click="emit('act', { kind: 'inspect', device: p.device, text: p.code })"
                    >
                        {{ p.label }} <span class="fig text-ink2">{{ p.seconds }} s</span>
                    </button>
                </li>
            </ul>
        </section>
    </div>
</template>

<style scoped>
.phone {
    border: 1px solid var(--ink-3);
    border-radius: 12px;
    padding: 8px 10px 10px;
    background: var(--sheet);
}
.phone + .phone {
    margin-top: 8px;
}
</style>
