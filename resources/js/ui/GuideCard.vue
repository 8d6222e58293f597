<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { useElementBounding, useMutationObserver, useWindowSize } from '@vueuse/core';
import { computed, nextTick, onMounted, shallowRef, watch } from 'vue';
import {
    goToStep,
    guide,
    GUIDE_KEY,
    guidePage,
    guideStep,
    isDull,
    marksOf,
    pauseGuide,
    SKIP,
    stepDone,
    STEPS,
} from '@/lib/guide';
import { useKeys } from '@/lib/keys';
import type { Finding } from '@/types/generated/responses';

/** Current step of the guide, beside the marked part of the page. */
const props = defineProps<{ page: string; job?: number; findings?: Finding[] }>();
const WIDTH = 328;
const HEIGHT = 190;
const GAP = 12;
/** A marked part from this height on leaves no room above or below: the card stands at its right foot. */
const TALL = 260;

const elsewhere = computed(
    () =>
        guideStep.value !== undefined &&
        (guideStep.value.page !== props.page || (props.job !== undefined && props.job !== guide.value.job)),
);
const target = shallowRef<HTMLElement | null>(null);
const card = shallowRef<HTMLElement>();
// The card is the last thing of the page for the Tab key.
useKeys(() =>
    guideStep.value
        ? [{ ...GUIDE_KEY, act: () => card.value?.querySelector<HTMLElement>('.press, .quiet')?.focus() }]
        : [],
);
function find(): void {
    const marks = guideStep.value ? marksOf(guideStep.value) : [];
    target.value = marks.map((mark) => document.querySelector<HTMLElement>(mark)).find((found) => found) ?? null;
}
const { x, y, width, height, bottom } = useElementBounding(target);
const { width: wide, height: high } = useWindowSize();
onMounted(() => {
    find();
    useMutationObserver(document.body, find, { childList: true, subtree: true });
});
// Brings the marked part into view once per step, clear of the card.
watch([target, () => guide.value.step], ([part]) => {
    part?.scrollIntoView({ block: wide.value < 640 ? 'start' : 'center' });
    // From the card, or from a button that is gone, the keyboard goes on at the marked part.
    const at = document.activeElement;
    if (at === document.body || at?.closest('[aria-labelledby=guide-title]')) {
        part?.focus({ preventScroll: true });
    }
});

/** Whether the marked part is in view: the middle of a job's page scrolls by itself. */
const inView = computed(() => {
    const frame = target.value?.closest('main')?.getBoundingClientRect();
    const top = wide.value < 900 ? 0 : (frame?.top ?? 0);
    const foot = wide.value < 900 ? high.value : (frame?.bottom ?? high.value);
    return target.value !== null && y.value + height.value > top && y.value >= top - GAP && y.value < foot;
});
/** Under the marked part, or above it; at the foot of the page where there is room for neither. */
const place = computed(() => {
    if (wide.value < 640) {
        // The foot of the page cannot be scrolled clear of a card at the foot of the screen.
        const low = inView.value && y.value > high.value - HEIGHT - 2 * GAP;
        return { left: '12px', right: '12px', [low ? 'top' : 'bottom']: '12px' };
    }
    if (inView.value && height.value > TALL) {
        return { right: '24px', bottom: '76px', width: `${WIDTH}px` };
    }
    const left = `${Math.max(GAP, Math.min(x.value, wide.value - WIDTH - GAP))}px`;
    if (inView.value && bottom.value + GAP + HEIGHT < high.value) {
        return { left, top: `${bottom.value + GAP}px`, width: `${WIDTH}px` };
    }
    if (inView.value && y.value - GAP - HEIGHT > 0) {
        return { left, bottom: `${high.value - y.value + GAP}px`, width: `${WIDTH}px` };
    }
    return { left: '24px', bottom: '76px', width: `${WIDTH}px` };
});
const ring = computed(() => ({
    left: `${x.value - 4}px`,
    top: `${y.value - 4}px`,
    width: `${width.value + 8}px`,
    height: `${height.value + 8}px`,
}));

/** Moves on when what the step asks for has been done. */
watch(
    [() => guide.value.step, () => props.findings],
    () => {
        if (props.page === 'wire' && props.job === guide.value.job && props.findings) {
            stepDone(0);
            if (!props.findings.some((f) => isDull(f) && f.place === guide.value.run)) {
                stepDone(2);
            }
        }
        void nextTick(find);
    },
    { immediate: true },
);
</script>

<template>
    <Teleport to="body">
        <template v-if="guideStep">
            <div
                v-if="inView && !elsewhere"
                aria-hidden="true"
                class="no-print pointer-events-none fixed z-20 rounded border-2 border-dashed border-ember"
                :style="ring"
            />
            <section
                ref="card"
                aria-labelledby="guide-title"
                class="panel no-print fixed z-20 border-l-4 !border-l-ember p-4"
                :style="place"
            >
                <p class="text-[13px] text-ink2">
                    First steps, <span class="fig">{{ guide.step + 1 }}</span> of
                    <span class="fig">{{ STEPS.length }}</span>
                    <kbd class="ml-2" title="Moves the keyboard here">.</kbd>
                </p>
                <div aria-live="polite">
                    <h2 id="guide-title" class="text-base font-semibold">{{ guideStep.title }}</h2>
                    <p class="mt-1">{{ guideStep.text }}</p>
                </div>
                <p class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
                    <Link v-if="elsewhere" :href="guidePage(guideStep)" class="press">Go to {{ guideStep.where }}</Link>
                    <button
                        v-else
                        type="button"
                        :class="guideStep.next === SKIP ? 'quiet' : 'press'"
                        @click="goToStep(guide.step + 1)"
                    >
                        {{ guideStep.next }}
                    </button>
                    <button type="button" class="act ml-auto" @click="pauseGuide()">Leave the guide</button>
                </p>
            </section>
        </template>
    </Teleport>
</template>
