import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';

/** First steps of a new user: five steps to the first fix, on the real screens. Kept on this device. */
export type Guide = { state: 'new' | 'on' | 'paused' | 'done'; step: number; job: number; run: string };

export type GuideStep = {
    title: string;
    text: string;
    /** Page that the step belongs to: the list of jobs or a stage. */
    page: string;
    where: string;
    /** Part of the page that is marked; the first that is there. RUN is the run that the guide fixes. */
    marks: readonly string[];
    /** Words of the button that goes on; a step that is done by acting is skipped by it. */
    next: string;
};

/** Whether a finding is the problem that the guide fixes: a run that is visibly dull. */
export function isDull(finding: { code: string; severity: string } | null | undefined): boolean {
    return finding?.code === 'evenness' && finding.severity === 'stop';
}

/** Moves the keyboard to the guide's card. */
export const GUIDE_KEY = { key: '.', what: 'To the guide' };

export const SKIP = 'Skip this step';

export const STEPS: readonly GuideStep[] = [
    {
        title: 'Open the job at its problem',
        text: 'Each job shows its stages and its next problem. Press the problem after “Next:”.',
        page: 'home',
        where: 'the jobs',
        marks: ['[data-guide=next]'],
        next: SKIP,
    },
    {
        title: 'Read the light along the run',
        text: 'The curve is the light along the strip: 1 is full. Where it falls below the dotted limit, the strip looks dull.',
        page: 'wire',
        where: 'Wire',
        marks: ['article[data-run="RUN"] [data-guide=ribbon]', '[data-opens="RUN"]'],
        next: 'Next',
    },
    {
        title: 'Feed both ends',
        text: 'Press “Feed both ends”. A second feed and its cable are added, and the curve rises.',
        page: 'wire',
        where: 'Wire',
        marks: ['article[data-run="RUN"] [data-guide=ends]', '[data-opens="RUN"]'],
        next: SKIP,
    },
    {
        title: 'Check a number',
        text: 'Press a number with a dotted line, such as the evenness. Its formula, inputs and source open.',
        page: 'wire',
        where: 'Wire',
        marks: ['footer[aria-label=Ledger]'],
        next: SKIP,
    },
    {
        title: 'See the cost, or undo',
        text: 'Open Parts: the new cable is in the list and the quote has changed. Undo at the top takes the feed back.',
        page: 'parts',
        where: 'Parts',
        marks: ['[data-guide=quote]', 'nav[aria-label=Stages] a[href$="/parts"]'],
        next: 'Finish',
    },
];

const NEW: Guide = { state: 'new', step: 0, job: 0, run: '' };

/** State of the guide on this device. A browser without storage keeps it until the page is left. */
export const guide = useLocalStorage<Guide>('ember-dusk-guide', { ...NEW }, { onError: () => undefined });

export const guideStep = computed(() => (guide.value.state === 'on' ? STEPS[guide.value.step] : undefined));

export function startGuide(job: number, run: string): void {
    guide.value = { state: 'on', step: 0, job, run };
}

export function pauseGuide(): void {
    guide.value = { ...guide.value, state: 'paused' };
}

export function resumeGuide(): void {
    guide.value = { ...guide.value, state: 'on' };
}

/** Goes to another step; after the last one the guide is done. */
export function goToStep(step: number): void {
    guide.value =
        step >= STEPS.length ? { ...guide.value, state: 'done' } : { ...guide.value, step: Math.max(0, step) };
}

/** Goes on if the guide is at this step: what it asks for was done. */
export function stepDone(step: number): void {
    if (guide.value.state === 'on' && guide.value.step === step) {
        goToStep(step + 1);
    }
}

/** Selectors of the parts that a step marks, the best first. */
export function marksOf(step: GuideStep): string[] {
    return step.marks.map((mark) => mark.replace('RUN', guide.value.run));
}

/** Address of a step's page. */
export function guidePage(step: GuideStep): string {
    return step.page === 'home' ? '/' : `/jobs/${guide.value.job}/${step.page}#${guide.value.run}`;
}
