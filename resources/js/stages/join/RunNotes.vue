<script setup lang="ts">
/** Connection state of a run: no signal, unsent entries, a screen that slept, refused entries. */
defineProps<{
    lost: boolean;
    waiting: number;
    /** Nothing further was sent ahead. */
    stuck: boolean;
    slept: number;
    /** This device may put its screen to sleep. */
    sleepy: boolean;
    message: string;
    site: boolean;
}>();
</script>

<template>
    <p v-if="lost" role="alert" class="mb-3 border-l-4 border-stop bg-sheet px-3 py-2">
        <b>No signal.</b>
        {{
            site
                ? 'You can go on: the next steps are already on this device. Time windows on the real device keep running.'
                : 'The simulated devices answer when the signal is back. What you do is saved with its time.'
        }}
        <template v-if="waiting">{{
            waiting === 1 ? '1 entry is not sent yet.' : `${waiting} entries are not sent yet.`
        }}</template>
        <template v-if="stuck"> The next step is not on this device: wait for the signal before you go on. </template>
    </p>
    <p v-if="slept" role="status" class="mb-3 border-l-4 border-watch bg-sheet px-3 py-2">
        The screen slept for {{ slept }} s. Time windows kept running: check the clock before you press.
    </p>
    <p v-if="sleepy" class="mb-3 text-[13px] text-ink2 lg:hidden">
        This phone may put its screen to sleep: keep it awake while a time window runs.
    </p>
    <p v-if="message" role="alert" class="mb-3 border-l-4 border-stop bg-sheet px-3 py-2">{{ message }}</p>
</template>
