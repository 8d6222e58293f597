<script setup lang="ts">
import { ref } from 'vue';
import { useScreen } from '@/lib/screen';
import type { SurveyPlace } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ places: SurveyPlace[] }>();
const at = defineModel<string>({ required: true });
const { change, message, desk } = useScreen();
const asking = ref<'' | 'add' | 'rename' | 'remove'>('');
const name = ref('');
const TITLES = { '': '', add: 'Another place', rename: 'Rename the place', remove: 'Remove the place' };
const PRESSES = { '': '', add: 'Add it', rename: 'Rename it', remove: 'Remove it' };
const said = { empty: 'not measured', read: 'measured', slips: 'cannot be read' };

function ask(what: 'add' | 'rename' | 'remove'): void {
    name.value = what === 'rename' ? (props.places.find((p) => p.id === at.value)?.name ?? '') : '';
    asking.value = what;
}

async function keep(): Promise<void> {
    const before = new Set(props.places.map((p) => p.id));
    const done = await change(
        {
            add: { kind: 'AddPlace', name: name.value },
            rename: { kind: 'RenamePlace', place: at.value, name: name.value },
            remove: { kind: 'RemovePlace', place: at.value },
        }[asking.value || 'add'],
    );
    if (done) {
        const places = desk.value.survey?.places ?? [];
        const added = places.find((p) => !before.has(p.id));
        at.value = added?.id ?? (places.some((p) => p.id === at.value) ? at.value : (places[0]?.id ?? ''));
        asking.value = '';
    }
}
defineExpose({ ask });
</script>

<template>
    <nav
        aria-label="Places"
        class="relative mb-3 flex items-end gap-1 overflow-x-auto border-b border-rule"
        tabindex="-1"
    >
        <button
            v-for="place in places"
            :key="place.id"
            type="button"
            class="place"
            :class="{ here: place.id === at }"
            :aria-current="place.id === at ? 'true' : undefined"
            :title="said[place.state]"
            @click="at = place.id"
        >
            <svg viewBox="0 0 12 12" class="size-3 shrink-0" aria-hidden="true">
                <path v-if="place.state === 'slips'" d="M6 1l5 10H1z" fill="var(--stop)" />
                <path
                    v-else
                    d="M1.5 11V1.5h9V11"
                    fill="none"
                    stroke="currentColor"
                    stroke-width="1.6"
                    :stroke-dasharray="place.state === 'empty' ? '2 2' : undefined"
                />
            </svg>
            {{ place.name }}<span class="sr-only">, {{ said[place.state] }}</span>
        </button>
        <button type="button" class="place text-ember" @click="ask('add')">Add a place</button>
    </nav>
    <DialogBox :open="asking !== ''" :title="TITLES[asking]" @close="asking = ''">
        <form class="space-y-3" @submit.prevent="keep()">
            <label v-if="asking !== 'remove'" class="block"
                >Room or place <input v-model="name" class="field" maxlength="60" placeholder="Dome"
            /></label>
            <p v-else>Its notes and runs are deleted with their kit and feeds. Undo restores them.</p>
            <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
            <button class="press">
                {{ PRESSES[asking] }}
            </button>
        </form>
    </DialogBox>
</template>

<style scoped>
.place {
    display: flex;
    align-items: center;
    gap: 6px;
    white-space: nowrap;
    padding: 6px 10px;
    color: var(--ink-2);
    border-bottom: 3px solid transparent;
}
.place.here {
    color: var(--ink);
    font-weight: 600;
    border-color: var(--ember);
}
@media (pointer: coarse) {
    .place {
        min-height: 44px;
    }
}
</style>
