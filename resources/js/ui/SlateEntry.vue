<script setup lang="ts">
import { Link } from '@inertiajs/vue3';
import { computed } from 'vue';
import { useScreen } from '@/lib/screen';
import type { Finding, Fix, SlateLine } from '@/types/generated/responses';
import AcceptPoint from './AcceptPoint.vue';
import FixButton from './FixButton.vue';
import SeverityMark from './SeverityMark.vue';

/** One line of the open points: one point with its fixes, or several of one cause, each with a link to its place. */
const props = defineProps<{ line: SlateLine }>();
const { desk, answer, fixesOf } = useScreen();
const emit = defineEmits<{ go: [place: string]; mend: [fix: Fix] }>();
const findings = computed(() => props.line.at.flatMap((n) => desk.value.findings[n] ?? []));
const only = computed(() => (findings.value.length === 1 ? findings.value[0] : undefined));
const here = computed(() => props.line.stage === desk.value.stage);
const stage = computed(() => `/jobs/${answer.value.job}/${props.line.stage}`);
/** Address of the place of a finding on another stage. */
const at = (finding: Finding) => (finding.place ? `${stage.value}#${finding.place}` : stage.value);
const mend = (fix: Fix) => emit('mend', fix);
</script>

<template>
    <li class="flex gap-3 border-b border-rule2 py-3 last:border-b-0">
        <SeverityMark :severity="line.severity" class="mt-0.5" />
        <div class="min-w-0 flex-1">
            <template v-if="only">
                <component
                    :is="here ? 'button' : Link"
                    :href="here ? undefined : at(only)"
                    type="button"
                    class="text-left font-semibold hover:underline"
                    @click="here && emit('go', only.place)"
                >
                    {{ only.title }}
                </component>
                <p class="text-[13px] leading-[18px] text-ink2">{{ only.detail }}</p>
                <div class="mt-1 flex flex-wrap items-baseline gap-x-4 gap-y-1">
                    <FixButton v-for="fix in fixesOf(only)" :key="fix.label" :fix="fix" @mend="mend" />
                    <span v-if="fixesOf(only) === null" class="text-[13px] text-ink2">Looking for a fix …</span>
                    <Link v-else-if="!fixesOf(only)?.length && !here" :href="at(only)" class="act">{{
                        line.stage === 'join' ? 'Join it' : 'Go there'
                    }}</Link>
                    <AcceptPoint v-if="only.acceptable" :finding="only" />
                </div>
            </template>
            <details v-else>
                <summary class="cursor-pointer font-semibold">{{ line.title }}</summary>
                <ul class="mt-1">
                    <li v-for="(finding, n) in findings" :key="n" class="border-t border-rule2 py-1.5 text-[13px]">
                        <component
                            :is="here ? 'button' : Link"
                            :href="here ? undefined : at(finding)"
                            type="button"
                            class="text-left hover:underline"
                            @click="here && emit('go', finding.place)"
                        >
                            {{ finding.title }}
                        </component>
                        <p class="leading-[17px] text-ink2">{{ finding.detail }}</p>
                        <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
                            <FixButton v-for="fix in fixesOf(finding)" :key="fix.label" :fix="fix" @mend="mend" />
                            <AcceptPoint v-if="finding.acceptable" :finding="finding" />
                        </div>
                    </li>
                </ul>
            </details>
            <p v-if="line.fix" class="mt-1">
                <FixButton :fix="line.fix" @mend="mend" />
            </p>
        </div>
    </li>
</template>
