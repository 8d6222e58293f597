<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { useScreen, type Payload } from '@/lib/screen';
import type { Finding, Fix } from '@/types/generated/responses';
import SeverityMark from './SeverityMark.vue';

const { desk, answer, change } = useScreen();
const emit = defineEmits<{ go: [place: string] }>();

function mend(fix: Fix): void {
    void change(fix.change as Payload);
}

function here(finding: Finding): boolean {
    return finding.stage === desk.value.stage;
}
</script>

<template>
    <section aria-labelledby="slate" class="flex min-h-0 flex-col">
        <h2 id="slate" class="flex justify-between border-b border-rule pb-1 font-semibold">
            Slate <span class="fig font-normal text-ink2">{{ desk.findings.length }} open</span>
        </h2>
        <p v-if="desk.findings.length === 0" class="mt-3 text-ink2">Nothing is wrong or undecided.</p>
        <ol class="min-h-0 flex-1 overflow-y-auto pr-1" tabindex="-1">
            <li v-for="(finding, n) in desk.findings" :key="n" class="flex gap-3 border-b border-rule2 py-3">
                <SeverityMark :severity="finding.severity" class="mt-0.5" />
                <div class="min-w-0">
                    <component
                        :is="here(finding) ? 'button' : Link"
                        :href="here(finding) ? undefined : `/jobs/${answer.job}/${finding.stage}`"
                        type="button"
                        class="text-left font-semibold hover:underline"
                        @click="here(finding) && emit('go', finding.place)"
                    >
                        {{ finding.title }}
                    </component>
                    <p class="text-[13px] leading-[18px] text-ink2">{{ finding.detail }}</p>
                    <p v-if="finding.fixes.length" class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
                        <button
                            v-for="fix in finding.fixes"
                            :key="fix.label"
                            type="button"
                            class="act"
                            @click="mend(fix)"
                        >
                            {{ fix.label }}
                        </button>
                    </p>
                    <p v-else-if="!here(finding)" class="mt-1">
                        <Link :href="`/jobs/${answer.job}/${finding.stage}`" class="act">{{
                            finding.stage === 'join' ? 'Join it' : 'Go there'
                        }}</Link>
                    </p>
                </div>
            </li>
        </ol>
    </section>
</template>
