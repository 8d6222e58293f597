<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { forgetKept, keptAt } from '@/lib/along';
import { said } from '@/lib/clock';
import { pageRefusal } from '@/lib/connection';
import { draftsOf } from '@/lib/draft';
import { ask, IN_BETWEEN } from '@/lib/http';
import { drop, useUnsent } from '@/lib/outbox';
import { person } from '@/lib/person';
import { pageOf } from '@/lib/ticks';

/** Unsent entries on this device, their owner, and the reason for a failed page. On every page. */
defineProps<{ job?: number }>();
const { reached, troubleOf, mine: all, others, refused } = useUnsent();
/** Those of a run are shown by its page. */
const mine = computed(() => all.value.filter((e) => e.kind !== 'act'));
const trouble = computed(() => troubleOf(mine.value));
/** Ticks and log entries. */
const word = computed(() => (mine.value.some((e) => e.kind === 'note') ? ['entry', 'entries'] : ['tick', 'ticks']));
const ticks = (n: number) => (n === 1 ? `1 ${word.value[0]}` : `${n} ${word.value[1]}`);
const KEPT = { weekday: 'short', hour: '2-digit', minute: '2-digit' } as const;
const SAID = { tick: 'A tick', note: 'An entry', act: 'A step of a join run or lesson' };
/** Wall notes that are not saved, of other pages than the open one, which shows them itself. */
const notes = computed(() => draftsOf(person()?.id).filter((one) => one.url !== window.location.pathname));
/** When the open page was kept; a visit that the server answers brings a new one. */
const kept = ref(keptAt());
/** Milliseconds between tries to reach the server again. */
const TRY = 5000;
let timer: ReturnType<typeof setTimeout> | undefined;
/** As soon as the server answers, the page of now comes. */
async function renew(): Promise<void> {
    try {
        await ask('GET', '/time');
        router.reload();
    } catch {
        timer = setTimeout(() => void renew(), TRY);
    }
}
onMounted(() => kept.value !== null && void renew());
onBeforeUnmount(() => clearTimeout(timer));
onBeforeUnmount(
    router.on('success', () => {
        forgetKept();
        kept.value = null;
    }),
);
const whose = computed(() => {
    const count = new Map<string, number>();
    others.value.forEach(({ who = 'another person' }) => count.set(who, (count.get(who) ?? 0) + 1));
    return [...count].map(([who, n]) => ({ who, n }));
});
</script>

<template>
    <div
        v-if="kept !== null || pageRefusal || mine.length || whose.length || refused.length || notes.length"
        class="no-print"
    >
        <p v-if="kept !== null" role="status" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-1">
            No signal: this page was kept on this device{{
                kept ? ` ${said(new Date(kept).toISOString(), KEPT)}` : ''
            }}. Ticks, log entries, join steps and wall notes wait here until there is a signal.
        </p>
        <p v-if="pageRefusal" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">
            {{ pageRefusal }} The open page stays as it is.
            <button type="button" class="act" @click="pageRefusal = ''">Understood</button>
        </p>
        <p v-if="mine.length && !reached" role="status" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-1">
            {{
                trouble === IN_BETWEEN ? 'The server is not reached (the network may require a sign-in)' : 'No signal'
            }}: {{ ticks(mine.length) }} on this device {{ mine.length === 1 ? 'is' : 'are' }} not sent yet. Keep this
            page open: sending starts when the signal is back, but not while the screen sleeps.
        </p>
        <p v-else-if="mine.length && trouble" role="alert" class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1">
            {{ ticks(mine.length) }} not saved yet: {{ trouble }}
        </p>
        <p v-for="one in whose" :key="one.who" role="status" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-1">
            {{ one.n === 1 ? '1 entry' : `${one.n} entries` }} of {{ one.who }} on this device
            {{ one.n === 1 ? 'is' : 'are' }} not sent yet. {{ one.n === 1 ? 'It is' : 'They are' }} sent when
            {{ one.who }} signs in here.
        </p>
        <p v-for="one in notes" :key="one.name" role="status" class="mt-2 border-l-4 border-watch bg-sheet px-3 py-1">
            {{ one.name }}: not saved yet. <Link class="act" :href="one.url">Save them there</Link>
        </p>
        <p
            v-for="one in refused.filter((e) => e.page !== (job ? pageOf(job) : ''))"
            :key="one.id"
            role="alert"
            class="mt-2 border-l-4 border-stop bg-sheet px-3 py-1"
        >
            {{ SAID[one.kind] }} was not accepted: {{ one.refused }}
            <button v-if="one.kind === 'act'" type="button" class="act" @click="drop(one)">Discard</button>
            <Link v-else class="act" :href="one.url.slice(0, one.url.lastIndexOf('/'))">Go to its page</Link>
        </p>
    </div>
</template>
