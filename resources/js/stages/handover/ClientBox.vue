<script setup lang="ts">
import { ref } from 'vue';
import { ask, inWords } from '@/lib/http';
import type { ClientLink, ClientLinks } from '@/types/generated/responses';

/** Links by which the client reads it without an account. */
const props = defineProps<{ job: number; links: ClientLink[] }>();
const links = ref(props.links);
const message = ref('');
const here = window.location.origin;

async function send(url: string): Promise<void> {
    try {
        links.value = (await ask<ClientLinks>('POST', `/jobs/${props.job}/client-links${url}`)).links;
        message.value = '';
    } catch (error) {
        message.value = inWords(error);
    }
}
</script>

<template>
    <section class="mb-4 max-w-[860px]" aria-labelledby="client">
        <h2 id="client" class="flex flex-wrap items-baseline gap-4 font-semibold">
            Client link (no account needed)
            <button type="button" class="act font-normal" @click="send('')">Create link</button>
        </h2>
        <p v-if="message" role="alert" class="mt-1 border-l-4 border-stop bg-sheet px-3 py-1">{{ message }}</p>
        <p v-if="links.length === 0" class="text-[13px] text-ink2">
            Anyone with the link can read the controls, scenes and recovery steps. It changes nothing, expires, and can
            be revoked.
        </p>
        <ul>
            <li
                v-for="link in links"
                :key="link.id"
                class="flex flex-wrap items-baseline gap-x-4 border-b border-rule2 py-1"
            >
                <a :href="link.url" class="fig min-w-0 flex-1 truncate text-[13px] underline" target="_blank">{{
                    here + link.url
                }}</a>
                <span class="text-[13px] text-ink2">until {{ link.until }}</span>
                <button type="button" class="act" @click="send(`/${link.id}/revoke`)">Revoke</button>
            </li>
        </ul>
    </section>
</template>
