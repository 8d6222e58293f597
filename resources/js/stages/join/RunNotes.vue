<script setup lang="ts">
/** What stands between this device and its run: no signal, what waits to be sent, a screen that slept, what was not taken. */
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
                ? 'Go on: the next steps are here already. Windows run out on the real thing as before.'
                : 'The stand-ins answer when it is back; what you do is kept with its time.'
        }}
        <template v-if="waiting">{{
            waiting === 1 ? 'One thing waits to be sent.' : `${waiting} things wait to be sent.`
        }}</template>
        <template v-if="stuck">
            What comes after that was not foreseen: wait for the signal before you go on.
        </template>
    </p>
    <p v-if="slept" role="status" class="mb-3 border-l-4 border-watch bg-sheet px-3 py-2">
        The screen slept for {{ slept }} s. Windows went on meanwhile: look at the clock before you press.
    </p>
    <p v-if="sleepy" class="mb-3 text-[13px] text-ink2 lg:hidden">
        This phone may put its screen to sleep: set it to stay lit while a window runs.
    </p>
    <p v-if="message" role="alert" class="mb-3 border-l-4 border-stop bg-sheet px-3 py-2">{{ message }}</p>
</template>
