<script setup lang="ts">
import { nextTick, watch } from 'vue';
import { terms } from '@/lib/glossary';
import TermPicture from '@/pictures/TermPicture.vue';
import DialogBox from './DialogBox.vue';

/** All terms with their explanations; opens at the term that was searched. */
const props = defineProps<{ open: boolean; at: string }>();
const emit = defineEmits<{ close: [] }>();
watch(
    () => props.open,
    async (open) => {
        await nextTick();
        if (open && props.at) {
            document.getElementById(`term-${props.at}`)?.scrollIntoView({ block: 'start' });
        }
    },
);
</script>

<template>
    <DialogBox :open="open" title="Glossary" reading @close="emit('close')">
        <dl>
            <div
                v-for="one in terms"
                :id="`term-${one.term}`"
                :key="one.term"
                class="border-b border-rule2 py-2"
                :class="{ 'bg-rule2 px-2': one.term === at }"
            >
                <dt class="font-semibold first-letter:uppercase">{{ one.term }}</dt>
                <dd>{{ one.text }}<TermPicture :term="one.term" /></dd>
            </div>
        </dl>
    </DialogBox>
</template>
