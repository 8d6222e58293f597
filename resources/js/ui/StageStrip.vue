<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import type { StageLamp as Stage } from '@/types/generated/responses';
import { computed } from 'vue';
import { person } from '@/lib/person';
import StageLamp from './StageLamp.vue';

const props = defineProps<{ stages: Stage[]; job: number; here?: string; small?: boolean }>();
/** Stages with prices are not for every role. */
const shown = computed(() => props.stages.filter((stage) => !stage.priced || person()?.plans !== false));
const said = { unlit: 'not begun', glowing: 'open points', lit: 'done' };
</script>

<template>
    <nav aria-label="Stages" class="strip" :class="{ small }">
        <Link
            v-for="stage in shown"
            :key="stage.id"
            :href="`/jobs/${job}/${stage.id}`"
            class="seg"
            :class="[stage.state, { now: stage.id === here }]"
            :aria-current="stage.id === here ? 'page' : undefined"
        >
            <StageLamp :state="stage.state" />
            <span class="words">
                <span class="sm:whitespace-nowrap">{{ stage.name }}</span>
                <span class="state">{{ stage.open ? `${stage.open} open` : said[stage.state] }}</span>
            </span>
            <kbd v-if="!small" class="ml-auto">{{ stage.number }}</kbd>
        </Link>
    </nav>
</template>

<style scoped>
.strip {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    height: 44px;
    background: var(--strip);
    border: 1px solid var(--rule);
    border-radius: 3px;
}
.seg {
    position: relative;
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 0 14px;
    font-weight: 560;
    color: var(--ink-2);
    min-width: 0;
}
.seg + .seg {
    border-left: 1px dashed var(--ink-3);
}
.seg + .seg::before,
.seg + .seg::after {
    content: '';
    position: absolute;
    left: -9px;
    width: 17px;
    height: 6px;
    border-radius: 3px;
    background: var(--copper);
    opacity: 0.6;
    z-index: 1;
}
.seg + .seg::before {
    top: 7px;
}
.seg + .seg::after {
    bottom: 7px;
}
.seg.lit,
.seg.glowing {
    color: #2c1a2f;
    background: linear-gradient(#ffe9cc, #ffdcae);
}
.seg.lit :deep(svg),
.seg.glowing :deep(svg) {
    color: #b93e12;
}
[data-face='night'] .seg.lit,
[data-face='night'] .seg.glowing {
    background: linear-gradient(#6a4522, #573519);
    color: #fff3e2;
}
[data-face='night'] .seg.lit :deep(svg),
[data-face='night'] .seg.glowing :deep(svg) {
    color: #ff9d6b;
}
.seg.now,
[data-face='night'] .seg.now {
    background: var(--ink);
    color: var(--sheet);
}
[data-face='night'] .seg.now {
    background: var(--glow);
    color: #2c1a2f;
}
.seg.now :deep(svg) {
    color: var(--copper);
}
.words {
    display: flex;
    flex-direction: column;
    line-height: 1.2;
}
.state {
    font-size: 12px;
    font-weight: 450;
    white-space: nowrap;
}
.small {
    height: 32px;
}
.small .seg {
    padding: 0 12px;
    font-size: 13px;
}
.small .seg .state {
    position: absolute;
    clip-path: inset(50%);
    width: 1px;
    overflow: hidden;
}
@media (max-width: 760px) {
    .strip {
        height: 54px;
    }
    .seg {
        flex-direction: column;
        justify-content: center;
        gap: 2px;
        padding: 0 2px;
        font-size: 11px;
        line-height: 1.05;
        text-align: center;
        letter-spacing: -0.02em;
    }
    .state {
        position: absolute;
        clip-path: inset(50%);
        width: 1px;
        overflow: hidden;
    }
    .seg kbd {
        display: none;
    }
}
/* Nine names side by side cannot be read on a phone: two rows, each field wide enough for a thumb. */
@media (max-width: 480px) {
    .strip {
        grid-auto-flow: row;
        grid-template-columns: repeat(5, 1fr);
        grid-auto-rows: 44px;
        height: auto;
    }
    .seg,
    .small .seg {
        flex-direction: row;
        gap: 4px;
        padding: 0 2px;
        font-size: 12px;
    }
    .seg:nth-child(n + 6) {
        border-top: 1px solid var(--rule);
    }
    .seg:nth-child(6) {
        border-left: 0;
    }
    .seg:nth-child(6)::before,
    .seg:nth-child(6)::after {
        display: none;
    }
}
</style>
