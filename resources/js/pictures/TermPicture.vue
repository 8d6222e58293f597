<script setup lang="ts">
/** Small drawing of a term; terms without one show nothing. */
defineProps<{ term: string }>();
const DRAWN = ['evenness', 'seam', 'headroom', 'colour shift', 'voltage drop', 'power injection', 'touch link'];
</script>

<template>
    <svg v-if="DRAWN.includes(term)" viewBox="0 0 240 56" class="mt-2 h-14 w-full" aria-hidden="true">
        <defs>
            <linearGradient id="term-fade">
                <stop offset="0" stop-color="#ffb357" />
                <stop offset="1" stop-color="#6b4a2c" />
            </linearGradient>
            <linearGradient id="term-red">
                <stop offset="0" stop-color="#ffe9d0" />
                <stop offset="1" stop-color="#ff8a66" />
            </linearGradient>
            <linearGradient id="term-both">
                <stop offset="0" stop-color="#ffb357" />
                <stop offset="0.5" stop-color="#c98f4a" />
                <stop offset="1" stop-color="#ffb357" />
            </linearGradient>
        </defs>
        <g stroke="currentColor" stroke-width="1.5" fill="none">
            <g v-if="term === 'evenness'">
                <rect x="10" y="20" width="220" height="16" rx="3" fill="url(#term-fade)" />
                <path d="M14 14v-8M226 14v-8" />
            </g>
            <g v-else-if="term === 'seam'">
                <rect x="10" y="20" width="109" height="16" rx="3" fill="url(#term-fade)" />
                <rect x="121" y="20" width="109" height="16" rx="3" fill="#ffb357" />
                <path d="M120 10v36" stroke-dasharray="4 3" />
            </g>
            <g v-else-if="term === 'headroom'">
                <rect x="10" y="20" width="220" height="16" rx="3" />
                <rect x="10" y="20" width="176" height="16" rx="3" fill="#ffb357" />
                <path d="M186 42h44m-44-3v6m44-6v6" />
            </g>
            <g v-else-if="term === 'colour shift'">
                <rect x="10" y="20" width="220" height="16" rx="3" fill="url(#term-red)" />
            </g>
            <g v-else-if="term === 'voltage drop'">
                <path d="M10 10v38h220" />
                <path d="M10 16C60 26 140 38 230 42" stroke="#d2691e" stroke-width="2.5" />
            </g>
            <g v-else-if="term === 'power injection'">
                <rect x="10" y="16" width="220" height="14" rx="3" fill="url(#term-both)" />
                <path d="M16 52V34m-4 6 4-6 4 6M224 52V34m-4 6 4-6 4 6" />
            </g>
            <g v-else-if="term === 'touch link'">
                <rect x="60" y="8" width="18" height="40" rx="4" />
                <rect x="150" y="18" width="34" height="20" rx="3" />
                <path d="M86 20c6 5 6 11 0 16M94 16c10 7 10 17 0 24" />
            </g>
        </g>
    </svg>
</template>
