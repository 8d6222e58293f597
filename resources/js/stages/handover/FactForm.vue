<script setup lang="ts">
import { reactive } from 'vue';
import type { LeftFact } from '@/types/generated/responses';

/** Facts of one kind that are written down, and the line that adds one. */
defineProps<{ title: string; label: string; about: string; says: string; facts: LeftFact[] }>();
const emit = defineEmits<{ keep: [form: { about: string; says: string }]; forget: [id: number] }>();
const form = reactive({ about: '', says: '' });
</script>

<template>
    <form @submit.prevent="emit('keep', form)">
        <h3 class="mt-3 font-semibold">{{ title }}</h3>
        <ul>
            <li v-for="f in facts" :key="f.id" class="text-[13px]">
                {{ f.about }}: <b>{{ f.says }}</b>, {{ f.day }}
                <button type="button" class="act" :aria-label="`Remove ${f.about}`" @click="emit('forget', f.id)">
                    out
                </button>
            </li>
        </ul>
        <div class="mt-1 flex flex-wrap gap-2">
            <label
                >Subject <input v-model="form.about" class="field !w-36" maxlength="80" :placeholder="about"
            /></label>
            <label
                >{{ label }} <input v-model="form.says" class="field !w-36" maxlength="200" :placeholder="says"
            /></label>
            <button class="quiet">Save</button>
        </div>
    </form>
</template>
