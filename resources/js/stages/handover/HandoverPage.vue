<script setup lang="ts">
import { ref } from 'vue';
import JobFrame from '@/ui/JobFrame.vue';
import FigureText from '@/ui/FigureText.vue';
import { provideScreen } from '@/lib/screen';
import CableTable from './CableTable.vue';
import ClientBox from './ClientBox.vue';
import LeftBox from './LeftBox.vue';
import type { Answer, ClientLink, IssuedSheet } from '@/types/generated/responses';

const props = defineProps<{ answer: Answer; sheet: IssuedSheet; links: ClientLink[] }>();
provideScreen(props.answer);
const sheet = ref(props.sheet);
const open = (what: string) => window.open(`/jobs/${props.answer.job}/${what}`, '_blank');
const shortcuts = [
    { key: 'p', what: 'Print', act: () => open('sheet') },
    { key: 'f', what: 'PDF', act: () => open('sheet.pdf') },
];
</script>

<template>
    <JobFrame :shortcuts="shortcuts">
        <div class="mb-3 flex flex-wrap gap-3">
            <a class="press" :href="`/jobs/${answer.job}/sheet.pdf`" target="_blank">Open PDF <kbd>F</kbd></a>
            <a class="quiet" :href="`/jobs/${answer.job}/sheet`" target="_blank">Print view <kbd>P</kbd></a>
            <a class="quiet" :href="`/jobs/${answer.job}/export`">Job file</a>
        </div>
        <LeftBox :job="answer.job" :sheet="sheet" @said="sheet = { ...sheet, ...$event }" />
        <ClientBox :job="answer.job" :links="links" />
        <article class="sheet">
            <header class="flex flex-wrap items-baseline gap-x-3 border-b-2 border-ink pb-2">
                <h2 class="text-2xl font-semibold">{{ sheet.job }}</h2>
                <span class="text-ink2">{{ sheet.client }}</span>
                <span class="fig ml-auto text-[12px] text-ink2">{{ sheet.printed }}</span>
            </header>
            <p v-if="sheet.runs.length === 0" class="mt-4 text-ink2">Nothing to hand over yet. Start at Survey.</p>
            <section v-if="sheet.board.rows.length && sheet.board.controls.length" class="mt-4">
                <h3 class="font-semibold">Which control works which light</h3>
                <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Control matrix">
                    <table class="w-full text-left text-[12.5px]">
                        <thead>
                            <tr>
                                <td />
                                <th
                                    v-for="c in sheet.board.controls"
                                    :key="c"
                                    scope="col"
                                    class="font-normal text-ink2"
                                >
                                    {{ c }}
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="row in sheet.board.rows" :key="row.light" class="border-t border-rule2">
                                <th scope="row">{{ row.light }}</th>
                                <td v-for="(cell, n) in row.cells" :key="n">{{ cell }}</td>
                            </tr>
                        </tbody>
                    </table>
                </div>
                <p class="text-[12px] text-ink2">
                    Works: tested on site. Not tested yet: planned. -: not possible with this kit. Empty: possible, not
                    planned.
                </p>
            </section>
            <section v-if="sheet.day.length || sheet.scenes.length" class="mt-4">
                <h3 class="font-semibold">Daily use</h3>
                <ul class="list-disc pl-5 text-[13px]">
                    <li v-for="line in sheet.day" :key="line">{{ line }}</li>
                    <li v-for="scene in sheet.scenes" :key="scene.name">
                        Scene <b>{{ scene.name }}</b>: {{ scene.says }}
                    </li>
                </ul>
            </section>
            <section v-if="sheet.plays.length || sheet.power.length" class="mt-4">
                <h3 class="font-semibold">Automation, and lights after a power cut</h3>
                <ul class="list-disc pl-5 text-[13px]">
                    <li v-for="line in [...sheet.plays, ...sheet.power]" :key="line">{{ line }}</li>
                </ul>
            </section>
            <section v-if="sheet.losses.length" class="mt-4">
                <h3 class="font-semibold">After a loss</h3>
                <dl class="losses mt-1 text-[13px]">
                    <template v-for="loss in sheet.losses" :key="loss.title">
                        <dt>{{ loss.title }}</dt>
                        <dd>{{ loss.says }} {{ loss.steps }}</dd>
                    </template>
                </dl>
            </section>
            <p class="mt-4 border-t border-rule pt-2 text-[12px] text-ink2">{{ sheet.caution }}</p>
            <header class="mt-8 flex flex-wrap items-baseline gap-x-3 border-b-2 border-ink pb-2">
                <h2 class="text-2xl font-semibold">Annex for the next installer</h2>
                <span class="fig ml-auto text-[12px] text-ink2"
                    >revision {{ sheet.revision }} · engine {{ sheet.engine }} · {{ sheet.printed }}</span
                >
            </header>
            <section v-if="sheet.open.length" class="mt-4">
                <h3 class="font-semibold">Open points at printing</h3>
                <ul class="list-disc pl-5 text-[13px]">
                    <li v-for="title in sheet.open" :key="title">{{ title }}</li>
                </ul>
            </section>
            <section v-if="sheet.seen.length" class="mt-4">
                <h3 class="font-semibold">Points accepted</h3>
                <ul class="list-disc pl-5 text-[13px]">
                    <li v-for="line in sheet.seen" :key="line">{{ line }}</li>
                </ul>
            </section>
            <section v-for="run in sheet.runs" :key="run.name" class="mt-4">
                <h3 class="font-head text-lg font-semibold">{{ run.name }}, {{ run.place }}</h3>
                <dl class="facts">
                    <div>
                        <dt>Voice name</dt>
                        <dd>{{ run.light ? `“${run.light}” in ${run.room}` : 'not named yet' }}</dd>
                    </div>
                    <div>
                        <dt>Strip</dt>
                        <dd>{{ run.strip ?? 'not chosen' }}, {{ run.length }}</dd>
                    </div>
                    <div>
                        <dt>Supply</dt>
                        <dd>{{ run.supply ?? 'not chosen' }}</dd>
                    </div>
                    <div>
                        <dt>Controller</dt>
                        <dd>{{ run.controller ?? 'not chosen' }}</dd>
                    </div>
                    <div v-if="run.data.length">
                        <dt>Entered in the board</dt>
                        <dd v-for="line in run.data" :key="line">{{ line }}</dd>
                    </div>
                </dl>
                <CableTable class="mt-3" :cables="run.cables" />
                <h4 v-if="run.figures.length" class="mt-3 font-semibold">Predicted at full</h4>
                <ul v-if="run.figures.length" class="mt-1 flex flex-wrap gap-x-6 gap-y-1">
                    <li v-for="figure in run.figures" :key="figure.label">
                        <span class="text-[12px] text-ink2">{{ figure.label }}</span> <FigureText :figure="figure" />
                    </li>
                </ul>
                <template v-if="run.wiring">
                    <h4 class="mt-3 flex items-baseline gap-3 font-semibold">
                        Wiring as built
                        <a
                            class="act text-[13px] font-normal"
                            :href="`/jobs/${answer.job}/wiring/${run.id}.svg`"
                            :download="`wiring-${run.id}.svg`"
                            >SVG</a
                        >
                    </h4>
                    <!-- eslint-disable-next-line vue/no-v-html (made by the core, its words escaped there) -->
                    <div class="wiring mt-1" v-html="run.wiring" />
                </template>
                <template v-if="run.reset">
                    <h4 class="mt-3 font-semibold">Reset and join</h4>
                    <p class="text-[13px]">{{ run.reset }}</p>
                </template>
            </section>
            <section v-if="sheet.cables.length" class="mt-4">
                <h3 class="font-head text-lg font-semibold">Other cables</h3>
                <CableTable :cables="sheet.cables" />
            </section>
            <p v-if="sheet.missing" class="mt-4 text-[13px] text-ink2">{{ sheet.missing }}</p>
            <p v-if="sheet.also.length" class="mt-4 text-[13px]">Other items: {{ sheet.also.join('; ') }}.</p>
            <section v-if="sheet.hiding.length" class="mt-4">
                <h3 class="font-semibold">Where each part is</h3>
                <ul class="text-[13px]">
                    <li v-for="row in sheet.hiding" :key="row.label">
                        <b>{{ row.label }}</b> {{ row.name }}: {{ row.where }}
                    </li>
                </ul>
            </section>
            <section class="mt-4">
                <h3 class="font-semibold">Join record{{ sheet.joined ? `, ${sheet.joined}` : '' }}</h3>
                <p class="text-[13px] text-ink2">
                    {{ sheet.hub ? `Hub: ${sheet.hub}.` : 'No hub chosen.' }}
                    {{ sheet.by ? `Joined by ${sheet.by}.` : '' }}
                    {{ sheet.rehearsed ? `Rehearsed on ${sheet.rehearsed}. A rehearsal joins nothing.` : '' }}
                </p>
                <p v-if="sheet.join.length === 0" class="text-[13px]">Nothing has been joined on site yet.</p>
                <ol class="fig mt-1 columns-2 gap-6 text-[12px] leading-[18px]">
                    <li v-for="(line, n) in sheet.join" :key="n">{{ line }}</li>
                </ol>
            </section>
            <section v-if="sheet.accepted.length" class="mt-4">
                <h3 class="font-semibold">Acceptance: on, off, 10 %, 80 %, colour or white</h3>
                <ul class="columns-2 gap-6 text-[12.5px]">
                    <li v-for="(a, n) in sheet.accepted" :key="n">
                        {{ a.light }}, {{ a.control }}: {{ a.says }}, {{ a.at }}
                    </li>
                </ul>
            </section>
            <section v-if="sheet.facts.length" class="mt-4">
                <h3 class="font-semibold">Shown to the client, versions and backups</h3>
                <ul class="text-[13px]">
                    <li v-for="f in sheet.facts" :key="f.id">
                        <template v-if="f.kind === 'lesson'"
                            >Shown: {{ sheet.lesson.find((l) => l.key === f.about)?.says ?? f.about }}</template
                        >
                        <template v-else-if="f.kind === 'version'">{{ f.about }}: version {{ f.says }}</template>
                        <template v-else>Settings of {{ f.about }}: {{ f.says }}</template
                        >, {{ f.day }}{{ f.by ? `, ${f.by}` : '' }}
                    </li>
                </ul>
            </section>
            <section v-if="sheet.tested.length" class="mt-4">
                <h3 class="font-semibold">Tests and readings</h3>
                <div v-for="run in sheet.tested" :key="run.name + run.place" class="mt-1 text-[13px]">
                    <h4 class="font-semibold">{{ run.name }}, {{ run.place }}</h4>
                    <p>{{ run.done.length ? `Tested: ${run.done.join('; ')}.` : 'Not tested.' }}</p>
                    <p v-if="run.done.length && run.untested.length">Not tested: {{ run.untested.join('; ') }}.</p>
                    <p v-if="run.seen">Seen: {{ run.seen }}</p>
                    <table v-if="run.readings.length" class="w-full text-[12.5px]">
                        <thead>
                            <tr class="text-left text-ink2">
                                <th class="font-normal">Reading</th>
                                <th class="text-right font-normal">Read</th>
                                <th class="text-right font-normal">Predicted</th>
                                <th class="pl-3 font-normal">Result</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr v-for="(r, n) in run.readings" :key="n" class="border-t border-rule2">
                                <td>{{ r.where }}</td>
                                <td class="fig text-right">{{ r.read }}</td>
                                <td class="fig text-right">{{ r.expected }}</td>
                                <td class="pl-3">{{ r.verdict }}</td>
                            </tr>
                        </tbody>
                    </table>
                    <p v-else-if="run.done.length">No readings.</p>
                </div>
            </section>
            <section v-if="sheet.cards.length" class="mt-4">
                <h3 class="font-semibold">Reset remotes, panels and bridges</h3>
                <ul class="text-[13px]">
                    <li v-for="card in sheet.cards" :key="card.device">
                        <b>{{ card.device }}</b>: {{ card.says }}
                    </li>
                </ul>
            </section>
            <section v-if="sheet.recovery.length" class="mt-4">
                <h3 class="font-semibold">Recovery steps</h3>
                <details
                    v-for="guide in sheet.recovery.filter((g) => g.steps.length)"
                    :key="guide.mark"
                    class="border-b border-rule2 py-1.5 text-[13px]"
                >
                    <summary class="cursor-pointer font-semibold">{{ guide.mark }} · {{ guide.title }}</summary>
                    <p class="mt-1 text-ink2">{{ guide.says }}</p>
                    <p v-if="guide.same">The same steps as {{ guide.same }}.</p>
                    <ol v-else class="mt-1 list-decimal pl-5">
                        <li v-for="(step, n) in guide.steps" :key="n">{{ step }}</li>
                    </ol>
                </details>
            </section>
            <section class="mt-4">
                <h3 class="font-semibold">What was checked</h3>
                <p v-for="group in sheet.checked" :key="group.subject" class="text-[12px] leading-[17px] text-ink2">
                    <b class="text-ink">{{ group.subject }}.</b>
                    <template v-for="(rule, n) in group.rules" :key="rule.says"
                        >{{ ` ${rule.says}`
                        }}<b v-if="rule.found || rule.open" class="text-ink">{{
                            rule.found ? ` (${rule.found} found)` : ` (${rule.open} open)`
                        }}</b
                        >{{ n + 1 < group.rules.length ? ';' : '.' }}</template
                    >
                </p>
            </section>
        </article>
    </JobFrame>
</template>

<style scoped>
.wiring {
    background: #fff;
    border: 1px solid var(--rule);
}
.wiring :deep(svg) {
    max-width: 100%;
    height: auto;
}
.sheet {
    background: var(--sheet);
    border: 1px solid var(--rule);
    padding: 24px 32px;
    max-width: 860px;
}
.facts {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 24px;
    margin-top: 8px;
}
.losses {
    display: grid;
    grid-template-columns: minmax(0, 30%) minmax(0, 1fr);
    gap: 4px 16px;
}
.facts dt {
    font-size: 12px;
    color: var(--ink-2);
}
th,
td {
    padding: 3px 8px 3px 0;
}
</style>
