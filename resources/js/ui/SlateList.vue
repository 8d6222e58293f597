<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { v4 as uuid } from 'uuid';
import { fixCost, UNCHANGED } from '@/lib/fixCost';
import { ask, inWords } from '@/lib/http';
import { useScreen, type Payload } from '@/lib/screen';
import type { Fix, SlateLine } from '@/types/generated/responses';
import SeverityMark from './SeverityMark.vue';
import SlateEntry from './SlateEntry.vue';

/** Open points: this stage's lines, worst first; those of the others folded, by stage. */
const { desk, answer, message, change, undo, reload } = useScreen();
const emit = defineEmits<{ go: [place: string] }>();
const here = computed(() => desk.value.slate.filter((line) => line.stage === desk.value.stage));
const elsewhere = computed(() =>
    desk.value.stages
        .map((stage) => ({ stage, lines: desk.value.slate.filter((line) => line.stage === stage.id) }))
        .filter(({ stage, lines }) => stage.id !== desk.value.stage && lines.length > 0),
);
/** Milliseconds. */
const PATIENCE = 400;
const SEVERITIES = ['stop', 'watch', 'open'] as const;
const points = (lines: SlateLine[]) => lines.reduce((sum, line) => sum + line.at.length, 0);
const counts = (lines: SlateLine[]) =>
    SEVERITIES.map((severity) => ({
        severity,
        count: points(lines.filter((line) => line.severity === severity)),
    })).filter(({ count }) => count > 0);
/** Figures of the ledger before and after the last fix; until the plan changes again. */
const mended = ref<{ words: string; moved: string[]; revision: number } | null>(null);
const evenness = () => new Map(desk.value.wire?.runs.map((r) => [r.name, r.evenness?.text ?? 'unsolved']));
async function mend(fix: Fix): Promise<void> {
    const before = new Map(desk.value.ledger.map((f) => [f.label, f.text]));
    const even = evenness();
    // Mostly known from the look at it; a price that is long in coming is not waited for.
    const cost = await Promise.race([
        fixCost(answer.value.job, answer.value.revision, fix),
        new Promise<string>((late) => setTimeout(() => late(''), PATIENCE)),
    ]);
    if (await change(fix.change as Payload)) {
        const moved = desk.value.ledger
            .filter((f) => before.has(f.label) && before.get(f.label) !== f.text)
            .map((f) => `${f.label} ${before.get(f.label)} to ${f.text} ${f.unit}`.trim());
        // The ledger names the worst run, which is another one once this one is better.
        for (const [name, text] of evenness()) {
            if (even.has(name) && even.get(name) !== text) {
                moved.unshift(`${name} even ${even.get(name)} to ${text}`);
            }
        }
        if (cost && cost !== UNCHANGED) {
            moved.push(`quote ${cost}`);
        }
        mended.value = { words: fix.label, moved, revision: answer.value.revision };
    }
}
async function takeBack(entry: string): Promise<void> {
    try {
        await ask('POST', `/jobs/${answer.value.job}/accept/back`, { uuid: uuid(), entry });
        await reload();
    } catch (error) {
        message.value = inWords(error);
    }
}
watch(
    () => answer.value.revision,
    (revision) => {
        if (mended.value && mended.value.revision !== revision) {
            mended.value = null;
        }
    },
);
</script>

<template>
    <section aria-labelledby="slate" class="flex min-h-0 flex-col">
        <h2 id="slate" class="flex justify-between gap-2 whitespace-nowrap border-b border-rule pb-1 font-semibold">
            Open points
            <span class="fig font-normal text-ink2">{{ points(here) }} here, {{ desk.findings.length }} in total</span>
        </h2>
        <p v-if="mended" role="status" class="mt-2 border-l-4 border-lit bg-sheet px-3 py-2 text-[13px]">
            <b>{{ mended.words }}</b>: {{ mended.moved.length > 0 ? mended.moved.join('; ') : 'no figure changed' }}.
            <button type="button" class="act" @click="undo()">Undo</button>
        </p>
        <p v-if="desk.findings.length === 0" class="mt-3 text-ink2">No open points.</p>
        <div class="min-h-0 flex-1 overflow-y-auto pr-1" tabindex="-1">
            <p v-if="here.length === 0 && desk.findings.length > 0" class="border-b border-rule2 py-3 text-ink2">
                None on this stage.
            </p>
            <ol>
                <SlateEntry v-for="line in here" :key="line.title" :line="line" @go="emit('go', $event)" @mend="mend" />
            </ol>
            <details
                v-for="{ stage, lines } in elsewhere"
                :key="stage.id"
                :data-stage="stage.name"
                class="group border-b border-rule2 py-2"
            >
                <summary class="flex cursor-pointer items-center gap-2 font-semibold">
                    <span aria-hidden="true" class="text-[11px] group-open:rotate-90">▶</span>
                    {{ stage.name }}
                    <span class="ml-auto flex items-center gap-3">
                        <span
                            v-for="{ severity, count } in counts(lines)"
                            :key="severity"
                            class="flex items-center gap-1 font-normal"
                        >
                            <SeverityMark :severity="severity" /><span class="fig">{{ count }}</span>
                        </span>
                    </span>
                </summary>
                <ol class="pl-2">
                    <SlateEntry
                        v-for="line in lines"
                        :key="line.title"
                        :line="line"
                        @go="emit('go', $event)"
                        @mend="mend"
                    />
                </ol>
            </details>
            <details v-if="desk.accepted.length" class="group border-b border-rule2 py-2" data-accepted>
                <summary class="flex cursor-pointer items-center gap-2 font-semibold">
                    <span aria-hidden="true" class="text-[11px] group-open:rotate-90">▶</span>
                    Accepted <span class="fig ml-auto font-normal">{{ desk.accepted.length }}</span>
                </summary>
                <ul class="pl-2">
                    <li v-for="one in desk.accepted" :key="one.uuid" class="border-t border-rule2 py-1.5 text-[13px]">
                        {{ one.text }}
                        <span class="block text-ink2">{{ one.who }}, {{ one.at }}</span>
                        <button type="button" class="act" @click="takeBack(one.uuid)">Open it again</button>
                    </li>
                </ul>
            </details>
        </div>
    </section>
</template>
