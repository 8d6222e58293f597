<script setup lang="ts">
import { watch } from 'vue';
import { useScreen } from '@/lib/screen';
import { useShelfSearch } from './search';
import type { OwnedKit } from '@/types/generated/responses';
import DialogBox from '@/ui/DialogBox.vue';

const props = defineProps<{ open: boolean; owned: OwnedKit[] }>();
const emit = defineEmits<{ close: [] }>();
const { change, message } = useScreen();
const { words, found } = useShelfSearch();

watch(
    () => props.open,
    () => (words.value = ''),
);
const own = (kit: string, count: number) => change({ kind: 'SetOwned', kit, count });
</script>

<template>
    <DialogBox :open="open" title="Client’s own kit" @close="emit('close')">
        <p class="text-ink2">Not priced: counted as 0 in every option.</p>
        <ul class="mt-2">
            <li v-for="one in owned" :key="one.kit" class="flex items-center gap-3 border-b border-rule2 py-1">
                <span class="fig w-8 text-right">{{ one.count }}</span> <span class="flex-1">{{ one.name }}</span>
                <button
                    type="button"
                    class="act"
                    :aria-label="`One more ${one.name}`"
                    @click="own(one.kit, one.count + 1)"
                >
                    one more
                </button>
                <button
                    type="button"
                    class="act"
                    :aria-label="`One less ${one.name}`"
                    @click="own(one.kit, one.count - 1)"
                >
                    one less
                </button>
            </li>
        </ul>
        <label class="mt-3 block"
            >Find it on the shelf <input v-model="words" maxlength="100" class="field" placeholder="12 V supply"
        /></label>
        <ul>
            <li v-for="entry in found" :key="entry.id" class="flex justify-between gap-3 border-b border-rule2 py-1">
                <span>{{ entry.name }}</span>{{ ' '
                }}<button
                    type="button"
                    class="act shrink-0"
                    @click="own(entry.id, (owned.find((o) => o.kit === entry.id)?.count ?? 0) + 1)"
                >
                    has one
                </button>
            </li>
        </ul>
        <p v-if="message" role="alert" class="text-stop">{{ message }}</p>
    </DialogBox>
</template>
