<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3';
import EmberMark from '@/ui/EmberMark.vue';
import { face, turnFace } from '@/lib/face';
import { useKeys } from '@/lib/keys';
import type { About } from '@/types/generated/responses';

defineProps<{ about: About }>();
useKeys(() => [
    { key: 'h', what: 'All jobs', act: () => router.visit('/') },
    { key: 'd', shift: true, what: 'Day or night', act: turnFace },
]);
</script>

<template>
    <Head title="About" />
    <div class="mx-auto flex min-h-full max-w-[860px] flex-col px-6 pb-10">
        <header class="flex min-h-[52px] flex-wrap items-center gap-x-4">
            <EmberMark />
            <Link href="/" class="act">All jobs <kbd>H</kbd></Link>
            <button type="button" class="ml-auto text-ink2" @click="turnFace()">
                {{ face === 'day' ? 'Night' : 'Day' }} <kbd>D</kbd>
            </button>
        </header>
        <main class="pt-4">
            <h1 class="border-b border-ink pb-2 text-2xl font-semibold">
                Ember Dusk <span class="fig">{{ about.version }}</span>
            </h1>
            <p class="mt-3 max-w-prose">
                Ember Dusk calculates and records; it does not replace a licensed person. Work on mains is theirs, and
                local codes decide.
            </p>
            <h2 class="mt-6 font-semibold">What ships with it</h2>
            <p class="text-ink2">
                {{ about.packages.length }} packages and fonts, with their licences.
                <a class="act" href="/about/licences.txt">All texts in one file</a>
            </p>
            <ul class="mt-2 columns-1 gap-8 text-[13px] sm:columns-2">
                <li
                    v-for="one in about.packages"
                    :key="one.name + one.version"
                    class="flex break-inside-avoid gap-3 border-b border-rule2 py-0.5"
                >
                    <span class="break-all">{{ one.name }}</span><span class="fig text-ink2">{{ one.version }}</span
                    ><span class="ml-auto whitespace-nowrap">{{ one.licence }}</span>
                </li>
            </ul>
        </main>
    </div>
</template>
