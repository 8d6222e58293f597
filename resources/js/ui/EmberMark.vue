<template>
    <svg viewBox="0 0 28 28" class="size-7" aria-hidden="true">
        <path d="M6 16a8 8 0 0 1 16 0z" fill="var(--ember)" />
        <path d="M2 18h24M4 22h4m4 0h4m4 0h4" stroke="currentColor" stroke-width="2" fill="none" />
    </svg>
</template>
